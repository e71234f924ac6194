package org.oblume.server.day;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayViews.EarlierShotPlan;
import org.oblume.server.earlier.EarlierVersions;
import org.oblume.server.earlier.Said;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of shots: what each takes and needs of its day. */
@Service
@Transactional
public class ShotPlans {

    private final ShotPlanRepository plans;
    private final SceneService scenes;
    private final ShotService shots;
    private final DayReader reader;
    private final EarlierVersions earlier;
    private final RecordJson json;

    ShotPlans(
            ShotPlanRepository plans,
            SceneService scenes,
            ShotService shots,
            DayReader reader,
            EarlierVersions earlier,
            RecordJson json) {
        this.plans = plans;
        this.scenes = scenes;
        this.shots = shots;
        this.reader = reader;
        this.earlier = earlier;
        this.json = json;
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void keep(long shotId, ShotPlan plan, long version, String author) {
        Shot shot = shots.get(shotId);
        if (plan.afterId() != null && (plan.afterId() == shotId || !isOfOneProduction(shot, plan.afterId()))) {
            throw new Refusal("afterId", "A shot comes after another of its production.");
        }
        ShotPlanEntity entity = plans.findByShotId(shotId).orElseGet(() -> new ShotPlanEntity(shotId));
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone changed what %s takes since you opened it. Nothing of yours was kept yet."
                            .formatted(shot.card().slate()),
                    entity.plan().isEmpty() ? ShotPlan.NOTHING_SAID : json.read(entity.plan(), ShotPlan.class));
        }
        if (!entity.plan().isEmpty()) {
            earlier.keep(Said.PLAN_OF_SHOT, shotId, json.read(entity.plan(), ShotPlan.class), author);
        }
        plans.saveAndFlush(entity.say(json.write(plan)));
        if (shot.card().day() != null) {
            Refusal ring = reader.read(
                            scenes.get(shot.sceneId()).productionId(),
                            shot.card().day())
                    .order()
                    .ring();
            if (ring != null) {
                throw ring;
            }
        }
    }

    /** What was said of a shot before, the latest first. */
    @Transactional(readOnly = true)
    List<EarlierShotPlan> earlier(long shotId) {
        shots.get(shotId);
        return earlier.of(Said.PLAN_OF_SHOT, shotId, ShotPlan.class).stream()
                .map(e -> new EarlierShotPlan(e.until(), e.by(), e.was()))
                .toList();
    }

    private boolean isOfOneProduction(Shot shot, long otherId) {
        return scenes.get(shot.sceneId()).productionId()
                == scenes.get(shots.get(otherId).sceneId()).productionId();
    }

    /** What is said of the shots of a scene, by shot, as it is written out; those of which nothing was said are left out. */
    @Transactional(readOnly = true)
    public Map<Slate, WrittenPlan> written(List<Shot> ofScene) {
        Map<Long, Slate> slates = ofScene.stream()
                .collect(Collectors.toMap(Shot::id, s -> s.card().slate()));
        Map<Slate, WrittenPlan> all = new HashMap<>();
        for (ShotPlanEntity said : plans.findByShotIdIn(slates.keySet())) {
            ShotPlan plan = json.read(said.plan(), ShotPlan.class);
            all.put(
                    slate(slates::get, said.shotId()),
                    new WrittenPlan(
                            plan.shootMinutes(),
                            plan.need(),
                            plan.first(),
                            plan.afterId() == null ? null : slates.get(plan.afterId()),
                            plan.doneBy(),
                            plan.who()));
        }
        return all;
    }

    private static Slate slate(Function<Long, @Nullable Slate> slates, long id) {
        Slate slate = slates.apply(id);
        if (slate == null) {
            throw new IllegalStateException("No shot " + id);
        }
        return slate;
    }

    /**
     * Keeps what a file says of the shots of a new scene.
     *
     * @throws Refusal when one comes after a shot that the scene does not have
     */
    public void importAll(Map<Slate, Shot> made, Map<Slate, WrittenPlan> said) {
        said.forEach((slate, plan) -> {
            Shot shot = made.get(slate);
            Shot after = plan.after() == null ? null : made.get(plan.after());
            if (shot == null || (plan.after() != null && (after == null || after.id() == shot.id()))) {
                throw new Refusal(
                        "after",
                        "%s comes after %s: there is no such other shot in the scene.".formatted(slate, plan.after()));
            }
            plans.save(new ShotPlanEntity(shot.id())
                    .say(json.write(new ShotPlan(
                            plan.shootMinutes(),
                            plan.need(),
                            plan.first(),
                            after == null ? null : after.id(),
                            plan.doneBy(),
                            plan.who()))));
        });
    }
}
