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
            right[i] -= product(rows[i], right, 0, i);
        }
        for (int i = n - 1; i >= 0; i--) {
            double[] row = rows[i];
            right[i] = (right[i] - product(row, right, i + 1, n)) / row[i];
        }
    }

    /** Four sums side by side, because one waits for its own last step. */
    private static double product(double[] one, double[] other, int from, int to) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int j = from;
        for (; j + 3 < to; j += 4) {
            a += one[j] * other[j];
            b += one[j + 1] * other[j + 1];
            c += one[j + 2] * other[j + 2];
            d += one[j + 3] * other[j + 3];
        }
        for (; j < to; j++) {
            a += one[j] * other[j];
        }
        return a + b + c + d;
    }
}
