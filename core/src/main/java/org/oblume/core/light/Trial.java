package org.oblume.core.light;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Placement;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Refusal;

/**
 * Changes that are tried in a shot and not kept.
 *
 * @param scene the scene as it would be
 * @param state the shot as it would be
 * @param changes all of them, with the levels that hold
 * @param held what the held lights do
 * @param light the light as it would be
 */
public record Trial(
        SceneRecord scene, ShotState state, List<Change> changes, List<ExposureHold> held, ShotLighting light) {

    private static final Attribution TRIED = new Attribution(null, null, "tried", Instant.EPOCH, 0);

    /**
     * @param changes in order: a later one about the same value replaces an earlier
     * @param holds keys of lights whose level follows so that the mark keeps its stop
     * @param out keys of lights that are taken as off in the answer
     * @param calibrations of placements against the meter, by key
     * @throws Refusal when a change could not be kept, or a light cannot be held
     */
    public static Trial of(
            SceneRecord now,
            Slate slate,
            List<Change> changes,
            Collection<String> holds,
            Set<String> out,
            Map<String, Calibration> calibrations) {
        ShotState recorded = now.book().resolve(slate);
        changes.forEach(change -> now.check(change.placement(), change.value()));
        List<Change> wanted = last(changes);
        SceneRecord tried = with(now, slate, wanted);
        List<ExposureHold> held = new ArrayList<>();
        if (!holds.isEmpty()) {
            ShotLighting before = ShotLighting.of(now.set(), now.placements(), recorded, Set.of(), calibrations);
            ShotLighting after = light(tried, slate, Set.of(), calibrations);
            for (String key : holds) {
                ExposureHold one = ExposureHold.of(
                        before,
                        after,
                        now.placement(key),
                        mark(now, tried.book().resolve(slate), key));
                held.add(one);
                wanted.add(
                        new Change(key, new Level(Math.round(one.move().level().value() * 10) / 10.0)));
            }
            wanted = last(wanted);
            tried = with(now, slate, wanted);
        }
        ShotState state = tried.book().resolve(slate);
        for (Change change : wanted) {
            Reach.require(tried, state, tried.placement(change.placement()), change.value());
        }
        return new Trial(tried, state, List.copyOf(wanted), held, light(tried, slate, out, calibrations));
    }

    /** The mark that a light is there for: the one it is aimed at, else the first on set. */
    public static String mark(SceneRecord scene, ShotState state, String key) {
        return state.value(key, AimSetting.class)
                .map(AimSetting::mark)
                .filter(state::isOnSet)
                .or(() -> state.marks(scene.placements()).stream()
                        .map(Placement::key)
                        .findFirst())
                .orElseThrow(() -> new Refusal("There is no mark on set: place one first."));
    }

    private static List<Change> last(List<Change> changes) {
        List<Change> kept = new ArrayList<>();
        for (Change change : changes) {
            kept.removeIf(earlier -> earlier.key().equals(change.key()));
            kept.add(change);
        }
        return kept;
    }

    private static SceneRecord with(SceneRecord now, Slate slate, List<Change> changes) {
        CarryBook tried = now.book()
                .with(changes.stream()
                        .map(c -> new Knot(slate, c.placement(), c.value(), TRIED))
                        .toList());
        return now.with(tried).in(tried.resolve(slate));
    }

    private static ShotLighting light(
            SceneRecord scene, Slate slate, Set<String> out, Map<String, Calibration> calibrations) {
        return ShotLighting.of(scene.set(), scene.placements(), scene.book().resolve(slate), out, calibrations);
    }
}
