/** Sets and places as they are drawn, used by many scenes. */
@NullMarked
package org.oblume.server.location;

import org.jspecify.annotations.NullMarked;
