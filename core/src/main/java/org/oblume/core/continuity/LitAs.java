package org.oblume.core.continuity;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Figures.Figure;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;

/**
 * How a shot is lit, in three figures that can be held against those of any other shot, on whatever set (model: a key in the same place
 * beside the camera, as much of it, as warm; it knows nothing of softness, of what lights the background, or of what is in the picture).
 *
 * @param whiteMired of the light on the face beside the camera's white, warm above 0, or null
 * @param ratioStops between the cheeks, or null
 * @param keyDeg of the key round the face, off the camera: 0 beside it, to the camera's right above 0, ±180 behind, or null
 */
public record LitAs(@Nullable Double whiteMired, @Nullable Double ratioStops, @Nullable Double keyDeg) {

    /** What is still like: two steps that a colourist would see, half a stop, the hand's width of an hour on a clock. */
    private static final double LIKE_MIRED = 20;

    private static final double LIKE_STOPS = 0.5;
    private static final double LIKE_DEG = 30;
    private static final int LEAST_KNOWN = 2;
    private static final double HALF_TURN_DEG = 180;
    private static final double NEARLY_ASIDE_DEG = 10;

    /** Of a shot by what is known of it, lit side to shadow side; empty when fewer than two of the three are. */
    public static Optional<LitAs> of(ShotAssessment shot) {
        Figures figures = shot.figures();
        LitAs as = new LitAs(
                value(figures, Aspect.WHITE),
                value(figures, Aspect.RATIO),
                shot.mark()
                        .flatMap(mark -> keyDeg(shot, mark.key(), figures.of().get(Aspect.KEY_SIDE)))
                        .orElse(null));
        return as.known() < LEAST_KNOWN ? Optional.empty() : Optional.of(as);
    }

    private static Optional<Double> keyDeg(ShotAssessment shot, String mark, @Nullable Figure key) {
        Optional<SpacePoint> camera = shot.state()
                .camera(shot.scene().placements())
                .flatMap(c -> shot.state().position(c.key()));
        Optional<SpacePoint> face = shot.state().position(mark);
        return key == null || camera.isEmpty() || face.isEmpty()
                ? Optional.empty()
                : Optional.of(-Bearing.ofDegrees(key.value())
                        .minus(Bearing.fromOffset(
                                camera.get().xM() - face.get().xM(),
                                camera.get().yM() - face.get().yM())));
    }

    private static @Nullable Double value(Figures figures, Aspect aspect) {
        Figure figure = figures.of().get(aspect);
        return figure == null ? null : figure.value();
    }

    private int known() {
        return (whiteMired == null ? 0 : 1) + (ratioStops == null ? 0 : 1) + (keyDeg == null ? 0 : 1);
    }

    /** How far another is off, 0 for the same to 1 for what is just alike; empty when it is not alike, or too little is known of both. */
    public OptionalDouble off(LitAs other) {
        List<Double> off = new ArrayList<>();
        add(off, whiteMired, other.whiteMired, LIKE_MIRED);
        add(off, ratioStops, other.ratioStops, LIKE_STOPS);
        if (keyDeg != null && other.keyDeg != null) {
            double between = Math.abs(keyDeg - other.keyDeg);
            off.add(Math.min(between, 2 * HALF_TURN_DEG - between) / LIKE_DEG);
        }
        DoubleStream parts = off.stream().mapToDouble(d -> d);
        return off.size() < LEAST_KNOWN || off.stream().anyMatch(d -> d > 1)
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.sqrt(parts.map(d -> d * d).average().orElse(0)));
    }

    private static void add(List<Double> off, @Nullable Double one, @Nullable Double other, double like) {
        if (one != null && other != null) {
            off.add(Math.abs(one - other) / like);
        }
    }

    /** {@code 2.3 stops, key 50° to the right of the camera, 12 mired warm}. */
    public String say() {
        List<String> parts = new ArrayList<>();
        if (ratioStops != null) {
            parts.add(String.format(Locale.ROOT, "%.1f stops between the cheeks", ratioStops));
        }
        if (keyDeg != null) {
            double aside = Math.abs(keyDeg);
            parts.add(
                    aside < NEARLY_ASIDE_DEG
                            ? "key beside the camera"
                            : String.format(Locale.ROOT, "key %.0f° to the %s", aside, keyDeg > 0 ? "right" : "left"));
        }
        if (whiteMired != null) {
            long mired = Math.round(Math.abs(whiteMired));
            parts.add(mired == 0 ? "white" : "%d mired %s".formatted(mired, whiteMired > 0 ? "warm" : "cool"));
        }
        return String.join(", ", parts);
    }
}
