package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;

/**
 * A flat surface as it is looked at, from its front: all of its panel, or what an outline leaves of it.
 *
 * @param panel whose normal is the front
 * @param holes what one sees through
 * @param outline corners of what there is of it, metres to the right of the panel's middle and above it; empty for all
 * @param without corners of what is not there, likewise
 * @param sends of what meets it, part of each channel
 * @param lit where light meets it that is sent out at the front: 1 there, −1 at its back
 */
public record Skin(
        Panel panel,
        List<Sheet.Hole> holes,
        List<PlanPoint> outline,
        List<List<PlanPoint>> without,
        double[] sends,
        int lit) {

    /** All of a panel. */
    public static Skin of(Panel panel, double[] sends, int lit) {
        return new Skin(panel, List.of(), List.of(), List.of(), sends, lit);
    }

    /** Whether it is there, so far to the right of its panel's middle and above it, metres. */
    public boolean has(double across, double up) {
        if (Math.abs(across) > panel.widthM() / 2 || Math.abs(up) > panel.heightM() / 2) {
            return false;
        }
        for (Sheet.Hole hole : holes) {
            if (across > hole.fromM() && across < hole.toM() && up > hole.bottomM() && up < hole.topM()) {
                return false;
            }
        }
        for (List<PlanPoint> gone : without) {
            if (Walls.contains(gone, across, up)) {
                return false;
            }
        }
        return outline.isEmpty() || Walls.contains(outline, across, up);
    }

    /** The way that light meets it from, of length 1. */
    public double[] normal() {
        return new double[] {
            lit * panel.normal().x(),
            lit * panel.normal().y(),
            lit * panel.normal().z()
        };
    }
}
