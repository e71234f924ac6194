/** The calculators as stateless HTTP endpoints. They hold no data and only map to {@code core}. */
@NullMarked
package org.oblume.server.bench;

import org.jspecify.annotations.NullMarked;
