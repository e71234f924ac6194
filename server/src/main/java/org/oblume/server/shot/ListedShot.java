package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotLine;

/** A shot as a list of a scene's shots names it: what it is based on by slate. */
public record ListedShot(ShotLine line, String description, @Nullable Integer day) {

    ShotCard card(@Nullable Long basedOnId) {
        return new ShotCard(line.slate(), description, day, line.stage(), basedOnId);
    }
}
