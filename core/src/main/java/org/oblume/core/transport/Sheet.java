package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.GelColour;
import org.oblume.core.geometry.Panel;

/**
 * A flat rectangle that light meets: a wall with its openings, a flag, a net, a cloth.
 *
 * @param panel where it is
 * @param holes of it, none overlapping another
 * @param straight what of each channel goes straight through, 0 to 1; zeros when nothing does
 * @param gels saturated gels that hang in it, in order
 */
public record Sheet(Panel panel, List<Hole> holes, double[] straight, List<GelColour> gels) implements Obstacle {

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

    /**
     * What part of a bundle of rays meets it.
     *
     * @param across where its middle goes through the plane, metres to the right of the sheet's middle
     * @param up and above it
     * @param radius of the bundle there, metres
     */
    double covers(double across, double up, double radius) {
        double halfWidth = panel.widthM() / 2;
        double halfHeight = panel.heightM() / 2;
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
