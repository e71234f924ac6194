package org.oblume.core.plot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A wall as a polyline.
 *
 * @param points two or more; a room ends where it began
 * @param heightM metres, or null when it reaches the ceiling, or as high as a house outdoors
 * @param surface its paint, or null when it is not known: then {@link Surface#WALL} is taken
 */
public record Wall(List<PlanPoint> points, @Nullable Double heightM, @Nullable Surface surface) {

    private static final double HIGHEST_M = 100;

    public Wall {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new Refusal("walls", "A wall needs two points or more.");
        }
        if (heightM != null) {
            Checks.within("walls", "A wall's height", heightM, 0.05, HIGHEST_M, " m");
        }
    }

    public static Wall of(List<PlanPoint> points) {
        return new Wall(points, null, null);
    }

    /** Its paint, as far as it is known. */
    public Surface paint() {
        return surface == null ? Surface.WALL : surface;
    }
}
