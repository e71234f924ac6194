/** Scenes and what is placed in them. */
@NullMarked
package org.oblume.server.scene;

import org.jspecify.annotations.NullMarked;
