/** A shooting day: when what is set up and shot, in which order it costs least, what the sun does and what batteries run out. */
@NullMarked
package org.oblume.core.day;

import org.jspecify.annotations.NullMarked;
