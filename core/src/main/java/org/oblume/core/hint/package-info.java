/**
 * What is worth a look in a shot. Each rule is a class of its own that finds its hints in a {@link HintContext}; {@link Hints} lists the
 * rules. Hints never block, and none of them is recorded.
 */
@NullMarked
package org.oblume.core.hint;

import org.jspecify.annotations.NullMarked;
