package org.oblume.core.colour;

/** CIE 1931 tristimulus values. */
record Xyz(double x, double y, double z) {

    Xyz scaled(double factor) {
        return new Xyz(x * factor, y * factor, z * factor);
    }

    /** CIE 1960: {@code u = 4X/(X + 15Y + 3Z)}, {@code v = 6Y/(X + 15Y + 3Z)}. */
    Chromaticity chromaticity() {
        double sum = x + 15 * y + 3 * z;
        return new Chromaticity(4 * x / sum, 6 * y / sum);
    }
}
