package org.oblume.core.geometry;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * A point of the set that can be found again another day: a door post, a column, a window corner.
 *
 * @param heightM above the floor, −30 to 30 m, for photographs; null while nobody said it: on the floor for tapes
 */
public record Landmark(String name, PlanPoint point, @Nullable Double heightM) {

    private static final double MOST_M = 30;

    public Landmark {
        if (heightM != null) {
            Checks.within("landmarks", "The height of %s".formatted(name), heightM, -MOST_M, MOST_M, Checks.METRES);
        }
    }

    public Landmark(String name, PlanPoint point) {
        this(name, point, null);
    }

    /** Whether another is this one, drawn in the same place, whatever is said of its height: tapes know the plan only. */
    public boolean isDrawnAs(Landmark other) {
        return name.equals(other.name) && point.equals(other.point);
    }
}
