/** Productions. */
@NullMarked
package org.oblume.server.production;

import org.jspecify.annotations.NullMarked;
