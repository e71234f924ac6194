package org.oblume.core.photo;

/**
 * A point of a photograph that was tapped.
 *
 * @param u pixels from the left
 * @param v pixels from the top
 */
public record Tap(double u, double v) {

    /** Spread of a tap in u and in v, as a share of the longer side (model). */
    public static final double SPREAD = 0.004;
}
