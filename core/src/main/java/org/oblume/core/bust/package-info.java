/** A plain head of flat facets, on which a picture shows what the light at a mark does to a face. */
@NullMarked
package org.oblume.core.bust;

import org.jspecify.annotations.NullMarked;
