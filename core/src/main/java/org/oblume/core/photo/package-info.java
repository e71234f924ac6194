/**
 * Where a photograph was taken from, and where what is seen in two of them stands (model: a pinhole with square pixels whose middle is that
 * of the picture; no distortion). Resection and intersection by least squares, spreads to first order.
 */
@NullMarked
package org.oblume.core.photo;

import org.jspecify.annotations.NullMarked;
