/** A scene as an open file, out and in, and the demo scenes that ship in that format. */
@NullMarked
package org.oblume.server.exchange;

import org.jspecify.annotations.NullMarked;
