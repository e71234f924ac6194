package org.oblume.core.colour;

/**
 * A colour without its amount, CIE 1960 uniform chromaticity.
 *
 * @param u CIE 1960 u
 * @param v CIE 1960 v
 */
record Chromaticity(double u, double v) {

    /** CIE 1931: {@code x = 3u/(2u − 8v + 4)}. */
    double x() {
        return 3 * u / (2 * u - 8 * v + 4);
    }

    /** CIE 1931: {@code y = 2v/(2u − 8v + 4)}. */
    double y() {
        return 2 * v / (2 * u - 8 * v + 4);
    }

    /** Tristimulus values with Y = 1. */
    Xyz xyz() {
        return new Xyz(x() / y(), 1, (1 - x() - y()) / y());
    }
}
