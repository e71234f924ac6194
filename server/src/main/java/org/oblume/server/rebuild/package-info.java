/** The rebuild sheet of a shot and its ticks. */
@NullMarked
package org.oblume.server.rebuild;

import org.jspecify.annotations.NullMarked;
