package org.oblume.core.light;

import java.util.List;
import java.util.Set;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;

/**
 * Whether the sun reaches a point: the way from it to the sun meets no wall, ceiling, furniture or grip, and leaves a room by an opening
 * (model: what stands outside of the drawing is not known; panes let it through, nets and cloth do not).
 */
public final class SunReach {

    private static final double SUN_AT_M = 400;
    private static final Set<PlacementKind> STOPS = Set.of(
            PlacementKind.FLAG,
            PlacementKind.NET,
            PlacementKind.FRAME,
            PlacementKind.CURTAIN,
            PlacementKind.BOUNCE,
            PlacementKind.MIRROR);

    private final SetHall hall;
    private final double northDeg;
    private final SpacePoint point;
    private final List<Panel> grip;

    /** @param point at a mark, at the height of the face */
    public SunReach(SetPlan set, List<Placement> placements, RecordedState state, SpacePoint point) {
        this.hall = SetHall.of(set, List.of(point));
        this.northDeg = set.northDeg();
        this.point = point;
        this.grip = placements.stream()
                .filter(p -> STOPS.contains(p.kind()) && state.isOnSet(p.key()))
                .flatMap(p -> state.panel(p).stream())
                .toList();
    }

    public boolean reaches(SunDirection sun) {
        if (!(sun.elevationDeg() > 0)) {
            return false;
        }
        SpacePoint far = towards(sun, northDeg).from(point, SUN_AT_M);
        return !hall.hall().between(point, far) && grip.stream().noneMatch(panel -> panel.crosses(point, far));
    }

    /**
     * The way to the sun.
     *
     * @param northDeg bearing of true north on the plan
     */
    public static Direction towards(SunDirection sun, double northDeg) {
        return Direction.of(Bearing.ofDegrees(northDeg + sun.azimuth().degrees()), sun.elevationDeg());
    }
}
