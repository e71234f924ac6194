package org.oblume.core.power;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;
import org.oblume.core.power.PowerPlan.FedCircuit;

/**
 * Where a cable could lie, from the sockets of a circuit to a light. An estimate (model: along a wall where that is no more than twice
 * the straight way, else straight; on the floor, with nothing added for heights, drums and loops, and round no furniture).
 *
 * @param key of the light
 * @param path from the sockets to the light, two points or more
 * @param lengthM along it
 * @param saidM that the crew said of its cable, or null
 * @param crosses where people walk: doors, walks, between the camera and a person; in words
 */
public record CableRun(
        String key,
        String name,
        String circuit,
        List<PlanPoint> path,
        double lengthM,
        @Nullable Double saidM,
        List<String> crosses) {

    private static final double MOST_ROUND = 2;
    private static final double LOOKED_AT_M = 0.05;
    private static final double AT_THE_DOOR_M = 0.15;
    /** A cable that turns off at a door post does not lie in the door. */
    private static final double DOOR_POST_M = 0.2;

    public CableRun {
        path = List.copyOf(path);
        crosses = List.copyOf(crosses);
    }

    /** Whether the cable that the crew said is shorter than the way. */
    public boolean isShort() {
        return saidM != null && saidM < lengthM;
    }

    /** Those of the lights that are fed from a circuit of which it is known by which landmark its sockets are, in the scene's order. */
    public static List<CableRun> of(PowerPlan plan, SetPlan set, List<Placement> placements, RecordedState state) {
        List<CableRun> all = new ArrayList<>();
        for (Placement light : placements) {
            Optional<Feed> feed = state.value(light.key(), Feed.class);
            Optional<Place> place = state.value(light.key(), Place.class);
            if (feed.isEmpty() || place.isEmpty() || !light.kind().isLight() || !state.isOnSet(light.key())) {
                continue;
            }
            for (FedCircuit circuit : plan.circuits()) {
                Optional<PlanPoint> sockets = sockets(circuit, set);
                if (feed.get().isOn(circuit.name()) && sockets.isPresent()) {
                    List<PlanPoint> path = path(sockets.get(), place.get().point(), set);
                    all.add(new CableRun(
                            light.key(),
                            light.name(),
                            circuit.name(),
                            path,
                            lengthM(path),
                            feed.get().cableM(),
                            crosses(path, set, placements, state)));
                }
            }
        }
        return all;
    }

    private static Optional<PlanPoint> sockets(FedCircuit circuit, SetPlan set) {
        return set.landmarks().stream()
                .filter(l -> l.name().equals(circuit.landmark()))
                .map(Landmark::point)
                .findFirst();
    }

    private static List<PlanPoint> path(PlanPoint from, PlanPoint to, SetPlan set) {
        List<PlanPoint> best = List.of(from, to);
        double most = MOST_ROUND * lengthM(best);
        for (Wall wall : set.walls()) {
            for (List<PlanPoint> along : ways(wall.points(), from, to)) {
                if (lengthM(along) <= most) {
                    most = lengthM(along);
                    best = along;
                }
            }
        }
        return best;
    }

    /** Both ways round a room, or the one along a wall; none where it would be left where it is met. */
    private static List<List<PlanPoint>> ways(List<PlanPoint> wall, PlanPoint from, PlanPoint to) {
        Foot first = Foot.of(wall, from);
        Foot last = Foot.of(wall, to);
        if (first.point.distanceM(last.point) == 0) {
            return List.of();
        }
        boolean room = wall.get(0).equals(wall.get(wall.size() - 1));
        List<List<PlanPoint>> ways = new ArrayList<>();
        if (room || first.place <= last.place) {
            ways.add(joined(from, first, corners(wall, first.place, last.place), last, to));
        }
        if (room || first.place > last.place) {
            List<PlanPoint> back = corners(wall, last.place, first.place);
            Collections.reverse(back);
            ways.add(joined(from, first, back, last, to));
        }
        return ways;
    }

    /** Corners of a wall from one place on it onwards to another, past its end where that comes before. */
    private static List<PlanPoint> corners(List<PlanPoint> wall, double from, double to) {
        List<PlanPoint> all = new ArrayList<>();
        int sides = wall.size() - 1;
        double end = to < from ? to + sides : to;
        for (int corner = (int) Math.floor(from) + 1; corner < end; corner++) {
            all.add(wall.get(corner % sides));
        }
        return all;
    }

    private static List<PlanPoint> joined(
            PlanPoint from, Foot first, List<PlanPoint> corners, Foot last, PlanPoint to) {
        List<PlanPoint> all = new ArrayList<>(List.of(from, first.point));
        all.addAll(corners);
        all.add(last.point);
        all.add(to);
        for (int i = all.size() - 1; i > 0; i--) {
            if (all.get(i).equals(all.get(i - 1))) {
                all.remove(i);
            }
        }
        return all;
    }

    /**
     * The nearest point of a wall.
     *
     * @param place corners before it, and the part of the way to the next
     */
    private record Foot(double place, PlanPoint point) {

        static Foot of(List<PlanPoint> wall, PlanPoint to) {
            Foot nearest = new Foot(0, wall.get(0));
            for (int i = 1; i < wall.size(); i++) {
                double part = to.partOfWay(wall.get(i - 1), wall.get(i));
                PlanPoint foot = wall.get(i - 1).towards(wall.get(i), part);
                if (foot.distanceM(to) < nearest.point.distanceM(to)) {
                    nearest = new Foot(i - 1 + part, foot);
                }
            }
            return nearest;
        }
    }

    private static double lengthM(List<PlanPoint> path) {
        double all = 0;
        for (int i = 1; i < path.size(); i++) {
            all += path.get(i - 1).distanceM(path.get(i));
        }
        return all;
    }

    private static List<String> crosses(
            List<PlanPoint> path, SetPlan set, List<Placement> placements, RecordedState state) {
        List<String> all = new ArrayList<>();
        for (SetPlan.Opening door : set.openings()) {
            if (door.kind() == SetPlan.OpeningKind.DOOR && liesIn(path, door)) {
                all.add("the %s".formatted(door.name()));
            }
        }
        Map<String, List<PlanPoint>> walks = new LinkedHashMap<>();
        Map<String, PlanPoint> persons = new LinkedHashMap<>();
        List<PlanPoint> cameras = new ArrayList<>();
        for (Placement one : placements) {
            state.value(one.key(), Place.class).map(Place::point).ifPresent(at -> {
                if (one.kind() == PlacementKind.CAMERA) {
                    cameras.add(at);
                } else if (one.kind() == PlacementKind.MARK && state.isOnSet(one.key())) {
                    persons.put(one.name(), at);
                    if (one.group() != null) {
                        walks.computeIfAbsent(one.group(), g -> new ArrayList<>())
                                .add(at);
                    }
                }
            });
        }
        walks.forEach((name, way) -> {
            for (int i = 1; i < way.size(); i++) {
                if (meets(path, way.get(i - 1), way.get(i)) && !all.contains("the way of " + name)) {
                    all.add("the way of " + name);
                }
            }
        });
        for (PlanPoint camera : cameras) {
            persons.forEach((name, at) -> {
                if (meets(path, camera, at)) {
                    all.add("between the camera and %s".formatted(name));
                }
            });
        }
        return all;
    }

    private static boolean liesIn(List<PlanPoint> path, SetPlan.Opening door) {
        for (int i = 1; i < path.size(); i++) {
            PlanPoint a = path.get(i - 1);
            PlanPoint b = path.get(i);
            int steps = (int) Math.ceil(a.distanceM(b) / LOOKED_AT_M);
            for (int k = 0; k <= steps; k++) {
                PlanPoint p = a.towards(b, steps == 0 ? 0 : (double) k / steps);
                if (p.distanceM(door.from(), door.to()) < AT_THE_DOOR_M
                        && p.distanceM(door.from()) > DOOR_POST_M
                        && p.distanceM(door.to()) > DOOR_POST_M) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean meets(List<PlanPoint> path, PlanPoint from, PlanPoint to) {
        return new Walls(List.of(path), List.of()).between(from, to);
    }
}
