/** Shots, the knots tied in them, and the plot of a shot. */
@NullMarked
package org.oblume.server.shot;

import org.jspecify.annotations.NullMarked;
