package org.oblume.server.book;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.rebuild.BuildOrder;

/**
 * A scene to be started.
 *
 * @param roomWidth as typed, metres or feet and inches
 * @param roomDepth likewise
 * @param ceiling likewise
 * @param setId a set that is there already, instead of a new room; the room's measures are not needed then
 */
record NewScene(
        String number,
        String heading,
        String location,
        BuildOrder buildOrder,
        @Nullable String roomWidth,
        @Nullable String roomDepth,
        @Nullable String ceiling,
        Slate firstSlate,
        @Nullable Long setId) {}
