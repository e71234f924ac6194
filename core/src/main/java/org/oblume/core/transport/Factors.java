package org.oblume.core.transport;

/**
 * A square matrix whose transpose is taken apart into a lower and an upper one (Doolittle, no pivoting: each diagonal outweighs the rest of
 * its column in the matrix).
 */
final class Factors {

    private final double[][] rows;

    /** @param rows of the transpose, which are used up */
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

    /** Solves for one right side, in place. Rows are gone along and not summed up over: that is what the machine does several of at once. */
    void solve(double[] right) {
        int n = rows.length;
        for (int k = 0; k < n; k++) {
            double[] row = rows[k];
            double known = right[k] / row[k];
            right[k] = known;
            if (known != 0) {
                for (int j = k + 1; j < n; j++) {
                    right[j] -= row[j] * known;
                }
            }
        }
        for (int k = n - 1; k > 0; k--) {
            double[] row = rows[k];
            double known = right[k];
            for (int j = 0; j < k; j++) {
                right[j] -= row[j] * known;
            }
        }
    }

    /** Solves for one right side by the matrix as it is taken apart, in place. */
    void solveTaken(double[] right) {
        int n = rows.length;
        for (int k = 0; k < n; k++) {
            double known = right[k];
            for (int j = 0; j < k; j++) {
                known -= rows[k][j] * right[j];
            }
            right[k] = known;
        }
        for (int k = n - 1; k >= 0; k--) {
            double known = right[k];
            for (int j = k + 1; j < n; j++) {
                known -= rows[k][j] * right[j];
            }
            right[k] = known / rows[k][k];
        }
    }
}
