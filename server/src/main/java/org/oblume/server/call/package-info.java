/** What stands on each call: whom it is for, whether it only asks, what it changes. */
@NullMarked
package org.oblume.server.call;

import org.jspecify.annotations.NullMarked;
