package org.oblume.core.continuity;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.Swatch;
import org.oblume.core.continuity.Match.Verdict;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.filter.StockItem;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.metering.FaultHypothesis;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Stops;

/**
 * A state of the light as it is judged, at the mark that the camera looks at; where it looks at none, at the first that stands.
 *
 * @param scene the scene that it is a state of
 * @param light predicted, calibrated by what was read of it before
 * @param readings of it, the oldest first
 * @param school of ratio that the scene carries
 * @param curve by which its signals are read
 */
public record ShotAssessment(
        SceneRecord scene,
        ShotState state,
        ShotLighting light,
        List<Reading> readings,
        RatioConvention school,
        SignalCurve curve) {

    public ShotAssessment {
        readings = List.copyOf(readings);
    }

    /** Empty when no mark stands. */
    public Optional<Placement> mark() {
        return camera().flatMap(c -> state.value(c.key(), AimSetting.class))
                .map(AimSetting::mark)
                .filter(state::isOnSet)
                .map(scene::placement)
                .or(() -> state.marks(scene.placements()).stream().findFirst());
    }

    private Optional<Placement> camera() {
        return state.camera(scene.placements());
    }

    private Optional<MarkLight> at() {
        return mark().flatMap(m -> light.mark(m.key()));
    }

    /** What is predicted at the mark in some light; none when no mark stands. */
    Figures predicted(ShotLighting of, RecordedState then) {
        return mark().map(m -> Figures.predicted(of, scene.placements(), then, m.key(), school))
                .orElse(new Figures(Map.of()));
    }

    /** Predicted, and in its place what was read; none when no mark stands. */
    public Figures figures() {
        return mark().map(m -> Figures.predicted(light, scene.placements(), state, m.key(), school)
                        .metered(readings, light, scene.placements(), state, m.key(), school, curve))
                .orElse(new Figures(Map.of()));
    }

    /** The key side, where the key's place or aim was called a cheat in this shot or one that it carries from. */
    public Map<Aspect, Waiver> cheats() {
        Map<Aspect, Waiver> all = new EnumMap<>(Aspect.class);
        at().flatMap(mark -> Figures.key(light, mark)).ifPresent(key -> {
            for (Attribute attribute : List.of(Attribute.AIM, Attribute.PLACE)) {
                state.knot(key.key(), attribute)
                        .filter(k -> k.attribution().reason() == Reason.CHEAT)
                        .ifPresent(k -> all.put(Aspect.KEY_SIDE, cheat(k)));
            }
        });
        return all;
    }

    private static Waiver cheat(Knot knot) {
        return new Waiver(
                Waiver.Cause.CHEAT,
                knot.attribution().note() == null
                        ? "Called a cheat in %s.".formatted(knot.slate())
                        : knot.attribution().note(),
                knot.attribution().author());
    }

    /** Which way the subject looks. */
    public Optional<Bearing> facing() {
        return mark().flatMap(m -> state.aim(m.key())).map(a -> a.bearing());
    }

    /** Where the camera stands, seen from the mark. */
    public Optional<Bearing> cameraFrom() {
        return at().flatMap(mark -> camera().flatMap(c -> state.position(c.key()))
                .map(c -> Bearing.fromOffset(
                        c.xM() - mark.face().xM(), c.yM() - mark.face().yM())));
    }

    /** Grey cards on the lit cheek, the shadow cheek and the background: in the predicted colour, as bright as the figures say; null in the dark. */
    public List<@Nullable Swatch> greyCards(Figures figures) {
        return at().map(mark -> {
                    CameraWhite white =
                            ShotLighting.white(scene.placements(), state).camera();
                    double lit = figure(figures, Aspect.EXPOSURE, over(mark.lit()));
                    double shadow = school == RatioConvention.LIT_TO_SHADOW
                            ? lit - figure(figures, Aspect.RATIO, 0)
                            : over(mark.shadow());
                    return Arrays.asList(
                            card(mark.lit(), white, lit),
                            card(mark.shadow(), white, shadow),
                            card(mark.background(), white, lit + figure(figures, Aspect.BACKGROUND, 0)));
                })
                .orElse(Arrays.asList(null, null, null));
    }

    private static @Nullable Swatch card(@Nullable SurfaceLight on, CameraWhite white, double overStops) {
        return on == null || on.mix() == null ? null : on.mix().seenBy(white).onGreyCard(overStops);
    }

    private static double figure(Figures figures, Aspect aspect, double otherwise) {
        Figures.Figure figure = figures.of().get(aspect);
        return figure == null ? otherwise : figure.value();
    }

    private double over(SurfaceLight on) {
        return on.lux() > 0
                ? light.metering().map(m -> m.over(on.lux())).map(Stops::value).orElse(0.0)
                : 0;
    }

    /**
     * A light alone, by its newest reading.
     *
     * @param check null while it was not read
     */
    public record Head(Placement light, @Nullable SoloCheck check, Verdict verdict) {}

    /**
     * Each light that is on and can be switched, read alone against the prediction.
     *
     * @param stock that the crew could have hung
     */
    public List<Head> heads(Tolerances tolerances, List<StockItem> stock) {
        return light.lights().stream()
                .filter(s -> s.kind() != PlacementKind.DAYLIGHT)
                .map(source -> readings.stream()
                        .filter(r -> source.key().equals(r.alone()))
                        .reduce((older, newer) -> newer)
                        .map(reading -> head(
                                source,
                                SoloCheck.of(reading, source, state, light, stock, FaultHypothesis.Uncertainty.USUAL),
                                tolerances))
                        .orElse(new Head(source, null, Verdict.UNKNOWN)))
                .toList();
    }

    private static Head head(Placement source, SoloCheck check, Tolerances tolerances) {
        boolean holds =
                check.holds(tolerances.of(Aspect.EXPOSURE), tolerances.of(Aspect.WHITE), tolerances.of(Aspect.TINT));
        return new Head(source, check, holds ? Verdict.HOLDS : Verdict.OUT);
    }

    /**
     * What a verdict rests on and nobody read yet: all lights on both cheeks of each mark (proof, "The verdict").
     *
     * @return in words, a line a mark; one that says so when no mark stands
     */
    public List<String> unread() {
        List<Placement> marks = state.marks(scene.placements());
        if (marks.isEmpty()) {
            return List.of("Anything: no mark is on set to read at");
        }
        List<String> all = new ArrayList<>();
        for (Placement mark : marks) {
            List<String> places = new ArrayList<>();
            if (!wasRead(mark, r -> r.lux() != null || r.signals().lit() != null)) {
                places.add("lit cheek");
            }
            if (!wasRead(mark, r -> r.shadowLux() != null || r.signals().shadow() != null)) {
                places.add("shadow cheek");
            }
            if (!places.isEmpty()) {
                all.add("All lights at %s, %s".formatted(mark.name(), String.join(" and ", places)));
            }
        }
        return all;
    }

    private boolean wasRead(Placement mark, Predicate<Reading> there) {
        return readings.stream().anyMatch(r -> r.alone() == null && r.mark().equals(mark.key()) && there.test(r));
    }

    /** What is still to be read, in words: what the verdict rests on, then what would tell where it is off. */
    public List<String> toRead(List<Head> heads) {
        List<String> all = new ArrayList<>(unread());
        heads.stream()
                .filter(h -> h.verdict() == Verdict.UNKNOWN)
                .forEach(h ->
                        all.add("%s alone: stop and colour".formatted(h.light().name())));
        return all;
    }
}
