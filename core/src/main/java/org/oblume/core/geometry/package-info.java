/** The plan in metres: where things are, how a head is aimed, and tapes from landmarks to a stand. */
@NullMarked
package org.oblume.core.geometry;

import org.jspecify.annotations.NullMarked;
