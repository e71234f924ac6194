package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.oblume.core.units.Refusal;

/**
 * Two tapes that give the place of a stand.
 *
 * @param a landmark the first tape starts from, the one listed first on the set
 * @param b landmark the second tape starts from
 * @param distanceAM horizontal length from a, metres
 * @param distanceBM horizontal length from b, metres
 * @param side hand on which the point lies for someone walking from a to b
 * @param crossingAngleDeg angle at which the tapes cross, 0–180
 */
public record TapePair(
        Landmark a, Landmark b, double distanceAM, double distanceBM, Side side, double crossingAngleDeg) {

    /** A tape of this length counts double when pairs are compared, metres. */
    private static final double LONG_TAPE_M = 10;
    /** Points nearer to a line than this count as on it. */
    private static final double FLAT_SIN = 1e-9;

    /** The pair from two landmarks to a point; empty when they are in line with it or it lies on one of them. */
    public static Optional<TapePair> between(Landmark a, Landmark b, PlanPoint point) {
        double toA = a.point().distanceM(point);
        double toB = b.point().distanceM(point);
        double angle = Plane.angleDeg(point, a.point(), b.point());
        if (toA == 0 || toB == 0 || Math.sin(Math.toRadians(angle)) <= FLAT_SIN) {
            return Optional.empty();
        }
        return Optional.of(new TapePair(a, b, toA, toB, Side.of(a.point(), b.point(), point), angle));
    }

    /**
     * The best pair for a point: lowest {@code (1/sin γ) · (1 + longest tape / 10 m)}, tapes through a wall excluded.
     *
     * @param landmarks two or more, in the set's own order
     * @throws Refusal when no pair can give the point
     */
    public static TapePair choose(PlanPoint point, List<Landmark> landmarks, Walls walls) {
        List<Landmark> reachable =
                landmarks.stream().filter(l -> !walls.between(l.point(), point)).toList();
        List<TapePair> pairs = new ArrayList<>();
        for (int i = 0; i < reachable.size(); i++) {
            for (int j = i + 1; j < reachable.size(); j++) {
                between(reachable.get(i), reachable.get(j), point).ifPresent(pairs::add);
            }
        }
        return pairs.stream()
                .min(Comparator.comparingDouble(TapePair::cost))
                .orElseThrow(
                        () -> new Refusal(
                                "landmarks",
                                "No two landmarks give this place by tape: name another one that is in sight and out of line."));
    }

    public Crossing crossing() {
        return Crossing.ofAngle(crossingAngleDeg);
    }

    /** The place that these tapes give when they are pulled again. */
    public PlanPoint point() {
        return TapeFix.of(a.point(), b.point(), distanceAM, distanceBM, side, TapeFix.DEFAULT_TAPE_ERROR_M)
                .point();
    }

    private double cost() {
        return (1 + Math.max(distanceAM, distanceBM) / LONG_TAPE_M) / Math.sin(Math.toRadians(crossingAngleDeg));
    }
}
