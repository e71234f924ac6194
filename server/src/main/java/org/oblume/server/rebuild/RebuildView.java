package org.oblume.server.rebuild;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.SetPlan;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.PlacedView;

/** The rebuild sheet of a shot. */
record RebuildView(long shotId, String slate, String description, @Nullable String basedOn, SceneHeading scene,
        String setName, SetPlan set, List<Step> steps) {

    /**
     * @param placed what to put back and how, as on the plot
     * @param cautions sentences
     * @param done who ticked it, or null
     */
    record Step(PlacedView placed, List<String> cautions, @Nullable Done done) {
    }

    /** @param changedSince whether something this step rests on was changed after it was ticked */
    record Done(String author, Instant at, boolean changedSince) {
    }
}
