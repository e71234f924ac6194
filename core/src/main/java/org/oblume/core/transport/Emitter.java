package org.oblume.core.transport;

import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Panel;

/**
 * What light comes from, as small pieces that shine each by itself.
 *
 * @param pieces for whoever looks closely
 * @param coarse fewer, for the surfaces of a set
 * @param whole all of it as one piece, for what is far
 * @param gate window that its light comes through before it meets anything, or null
 * @param spreadRad half of the angle of its beam, radians: on a surface that is nearer it is looked at in smaller steps; 0 for the sun
 * @param seesPanes whether glass takes something of its light; metered inside the pane, it is counted already
 */
public record Emitter(
        Piece[] pieces, Piece[] coarse, Piece[] whole, @Nullable Panel gate, double spreadRad, boolean seesPanes) {

    private static final double FAR_RADII = 4;

    /**
     * A piece of an emitter.
     *
     * @param radius of a disc or a sphere of its size, metres
     * @param shines what it sends out
     */
    public record Piece(double x, double y, double z, double radius, Shining shines) {}

    /** Intensity by direction. */
    @FunctionalInterface
    public interface Shining {

        /**
         * Puts the intensity of each channel in a direction of length 1 into {@code light}, candela.
         *
         * @return false when nothing goes there
         */
        boolean into(double dx, double dy, double dz, double[] light);
    }

    /** How it is looked at from a surface of the set: a few of its radii away it is one piece. */
    Piece[] from(double x, double y, double z) {
        return isFar(x, y, z) ? whole : coarse;
    }

    /** How it is looked at closely: some of its radii away it is one piece there, too. */
    Piece[] lookedAt(double x, double y, double z) {
        return isFar(x, y, z) ? whole : pieces;
    }

    private boolean isFar(double x, double y, double z) {
        Piece one = whole[0];
        double squared = (x - one.x) * (x - one.x) + (y - one.y) * (y - one.y) + (z - one.z) * (z - one.z);
        return squared > FAR_RADII * FAR_RADII * one.radius * one.radius;
    }
}
