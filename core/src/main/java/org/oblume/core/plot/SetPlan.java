package org.oblume.core.plot;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;

/**
 * A set or a place as it is drawn: metres, x to the right, y up the plan.
 *
 * @param ceilingHeightM metres, or null outdoors
 * @param northDeg bearing of north on the plan
 * @param walls polylines of two or more points; a room ends where it began
 * @param openings doors and windows in those walls
 * @param furniture what stands on the floor
 * @param landmarks points that can be found again, at most 200, names unique
 */
public record SetPlan(@Nullable Double ceilingHeightM, double northDeg, List<List<PlanPoint>> walls,
        List<Opening> openings, List<Furniture> furniture, List<Landmark> landmarks) {

    private static final double HIGHEST_CEILING_M = 60;

    /** Light and, where a person can walk through, tape pass an opening. */
    public enum OpeningKind {
        DOOR, WINDOW
    }

    /** @param sillM height of the lower edge in metres; 0 for a door. @param headM height of the upper edge */
    public record Opening(String name, OpeningKind kind, PlanPoint from, PlanPoint to, double sillM, double headM) {
    }

    /** @param outline corners in order, three or more. @param heightM metres */
    public record Furniture(String name, List<PlanPoint> outline, double heightM) {

        public Furniture {
            outline = List.copyOf(outline);
            if (outline.size() < 3) {
                throw new Refusal("%s needs three corners or more.".formatted(name));
            }
        }
    }

    public SetPlan {
        if (ceilingHeightM != null) {
            Checks.within("Ceiling", ceilingHeightM, 1, HIGHEST_CEILING_M, " m");
        }
        Checks.finite("North", northDeg);
        walls = walls.stream().map(List::copyOf).toList();
        openings = List.copyOf(openings);
        furniture = List.copyOf(furniture);
        landmarks = List.copyOf(landmarks);
        if (walls.stream().anyMatch(w -> w.size() < 2)) {
            throw new Refusal("A wall needs two points or more.");
        }
        Set<String> names = new HashSet<>();
        for (Landmark landmark : landmarks) {
            if (!names.add(landmark.name())) {
                throw new Refusal("Two landmarks are called “%s”: give each its own name.".formatted(landmark.name()));
            }
        }
    }

    /** A bare room with a landmark in each corner, from (0, 0). Width along x, depth along y, metres. */
    public static SetPlan room(double widthM, double depthM, double ceilingHeightM) {
        Checks.within("Room width", widthM, 1, 200, " m");
        Checks.within("Room depth", depthM, 1, 200, " m");
        PlanPoint a = PlanPoint.of(0, 0);
        PlanPoint b = PlanPoint.of(widthM, 0);
        PlanPoint c = PlanPoint.of(widthM, depthM);
        PlanPoint d = PlanPoint.of(0, depthM);
        return new SetPlan(ceilingHeightM, 0, List.of(List.of(a, b, c, d, a)), List.of(), List.of(),
                List.of(new Landmark("near left corner", a), new Landmark("near right corner", b),
                        new Landmark("far right corner", c), new Landmark("far left corner", d)));
    }

    /** The walls as tapes meet them: a door is a way through, a window is not. */
    public Walls tapeWalls() {
        return new Walls(walls, openings.stream().filter(o -> o.kind() == OpeningKind.DOOR)
                .map(o -> new Walls.Opening(o.from(), o.to())).toList());
    }

    /**
     * Checks a place against the walls.
     *
     * @throws Refusal when it is outside them and not marked so
     */
    public void check(Placement placement, Place place) {
        Walls all = tapeWalls();
        if (!place.outside() && !all.encloses(place.point())) {
            throw new Refusal("place", ("%s would stand %s outside the walls. Keep it inside, or mark it as outside "
                    + "when it lights through a window.").formatted(placement.name(),
                    Length.ofMetres(all.distanceM(place.point())).printMetric()));
        }
    }
}
