/** The carry board of a scene, comparing two states of the light, what to do between them, and looks. */
@NullMarked
package org.oblume.server.carry;

import org.jspecify.annotations.NullMarked;
