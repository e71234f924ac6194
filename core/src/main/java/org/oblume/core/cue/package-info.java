/** What changes within a shot: its cues in order, and the light after each. */
@NullMarked
package org.oblume.core.cue;

import org.jspecify.annotations.NullMarked;
