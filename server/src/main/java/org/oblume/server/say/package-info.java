/** What is called out in one line: read, and kept as a whole. */
@NullMarked
package org.oblume.server.say;

import org.jspecify.annotations.NullMarked;
