/** From one recorded state of the light to another: what differs, and what a crew does in which order to get there. */
@NullMarked
package org.oblume.core.moves;

import org.jspecify.annotations.NullMarked;
