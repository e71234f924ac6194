/** What is said of a shot, a thing or a set besides its values: takes, notes and photographs. */
@NullMarked
package org.oblume.server.note;

import org.jspecify.annotations.NullMarked;
