package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotNode;

/** A shot as a list of a scene's shots names it: what it is based on by slate. */
public record ListedShot(ShotNode node, String description, @Nullable Integer day) {

    ShotCard card(@Nullable Long basedOnId) {
        return new ShotCard(node.slate(), description, day, node.stage(), basedOnId);
    }
}
