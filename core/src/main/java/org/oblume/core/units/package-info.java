/** Value types that carry their unit: stops, kelvin, mired, lengths, bearings; each reads what a crew types and prints what a crew reads. */
@NullMarked
package org.oblume.core.units;

import org.jspecify.annotations.NullMarked;
