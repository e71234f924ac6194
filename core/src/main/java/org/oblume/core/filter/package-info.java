/** Filters, cloths and stacks of them: what they do to white light, and which of a stock bring a reading to a target. */
@NullMarked
package org.oblume.core.filter;

import org.jspecify.annotations.NullMarked;
