package org.oblume.server.shot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Stage;
import org.oblume.server.location.DrawnSet;
import org.oblume.server.scene.SceneHeading;

/** Everything that the plot of one shot shows. */
record PlotView(long sceneId, SceneHeading scene, DrawnSet drawn, ShotHead shot, List<PlacedView> placements) {

    /** @param basedOn slate of the shot it carries from, or null. @param neededBy slates of the shots based on it */
    record ShotHead(long id, String slate, String description, @Nullable Integer day, Stage stage,
            @Nullable Long basedOnId, @Nullable String basedOn, List<String> neededBy, long version) {
    }
}
