package org.oblume.core.colour;

/** A 3 × 3 matrix by rows. */
record Matrix(double[][] rows) {

    static Matrix of(double... nine) {
        return new Matrix(
                new double[][] {{nine[0], nine[1], nine[2]}, {nine[3], nine[4], nine[5]}, {nine[6], nine[7], nine[8]}});
    }

    double[] times(double a, double b, double c) {
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) {
            out[i] = rows[i][0] * a + rows[i][1] * b + rows[i][2] * c;
        }
        return out;
    }

    /** By cofactors; the matrices here are constants that can be inverted. */
    Matrix inverse() {
        double[][] m = rows;
        double[] cofactors = new double[9];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                int r1 = (j + 1) % 3;
                int r2 = (j + 2) % 3;
                int c1 = (i + 1) % 3;
                int c2 = (i + 2) % 3;
                cofactors[3 * i + j] = m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
            }
        }
        double determinant = m[0][0] * cofactors[0] + m[0][1] * cofactors[3] + m[0][2] * cofactors[6];
        for (int i = 0; i < cofactors.length; i++) {
            cofactors[i] /= determinant;
        }
        return of(cofactors);
    }
}
