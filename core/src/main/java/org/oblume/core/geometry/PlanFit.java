package org.oblume.core.geometry;

import java.util.List;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Where one plan lies on another: turned, shifted and, on request, mirrored, never stretched. Found by least squares from points
 * that are in both (orthogonal Procrustes in the plane; Schönemann, 1966).
 *
 * @param mirrored whether left and right change places before it is turned
 * @param turnDeg clockwise, as bearings are counted, 0 to below 360
 * @param shiftXM metres to the right after turning
 * @param shiftYM metres up the plan after turning
 * @param missM how far each pair stays apart under it, metres, in the order of the pairs
 */
public record PlanFit(boolean mirrored, double turnDeg, double shiftXM, double shiftYM, List<Double> missM) {

    /** The plan as it is. */
    public static final PlanFit NONE = new PlanFit(false, 0, 0, 0, List.of());

    private static final double NEAREST_M = 0.05;

    /**
     * A point of the recorded plan, and the same point on the new one.
     *
     * @param name of it
     */
    public record Pair(String name, PlanPoint recorded, PlanPoint here) {}

    public PlanFit {
        missM = List.copyOf(missM);
    }

    /**
     * @param pairs two or more, in different places on either plan
     * @throws Refusal when they do not give a turn
     */
    public static PlanFit of(List<Pair> pairs, boolean mirrored) {
        if (pairs.size() < 2) {
            throw new Refusal(
                    "pairs", "Name two landmarks or three that are in both places: one pair gives no direction.");
        }
        for (int i = 0; i < pairs.size(); i++) {
            for (int j = 0; j < i; j++) {
                refuseSamePlace(pairs.get(j), pairs.get(i));
            }
        }
        double n = pairs.size();
        double fromX =
                pairs.stream().mapToDouble(p -> flipped(p.recorded, mirrored)).sum() / n;
        double fromY = pairs.stream().mapToDouble(p -> p.recorded.yM()).sum() / n;
        double toX = pairs.stream().mapToDouble(p -> p.here.xM()).sum() / n;
        double toY = pairs.stream().mapToDouble(p -> p.here.yM()).sum() / n;
        double sine = 0;
        double cosine = 0;
        for (Pair pair : pairs) {
            double px = flipped(pair.recorded, mirrored) - fromX;
            double py = pair.recorded.yM() - fromY;
            double qx = pair.here.xM() - toX;
            double qy = pair.here.yM() - toY;
            cosine += px * qx + py * qy;
            sine += px * qy - py * qx;
        }
        double turn = Math.atan2(sine, cosine);
        double shiftX = toX - (Math.cos(turn) * fromX - Math.sin(turn) * fromY);
        double shiftY = toY - (Math.sin(turn) * fromX + Math.cos(turn) * fromY);
        PlanFit fit =
                new PlanFit(mirrored, Bearing.ofDegrees(-Math.toDegrees(turn)).degrees(), shiftX, shiftY, List.of());
        return new PlanFit(
                mirrored,
                fit.turnDeg,
                shiftX,
                shiftY,
                pairs.stream().map(p -> fit.point(p.recorded).distanceM(p.here)).toList());
    }

    /** A point of the recorded plan on the new one. */
    public PlanPoint point(PlanPoint recorded) {
        double turn = Math.toRadians(-turnDeg);
        double x = flipped(recorded, mirrored);
        double y = recorded.yM();
        return PlanPoint.of(
                Math.cos(turn) * x - Math.sin(turn) * y + shiftXM, Math.sin(turn) * x + Math.cos(turn) * y + shiftYM);
    }

    /** A bearing of the recorded plan on the new one. */
    public Bearing bearing(Bearing recorded) {
        return Bearing.ofDegrees((mirrored ? -recorded.degrees() : recorded.degrees()) + turnDeg);
    }

    /** The pair that stays farthest apart, metres; 0 when there are none. */
    public double worstM() {
        return missM.stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }

    private static double flipped(PlanPoint point, boolean mirrored) {
        return mirrored ? -point.xM() : point.xM();
    }

    private static void refuseSamePlace(Pair one, Pair other) {
        if (one.recorded.distanceM(other.recorded) < NEAREST_M || one.here.distanceM(other.here) < NEAREST_M) {
            throw new Refusal(
                    "pairs",
                    Phrase.format(
                            "%s and %s are within %s of each other: take landmarks that are apart.",
                            one.name, other.name, Phrase.metres(NEAREST_M)));
        }
    }
}
