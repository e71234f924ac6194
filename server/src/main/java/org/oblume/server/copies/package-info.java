/** Copies of the record while it is worked on, the second folder, and the way back from them. */
@NullMarked
package org.oblume.server.copies;

import org.jspecify.annotations.NullMarked;
