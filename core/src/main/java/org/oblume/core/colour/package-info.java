/** Colour of white light: correlated colour temperature and Duv, and the swatch that a camera sees. */
@NullMarked
package org.oblume.core.colour;

import org.jspecify.annotations.NullMarked;
