package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Place;

/**
 * Another of what is placed.
 *
 * @param name of its own
 * @param reason as for a knot
 */
record Copy(String name, Place place, @Nullable Reason reason) {}
