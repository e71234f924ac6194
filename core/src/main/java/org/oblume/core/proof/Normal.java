package org.oblume.core.proof;

import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;

/** A normal distribution of several features together, about nought. */
final class Normal {

    private static final double LEAST_PIVOT = 1e-18;

    private final double[][] lower;
    private final double logDeterminant;

    /** @param covariance symmetric, positive */
    Normal(double[][] covariance) {
        lower = new CholeskyDecomposition(MatrixUtils.createRealMatrix(covariance), 1e-9, LEAST_PIVOT)
                .getL()
                .getData();
        double sum = 0;
        for (int i = 0; i < lower.length; i++) {
            sum += 2 * Math.log(lower[i][i]);
        }
        logDeterminant = sum;
    }

    /** The same in units of one spread each, without what they have in common. */
    double[] whitened(double[] residual) {
        double[] white = new double[residual.length];
        for (int i = 0; i < white.length; i++) {
            double rest = residual[i];
            for (int j = 0; j < i; j++) {
                rest -= lower[i][j] * white[j];
            }
            white[i] = rest / lower[i][i];
        }
        return white;
    }

    /** How far off it is, squared spreads. */
    double distance(double[] residual) {
        double sum = 0;
        for (double one : whitened(residual)) {
            sum += one * one;
        }
        return sum;
    }

    /** Logarithm of its density, but for a constant. */
    double logDensity(double[] residual) {
        return -(distance(residual) + logDeterminant) / 2;
    }

    /** One that is this far off, a spread each. */
    double[] drawn(double[] white) {
        double[] drawn = new double[white.length];
        for (int i = 0; i < drawn.length; i++) {
            for (int j = 0; j <= i; j++) {
                drawn[i] += lower[i][j] * white[j];
            }
        }
        return drawn;
    }
}
