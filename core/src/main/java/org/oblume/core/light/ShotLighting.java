package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.LightMix;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.AngularSize;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.Surface;
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

    private static final double CHEEK_DEG = 45;
    /** A patch of wall that brings less than this to a face is left out, lux (model). */
    private static final double LEAST_LUX = 1e-4;

    private static final White WHITE_UNTIL_RECORDED = new White(5600, 0);
    /** How far behind a mark a wall still counts as its background, metres. */
    private static final double BACKGROUND_WITHIN_M = 60;

    private final List<Source> sources = new ArrayList<>();
    private final List<Placement> placed;
    private final List<MarkLight> marks = new ArrayList<>();
    private final Map<String, String> unknown = new LinkedHashMap<>();
    private final RecordedState state;
    private final Occlusion occlusion;
    private final @Nullable Metering metering;

    /** The camera's exposure. */
    public record Metering(Exposure exposure, TStop stop) {

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
        List<Grip> grip = Grip.standing(placements, state);
        this.occlusion = new Occlusion(set, grip);
        RoomBounce room = new RoomBounce(set, occlusion);
        List<Map<Surface, List<RoomBounce.Patch>>> patches = new ArrayList<>();
        for (Placement placement : placements) {
            if (Source.isOn(placement, state) && !out.contains(placement.key())) {
                try {
                    Source source = Source.of(
                                    set, placement, state, calibrations.getOrDefault(placement.key(), Calibration.NONE))
                            .withReflections(grip, occlusion);
                    sources.add(source);
                    patches.add(patches(source, room));
                } catch (Refusal notKnown) {
                    unknown.put(placement.key(), String.valueOf(notKnown.getMessage()));
                }
            }
        }
        this.placed = sources.stream().map(Source::placement).toList();
        Optional<Placement> camera = state.camera(placements);
        this.metering = camera.flatMap(c -> metering(c.key(), state)).orElse(null);
        @Nullable SpacePoint lens = camera.flatMap(c -> state.position(c.key())).orElse(null);
        for (Placement mark : state.marks(placements)) {
            state.position(mark.key()).ifPresent(face -> marks.add(mark(mark, face, lens, patches)));
        }
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
        return List.copyOf(marks);
    }

    public Optional<MarkLight> mark(String key) {
        return marks.stream().filter(m -> m.key().equals(key)).findFirst();
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

    /** The camera's exposure; empty until its stop, ISO and shutter are recorded. */
    public Optional<Metering> metering() {
        return Optional.ofNullable(metering);
    }

    /** What a light gives a meter at a mark that is turned to it; 0 when it is not on. */
    public double facingLux(String source, String mark) {
        int index = lights().stream().map(Placement::key).toList().indexOf(source);
        return index < 0
                ? 0
                : mark(mark).map(m -> m.sources().get(index).facingLux()).orElse(0.0);
    }

    /** A light as it leaves its last modifier, straight from where it stands; empty when it is not on or not known. */
    public Optional<LightSource> straight(String key) {
        return sources.stream()
                .filter(s -> s.placement().key().equals(key))
                .findFirst()
                .map(s -> s.paths().get(0).light());
    }

    /** Whether walls or the ceiling stand between two points. */
    public boolean wallBetween(SpacePoint from, SpacePoint to) {
        return occlusion.wallBetween(from, to);
    }

    /** Whether any light comes straight from one point to another, walls and grip in the way. */
    public boolean reaches(SpacePoint from, SpacePoint to) {
        return occlusion.between(from, to, null).part() > 0;
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
                                TStop.of(stop.tStop())))));
    }

    private static Map<Surface, List<RoomBounce.Patch>> patches(Source source, RoomBounce room) {
        Map<Surface, List<RoomBounce.Patch>> bySurface = new LinkedHashMap<>();
        for (Source.LightPath path : source.paths()) {
            if (path.kind() == Source.LightPath.Kind.STRAIGHT || path.kind() == Source.LightPath.Kind.DIFFUSED) {
                room.patches(path).forEach(p -> bySurface
                        .computeIfAbsent(p.surface(), s -> new ArrayList<>())
                        .add(p));
            }
        }
        return bySurface;
    }

    private MarkLight mark(
            Placement mark,
            SpacePoint face,
            @Nullable SpacePoint lens,
            List<Map<Surface, List<RoomBounce.Patch>>> patches) {
        Bearing facing = state.aim(mark.key()).map(a -> a.bearing()).orElse(Bearing.ofDegrees(0));
        Direction leftNormal = Direction.of(Bearing.ofDegrees(facing.degrees() - CHEEK_DEG), 0);
        Direction rightNormal = Direction.of(Bearing.ofDegrees(facing.degrees() + CHEEK_DEG), 0);
        @Nullable Behind behind = lens == null ? null : behind(lens, face);
        Lit left = new Lit(face, leftNormal);
        Lit right = new Lit(face, rightNormal);
        @Nullable Lit back = behind == null ? null : new Lit(behind.at, behind.normal);
        List<MarkLight.SourceAtMark> from = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            Source source = sources.get(i);
            Strongest strongest = new Strongest();
            left.next();
            right.next();
            if (back != null) {
                back.next();
            }
            for (Source.LightPath path : source.paths()) {
                Arriving arriving = arriving(source, path, face);
                if (arriving != null) {
                    left.add(path, arriving);
                    right.add(path, arriving);
                    strongest.consider(path, path.light().facingLux(face) * arriving.part);
                }
                if (back != null) {
                    Arriving there = arriving(source, path, back.at);
                    if (there != null) {
                        back.add(path, there);
                    }
                }
            }
            LightColour colour = source.paths().get(0).light().colour();
            double room = offTheRoom(patches.get(i), colour, left, right);
            if (back != null) {
                offTheRoom(patches.get(i), colour, back);
            }
            from.add(strongest.asSeen(
                    source.placement().key(),
                    face,
                    room,
                    behind == null ? null : face.distanceM(behind.at),
                    occlusion));
        }
        return new MarkLight(
                mark.key(), face, facing, left.falling(), right.falling(), back == null ? null : back.falling(), from);
    }

    /**
     * Adds light off the room to surfaces at one point: what stands between is looked up once for all of them.
     *
     * @return what the brightest of them gets, lux
     */
    private double offTheRoom(Map<Surface, List<RoomBounce.Patch>> bySurface, LightColour light, Lit... surfaces) {
        double[] all = new double[surfaces.length];
        for (Map.Entry<Surface, List<RoomBounce.Patch>> entry : bySurface.entrySet()) {
            double[] lux = new double[surfaces.length];
            for (RoomBounce.Patch patch : entry.getValue()) {
                double part = Double.NaN;
                for (int i = 0; i < surfaces.length; i++) {
                    double one = patch.lux(surfaces[i].at, surfaces[i].normal);
                    if (one > LEAST_LUX) {
                        part = Double.isNaN(part)
                                ? occlusion
                                        .between(patch.at(), surfaces[i].at, null)
                                        .part()
                                : part;
                        lux[i] += one * part;
                    }
                }
            }
            LightColour off = RoomBounce.off(entry.getKey(), light);
            for (int i = 0; i < surfaces.length; i++) {
                surfaces[i].put(lux[i], off);
                all[i] += lux[i];
            }
        }
        return Arrays.stream(all).max().orElse(0);
    }

    /** What of a way's light comes to a point, and through what; null when none does. */
    private @Nullable Arriving arriving(Source source, Source.LightPath path, SpacePoint to) {
        LightSource light = path.light();
        if (path.through() != null && !path.through().crosses(light.at(), to)) {
            return null;
        }
        Occlusion.Transmission clear =
                path.kind() == Source.LightPath.Kind.SUN || path.kind() == Source.LightPath.Kind.MIRRORED
                        ? occlusion.between(light.at(), to, path.ignoring())
                        : occlusion.from(light.at(), light.emitterRadiusM(), to, path.ignoring());
        double part = clear.part() * source.halfPart(light, to);
        return part == 0
                ? null
                : new Arriving(part, clear.through().isEmpty() ? light.colour() : behind(light.colour(), clear));
    }

    private static LightColour behind(LightColour colour, Occlusion.Transmission clear) {
        Modifiers stack = new Modifiers(clear.through());
        List<GelColour> gels = Stream.concat(
                        colour.gels().stream(), clear.through().stream().flatMap(m -> Stream.ofNullable(m.gel())))
                .toList();
        return new LightColour(stack.effect().behind(colour.white()), gels);
    }

    private record Arriving(double part, LightColour colour) {}

    /** A point of a wall. */
    private record Behind(SpacePoint at, Direction normal) {}

    private @Nullable Behind behind(SpacePoint lens, SpacePoint face) {
        if (lens.coincides(face)) {
            return null;
        }
        Direction way = Direction.between(lens, face);
        SpacePoint far = way.from(face, BACKGROUND_WITHIN_M);
        @Nullable Behind nearest = null;
        double best = 1;
        for (Occlusion.Segment wall : occlusion.walls()) {
            double part = wall.meets(face.xM(), face.yM(), far.xM(), far.yM());
            if (part > 0 && part < best) {
                SpacePoint at = way.from(face, part * BACKGROUND_WITHIN_M);
                if (at.zM() >= 0 && at.zM() <= wall.topM()) {
                    best = part;
                    double x = -(wall.to().yM() - wall.from().yM());
                    double y = wall.to().xM() - wall.from().xM();
                    boolean towards = way.x() * x + way.y() * y < 0;
                    nearest = new Behind(
                            way.from(face, part * BACKGROUND_WITHIN_M * (1 - 1e-6)),
                            towards ? new Direction(x, y, 0) : new Direction(-x, -y, 0));
                }
            }
        }
        return nearest;
    }

    /** Light gathered on one surface, source after source. */
    private static final class Lit {

        private final SpacePoint at;
        private final Direction normal;
        private final List<Double> each = new ArrayList<>();
        private final List<LightMix.Part> parts = new ArrayList<>();

        Lit(SpacePoint at, Direction normal) {
            this.at = at;
            this.normal = normal;
        }

        void next() {
            each.add(0.0);
        }

        void add(Source.LightPath path, Arriving arriving) {
            put(path.light().lux(at, normal) * arriving.part, arriving.colour);
        }

        private void put(double lux, LightColour colour) {
            if (lux > 0) {
                int last = each.size() - 1;
                each.set(last, each.get(last) + lux);
                parts.add(new LightMix.Part(lux, colour));
            }
        }

        SurfaceLight falling() {
            return SurfaceLight.of(each, parts);
        }
    }

    /** The way that brings most of a source's light. */
    private static final class Strongest {

        private double lux;
        private double sum;
        private Source.@Nullable LightPath path;

        void consider(Source.LightPath one, double facing) {
            sum += facing;
            if (facing > lux) {
                lux = facing;
                path = one;
            }
        }

        MarkLight.SourceAtMark asSeen(
                String source, SpacePoint face, double roomLux, @Nullable Double toBackgroundM, Occlusion occlusion) {
            if (path == null) {
                return new MarkLight.SourceAtMark(
                        source, sum, roomLux, Bearing.ofDegrees(0), 0, null, 0, null, null, false);
            }
            LightSource light = path.light();
            double distance = face.distanceM(light.at());
            Direction from = Direction.between(face, light.at());
            Double penumbra = toBackgroundM == null
                    ? null
                    : new Shadow(light.emitterRadiusM(), distance, toBackgroundM).penumbraM();
            return new MarkLight.SourceAtMark(
                    source,
                    sum,
                    roomLux,
                    from.bearing(),
                    from.tiltDeg(),
                    distance,
                    AngularSize.ofDiscDeg(light.emitterRadiusM(), distance),
                    penumbra,
                    through(light, face, occlusion),
                    path.kind() == Source.LightPath.Kind.STRAIGHT);
        }

        private static MarkLight.@Nullable Through through(LightSource light, SpacePoint face, Occlusion occlusion) {
            return occlusion
                    .passed(light.at(), face)
                    .map(passed -> {
                        double away = light.at().distanceM(passed.at());
                        Shadow edge = new Shadow(
                                light.emitterRadiusM(), away, passed.at().distanceM(face));
                        return new MarkLight.Through(
                                passed.opening().name(),
                                away,
                                edge.fanDeg(passed.opening().widthM()),
                                edge.penumbraM());
                    })
                    .orElse(null);
        }
    }
}
