package org.oblume.core.photometry;

/** How strongly a source shines off its axis. */
public sealed interface Spread permits BeamShape, LambertianDisc {

    /** Intensity, candela. @param offAxisRad angle from the axis, radians, 0 to π */
    double candela(double offAxisRad);
}
