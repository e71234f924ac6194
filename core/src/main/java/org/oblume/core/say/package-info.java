/** What a gaffer would call out, read into changes of a shot: {@code key 45% 4300 half cto, edge down 1 stop}. */
@NullMarked
package org.oblume.core.say;

import org.jspecify.annotations.NullMarked;
