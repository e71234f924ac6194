package org.oblume.core.photo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/**
 * Where a photograph was taken from, how it was held and how long its lens was: the least squared distances between what was tapped and where
 * the landmarks would be seen, the focal length held to the file's figure where it has one (source: recording, "A place from photographs").
 */
public final class Resection {

    /** The file's figure is rounded, and makers mean different sides: spread of the logarithm of the focal length (model). */
    private static final double FIGURE_SPREAD = 0.03;

    private static final int FEWEST = 4;
    private static final int FEWEST_WITHOUT_FIGURE = 6;
    /** Landmarks nearer than this to one line, or one plane, are in it, metres. */
    private static final double IN_LINE_M = 0.1;

    private static final double LARGEST_RMS = 0.01;
    private static final double ANOTHER_FROM_M = 0.5;
    private static final double ANOTHER_TIMES = 2;
    /** A slope that is worth less than this is none, pixels. */
    private static final double AT_REST_PX = 1e-2;

    private static final double SHORTEST_SIDES = 0.2;
    private static final double LONGEST_SIDES = 10;

    private final Problem problem;
    private final Found found;
    private final @Nullable Found other;
    private final Pinhole pinhole;
    private final double[][] covariance;

    private Resection(Problem problem, Found found, @Nullable Found other) {
        this.problem = problem;
        this.found = found;
        this.other = other;
        this.pinhole = new Pinhole(problem.frame, found.at);
        this.covariance = covariance(problem, found.at);
    }

    /**
     * How a camera stood.
     *
     * @param bearingDeg of its axis, clockwise from up the plan, 0 to below 360
     * @param tiltDeg of its axis, + is up, −90 to 90
     * @param rollDeg + when it is turned clockwise as seen from behind it, above −180 to 180
     * @param focalPx focal length, pixels
     * @param rmsPx root of the mean squared distance between what was tapped and what would be seen, pixels
     */
    public record Pose(
            SpacePoint place, double bearingDeg, double tiltDeg, double rollDeg, double focalPx, double rmsPx) {}

    /**
     * @param marks four or more landmarks, not on one line; without the file's figure six that are not in one plane
     * @throws Refusal on {@code marks} when they are too few or lie so that they tell nothing, when no place sees all of them before it, or when
     *     they do not agree, with the one that does not fit where that can be told
     */
    public static Resection of(Frame frame, List<SeenLandmark> marks) {
        requireSpread(frame, marks);
        List<Found> minima = minima(frame, marks);
        if (minima.isEmpty()) {
            throw new Refusal(
                    "marks",
                    "No place sees all of these landmarks before it: look whether two of their names are swapped, or the picture is mirrored.");
        }
        Found best = minima.get(0);
        if (best.rms > LARGEST_RMS * frame.longerSidePx()) {
            throw doesNotAgree(frame, marks, best);
        }
        double alike = Math.max(ANOTHER_TIMES * best.rms, Tap.SPREAD * frame.longerSidePx());
        Found other = minima.stream()
                .filter(m -> m.place().distanceM(best.place()) > ANOTHER_FROM_M && m.rms <= alike)
                .findFirst()
                .orElse(null);
        return new Resection(new Problem(frame, marks), best, other);
    }

    public Pose pose() {
        return found.pose(problem.frame);
    }

    /** Another place that fits as well: who took the photograph knows where they stood. */
    public Optional<Pose> other() {
        return Optional.ofNullable(other).map(o -> o.pose(problem.frame));
    }

    /** As taken from whichever of both places is nearer to where somebody says that they stood. */
    public Resection takenNear(PlanPoint stood) {
        return other != null
                        && stood.distanceM(other.place().onPlan())
                                < stood.distanceM(found.place().onPlan())
                ? new Resection(problem, /* found= */ other, /* other= */ found)
                : this;
    }

    /** Where a point of the set is seen in it; empty when it is behind. It may be outside the picture. */
    public Optional<Tap> sees(SpacePoint point) {
        return pinhole.isBefore(point) ? Optional.of(pinhole.project(point)) : Optional.empty();
    }

    Pinhole pinhole() {
        return pinhole;
    }

    /** Of the unknowns of the pose, by the spread of taps and of the file's figure. */
    double[][] covariance() {
        return covariance;
    }

    private static void requireSpread(Frame frame, List<SeenLandmark> marks) {
        int fewest = frame.f35() == null ? FEWEST_WITHOUT_FIGURE : FEWEST;
        if (marks.size() < fewest) {
            throw new Refusal(
                    "marks",
                    frame.f35() == null
                            ? "This photograph has no focal length in its file (it was zoomed or cropped): tap six landmarks that are not in one plane, so far %d."
                                    .formatted(marks.size())
                            : "Tap four landmarks or more, so far %d.".formatted(marks.size()));
        }
        double[] spreads = spreads(marks);
        if (Math.sqrt(spreads[1] + spreads[2]) < IN_LINE_M) {
            throw new Refusal("marks", "All of these landmarks are on one line: tap one that is off it.");
        }
        if (frame.f35() == null && Math.sqrt(spreads[2]) < IN_LINE_M) {
            throw new Refusal(
                    "marks",
                    "All of these landmarks are in one plane, and the photograph has no focal length in its file: tap one before or behind that plane.");
        }
    }

    /** Mean squared distances along three axes, the largest first, square metres. */
    private static double[] spreads(List<SeenLandmark> marks) {
        double[] middle = new double[Pinhole.SPACE];
        for (SeenLandmark mark : marks) {
            double[] at = row(mark.at());
            for (int k = 0; k < middle.length; k++) {
                middle[k] += at[k] / marks.size();
            }
        }
        double[][] scatter = new double[middle.length][middle.length];
        for (SeenLandmark mark : marks) {
            double[] at = row(mark.at());
            for (int i = 0; i < middle.length; i++) {
                for (int j = 0; j < middle.length; j++) {
                    scatter[i][j] += (at[i] - middle[i]) * (at[j] - middle[j]) / marks.size();
                }
            }
        }
        double[] of = new EigenDecompositionSymmetric(MatrixUtils.createRealMatrix(scatter)).getEigenvalues();
        return new double[] {of[0], Math.max(0, of[1]), Math.max(0, of[2])};
    }

    private static double[] row(SpacePoint at) {
        return new double[] {at.xM(), at.yM(), at.zM()};
    }

    /** One minimum. */
    private record Found(double[] at, double sum, double rms) {

        SpacePoint place() {
            return new SpacePoint(at[Pinhole.X], at[Pinhole.Y], at[Pinhole.Z]);
        }

        Pose pose(Frame frame) {
            double[] held = new Pinhole(frame, at).held();
            return new Pose(
                    place(),
                    Bearing.ofDegrees(Math.toDegrees(held[0])).degrees(),
                    Math.toDegrees(held[1]),
                    Math.toDegrees(held[2]),
                    Math.exp(at[Pinhole.LOG_FOCAL]),
                    rms);
        }
    }

    /** All that are reached, the least first. */
    private static List<Found> minima(Frame frame, List<SeenLandmark> marks) {
        Problem problem = new Problem(frame, marks);
        List<LeastSquares.Minimum> near = PoseStarts.of(frame, marks).stream()
                .map(start -> new LeastSquares.Minimum(start, problem.sum(start)))
                .filter(start -> !Double.isNaN(start.sum()))
                .sorted(Comparator.comparingDouble(LeastSquares.Minimum::sum))
                .limit(PoseStarts.TRIED)
                .map(start -> LeastSquares.from(start.at(), PoseStarts.FIRST_STEPS, problem))
                .filter(Objects::nonNull)
                .collect(Collectors.toCollection(ArrayList::new));
        near.sort(Comparator.comparingDouble(LeastSquares.Minimum::sum));
        List<Found> minima = new ArrayList<>();
        Set<List<Long>> looked = new HashSet<>();
        for (LeastSquares.Minimum one : near) {
            if (looked.size() < PoseStarts.LOOKED_AT && looked.add(PoseStarts.cell(one.at()))) {
                LeastSquares.Minimum least = LeastSquares.from(one.at(), PoseStarts.LAST_STEPS, problem);
                if (least != null && problem.isLeast(least.at())) {
                    minima.add(new Found(least.at(), least.sum(), problem.rms(least.at())));
                }
            }
        }
        minima.sort(Comparator.comparingDouble(Found::sum));
        return minima;
    }

    private static Refusal doesNotAgree(Frame frame, List<SeenLandmark> marks, Found best) {
        String off = "What was tapped does not agree: the landmarks miss by %.1f %% of the picture’s longer side."
                .formatted(100 * best.rms / frame.longerSidePx());
        int left = frame.f35() == null ? FEWEST_WITHOUT_FIGURE : FEWEST + 1;
        String name = null;
        double least = Double.POSITIVE_INFINITY;
        if (marks.size() > left) {
            for (SeenLandmark mark : marks) {
                List<SeenLandmark> others = marks.stream()
                        .filter(m -> !m.name().equals(mark.name()))
                        .toList();
                double rms = rmsOf(frame, others);
                if (rms < least) {
                    least = rms;
                    name = mark.name();
                }
            }
        }
        return new Refusal(
                "marks",
                name == null
                        ? off + " Look whether two names are swapped, or one is another corner; tap more of them."
                        : off
                                + " Without %s it would be %.1f %%: tap that again, or leave it out."
                                        .formatted(name, 100 * least / frame.longerSidePx()));
    }

    private static double rmsOf(Frame frame, List<SeenLandmark> marks) {
        try {
            requireSpread(frame, marks);
        } catch (Refusal tellsNothing) {
            return Double.POSITIVE_INFINITY;
        }
        return minima(frame, marks).stream().findFirst().map(Found::rms).orElse(Double.POSITIVE_INFINITY);
    }

    private static double[][] covariance(Problem problem, double[] at) {
        double[][] matrix = new double[Pinhole.UNKNOWNS][Pinhole.UNKNOWNS];
        problem.normal(at, matrix, new double[Pinhole.UNKNOWNS]);
        double spread = Tap.SPREAD * problem.frame.longerSidePx();
        try {
            return new CholeskyDecomposition(MatrixUtils.createRealMatrix(matrix), 1e-6, 0)
                    .getSolver()
                    .getInverse()
                    .scalarMultiply(spread * spread)
                    .getData();
        } catch (MathRuntimeException untold) {
            throw new Refusal(
                    "marks",
                    "These landmarks do not tell where it was taken from: tap one that is away from the others.");
        }
    }

    /** The squares, pixels. */
    private static final class Problem implements LeastSquares.Problem {

        private final Frame frame;
        private final List<SeenLandmark> marks;
        /** What the figure counts; 0 without one. */
        private final double held;

        Problem(Frame frame, List<SeenLandmark> marks) {
            this.frame = frame;
            this.marks = marks;
            this.held = frame.f35() == null ? 0 : Tap.SPREAD * frame.longerSidePx() / FIGURE_SPREAD;
        }

        private double off(double[] at) {
            return held == 0 ? 0 : at[Pinhole.LOG_FOCAL] - Math.log(frame.focalPx());
        }

        @Override
        public double sum(double[] at) {
            double sides = Math.exp(at[Pinhole.LOG_FOCAL]) / frame.longerSidePx();
            double squares = squares(at);
            if (held == 0 && (sides < SHORTEST_SIDES || sides > LONGEST_SIDES)) {
                return Double.NaN;
            }
            double figure = held * off(at);
            return squares + figure * figure;
        }

        /** NaN when one of them is not before the lens. */
        private double squares(double[] at) {
            Pinhole pinhole = new Pinhole(frame, at);
            double sum = 0;
            for (SeenLandmark mark : marks) {
                if (!pinhole.isBefore(mark.at())) {
                    return Double.NaN;
                }
                Tap seen = pinhole.project(mark.at());
                double u = mark.tap().u() - seen.u();
                double v = mark.tap().v() - seen.v();
                sum += u * u + v * v;
            }
            return sum;
        }

        double rms(double[] at) {
            return Math.sqrt(squares(at) / marks.size());
        }

        @Override
        public void normal(double[] at, double[][] matrix, double[] gradient) {
            Pinhole pinhole = new Pinhole(frame, at);
            for (SeenLandmark mark : marks) {
                Tap seen = pinhole.project(mark.at());
                double[] off = {mark.tap().u() - seen.u(), mark.tap().v() - seen.v()};
                LeastSquares.add(pinhole.byPose(mark.at()), off, matrix, gradient);
            }
            matrix[Pinhole.LOG_FOCAL][Pinhole.LOG_FOCAL] += held * held;
            gradient[Pinhole.LOG_FOCAL] -= held * held * off(at);
        }

        /** Whether it has come to rest there, and not only become slow. */
        boolean isLeast(double[] at) {
            double[][] matrix = new double[Pinhole.UNKNOWNS][Pinhole.UNKNOWNS];
            double[] gradient = new double[Pinhole.UNKNOWNS];
            normal(at, matrix, gradient);
            double worst = 0;
            for (int i = 0; i < gradient.length; i++) {
                worst = Math.max(worst, Math.abs(gradient[i]) / Math.sqrt(Math.max(matrix[i][i], Double.MIN_NORMAL)));
            }
            return worst < AT_REST_PX;
        }
    }
}
