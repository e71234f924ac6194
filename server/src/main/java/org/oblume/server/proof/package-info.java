/** What is wrong with a rebuild by what was read of it, and what to read next. */
@NullMarked
package org.oblume.server.proof;

import org.jspecify.annotations.NullMarked;
