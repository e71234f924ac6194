package org.oblume.server.shot;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.units.Refusal;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.SetService;
import org.oblume.server.set.StageSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Draws on a set, which many scenes may be lit in: nothing that is recorded may end up where it cannot be. */
@Service
@Transactional
class SetDrawing {

    private static final int MOST_PROBLEMS_TOLD = 3;
    private final SetService sets;
    private final SceneService scenes;
    private final StoredScenes records;

    SetDrawing(SetService sets, SceneService scenes, StoredScenes records) {
        this.sets = sets;
        this.scenes = scenes;
        this.records = records;
    }

    @Transactional(readOnly = true)
    List<String> scenesIn(long setId) {
        return scenes.inSet(setId).stream().map(s -> s.heading().number()).toList();
    }

    /** @throws Refusal when something recorded would stand outside the new walls; nothing is kept then */
    DrawnSet draw(long setId, StageSet set, long version) {
        List<String> problems = new ArrayList<>();
        for (Scene scene : scenes.inSet(setId)) {
            scenes.lockForUpdate(scene.id());
            StoredScene record = records.of(scene.id());
            SceneRecord redrawn = SceneRecord.of(
                    set.plan(), record.record().placements(), record.record().book());
            problems.addAll(redrawn.problems(record.knots()));
        }
        if (!problems.isEmpty()) {
            int more = problems.size() - MOST_PROBLEMS_TOLD;
            throw new Refusal(
                    "set",
                    "The set is not kept yet. %s%s Draw the walls round it, or move it first."
                            .formatted(
                                    String.join(
                                            " ", problems.subList(0, Math.min(MOST_PROBLEMS_TOLD, problems.size()))),
                                    more > 0 ? " And %d more.".formatted(more) : ""));
        }
        return sets.draw(setId, set, version);
    }
}
