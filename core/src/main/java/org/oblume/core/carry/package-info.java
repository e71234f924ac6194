/** How a value carries from the shot it is based on until a knot changes it. */
@NullMarked
package org.oblume.core.carry;

import org.jspecify.annotations.NullMarked;
