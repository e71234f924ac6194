/** Sets and places as they are drawn, used by many scenes. */
@NullMarked
package org.oblume.server.set;

import org.jspecify.annotations.NullMarked;
