/** What was said before, of things that are said as a whole: so that it can be seen and brought back. */
@NullMarked
package org.oblume.server.earlier;

import org.jspecify.annotations.NullMarked;
