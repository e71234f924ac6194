package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.photometry.AngularSize;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.Distribution;
import org.oblume.core.photometry.LambertianDisc;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Tint;
import org.oblume.core.transport.Emitter;
import org.oblume.core.transport.Emitter.Piece;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/**
 * What a placement sends out, and what hangs before it in the set's own space.
 *
 * @param key of all that its light depends on
 * @param placement where it comes from
 * @param gains of all its light by channel: its level and its calibration, 0 or more
 * @param emitters of it at full: a head has one, a window its sky and, when it shines in, the sun
 * @param seen it as it looks from the set: from its last cloth, when one softens all of it
 * @param glows it as an eye sees it that looks into it, each with all of its light
 * @param before frames and leaves of its own, which stand in the way of every light
 * @param missing what of its light is not known, or null
 */
record SourceEmitters(
        Key key,
        Placement placement,
        double[] gains,
        List<Emitter> emitters,
        LightSource seen,
        List<Glow> glows,
        List<Grip> before,
        @Nullable String missing) {

    /** As far off as the sun has to be for its rays to be parallel on a set, metres. */
    private static final double SUN_AT_M = 1e5;

    private static final int ACROSS_PANE = 8;
    private static final int ALONG_TUBE = 8;
    private static final double AT_THE_FRONT_M = 0.002;
    private static final double USUAL_BEAM_DEG = 60;

    /** All that the light of a placement depends on, beside what stands in its way and what only scales it. */
    record Key(
            Placement placement,
            SpacePoint at,
            Direction way,
            List<Modifier> stack,
            double warmth,
            List<Optional<? extends AttributeValue>> values,
            @Nullable Site site,
            double northDeg) {}

    static boolean isOn(Placement placement, RecordedState state) {
        return placement.kind().shines() && state.isOn(placement.key());
    }

    /** @throws Refusal when its figures, its place or its colour are not known */
    static SourceEmitters of(SetPlan set, Placement placement, RecordedState state, Calibration calibration) {
        String key = placement.key();
        SpacePoint at =
                state.position(key).orElseThrow(() -> new Refusal("%s has no place.".formatted(placement.name())));
        Aim aim = state.aim(key).orElseThrow(() -> new Refusal("%s has no aim.".formatted(placement.name())));
        Direction way = Direction.of(aim.bearing(), aim.tiltDeg());
        List<Modifier> stack =
                state.value(key, Modifiers.class).orElse(Modifiers.NONE).items();
        List<Optional<? extends AttributeValue>> values = List.of(
                state.value(key, ColourTemperature.class),
                state.value(key, Tint.class),
                state.value(key, Colour.class),
                state.value(key, Beam.class),
                state.value(key, Daylight.class));
        Key of = new Key(
                placement, at, way, stack, SourceColour.warmth(placement, state), values, set.site(), set.northDeg());
        return placement.kind() == PlacementKind.DAYLIGHT
                ? daylight(of, set, placement, state, at, way, stack, calibration)
                : lamp(of, placement, state, at, way, stack, calibration);
    }

    private static SourceEmitters lamp(
            Key of,
            Placement placement,
            RecordedState state,
            SpacePoint at,
            Direction way,
            List<Modifier> stack,
            Calibration calibration) {
        String key = placement.key();
        Lamp lamp = placement.piece().lamp();
        if (lamp == null) {
            throw new Refusal(
                    "%s: no figures are known of its light. Choose its kind from the kit.".formatted(placement.name()));
        }
        double level = state.level(key);
        SourceColour white = SourceColour.of(placement, state)
                .orElseThrow(
                        () -> new Refusal("%s: its colour temperature is not recorded.".formatted(placement.name())));
        Distribution distribution =
                lamp.optics().at(state.value(key, Beam.class).map(Beam::beamDeg).orElse(USUAL_BEAM_DEG));
        double radius = lamp.radiusM(placement.piece().widthM());
        double[] gains = Arrays.stream(calibration.gains())
                .map(g -> g * lamp.curve().output(level))
                .toArray();
        List<Modifier> clipped =
                stack.stream().filter(m -> m.frameWidthM() == null).toList();
        FrontEmitter front = new FrontEmitter(at, way, radius, distribution, white, clipped);
        double candela = distribution.candela(0);
        Emitter emitter = lamp.everyWay()
                .map(kind -> switch (kind) {
                    case BULB -> bulb(at, radius, candela, front.allOfIt());
                    case TUBE ->
                        tube(at, way, placement.piece().widthM(), lamp.emitterHeightM(), candela, front.allOfIt());
                })
                .orElseGet(front::emitter);
        double frontM = lamp.frontWidthM() != null ? lamp.frontWidthM() : 2 * radius;
        LightSource seen = seen(at, way, radius, distribution, stack);
        Emitter.Shining all = shining(emitter.whole());
        Glow glow = lamp.everyWay()
                .map(kind -> switch (kind) {
                    case BULB -> Glow.ball(at, radius, all);
                    case TUBE -> Glow.tube(at, way.aside(), placement.piece().widthM(), lamp.emitterHeightM(), all);
                })
                .orElseGet(() -> Glow.disc(at, way, radius, all));
        return new SourceEmitters(
                of, placement, gains, List.of(emitter), seen, List.of(glow), before(key, at, way, frontM, stack), null);
    }

    /** All of several pieces together. */
    private static Emitter.Shining shining(Piece[] pieces) {
        return (dx, dy, dz, light) -> {
            double[] one = new double[light.length];
            double[] sum = new double[light.length];
            boolean any = false;
            for (Piece piece : pieces) {
                if (piece.shines().into(dx, dy, dz, one)) {
                    any = true;
                    for (int c = 0; c < sum.length; c++) {
                        sum[c] += one[c];
                    }
                }
            }
            System.arraycopy(sum, 0, light, 0, sum.length);
            return any;
        };
    }

    private static LightSource seen(
            SpacePoint at, Direction way, double radius, Distribution distribution, List<Modifier> stack) {
        Modifier cloth = stack.stream()
                .filter(m -> m.soft() > 0 && m.covers() == null && m.frameDistanceM() != null)
                .reduce((one, other) -> other)
                .orElse(null);
        if (cloth == null) {
            return new LightSource(at, way.bearing(), way.tiltDeg(), distribution, radius);
        }
        double wide = Objects.requireNonNull(cloth.frameWidthM()) / Math.sqrt(Math.PI);
        double away = Objects.requireNonNull(cloth.frameDistanceM());
        double lit = Math.min(wide, distribution.litRadiusM(away).orElse(wide));
        return new LightSource(way.from(at, away), way.bearing(), way.tiltDeg(), new LambertianDisc(1, lit), lit);
    }

    private static List<Grip> before(String key, SpacePoint at, Direction way, double frontM, List<Modifier> stack) {
        List<Grip> before = new ArrayList<>();
        for (Modifier item : stack) {
            if (item.frameWidthM() != null && item.frameDistanceM() != null) {
                before.add(Grip.frame(
                        key,
                        Panel.facing(way.from(at, item.frameDistanceM()), way, item.frameWidthM(), item.frameWidthM()),
                        item));
            }
            if (item.doors() != null) {
                item.doors().forEach(door -> before.add(leaf(key, at, way, frontM, door)));
            }
        }
        return before;
    }

    private static Grip leaf(String key, SpacePoint at, Direction way, double frontM, Modifier.Door door) {
        Direction right = way.aside().opposite();
        Direction up = right.cross(way);
        Direction out =
                switch (door.side()) {
                    case LEFT -> right.opposite();
                    case RIGHT -> right;
                    case UPPER -> up;
                    case LOWER -> up.opposite();
                };
        double angle = Math.toRadians(door.angleDeg());
        Direction along = new Direction(
                Math.sin(angle) * way.x() - Math.cos(angle) * out.x(),
                Math.sin(angle) * way.y() - Math.cos(angle) * out.y(),
                Math.sin(angle) * way.z() - Math.cos(angle) * out.z());
        SpacePoint hinge = way.from(out.from(at, frontM / 2), AT_THE_FRONT_M);
        Direction across = out.cross(way);
        return Grip.leaf(
                key, new Panel(along.from(hinge, frontM / 2), along.cross(across), across, along, frontM, frontM));
    }

    private static Emitter bulb(SpacePoint at, double radius, double candela, double[] cones) {
        Piece piece = new Piece(at.xM(), at.yM(), at.zM(), radius, (dx, dy, dz, light) -> {
            for (int c = 0; c < ConeLight.CHANNELS; c++) {
                light[c] = candela * cones[c];
            }
            return candela > 0;
        });
        return new Emitter(new Piece[] {piece}, new Piece[] {piece}, new Piece[] {piece}, null, Math.PI / 2, true);
    }

    /** Lies level, square to the way it is aimed. */
    private static Emitter tube(
            SpacePoint at, Direction way, double lengthM, double acrossM, double candela, double[] cones) {
        Direction axis = way.aside();
        double each = lengthM / ALONG_TUBE;
        double radius = Math.sqrt(each * acrossM / Math.PI);
        Piece[] pieces = new Piece[ALONG_TUBE];
        for (int i = 0; i < ALONG_TUBE; i++) {
            SpacePoint place = axis.from(at, (i + 0.5) * each - lengthM / 2);
            pieces[i] = new Piece(place.xM(), place.yM(), place.zM(), radius, (dx, dy, dz, light) -> {
                double along = dx * axis.x() + dy * axis.y() + dz * axis.z();
                double part = candela / ALONG_TUBE * Math.sqrt(Math.max(0, 1 - along * along));
                for (int c = 0; c < ConeLight.CHANNELS; c++) {
                    light[c] = part * cones[c];
                }
                return part > 0;
            });
        }
        return new Emitter(pieces, pieces, pieces, null, Math.PI / 2, true);
    }

    private static SourceEmitters daylight(
            Key of,
            SetPlan set,
            Placement placement,
            RecordedState state,
            SpacePoint at,
            Direction way,
            List<Modifier> stack,
            Calibration calibration) {
        String key = placement.key();
        Daylight daylight = state.value(key, Daylight.class)
                .orElseThrow(() -> new Refusal("%s: its daylight is not metered.".formatted(placement.name())));
        SourceColour white = SourceColour.of(placement, state).orElseThrow();
        double[] cones = white.behind(stack);
        Panel pane = Panel.facing(
                at, way, placement.piece().widthM(), placement.piece().tallM());
        SkyChange change = SkyChange.of(set.site(), daylight);
        List<Emitter> emitters = new ArrayList<>();
        Emitter sky = sky(pane, daylight.skyLux() * change.sky(), cones);
        emitters.add(sky);
        SunDirection sun = change.now();
        @Nullable String missing = null;
        if (daylight.sunLux() > 0 && sun == null) {
            missing =
                    "%s: where the sun stands is not known. Give the set its place and the light its time; the sky is counted."
                            .formatted(placement.name());
        }
        if (daylight.sunLux() > 0 && sun != null && sun.elevationDeg() > 0) {
            Bearing from = Bearing.ofDegrees(set.northDeg() + sun.azimuth().degrees());
            emitters.add(sun(
                    Direction.of(from, sun.elevationDeg()).from(at, SUN_AT_M),
                    pane,
                    daylight.sunLux() * change.sun(),
                    cones));
        }
        double radius = Math.sqrt(pane.areaM2() / Math.PI);
        LightSource seen = seen(at, way, radius, new LambertianDisc(1, radius), stack);
        List<Glow> glows = List.of(Glow.pane(pane, shining(sky.whole())));
        return new SourceEmitters(of, placement, calibration.gains(), emitters, seen, glows, List.of(), missing);
    }

    /** The window is an even surface of its own size. */
    private static Emitter sky(Panel pane, double lux, double[] cones) {
        return new Emitter(
                even(pane, lux, cones, ACROSS_PANE),
                even(pane, lux, cones, 2),
                even(pane, lux, cones, 1),
                null,
                Math.PI / 2,
                false);
    }

    private static Piece[] even(Panel pane, double lux, double[] cones, int across) {
        Piece[] pieces = new Piece[across * across];
        double area = pane.areaM2() / pieces.length;
        double normal = lux * area / Math.PI;
        Direction n = pane.normal();
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < across; j++) {
                SpacePoint place = pane.up()
                        .from(
                                pane.right().from(pane.middle(), ((i + 0.5) / across - 0.5) * pane.widthM()),
                                ((j + 0.5) / across - 0.5) * pane.heightM());
                pieces[i * across + j] = new Piece(
                        place.xM(), place.yM(), place.zM(), Math.sqrt(area / Math.PI), (dx, dy, dz, light) -> {
                            double cosine = dx * n.x() + dy * n.y() + dz * n.z();
                            for (int c = 0; c < ConeLight.CHANNELS; c++) {
                                light[c] = normal * cosine * cones[c];
                            }
                            return cosine > 0 && normal > 0;
                        });
            }
        }
        return pieces;
    }

    /** A disc of the sun's size, through its window alone. */
    private static Emitter sun(SpacePoint there, Panel pane, double lux, double[] cones) {
        double candela = lux * SUN_AT_M * SUN_AT_M;
        double radius = SUN_AT_M * Math.tan(Math.toRadians(AngularSize.SUN_DEG / 2));
        Piece piece = new Piece(there.xM(), there.yM(), there.zM(), radius, (dx, dy, dz, light) -> {
            for (int c = 0; c < ConeLight.CHANNELS; c++) {
                light[c] = candela * cones[c];
            }
            return candela > 0;
        });
        return new Emitter(new Piece[] {piece}, new Piece[] {piece}, new Piece[] {piece}, pane, 0, false);
    }
}
