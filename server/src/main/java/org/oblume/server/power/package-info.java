/** What feeds a set, and what each shot draws from it. */
@NullMarked
package org.oblume.server.power;

import org.jspecify.annotations.NullMarked;
