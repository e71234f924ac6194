/** Finding what was said, whatever its capitals and accents. */
@NullMarked
package org.oblume.core.search;

import org.jspecify.annotations.NullMarked;
