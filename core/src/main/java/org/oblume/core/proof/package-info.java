/**
 * Whether a rebuild is the same light, and what is wrong when it is not: what meters read is set against what the recorded light and
 * each thing that could be wrong would give (model; proof, "What is wrong").
 */
@NullMarked
package org.oblume.core.proof;

import org.jspecify.annotations.NullMarked;
