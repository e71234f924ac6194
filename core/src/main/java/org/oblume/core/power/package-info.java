/** Electric load, batteries and cables. Estimates: a qualified electrician and the local code decide. */
@NullMarked
package org.oblume.core.power;

import org.jspecify.annotations.NullMarked;
