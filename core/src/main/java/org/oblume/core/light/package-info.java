/**
 * What the light of a shot is: on the cheeks of each mark, on what is behind it, from which source; what holds an exposure
 * over a change; what is worth a look. Models are marked so. Nothing here is recorded.
 */
@NullMarked
package org.oblume.core.light;

import org.jspecify.annotations.NullMarked;
