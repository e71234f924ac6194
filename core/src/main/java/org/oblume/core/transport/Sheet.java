package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.GelColour;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;

/**
 * A flat rectangle that light meets: a wall with its openings, a flag, a net, a cloth.
 *
 * @param panel where it is
 * @param holes of it, none overlapping another
 * @param straight what of each channel goes straight through, 0 to 1; zeros when nothing does
 * @param gels saturated gels that hang in it, in order
 */
public record Sheet(Panel panel, List<Hole> holes, double[] straight, List<GelColour> gels) implements Obstacle {

    /** Nearer to its plane than this, a point is on it, metres: what starts there is not stopped by it. */
    private static final double ON_IT_M = 1e-5;

    private static final double[] NOTHING = new double[ConeLight.CHANNELS];

    /**
     * An opening, in the sheet's own metres from its middle.
     *
     * @param passes what of a light comes through it, 0 to 1
     */
    public record Hole(double fromM, double toM, double bottomM, double topM, double passes) {}

    /** Nothing comes through. */
    public static Sheet opaque(Panel panel) {
        return new Sheet(panel, List.of(), NOTHING, List.of());
    }

    @Override
    public double stops(double ax, double ay, double az, double bx, double by, double bz, double ra, double rb) {
        Direction n = panel.normal();
        SpacePoint m = panel.middle();
        double before = (ax - m.xM()) * n.x() + (ay - m.yM()) * n.y() + (az - m.zM()) * n.z();
        double after = (bx - m.xM()) * n.x() + (by - m.yM()) * n.y() + (bz - m.zM()) * n.z();
        if (before * after >= 0 || Math.abs(before) < ON_IT_M || Math.abs(after) < ON_IT_M) {
            return 0;
        }
        double part = before / (before - after);
        double x = ax + part * (bx - ax) - m.xM();
        double y = ay + part * (by - ay) - m.yM();
        double z = az + part * (bz - az) - m.zM();
        double radius = ra + part * (rb - ra);
        double across = x * panel.right().x()
                + y * panel.right().y()
                + z * panel.right().z();
        double halfWidth = panel.widthM() / 2;
        if (Math.abs(across) >= halfWidth + radius) {
            return 0;
        }
        double up = x * panel.up().x() + y * panel.up().y() + z * panel.up().z();
        double halfHeight = panel.heightM() / 2;
        if (Math.abs(up) >= halfHeight + radius) {
            return 0;
        }
        double covered = within(across, radius, -halfWidth, halfWidth) * within(up, radius, -halfHeight, halfHeight);
        for (Hole hole : holes) {
            covered -= hole.passes
                    * within(across, radius, hole.fromM, hole.toM)
                    * within(up, radius, hole.bottomM, hole.topM);
        }
        return Math.max(0, Math.min(1, covered));
    }

    /** What of a width of ±radius around a place lies between two others, 0 to 1. */
    static double within(double at, double radius, double from, double to) {
        if (radius <= 0) {
            return at >= from && at <= to ? 1 : 0;
        }
        double overlap = Math.min(at + radius, to) - Math.max(at - radius, from);
        return overlap <= 0 ? 0 : overlap / (2 * radius);
    }

    @Override
    public void filter(double covered, double[] light) {
        if (straight[0] == 0 && straight[1] == 0 && straight[2] == 0) {
            for (int c = 0; c < ConeLight.CHANNELS; c++) {
                light[c] *= 1 - covered;
            }
            return;
        }
        double[] behind = light;
        for (GelColour gel : gels) {
            behind = ConeLight.through(behind, gel);
        }
        for (int c = 0; c < ConeLight.CHANNELS; c++) {
            light[c] = (1 - covered) * light[c] + covered * straight[c] * behind[c];
        }
    }
}
