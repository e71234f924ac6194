package org.oblume.server.shot;

import org.oblume.core.plot.Attribute;

/** One value of one thing, as it is stored: {@link org.oblume.core.carry.ValueKey} by the placement's id. */
record StoredKey(long placementId, Attribute attribute) {}
