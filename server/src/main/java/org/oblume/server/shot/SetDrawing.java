package org.oblume.server.shot;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Retaped;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Phrase;
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
public class SetDrawing {

    private static final int MOST_PROBLEMS_TOLD = 3;
    private final SetService sets;
    private final SceneService scenes;
    private final StoredScenes records;
    private final KnotService tying;

    SetDrawing(SetService sets, SceneService scenes, StoredScenes records, KnotService tying) {
        this.tying = tying;
        this.sets = sets;
        this.scenes = scenes;
        this.records = records;
    }

    @Transactional(readOnly = true)
    List<String> scenesIn(long setId) {
        return scenes.inSet(setId).stream().map(s -> s.heading().number()).toList();
    }

    /** @return id of the new set */
    long start(long productionId, NewSet wanted) {
        return sets.start(
                productionId,
                new StageSet(wanted.name(), SetPlan.start(wanted.roomWidth(), wanted.roomDepth(), wanted.ceiling())));
    }

    /** What becomes of what was taped from a landmark that is drawn elsewhere from now on. */
    enum WhatWasTaped {
        /** It stands where its tapes say: the landmark was drawn wrong. */
        FOLLOWS,
        /** It stands where it is drawn; its tapes say nothing any more. */
        STAYS
    }

    /**
     * @param taped what becomes of what was taped from a landmark that moves, or null when nobody was asked yet
     * @throws Refusal when something recorded would stand outside the new walls, or, with the field {@code taped}, when somebody has to be
     *     asked; nothing is kept then
     */
    DrawnSet draw(long setId, StageSet set, long version, @Nullable WhatWasTaped taped, String author) {
        List<String> problems = new ArrayList<>();
        Map<StoredScene, Retaped> follow = new LinkedHashMap<>();
        for (Scene scene : scenes.inSet(setId)) {
            StoredScene record = records.lockedScene(scene.id());
            Retaped retaped = taped == WhatWasTaped.STAYS ? Retaped.NOTHING : Retaped.of(record.record(), set.plan());
            follow.put(record, retaped);
            SceneRecord redrawn = SceneRecord.of(
                    set.plan(),
                    record.record().placements(),
                    record.record().book().with(retaped.knots()));
            problems.addAll(redrawn.problems(redrawn.book().knots()));
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
        if (taped == null) {
            refuseUnasked(follow);
        }
        DrawnSet drawn = sets.draw(setId, set, version);
        follow.forEach((record, retaped) -> tying.follow(record, retaped.knots(), author));
        return drawn;
    }

    /**
     * Keeps landmarks that were found: each in the place of the one of its name, or as a new one.
     *
     * @throws Refusal as when the set is drawn
     */
    public void keepLandmarks(long setId, List<Landmark> found, String author) {
        DrawnSet drawn = sets.get(setId);
        SetPlan plan = drawn.set().plan();
        draw(setId, new StageSet(drawn.set().name(), plan.with(found)), drawn.version(), null, author);
    }

    private static void refuseUnasked(Map<StoredScene, Retaped> follow) {
        List<Phrase> things = follow.entrySet().stream()
                .filter(e -> !e.getValue().knots().isEmpty())
                .map(e -> Phrase.format(
                        "%s in Sc. %s",
                        e.getValue().things(e.getKey().record()),
                        e.getKey().scene().heading().number()))
                .toList();
        if (!things.isEmpty()) {
            throw new Refusal(
                    "taped",
                    Phrase.format(
                            "The set is not kept yet. Taped from a landmark that you moved: %s. Does that follow its tapes, or stay where it is drawn?",
                            Phrase.joined("; ", things)));
        }
    }
}
