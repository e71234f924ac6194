/** Whether a shot, or a shot that was rebuilt, is in the same light as the one it is to match. */
@NullMarked
package org.oblume.core.continuity;

import org.jspecify.annotations.NullMarked;
