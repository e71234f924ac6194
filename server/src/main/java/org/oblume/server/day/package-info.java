/** Shooting days: which shots are on them in which order, when each is ready and shot, and which order costs least. */
@NullMarked
package org.oblume.server.day;

import org.jspecify.annotations.NullMarked;
