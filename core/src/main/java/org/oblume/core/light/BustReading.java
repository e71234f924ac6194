package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.bust.Bust;
import org.oblume.core.bust.OwnShadow;
import org.oblume.core.geometry.Direction;
import org.oblume.core.units.Bearing;

/**
 * What is read off the bust, of the light that brings most to the face straight.
 *
 * @param source key of that light
 * @param downDeg where the shadow of the nose falls on the face as one looks at it: 0 straight down, + to the subject's own left, above −180
 *     to 180
 * @param triangle what becomes of the far cheek
 */
public record BustReading(String source, double downDeg, Triangle triangle) {

    /** The far cheek, below the eye. */
    public enum Triangle {
        /** A patch of light, with the nose's shadow and the cheek's own round it. */
        CLOSED,
        /** Light reaches the cheek, and nothing closes it. */
        OPEN,
        /** The shadow of the nose joins that of the cheek. */
        NONE
    }

    /**
     * A light that is mirrored in an eye.
     *
     * @param source key of it
     * @param inLeft whether in the subject's own left eye
     * @param inRight whether in the other
     * @param leftOnIt where on the ball of the eye it is mirrored, to the subject's own left, −1 to 1 of its radius
     * @param upOnIt and up
     */
    public record EyeLight(String source, boolean inLeft, boolean inRight, double leftOnIt, double upOnIt) {}

    /** From behind, a light reaches round to the nose up to here, degrees off the way the face looks. */
    public static final double NOSE_TIP_DEG = 115;

    private static final double BESIDE_DEG = 80;
    /** From nearer to straight ahead the nose throws no shadow that is seen, degrees. */
    private static final double AHEAD_DEG = 12;

    private static final double QUARTER_TURN_DEG = 90;
    /** What of an eye is open, from straight out of it, degrees (model: a ball behind lids). */
    private static final double OPEN_EYE_DEG = 40;
    /** Of the brightest: less is lost in an eye. */
    private static final double LEAST_PART = 0.05;

    private static final double LIT = 0.1;

    /** Empty when it comes from all around, from ahead or from behind. */
    public static Optional<BustReading> of(MarkLight mark) {
        return mark.sources().stream()
                .filter(s -> s.hasDirection() && !s.allAround())
                .filter(s -> Math.abs(s.from().minus(mark.facing())) < QUARTER_TURN_DEG)
                .max(Comparator.comparingDouble(MarkLight.SourceAtMark::wayLux))
                .flatMap(s -> of(s, own(mark.facing(), s.direction())));
    }

    private static Optional<BustReading> of(MarkLight.SourceAtMark source, double[] to) {
        if (Math.toDegrees(Math.acos(Math.min(1, to[0]))) < AHEAD_DEG) {
            return Optional.empty();
        }
        return Optional.of(new BustReading(source.source(), Math.toDegrees(Math.atan2(-to[1], to[2])), triangle(to)));
    }

    /** In the bust's frame: forward, to its own left, up. */
    private static double[] own(Bearing facing, Direction way) {
        double turn = Math.toRadians(facing.degrees());
        return new double[] {
            way.x() * Math.sin(turn) + way.y() * Math.cos(turn),
            -way.x() * Math.cos(turn) + way.y() * Math.sin(turn),
            way.z()
        };
    }

    private static Triangle triangle(double[] to) {
        double[] reached = OwnShadow.reached(to);
        double far = to[1] > 0 ? -1 : 1;
        double below = most(reached, to, m -> far * m[1] > 0.02 && far * m[1] < 0.05 && m[2] > -0.036 && m[2] < -0.01);
        if (below < LIT) {
            return Triangle.NONE;
        }
        double outside = most(reached, to, m -> far * m[1] > 0.058 && m[0] > 0 && m[2] > -0.05 && m[2] < 0);
        double nose = least(reached, to, m -> far * m[1] > 0.008 && far * m[1] < 0.03 && m[2] > -0.06 && m[2] < -0.02);
        return outside < LIT && nose < LIT ? Triangle.CLOSED : Triangle.OPEN;
    }

    private static IntStream facets(Predicate<double[]> of) {
        List<Bust.Facet> all = Bust.plain().facets();
        return IntStream.range(0, all.size())
                .filter(f -> all.get(f).middle()[0] > 0 && of.test(all.get(f).middle()));
    }

    private static double onFacet(double[] reached, double[] to, int facet) {
        double[] normal = Bust.plain().facets().get(facet).normal();
        return reached[facet] * Math.max(0, normal[0] * to[0] + normal[1] * to[1] + normal[2] * to[2]);
    }

    private static double most(double[] reached, double[] to, Predicate<double[]> of) {
        return facets(of).mapToDouble(f -> onFacet(reached, to, f)).max().orElse(0);
    }

    private static double least(double[] reached, double[] to, Predicate<double[]> of) {
        return facets(of).mapToDouble(f -> onFacet(reached, to, f)).min().orElse(0);
    }

    /** Whether a light from the side or behind comes so far round that it catches the nose. */
    public static boolean reachesNose(MarkLight mark, MarkLight.SourceAtMark source) {
        double side = Math.abs(source.from().minus(mark.facing()));
        return source.straight() && source.hasDirection() && side > BESIDE_DEG && side < NOSE_TIP_DEG;
    }

    /**
     * The lights that are seen in the eyes: mirrored in a ball, where lids and brow leave it open.
     *
     * @param camera where it is seen from; null for straight ahead
     * @return the brightest first
     */
    public static List<EyeLight> eyeLights(MarkLight mark, @Nullable Direction camera) {
        double[] viewer = camera == null ? new double[] {1, 0, 0} : own(mark.facing(), camera);
        double brightest = mark.sources().stream()
                .mapToDouble(MarkLight.SourceAtMark::wayLux)
                .max()
                .orElse(0);
        List<EyeLight> all = new ArrayList<>();
        mark.sources().stream()
                .filter(s -> s.hasDirection() && s.wayLux() > 0 && s.wayLux() >= LEAST_PART * brightest)
                .sorted(Comparator.comparingDouble((MarkLight.SourceAtMark s) -> -s.wayLux()))
                .forEach(s -> {
                    double[] to = own(mark.facing(), s.direction());
                    double[] half = {to[0] + viewer[0], to[1] + viewer[1], to[2] + viewer[2]};
                    double length = Math.sqrt(half[0] * half[0] + half[1] * half[1] + half[2] * half[2]);
                    boolean isMirrored =
                            length > 0 && half[0] / length > Math.cos(Math.toRadians(OPEN_EYE_DEG)) && to[0] > 0;
                    boolean left = isMirrored && reachesEye(to, 1);
                    boolean right = isMirrored && reachesEye(to, -1);
                    if (left || right) {
                        all.add(new EyeLight(s.source(), left, right, half[1] / length, half[2] / length));
                    }
                });
        return all;
    }

    private static boolean reachesEye(double[] to, int side) {
        double[] reached = OwnShadow.reached(to);
        return facets(m -> side * m[1] > 0.015 && side * m[1] < 0.05 && m[2] > -0.013 && m[2] < 0.008)
                .anyMatch(f -> reached[f] > 0);
    }
}
