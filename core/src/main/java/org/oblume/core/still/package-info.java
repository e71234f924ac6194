/** What is read off a frame that was shot: its signal at points, across it and in all of it. */
@NullMarked
package org.oblume.core.still;

import org.jspecify.annotations.NullMarked;
