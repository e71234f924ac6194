package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;

/**
 * A set to be drawn, for no scene yet: a bare room with a landmark in each corner, or nothing at all.
 *
 * @param roomWidth as typed; left out with the depth for a place without a room
 * @param roomDepth likewise
 * @param ceiling likewise; left out outdoors
 */
record NewSet(String name, @Nullable String roomWidth, @Nullable String roomDepth, @Nullable String ceiling) {}
