/** From light to the stop, from the monitor to light, and contrast ratios by both schools. */
@NullMarked
package org.oblume.core.exposure;

import org.jspecify.annotations.NullMarked;
