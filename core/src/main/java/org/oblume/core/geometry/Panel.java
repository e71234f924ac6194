package org.oblume.core.geometry;

import org.oblume.core.units.Checks;

/**
 * A flat rectangle in space: a flag, a frame, a board, a pane.
 *
 * @param middle of it
 * @param normal the way it faces
 * @param right its own horizontal
 * @param up its own vertical
 * @param widthM along its right, metres, 0 or more
 * @param heightM along its up, metres, 0 or more
 */
public record Panel(SpacePoint middle, Direction normal, Direction right, Direction up, double widthM, double heightM) {

    /** A way that ends this near to a panel does not cross it, as part of the way. */
    private static final double AT_ITS_END = 1e-6;

    public Panel {
        Checks.notBelow0("widthM", "A width", widthM, " m");
        Checks.notBelow0("heightM", "A height", heightM, " m");
    }

    /** Facing along a direction, its lower edge level. */
    public static Panel facing(SpacePoint middle, Direction normal, double widthM, double heightM) {
        Direction right = normal.aside();
        return new Panel(middle, normal, right, normal.cross(right), widthM, heightM);
    }

    public double areaM2() {
        return widthM * heightM;
    }

    /** Whether the way from one point to another goes through it. */
    public boolean crosses(SpacePoint from, SpacePoint to) {
        double before = offPlane(from);
        double after = offPlane(to);
        if (before == after) {
            return false;
        }
        double part = before / (before - after);
        if (part <= AT_ITS_END || part >= 1 - AT_ITS_END) {
            return false;
        }
        double x = from.xM() + part * (to.xM() - from.xM()) - middle.xM();
        double y = from.yM() + part * (to.yM() - from.yM()) - middle.yM();
        double z = from.zM() + part * (to.zM() - from.zM()) - middle.zM();
        return Math.abs(x * right.x() + y * right.y() + z * right.z()) <= widthM / 2
                && Math.abs(x * up.x() + y * up.y() + z * up.z()) <= heightM / 2;
    }

    /** From the nearest point of it, metres. */
    public double distanceM(SpacePoint point) {
        double dx = point.xM() - middle.xM();
        double dy = point.yM() - middle.yM();
        double dz = point.zM() - middle.zM();
        double x = Math.max(0, Math.abs(dx * right.x() + dy * right.y() + dz * right.z()) - widthM / 2);
        double y = Math.max(0, Math.abs(dx * up.x() + dy * up.y() + dz * up.z()) - heightM / 2);
        double off = offPlane(point);
        return Math.sqrt(x * x + y * y + off * off);
    }

    /** Metres in front of its plane; negative behind it. */
    public double offPlane(SpacePoint point) {
        return (point.xM() - middle.xM()) * normal.x()
                + (point.yM() - middle.yM()) * normal.y()
                + (point.zM() - middle.zM()) * normal.z();
    }

    /**
     * Its figures in a row, for who goes through many: normal, right and up, each with its part of the middle, then half its width and half
     * its height.
     */
    public void into(double[] row, int from) {
        Direction[] axes = {normal, right, up};
        for (int i = 0; i < axes.length; i++) {
            row[from + 4 * i] = axes[i].x();
            row[from + 4 * i + 1] = axes[i].y();
            row[from + 4 * i + 2] = axes[i].z();
            row[from + 4 * i + 3] = axes[i].x() * middle.xM() + axes[i].y() * middle.yM() + axes[i].z() * middle.zM();
        }
        row[from + 12] = widthM / 2;
        row[from + 13] = heightM / 2;
    }
}
