package org.oblume.core.photo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.Photographed;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Refusal;

/**
 * Where something stands that was tapped in photographs whose poses are known: nearest to all of its rays, by what they miss in the pictures.
 *
 * @param place the point
 * @param floor how far it strays on the floor
 * @param sigmaHeightM one standard deviation of its height, metres
 * @param ofPoses what part of its variance on the floor comes from where each photograph was taken from, 0 to 1 each, in the order of the
 *     taps; the rest comes from the taps
 */
public record PhotoPoint(SpacePoint place, FloorSpread floor, double sigmaHeightM, List<Double> ofPoses) {

    /** A height that was told is so well known, metres (model). */
    private static final double HEIGHT_SPREAD_M = 0.01;

    private static final double ELSEWHERE_SIGMAS = 3;
    /** What was taped or put back stands so near to its record, metres along each axis (model). */
    private static final double RECORDED_SPREAD_M = 0.03;

    private static final double SAME_HEIGHT_M = 0.05;
    private static final double SAME_HEIGHT_SIGMAS = 2;
    private static final double CENTIMETRES = 100;
    private static final double FLATTEST_CROSSING_DEG = 5;
    private static final double FLATTEST_RAY_DEG = 3;
    private static final double RIGHT_ANGLE_DEG = 90;
    private static final double LARGEST_RMS = 0.03;
    private static final int STEPS = 100;

    public PhotoPoint {
        ofPoses = List.copyOf(ofPoses);
    }

    /** One standard deviation on the floor, √(var x + var y), metres. */
    public double sigmaFloorM() {
        return floor.sigmaM();
    }

    /** Whether a place that was recorded is more than three standard deviations of both away on the floor. */
    public boolean isElsewhereThan(PlanPoint recorded) {
        return floor.deviationsTo(recorded.xM() - place.xM(), recorded.yM() - place.yM(), RECORDED_SPREAD_M)
                > ELSEWHERE_SIGMAS;
    }

    /**
     * Whether it is worth keeping: known well enough to build by, and not what was measured before.
     *
     * @param measured place that was measured, or null
     */
    public boolean tellsMoreThan(@Nullable PlanPoint measured) {
        return quality() != Crossing.POOR && (measured == null || isElsewhereThan(measured));
    }

    /**
     * The height to keep, to a whole centimetre; empty when what is recorded agrees within 5 cm or two standard deviations.
     *
     * @param recordedM or null
     */
    public Optional<Double> heightInsteadOf(@Nullable Double recordedM) {
        double highM = Math.round(place.zM() * CENTIMETRES) / CENTIMETRES;
        boolean agrees = recordedM != null
                && Math.abs(recordedM - highM) <= Math.max(SAME_HEIGHT_M, SAME_HEIGHT_SIGMAS * sigmaHeightM);
        return agrees ? Optional.empty() : Optional.of(highM);
    }

    /** One tap of it. */
    public record Seen(Resection from, Tap tap) {}

    public Crossing quality() {
        return Photographed.quality(sigmaFloorM());
    }

    /**
     * @param name of what was tapped, for what is refused
     * @param taps one in each photograph that it is seen in
     * @param heightM of it, for one tap; not used with more
     * @throws Refusal on {@code taps} when they give no place, with what would help
     */
    public static PhotoPoint of(String name, List<Seen> taps, @Nullable Double heightM) {
        if (taps.isEmpty()) {
            throw refused(name, "is tapped in no photograph: tap it in two, or in one and give its height");
        }
        return taps.size() == 1 ? ofOne(name, taps.get(0), heightM) : ofMore(name, taps);
    }

    private static Refusal refused(String name, String why) {
        return new Refusal("taps", "%s %s.".formatted(name, why));
    }

    private static PhotoPoint ofOne(String name, Seen seen, @Nullable Double heightM) {
        if (heightM == null) {
            throw refused(name, "is tapped in one photograph: tap it in another from the side, or give its height");
        }
        Pinhole camera = seen.from.pinhole();
        SpacePoint at = camera.place();
        double[] ray = camera.ray(seen.tap);
        double rise = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, ray[2]))));
        double way = (heightM - at.zM()) / ray[2];
        if (Math.abs(rise) < FLATTEST_RAY_DEG || !(way > 0)) {
            throw refused(
                    name,
                    "is seen almost level with its height, or away from it, so that one photograph does not tell how far it is: tap it in another from the side");
        }
        SpacePoint point = new SpacePoint(at.xM() + way * ray[0], at.yM() + way * ray[1], heightM);
        double[][] square = {{0, 0, 0}, {0, 0, 0}, {0, 0, 1}};
        double[][] spread = new double[Pinhole.SPACE][Pinhole.SPACE];
        double[][] by = shares(camera, camera.byPoint(point));
        double[][] tapped = tapSpread(seen, point);
        for (int i = 0; i < Pinhole.PICTURE; i++) {
            square[i] = by[i];
            System.arraycopy(tapped[i], 0, spread[i], 0, Pinhole.PICTURE);
        }
        spread[2][2] = HEIGHT_SPREAD_M * HEIGHT_SPREAD_M;
        RealMatrix inverse = new LUDecomposition(MatrixUtils.createRealMatrix(square))
                .getSolver()
                .getInverse();
        RealMatrix pose = MatrixUtils.createRealMatrix(Pinhole.SPACE, Pinhole.SPACE);
        pose.setSubMatrix(poseSpread(seen, point).getData(), 0, 0);
        return told(
                point,
                inverse.multiply(MatrixUtils.createRealMatrix(spread)).multiplyTransposed(inverse),
                List.of(inverse.multiply(pose).multiplyTransposed(inverse)));
    }

    private static PhotoPoint ofMore(String name, List<Seen> taps) {
        if (steepestCrossingDeg(taps) < FLATTEST_CROSSING_DEG) {
            throw refused(
                    name,
                    "is seen from nearly one side in all of its photographs: take another from further round, 5° or more");
        }
        LeastSquares.Minimum least = LeastSquares.from(nearest(taps), STEPS, new Problem(taps));
        if (least == null) {
            throw refused(
                    name,
                    "would be behind one of the cameras: look whether the same thing is tapped in each photograph");
        }
        double rms = Math.sqrt(least.sum() / taps.size());
        if (rms > LARGEST_RMS) {
            throw refused(
                    name,
                    "misses by %.1f %% of the pictures: look whether the same thing is tapped in each photograph"
                            .formatted(100 * rms));
        }
        SpacePoint point = point(least.at());
        RealMatrix normal = MatrixUtils.createRealMatrix(Pinhole.SPACE, Pinhole.SPACE);
        RealMatrix middle = normal.copy();
        for (Seen seen : taps) {
            RealMatrix by = MatrixUtils.createRealMatrix(
                    shares(seen.from.pinhole(), seen.from.pinhole().byPoint(point)));
            normal = normal.add(by.transposeMultiply(by));
            middle = middle.add(by.transposeMultiply(MatrixUtils.createRealMatrix(tapSpread(seen, point)))
                    .multiply(by));
        }
        RealMatrix inverse = new LUDecomposition(normal).getSolver().getInverse();
        List<RealMatrix> poses = new ArrayList<>();
        for (Seen seen : taps) {
            RealMatrix by = MatrixUtils.createRealMatrix(
                    shares(seen.from.pinhole(), seen.from.pinhole().byPoint(point)));
            RealMatrix of = by.transposeMultiply(poseSpread(seen, point)).multiply(by);
            poses.add(inverse.multiply(of).multiply(inverse));
        }
        return told(point, inverse.multiply(middle).multiply(inverse), poses);
    }

    private static PhotoPoint told(SpacePoint point, RealMatrix covariance, List<RealMatrix> poses) {
        double all = floor(covariance);
        return new PhotoPoint(
                point,
                FloorSpread.of(covariance.getEntry(0, 0), covariance.getEntry(0, 1), covariance.getEntry(1, 1)),
                Math.sqrt(covariance.getEntry(2, 2)),
                poses.stream().map(p -> floor(p) / all).toList());
    }

    private static double floor(RealMatrix covariance) {
        return covariance.getEntry(0, 0) + covariance.getEntry(1, 1);
    }

    private static SpacePoint point(double[] at) {
        return new SpacePoint(at[0], at[1], at[2]);
    }

    private static double[][] shares(Pinhole camera, double[][] pixels) {
        double[][] shares = new double[pixels.length][];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = pixels[i].clone();
            for (int k = 0; k < shares[i].length; k++) {
                shares[i][k] /= camera.frame().longerSidePx();
            }
        }
        return shares;
    }

    /** How far a tap strays from where the point is seen: by the tap itself and by the pose, shares of the longer side squared. */
    private static double[][] tapSpread(Seen seen, SpacePoint point) {
        RealMatrix spread = poseSpread(seen, point);
        for (int i = 0; i < Pinhole.PICTURE; i++) {
            spread.addToEntry(i, i, Tap.SPREAD * Tap.SPREAD);
        }
        return spread.getData();
    }

    private static RealMatrix poseSpread(Seen seen, SpacePoint point) {
        Pinhole camera = seen.from.pinhole();
        RealMatrix by = MatrixUtils.createRealMatrix(shares(camera, camera.byPose(point)));
        return by.multiply(MatrixUtils.createRealMatrix(seen.from.covariance())).multiplyTransposed(by);
    }

    private static double steepestCrossingDeg(List<Seen> taps) {
        double steepest = 0;
        for (Seen one : taps) {
            double[] a = one.from.pinhole().ray(one.tap);
            for (Seen other : taps) {
                double[] b = other.from.pinhole().ray(other.tap);
                double cos = Math.abs(a[0] * b[0] + a[1] * b[1] + a[2] * b[2]);
                steepest = Math.max(steepest, Math.toDegrees(Math.acos(Math.min(1, cos))));
            }
        }
        return Math.min(steepest, RIGHT_ANGLE_DEG);
    }

    /** Nearest to all rays, by metres: where the search begins. */
    private static double[] nearest(List<Seen> taps) {
        RealMatrix sum = MatrixUtils.createRealMatrix(Pinhole.SPACE, Pinhole.SPACE);
        double[] right = new double[Pinhole.SPACE];
        for (Seen seen : taps) {
            double[] ray = seen.from.pinhole().ray(seen.tap);
            SpacePoint place = seen.from.pinhole().place();
            double[] at = {place.xM(), place.yM(), place.zM()};
            for (int i = 0; i < right.length; i++) {
                for (int j = 0; j < right.length; j++) {
                    double across = (i == j ? 1 : 0) - ray[i] * ray[j];
                    sum.addToEntry(i, j, across);
                    right[i] += across * at[j];
                }
            }
        }
        return new LUDecomposition(sum)
                .getSolver()
                .solve(MatrixUtils.createRealVector(right))
                .toArray();
    }

    private record Problem(List<Seen> taps) implements LeastSquares.Problem {

        @Override
        public double sum(double[] at) {
            double sum = 0;
            for (Seen seen : taps) {
                Pinhole camera = seen.from.pinhole();
                if (!camera.isBefore(point(at))) {
                    return Double.NaN;
                }
                double[] off = off(seen, at);
                sum += off[0] * off[0] + off[1] * off[1];
            }
            return sum;
        }

        private static double[] off(Seen seen, double[] at) {
            Pinhole camera = seen.from.pinhole();
            Tap there = camera.project(point(at));
            double side = camera.frame().longerSidePx();
            return new double[] {(seen.tap.u() - there.u()) / side, (seen.tap.v() - there.v()) / side};
        }

        @Override
        public void normal(double[] at, double[][] matrix, double[] gradient) {
            for (Seen seen : taps) {
                double[] off = off(seen, at);
                double[][] by = shares(seen.from.pinhole(), seen.from.pinhole().byPoint(point(at)));
                LeastSquares.add(by, off, matrix, gradient);
            }
        }
    }
}
