package org.oblume.server.shot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.set.DrawnSet;

/** Everything that the plot of one shot shows. */
record PlotView(
        long sceneId, SceneHeading scene, DrawnSet drawn, ShotHead shot, Mine mine, List<PlacedView> placements) {

    /** What the person who asks could undo and redo here: names of what it was about, or null. */
    record Mine(@Nullable String undo, @Nullable String redo) {}

    /**
     * @param basedOn slate of the shot it carries from, or null
     * @param neededBy slates of the shots based on it
     * @param revision 1 until what was shot is opened again
     * @param asOf the event up to which an old revision is shown, or null for the record as it is
     */
    record ShotHead(
            long id,
            Slate slate,
            String description,
            @Nullable Integer day,
            ShotStage stage,
            @Nullable Long basedOnId,
            @Nullable Slate basedOn,
            List<Slate> neededBy,
            long version,
            int revision,
            @Nullable LastTouch lit,
            @Nullable LastTouch shot,
            @Nullable Long asOf) {}
}
