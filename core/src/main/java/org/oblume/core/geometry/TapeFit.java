package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.oblume.core.units.Refusal;

/**
 * A stand found from two tapes or more. Two meet in it; of three or more it is the point with the least sum of squared misses
 * (Gauss–Newton, from where the first two meet).
 *
 * @param point the place found
 * @param crossingAngleDeg angle at which those two tapes cross that cross best, 0–180
 * @param offM what each tape reads more than the way to the point is long, metres, in the order of the tapes; below 0 it reads less
 * @param checksM how far each tape that is not one of the two that give the place misses it, metres, + where it reads too long
 */
public record TapeFit(PlanPoint point, double crossingAngleDeg, List<Double> offM, List<Double> checksM) {

    /** What tapes of one place may miss each other by, metres (model). */
    public static final double AGREE_WITHIN_M = 0.05;

    private static final int FEWEST = 2;
    private static final int MOST = 6;
    private static final int STEPS = 30;
    private static final double DONE_M = 1e-12;
    /** A place so near to the line through the first two landmarks is on neither side of it, metres (model). */
    private static final double IN_LINE_M = 0.1;
    /** Two tapes that cross flatter do not give the place where there are others: sine of 25°. */
    private static final double FLAT_SIN = Math.sin(Math.toRadians(25));

    public TapeFit {
        offM = List.copyOf(offM);
        checksM = List.copyOf(checksM);
    }

    /**
     * @param tapes two to six, each from another landmark
     * @param side of the walk from the first landmark to the second; it says nothing of a place that is in line with both
     * @throws Refusal when there are too few or too many, two start at one landmark, or no two of them meet on that side, with the gap
     */
    public static TapeFit of(List<Tape> tapes, Side side) {
        PlanPoint a = tapes.get(0).from().point();
        PlanPoint b = tapes.get(1).from().point();
        return candidates(tapes).stream()
                .filter(fit -> Side.of(a, b, fit.point) == side || inLineM(fit.point, a, b) <= IN_LINE_M)
                .min(Comparator.comparingDouble(TapeFit::worstM))
                .orElseThrow(() -> new Refusal(
                        "side",
                        "The tapes meet on the %s of the walk from %s to %s: choose that side."
                                .formatted(
                                        side == Side.LEFT ? "right" : "left",
                                        tapes.get(0).from().name(),
                                        tapes.get(1).from().name())));
    }

    /**
     * Where tapes could meet: on either hand of the first two, or, where those cross too flat to tell and there are more, of the two that cross
     * best.
     *
     * @return one or two, the left hand first
     * @throws Refusal when there are too few or too many, two start at one landmark, or no two meet, with the gap
     */
    static List<TapeFit> candidates(List<Tape> tapes) {
        refuseUnlessSeveral(tapes);
        List<Tape> base = base(tapes);
        return Stream.of(Side.LEFT, Side.RIGHT)
                .map(hand -> meeting(base.get(0), base.get(1), hand).point())
                .distinct()
                .map(first -> of(tapes, base, first))
                .toList();
    }

    private static TapeFit of(List<Tape> tapes, List<Tape> base, PlanPoint first) {
        PlanPoint point = tapes.size() == FEWEST ? first : leastSquares(tapes, first);
        return new TapeFit(
                point,
                bestCrossingDeg(tapes, point),
                tapes.stream().map(t -> offM(t, point)).toList(),
                tapes.stream()
                        .filter(t -> !base.contains(t))
                        .map(t -> offM(t, first))
                        .toList());
    }

    /** The two that give the place; the others check it. */
    private static List<Tape> base(List<Tape> tapes) {
        List<List<Tape>> pairs = new ArrayList<>();
        for (int i = 0; i < tapes.size(); i++) {
            for (int j = i + 1; j < tapes.size(); j++) {
                pairs.add(List.of(tapes.get(i), tapes.get(j)));
            }
        }
        List<Tape> first = pairs.get(0);
        return pairs.stream()
                .filter(pair -> crossingSin(pair) > 0)
                .max(Comparator.<List<Tape>, Boolean>comparing(
                                pair -> pair.equals(first) && crossingSin(pair) >= FLAT_SIN)
                        .thenComparingDouble(TapeFit::crossingSin))
                .orElse(first);
    }

    /** Sine of the angle at which two tapes cross; 0 when they do not meet. */
    private static double crossingSin(List<Tape> pair) {
        try {
            return Math.sin(
                    Math.toRadians(meeting(pair.get(0), pair.get(1), Side.LEFT).crossingAngleDeg()));
        } catch (Refusal noMeeting) {
            return 0;
        }
    }

    private static TapeFix meeting(Tape a, Tape b, Side side) {
        return TapeFix.of(
                a.from().point(), b.from().point(), a.lengthM(), b.lengthM(), side, TapeFix.DEFAULT_TAPE_ERROR_M);
    }

    private static double inLineM(PlanPoint point, PlanPoint a, PlanPoint b) {
        return Math.abs(Plane.turn(a, b, point)) / a.distanceM(b);
    }

    /** How far the worst of the checks is off, metres. */
    double worstM() {
        return checksM.stream().mapToDouble(Math::abs).max().orElse(0);
    }

    /** Whether each further tape agrees with the two, within {@link #AGREE_WITHIN_M}. */
    public boolean agrees() {
        return checksM.stream().allMatch(miss -> Math.abs(miss) <= AGREE_WITHIN_M);
    }

    public Crossing crossing() {
        return Crossing.ofAngle(crossingAngleDeg);
    }

    /** How far off the place may be when each tape is good for a centimetre, metres: {@code e / sin γ} (model). */
    public double positionErrorM() {
        return TapeFix.DEFAULT_TAPE_ERROR_M / Math.sin(Math.toRadians(crossingAngleDeg));
    }

    static void refuseUnlessSeveral(List<Tape> tapes) {
        if (tapes.size() < FEWEST || tapes.size() > MOST) {
            throw new Refusal(
                    "tapes",
                    tapes.size() < FEWEST
                            ? "One tape leaves a circle: pull a second one from another landmark."
                            : "Six tapes are enough: leave the others out.");
        }
        if (tapes.stream().map(t -> t.from().name()).distinct().count() < tapes.size()) {
            throw new Refusal("tapes", "Two tapes start at the same landmark: choose another one for the second.");
        }
    }

    /** How much a tape reads over the way to a point, metres. */
    static double offM(Tape tape, PlanPoint point) {
        return tape.lengthM() - tape.from().point().distanceM(point);
    }

    private static PlanPoint leastSquares(List<Tape> tapes, PlanPoint from) {
        PlanPoint at = from;
        for (int i = 0; i < STEPS; i++) {
            double xx = 0;
            double xy = 0;
            double yy = 0;
            double x = 0;
            double y = 0;
            for (Tape tape : tapes) {
                double way = tape.from().point().distanceM(at);
                if (way == 0) {
                    return at;
                }
                double ux = (at.xM() - tape.from().point().xM()) / way;
                double uy = (at.yM() - tape.from().point().yM()) / way;
                double off = tape.lengthM() - way;
                xx += ux * ux;
                xy += ux * uy;
                yy += uy * uy;
                x += ux * off;
                y += uy * off;
            }
            double det = xx * yy - xy * xy;
            if (det <= 0) {
                return at;
            }
            double dx = (yy * x - xy * y) / det;
            double dy = (xx * y - xy * x) / det;
            at = PlanPoint.of(at.xM() + dx, at.yM() + dy);
            if (Math.hypot(dx, dy) < DONE_M) {
                return at;
            }
        }
        return at;
    }

    private static double bestCrossingDeg(List<Tape> tapes, PlanPoint point) {
        List<Double> angles = new ArrayList<>();
        for (int i = 0; i < tapes.size(); i++) {
            for (int j = i + 1; j < tapes.size(); j++) {
                angles.add(Plane.angleDeg(
                        point, tapes.get(i).from().point(), tapes.get(j).from().point()));
            }
        }
        return angles.stream()
                .max((one, other) -> Double.compare(Math.sin(Math.toRadians(one)), Math.sin(Math.toRadians(other))))
                .orElse(0.0);
    }
}
