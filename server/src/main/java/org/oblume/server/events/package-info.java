/** What others do, as it happens: who is where, what was changed, and calls that are done once however often they arrive. */
@NullMarked
package org.oblume.server.events;

import org.jspecify.annotations.NullMarked;
