package org.oblume.core.colour;

/** CIE 1931 tristimulus values. */
record Xyz(double x, double y, double z) {
}
