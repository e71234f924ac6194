/** The steps that put a recorded shot back on its feet, in the scene's build order. */
@NullMarked
package org.oblume.core.rebuild;

import org.jspecify.annotations.NullMarked;
