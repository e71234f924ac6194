package org.oblume.core.photometry;

import org.oblume.core.units.Checks;

/**
 * The edge of a shadow on a surface.
 *
 * @param sourceRadiusM metres, 0 or more
 * @param sourceToEdgeM from the source to the edge that throws it, metres, above 0
 * @param edgeToSurfaceM from that edge to the surface, metres, 0 or more
 */
public record Shadow(double sourceRadiusM, double sourceToEdgeM, double edgeToSurfaceM) {

    /** A fan narrower than this reads as parallel, degrees (model). */
    public static final double PARALLEL_BELOW_DEG = 5;

    public Shadow {
        Checks.notBelow0("sourceRadiusM", "The source's radius", sourceRadiusM, " m");
        Checks.above0("sourceToEdgeM", "The way to the edge", sourceToEdgeM, " m");
        Checks.notBelow0("edgeToSurfaceM", "The way behind the edge", edgeToSurfaceM, " m");
    }

    /** Of the source, seen from the edge, degrees. */
    public double angularSizeDeg() {
        return AngularSize.ofDiscDeg(sourceRadiusM, sourceToEdgeM);
    }

    /** Width of the soft edge, {@code s·2r/d}, metres. */
    public double penumbraM() {
        return edgeToSurfaceM * 2 * sourceRadiusM / sourceToEdgeM;
    }

    /**
     * Fan of the shadows through an opening at the edge, {@code 2·atan(W/2D)}, degrees.
     *
     * @param openingWidthM above 0
     */
    public double fanDeg(double openingWidthM) {
        return 2
                * Math.toDegrees(Math.atan(
                        Checks.above0("openingWidthM", "The opening", openingWidthM, " m") / (2 * sourceToEdgeM)));
    }
}
