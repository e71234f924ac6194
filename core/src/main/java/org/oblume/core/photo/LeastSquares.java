package org.oblume.core.photo;

import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.jspecify.annotations.Nullable;

/** Least squares from one start: Gauss–Newton, damped where a step makes it worse (Levenberg and Marquardt). */
final class LeastSquares {

    private static final double FIRST_DAMPING = 1e-3;
    private static final double LESS = 0.2;
    private static final double MORE = 6;
    private static final double MOST_DAMPING = 1e12;
    private static final double DONE = 1e-15;

    private LeastSquares() {}

    /** What a problem is at a point. */
    interface Problem {

        /** Sum of squares there; NaN where it cannot be. */
        double sum(double[] at);

        /** Adds up JᵀJ and Jᵀ(read − predicted) there. */
        void normal(double[] at, double[][] matrix, double[] gradient);
    }

    /** @param sum of squares at the least */
    record Minimum(double[] at, double sum) {}

    /** @return the minimum that is reached, or null when it cannot begin there */
    static @Nullable Minimum from(double[] start, int mostSteps, Problem problem) {
        int n = start.length;
        double[] at = start;
        double sum = problem.sum(at);
        if (Double.isNaN(sum)) {
            return null;
        }
        double damping = FIRST_DAMPING;
        for (int step = 0; step < mostSteps && damping < MOST_DAMPING; step++) {
            double[][] matrix = new double[n][n];
            double[] gradient = new double[n];
            problem.normal(at, matrix, gradient);
            boolean better = false;
            double gained = 0;
            while (!better && damping < MOST_DAMPING) {
                double[] next = stepped(at, matrix, gradient, damping);
                double now = next == null ? Double.NaN : problem.sum(next);
                if (next != null && now <= sum) {
                    better = true;
                    gained = sum - now;
                    at = next;
                    sum = now;
                    damping *= LESS;
                } else {
                    damping *= MORE;
                }
            }
            if (!better || gained <= DONE * sum) {
                break;
            }
        }
        return new Minimum(at, sum);
    }

    /** Adds what some figures say: how they change with each unknown, and how far off they are. */
    static void add(double[][] by, double[] off, double[][] matrix, double[] gradient) {
        for (int f = 0; f < off.length; f++) {
            for (int i = 0; i < gradient.length; i++) {
                gradient[i] += by[f][i] * off[f];
                for (int j = 0; j < gradient.length; j++) {
                    matrix[i][j] += by[f][i] * by[f][j];
                }
            }
        }
    }

    private static double @Nullable [] stepped(double[] at, double[][] matrix, double[] gradient, double damping) {
        double[][] damped = new double[at.length][];
        for (int i = 0; i < damped.length; i++) {
            damped[i] = matrix[i].clone();
            damped[i][i] *= 1 + damping;
        }
        try {
            double[] by = new CholeskyDecomposition(MatrixUtils.createRealMatrix(damped), 1e-9, 0)
                    .getSolver()
                    .solve(new ArrayRealVector(gradient, false))
                    .toArray();
            for (int i = 0; i < by.length; i++) {
                by[i] += at[i];
            }
            return by;
        } catch (MathRuntimeException notPositive) {
            return null;
        }
    }
}
