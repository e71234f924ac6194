/** Frames that were shot, and photographs: what is read off them, and what of one another and of the prediction is like. */
@NullMarked
package org.oblume.server.still;

import org.jspecify.annotations.NullMarked;
