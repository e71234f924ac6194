package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.LightColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.photometry.AngularSize;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.Distribution;
import org.oblume.core.photometry.GriddedBeam;
import org.oblume.core.photometry.IsotropicSource;
import org.oblume.core.photometry.LambertianDisc;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * The light of one placement as it leaves its last modifier, and as grip and mirrors send it on.
 *
 * @param placement where it comes from
 * @param paths each way it takes: straight, off a board, through a frame, by a mirror
 * @param half what stands in half of its beam, or null
 */
record Source(Placement placement, List<LightPath> paths, @Nullable Modifier half) {

    /** As far off as the sun has to be for its rays to be parallel on a set, metres. */
    private static final double SUN_AT_M = 1e5;
    /** Boards and frames that get less than this part of a light are left out. */
    private static final double LEAST_PART = 1e-4;

    /**
     * @param through panel the light must cross, or null
     * @param ignoring key of grip that does not occlude this path (its own), or null
     */
    record LightPath(LightSource light, @Nullable Panel through, @Nullable String ignoring, Kind kind) {

        enum Kind {
            STRAIGHT,
            BOUNCED,
            DIFFUSED,
            MIRRORED,
            SUN
        }
    }

    static boolean isOn(Placement placement, RecordedState state) {
        return placement.kind().shines() && state.isOn(placement.key());
    }

    /** @throws Refusal when its figures, its place or its colour are not known */
    static Source of(SetPlan set, Placement placement, RecordedState state, Calibration calibration) {
        String key = placement.key();
        SpacePoint at =
                state.position(key).orElseThrow(() -> new Refusal("%s has no place.".formatted(placement.name())));
        Aim aim = state.aim(key).orElseThrow(() -> new Refusal("%s has no aim.".formatted(placement.name())));
        Modifiers stack = state.value(key, Modifiers.class).orElse(Modifiers.NONE);
        if (placement.kind() == PlacementKind.DAYLIGHT) {
            return new Source(placement, daylight(set, placement, state, at, aim, stack), null);
        }
        Lamp lamp = placement.piece().lamp();
        if (lamp == null) {
            throw new Refusal(
                    "%s: no figures are known of its light. Choose its kind from the kit.".formatted(placement.name()));
        }
        double level = state.level(key);
        Kelvin dialled = Kelvin.of(state.value(key, ColourTemperature.class)
                        .map(ColourTemperature::kelvin)
                        .orElseThrow(() ->
                                new Refusal("%s: its colour temperature is not recorded.".formatted(placement.name())))
                * (level > 0 ? lamp.curve().kelvinFactor(level) : 1));
        Colour hue = state.value(key, Colour.class).orElse(Colour.WHITE);
        LightColour colour = hue.on(stack.colour(
                dialled, Duv.of(state.value(key, Tint.class).map(Tint::duv).orElse(0.0))));
        Distribution distribution = lamp.optics()
                .at(state.value(key, org.oblume.core.plot.Beam.class)
                        .map(b -> b.beamDeg())
                        .orElse(60.0));
        double radius = lamp.radiusM(placement.piece().widthM());
        Direction way = Direction.of(aim.bearing(), aim.tiltDeg());
        double part = lamp.curve().output(level) * hue.transmission();
        for (Modifier item : stack.items()) {
            if (item.softens() && item.frameWidthM() != null && item.frameDistanceM() != null) {
                LambertianDisc disc = LambertianDisc.diffused(
                        distribution,
                        item.frameWidthM() * item.frameWidthM(),
                        item.frameDistanceM(),
                        item.covers() == null ? Stops.of(item.stops()) : Stops.NONE);
                distribution = disc;
                radius = disc.radiusM();
                at = way.from(at, item.frameDistanceM());
                continue;
            }
            if (item.narrowsToDeg() != null) {
                distribution = new GriddedBeam(distribution, item.narrowsToDeg());
            }
            if (item.covers() == null) {
                part *= Stops.of(item.stops()).transmission();
            }
        }
        LightSource light =
                new LightSource(at, aim.bearing(), aim.tiltDeg(), distribution, radius, part, colour, calibration);
        @Nullable
        Modifier half = stack.items().stream()
                .filter(m -> m.covers() != null)
                .findFirst()
                .orElse(null);
        return new Source(placement, List.of(new LightPath(light, null, null, LightPath.Kind.STRAIGHT)), half);
    }

    /** This source, with what boards, frames and mirrors send on of it. */
    Source withReflections(List<Grip> grip, Occlusion occlusion) {
        List<LightPath> all = new ArrayList<>(paths);
        for (LightPath path : paths) {
            for (Grip piece : grip) {
                LightPath sent =
                        switch (piece.kind()) {
                            case MIRROR -> mirrored(path, piece);
                            case BOUNCE -> bounced(path, piece, occlusion);
                            default -> piece.diffuses() ? diffused(path, piece, occlusion) : null;
                        };
                if (sent != null) {
                    all.add(sent);
                }
            }
        }
        return new Source(placement, List.copyOf(all), half);
    }

    /** What of a light comes to a point off its half scrim: 1 where nothing stands. */
    double halfPart(LightSource light, SpacePoint to) {
        if (half == null || half.covers() == null) {
            return 1;
        }
        Direction way = Direction.between(light.at(), to);
        double up = way.tiltDeg() - light.tiltDeg();
        double right = way.bearing().minus(light.bearing());
        boolean covered =
                switch (half.covers()) {
                    case LOWER -> up < 0;
                    case UPPER -> up > 0;
                    case LEFT -> right < 0;
                    case RIGHT -> right > 0;
                };
        return covered ? Stops.of(half.stops()).transmission() : 1;
    }

    private static @Nullable LightPath mirrored(LightPath path, Grip mirror) {
        LightSource light = path.light();
        if (path.kind() == LightPath.Kind.BOUNCED || mirror.panel().offPlane(light.at()) <= 0) {
            return null;
        }
        double reflectance =
                mirror.surface().reflectance() > 0.5 ? mirror.surface().reflectance() : LightSource.MIRROR_REFLECTANCE;
        return new LightPath(
                light.mirrored(mirror.panel().middle(), mirror.panel().normal(), reflectance),
                mirror.panel(),
                mirror.key(),
                LightPath.Kind.MIRRORED);
    }

    private static @Nullable LightPath bounced(LightPath path, Grip board, Occlusion occlusion) {
        if (board.panel().offPlane(path.light().at()) <= 0) {
            return null;
        }
        FilterEffect shift =
                FilterEffect.of(board.surface().miredShift(), 0, board.surface().duvShift());
        return caught(
                path,
                board,
                occlusion,
                board.panel().normal(),
                board.surface().reflectance(),
                shift,
                List.of(),
                LightPath.Kind.BOUNCED);
    }

    private static @Nullable LightPath diffused(LightPath path, Grip frame, Occlusion occlusion) {
        double off = frame.panel().offPlane(path.light().at());
        if (off == 0) {
            return null;
        }
        Direction onward =
                off > 0 ? frame.panel().normal().opposite() : frame.panel().normal();
        FilterEffect effect = frame.stack().effect();
        List<GelColour> gels = frame.through().stream()
                .map(Modifier::gel)
                .filter(Objects::nonNull)
                .toList();
        return caught(
                path,
                frame,
                occlusion,
                onward,
                effect.stops().transmission(),
                FilterEffect.of(effect.mired().value(), 0, effect.duv()),
                gels,
                LightPath.Kind.DIFFUSED);
    }

    /** Off its axis a light gives a board as much less as it is weaker there (model). */
    private static @Nullable LightPath caught(
            LightPath path,
            Grip piece,
            Occlusion occlusion,
            Direction onward,
            double kept,
            FilterEffect shift,
            List<GelColour> gels,
            LightPath.Kind kind) {
        LightSource light = path.light();
        SpacePoint middle = piece.panel().middle();
        double distance = light.at().distanceM(middle);
        if (distance == 0 || piece.key().equals(path.ignoring()) || path.kind() == LightPath.Kind.SUN) {
            return null;
        }
        Direction to = Direction.between(light.at(), middle);
        double axis = light.distribution().candela(0);
        double weaker = axis == 0 ? 0 : light.distribution().candela(to.angleTo(light.aim())) / axis;
        Occlusion.Transmission clear = occlusion.from(light.at(), light.emitterRadiusM(), middle, piece.key());
        double part = light.output() * weaker * clear.part();
        if (part < LEAST_PART) {
            return null;
        }
        double incidence = Math.acos(Math.min(1, Math.abs(to.dot(piece.panel().normal()))));
        LambertianDisc disc =
                LambertianDisc.bounced(light.distribution(), piece.panel().areaM2(), distance, incidence, kept);
        LightColour colour = new LightColour(
                shift.behind(light.colour().white()), join(light.colour().gels(), gels));
        return new LightPath(
                new LightSource(
                        middle,
                        onward.bearing(),
                        onward.tiltDeg(),
                        disc,
                        disc.radiusM(),
                        part,
                        colour,
                        light.calibration()),
                null,
                piece.key(),
                kind);
    }

    private static List<GelColour> join(List<GelColour> one, List<GelColour> other) {
        if (other.isEmpty()) {
            return one;
        }
        List<GelColour> both = new ArrayList<>(one);
        both.addAll(other);
        return both;
    }

    private static List<LightPath> daylight(
            SetPlan set, Placement placement, RecordedState state, SpacePoint at, Aim aim, Modifiers stack) {
        String key = placement.key();
        Daylight daylight = state.value(key, Daylight.class)
                .orElseThrow(() -> new Refusal("%s: its daylight is not metered.".formatted(placement.name())));
        LightColour colour = stack.colour(
                Kelvin.of(state.value(key, ColourTemperature.class)
                        .map(ColourTemperature::kelvin)
                        .orElse(6500.0)),
                Duv.of(state.value(key, Tint.class).map(Tint::duv).orElse(0.0)));
        double through = stack.effect().stops().transmission();
        Panel pane = Panel.facing(
                at,
                Direction.of(aim.bearing(), aim.tiltDeg()),
                placement.piece().widthM(),
                placement.piece().tallM());
        SkyChange change = SkyChange.of(set.site(), daylight);
        List<LightPath> ways = new ArrayList<>();
        double lumen = daylight.skyLux() * change.sky() * pane.areaM2() * through;
        double radius = Math.sqrt(pane.areaM2() / Math.PI);
        ways.add(new LightPath(
                new LightSource(
                        at,
                        aim.bearing(),
                        aim.tiltDeg(),
                        new LambertianDisc(lumen / Math.PI, radius),
                        radius,
                        1,
                        colour,
                        Calibration.NONE),
                null,
                null,
                LightPath.Kind.STRAIGHT));
        SunDirection sun = change.now();
        if (daylight.sunLux() > 0 && sun != null && sun.elevationDeg() > 0) {
            Bearing from = Bearing.ofDegrees(set.northDeg() + sun.azimuth().degrees());
            SpacePoint there = Direction.of(from, sun.elevationDeg()).from(at, SUN_AT_M);
            double candela = daylight.sunLux() * change.sun() * through * SUN_AT_M * SUN_AT_M;
            ways.add(new LightPath(
                    new LightSource(
                            there,
                            Bearing.ofDegrees(from.degrees() + 180),
                            -sun.elevationDeg(),
                            new IsotropicSource(candela),
                            SUN_AT_M * Math.tan(Math.toRadians(AngularSize.SUN_DEG / 2)),
                            1,
                            colour,
                            Calibration.NONE),
                    pane,
                    null,
                    LightPath.Kind.SUN));
        }
        return ways;
    }
}
