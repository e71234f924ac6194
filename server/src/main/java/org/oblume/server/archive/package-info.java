/** One production whole, out to a file and in from one: what two records of it have is brought together by uid, event and value. */
@NullMarked
package org.oblume.server.archive;

import org.jspecify.annotations.NullMarked;
