/** A call that bears a key is done once, however often it is sent. */
@NullMarked
package org.oblume.server.idempotency;

import org.jspecify.annotations.NullMarked;
