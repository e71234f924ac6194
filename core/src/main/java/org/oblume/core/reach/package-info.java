/**
 * What can be of a thing and what cannot: refused with the nearest that can. Each limit is a rule of its own; {@link Reach} lists them. What was
 * recorded before somebody knew better is left as it is: only what is recorded now is held to it.
 */
@NullMarked
package org.oblume.core.reach;

import org.jspecify.annotations.NullMarked;
