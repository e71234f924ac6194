package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;

/**
 * A straight wall by what a crew would call it: from landmark to landmark, else by its number.
 *
 * @param room the outline of the room that it closes; empty of one that stands alone
 */
public record NamedWall(String name, PlanPoint from, PlanPoint to, List<PlanPoint> room) {

    private static final double AT_ITS_END_M = 0.3;

    /** All of a set, in its order. */
    public static List<NamedWall> of(SetPlan set) {
        List<NamedWall> all = new ArrayList<>();
        for (Wall wall : set.walls()) {
            List<PlanPoint> points = wall.points();
            boolean closed = points.get(0).equals(points.get(points.size() - 1));
            for (int i = 1; i < points.size(); i++) {
                PlanPoint from = points.get(i - 1);
                PlanPoint to = points.get(i);
                if (from.distanceM(to) > 0) {
                    String name = landmark(set, from)
                            .flatMap(a -> landmark(set, to).map(b -> "wall from %s to %s".formatted(a, b)))
                            .orElse("wall %d".formatted(all.size() + 1));
                    all.add(new NamedWall(name, from, to, closed ? points : List.of()));
                }
            }
        }
        return all;
    }

    private static Optional<String> landmark(SetPlan set, PlanPoint end) {
        return set.landmarks().stream()
                .filter(l -> l.point().distanceM(end) <= AT_ITS_END_M)
                .map(Landmark::name)
                .findFirst();
    }
}
