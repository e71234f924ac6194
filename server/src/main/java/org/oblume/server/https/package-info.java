/** https on a set's own network, by an authority of its own. */
@NullMarked
package org.oblume.server.https;

import org.jspecify.annotations.NullMarked;
