package org.oblume.core.light;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.LightMix;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.White;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * The light of a shot as it is recorded, at each of its marks. Linear in sources × marks × what can stand between them.
 */
public final class ShotLighting {

    private static final White WHITE_UNTIL_RECORDED = new White(5600, 0);
    private final List<SourceEmitters> sources;
    private final List<Placement> placed;
    private final List<MarkLight> marks;
    private final Map<String, String> unknown = new LinkedHashMap<>();
    private final RecordedState state;
    private final SetHall hall;
    private final StandingGrip inside;
    private final @Nullable Metering metering;
    private final @Nullable SpacePoint lens;

    /** The camera's exposure. */
    public record Metering(Exposure exposure, TStop stop, Shutter shutter) {

        /** How far a light is above the camera's stop; null in the dark. */
        public @Nullable Stops over(double lux) {
            return lux > 0 ? exposure.over(Illuminance.ofLux(lux), stop) : null;
        }
    }

    private ShotLighting(
            SetPlan set,
            List<Placement> placements,
            RecordedState state,
            Set<String> out,
            Map<String, Calibration> calibrations) {
        this.state = state;
        List<SourceEmitters> sources = new ArrayList<>();
        List<Grip> grip = new ArrayList<>(Grip.standing(placements, state));
        List<SpacePoint> standing = new ArrayList<>();
        for (Placement placement : placements) {
            if (SourceEmitters.isOn(placement, state)) {
                try {
                    SourceEmitters source = SourceEmitters.of(
                            set, placement, state, calibrations.getOrDefault(placement.key(), Calibration.NONE));
                    // what hangs before a light stands there when it is taken as off, too
                    grip.addAll(source.before());
                    standing.add(source.seen().at());
                    if (out.contains(placement.key())) {
                        continue;
                    }
                    sources.add(source);
                    if (source.missing() != null) {
                        unknown.put(placement.key(), source.missing());
                    }
                } catch (Refusal notKnown) {
                    if (!out.contains(placement.key())) {
                        unknown.put(placement.key(), String.valueOf(notKnown.getMessage()));
                    }
                }
            }
        }
        this.sources = sources;
        this.placed = sources.stream().map(SourceEmitters::placement).toList();
        Optional<Placement> camera = state.camera(placements);
        this.metering = camera.flatMap(c -> metering(c.key(), state)).orElse(null);
        this.lens = camera.flatMap(c -> state.position(c.key())).orElse(null);
        List<Placement> people = state.marks(placements);
        people.forEach(mark -> state.position(mark.key()).ifPresent(standing::add));
        this.hall = SetHall.of(set, standing);
        this.inside = StandingGrip.of(hall, grip);
        sources.parallelStream().forEach(inside::meets);
        this.marks = people.parallelStream()
                .flatMap(mark -> state.position(mark.key()).stream().map(face -> {
                    Bearing facing = state.aim(mark.key()).map(Aim::bearing).orElse(Bearing.ofDegrees(0));
                    return inside.mark(mark.key(), face, facing, lens).light(sources, inside);
                }))
                .toList();
    }

    /**
     * @param out keys of lights that are taken as off
     * @param calibrations of placements against the meter, by key; one that is not there is taken at its figures
     */
    public static ShotLighting of(
            SetPlan set,
            List<Placement> placements,
            RecordedState state,
            Set<String> out,
            Map<String, Calibration> calibrations) {
        return new ShotLighting(set, placements, state, out, calibrations);
    }

    /** The lights that are on, in the scene's order. */
    public List<Placement> lights() {
        return placed;
    }

    /** The marks on set, in the scene's order. */
    public List<MarkLight> marks() {
        return marks;
    }

    public Optional<MarkLight> mark(String key) {
        return marks.stream().filter(m -> m.key().equals(key)).findFirst();
    }

    /** A bust at a mark, in this light. */
    public BustLight bust(MarkLight mark) {
        return inside.mark(mark.key(), mark.face(), mark.facing(), lens).bust(sources, inside);
    }

    /** The set as an eye sees it, in this light. */
    public LitSet seen() {
        return new LitSet(
                inside,
                sources,
                marks.stream().map(m -> new Body(m.key(), m.face(), m.facing())).toList(),
                marks.stream().map(this::bust).toList());
    }

    /** The ratio at a mark, in both schools. */
    public Ratio ratio(MarkLight mark) {
        return Ratio.of(mark, lights());
    }

    /** Lights that are on and cannot be predicted, by key, with a sentence that says why. */
    public Map<String, String> unknown() {
        return Map.copyOf(unknown);
    }

    /** What the camera takes for white; daylight until it is recorded. */
    public static White white(List<Placement> placements, RecordedState state) {
        return placements.stream()
                .filter(p -> p.kind() == PlacementKind.CAMERA)
                .flatMap(p -> state.value(p.key(), White.class).stream())
                .findFirst()
                .orElse(WHITE_UNTIL_RECORDED);
    }

    /** What one camera takes for white; daylight until it is recorded. */
    public White white(Placement camera) {
        return state.value(camera.key(), White.class).orElse(WHITE_UNTIL_RECORDED);
    }

    /** The exposure of any camera; empty until its stop, ISO and shutter are recorded. */
    public Optional<Metering> metering(Placement camera) {
        return metering(camera.key(), state);
    }

    /** The camera's exposure; empty until its stop, ISO and shutter are recorded. */
    public Optional<Metering> metering() {
        return Optional.ofNullable(metering);
    }

    /** What a light gives a meter at a mark that is turned to it; 0 when it is not on. */
    public double facingLux(String source, String mark) {
        return at(source, mark).map(MarkLight.SourceAtMark::facingLux).orElse(0.0);
    }

    /** What a meter reads of a light alone; empty when nothing of it comes there. */
    public Optional<LightMix> metered(String source, String mark, Turned turned) {
        return at(source, mark).flatMap(s -> s.metered(turned));
    }

    private Optional<MarkLight.SourceAtMark> at(String source, String mark) {
        return mark(mark).stream()
                .flatMap(m -> m.sources().stream())
                .filter(s -> s.source().equals(source))
                .findFirst();
    }

    /** All the light on a small surface anywhere on set. */
    public SurfaceLight falling(SpacePoint at, Direction normal) {
        return inside.surface(at, normal).light(sources, inside);
    }

    /** A light as it leaves its last modifier, straight from where it stands; empty when it is not on or not known. */
    public Optional<LightSource> straight(String key) {
        return sources.stream()
                .filter(s -> s.placement().key().equals(key))
                .findFirst()
                .map(SourceEmitters::seen);
    }

    /** Whether walls or the ceiling stand between two points. */
    public boolean wallBetween(SpacePoint from, SpacePoint to) {
        return hall.hall().between(from, to);
    }

    /** Whether any light comes straight from one point to another, walls and grip in the way. */
    public boolean reaches(SpacePoint from, SpacePoint to) {
        return inside.clear(from, to);
    }

    /** What is recorded of the shot. */
    public RecordedState state() {
        return state;
    }

    private static Optional<Metering> metering(String camera, RecordedState state) {
        double nd =
                state.value(camera, LensNd.class).map(n -> n.stops().value()).orElse(0.0);
        return state.value(camera, Stop.class)
                .flatMap(stop -> state.value(camera, Speed.class).flatMap(speed -> state.value(camera, Shutter.class)
                        .map(shutter -> new Metering(
                                new Exposure(speed.iso(), shutter.seconds(), nd, Exposure.DEFAULT_CALIBRATION),
                                TStop.of(stop.tStop()),
                                shutter))));
    }
}
