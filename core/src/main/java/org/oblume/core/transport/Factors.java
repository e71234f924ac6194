package org.oblume.core.transport;

/** A square matrix taken apart into a lower and an upper one (Doolittle, no pivoting: each column's diagonal outweighs the rest of it). */
final class Factors {

    private final double[][] rows;

    /** @param rows of the matrix, which are used up */
    Factors(double[][] rows) {
        this.rows = rows;
        int n = rows.length;
        for (int k = 0; k < n; k++) {
            double[] pivot = rows[k];
            double inverse = 1 / pivot[k];
            for (int i = k + 1; i < n; i++) {
                double[] row = rows[i];
                double factor = row[k] * inverse;
                row[k] = factor;
                if (factor != 0) {
                    for (int j = k + 1; j < n; j++) {
                        row[j] -= factor * pivot[j];
                    }
                }
            }
        }
    }

    /** Solves for one right side, in place. */
    void solve(double[] right) {
        int n = rows.length;
        for (int i = 1; i < n; i++) {
            double[] row = rows[i];
            double sum = right[i];
            for (int j = 0; j < i; j++) {
                sum -= row[j] * right[j];
            }
            right[i] = sum;
        }
        for (int i = n - 1; i >= 0; i--) {
            double[] row = rows[i];
            double sum = right[i];
            for (int j = i + 1; j < n; j++) {
                sum -= row[j] * right[j];
            }
            right[i] = sum / row[i];
        }
    }
}
