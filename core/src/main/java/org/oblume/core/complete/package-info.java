/** Whether a stranger could put a shot back from its record: what they would have to guess, by one rule each, and how it is mended. */
@NullMarked
package org.oblume.core.complete;

import org.jspecify.annotations.NullMarked;
