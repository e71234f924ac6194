/** What is placed on a set: the set itself, placements and the values that are recorded of each. */
@NullMarked
package org.oblume.core.plot;

import org.jspecify.annotations.NullMarked;
