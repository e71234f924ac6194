package org.oblume.core.transport;

import org.oblume.core.geometry.Panel;

/**
 * A surface that sends light on as a mirror does, from its front.
 *
 * @param panel where it is
 * @param reflects what of each channel it sends on so, 0 to 1
 */
public record Mirror(Panel panel, double[] reflects) {

    /** Nearer to its plane than this, a point is on it, metres. */
    static final double ON_IT_M = 1e-6;

    /** Whether a point is before it. */
    boolean faces(double x, double y, double z) {
        return off(x, y, z) > ON_IT_M;
    }

    /** Metres before its plane. */
    double off(double x, double y, double z) {
        return (x - panel.middle().xM()) * panel.normal().x()
                + (y - panel.middle().yM()) * panel.normal().y()
                + (z - panel.middle().zM()) * panel.normal().z();
    }
}
