/** Readings of a shot or a rebuild, what they say of the predictions, and what each unit measures when it is dialled. */
@NullMarked
package org.oblume.server.metering;

import org.jspecify.annotations.NullMarked;
