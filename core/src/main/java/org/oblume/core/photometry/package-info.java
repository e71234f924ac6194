/** Light that falls on a mark: levels, distance, beams, bounce, softness. Models are marked so. */
@NullMarked
package org.oblume.core.photometry;

import org.jspecify.annotations.NullMarked;
