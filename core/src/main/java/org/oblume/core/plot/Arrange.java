package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/** Puts things in order on the plan. Each answer is to the centimetre, as one sets a stand. */
public final class Arrange {

    private static final double CENTIMETRES = 100;
    /** Two stands that are placed one after the other are at least so far apart, metres. */
    private static final double APART_M = 0.6;

    private static final double CLOSE_M = 0.01;
    private static final int ROUND = 8;
    private static final int MOST_RINGS = 12;

    private Arrange() {}

    /** What runs across the plan: things are mirrored and put in a row along it. */
    public record Line(PlanPoint from, PlanPoint to) {

        public Line {
            if (from.distanceM(to) == 0) {
                throw new Refusal("line", "The line needs two points that are apart.");
            }
        }

        /** Through a point, along a bearing. */
        public static Line through(PlanPoint point, Bearing bearing) {
            double turn = Math.toRadians(bearing.degrees());
            return new Line(point, PlanPoint.of(point.xM() + Math.sin(turn), point.yM() + Math.cos(turn)));
        }

        private double along(PlanPoint point) {
            double length = from.distanceM(to);
            return ((point.xM() - from.xM()) * (to.xM() - from.xM()) + (point.yM() - from.yM()) * (to.yM() - from.yM()))
                    / (length * length);
        }

        private PlanPoint at(double part) {
            return PlanPoint.of(from.xM() + part * (to.xM() - from.xM()), from.yM() + part * (to.yM() - from.yM()));
        }
    }

    /** The same place on the other side of a line. */
    public static Place mirrored(Place place, Line line) {
        PlanPoint foot = line.at(line.along(place.point()));
        return at(PlanPoint.of(2 * foot.xM() - place.xM(), 2 * foot.yM() - place.yM()), place.outside());
    }

    /** The same way to look on the other side of a line; one that is aimed at a mark stays so. */
    public static AimSetting mirrored(AimSetting pointing, Line line) {
        if (pointing.bearingDeg() == null || pointing.tiltDeg() == null) {
            return pointing;
        }
        double bearing = Bearing.fromOffset(
                        line.to().xM() - line.from().xM(),
                        line.to().yM() - line.from().yM())
                .degrees();
        return AimSetting.along(2 * bearing - pointing.bearingDeg(), pointing.tiltDeg());
    }

    /** The nearest place on a line. */
    public static Place aligned(Place place, Line line) {
        return at(line.at(line.along(place.point())), place.outside());
    }

    /**
     * The nearest place at a wall, as far off it as the thing needs.
     *
     * @param offM from the wall to the middle of the thing, metres, 0 or more
     * @throws Refusal when the set has no walls
     */
    public static Place atWall(Place place, SetPlan set, double offM) {
        List<PlanPoint> feet = new ArrayList<>();
        for (Wall wall : set.walls()) {
            for (int i = 1; i < wall.points().size(); i++) {
                Line piece = new Line(wall.points().get(i - 1), wall.points().get(i));
                feet.add(piece.at(Math.max(0, Math.min(1, piece.along(place.point())))));
            }
        }
        PlanPoint foot =
                nearest(feet, place).orElseThrow(() -> new Refusal("This set has no walls to go to: draw them first."));
        double away = foot.distanceM(place.point());
        return away == 0
                ? at(foot, place.outside())
                : at(
                        PlanPoint.of(
                                foot.xM() + (place.xM() - foot.xM()) * offM / away,
                                foot.yM() + (place.yM() - foot.yM()) * offM / away),
                        place.outside());
    }

    /** @throws Refusal when the set has no landmarks */
    public static Place atLandmark(Place place, SetPlan set) {
        return at(
                nearest(set.landmarks().stream().map(Landmark::point).toList(), place)
                        .orElseThrow(
                                () -> new Refusal("This set has no landmarks to go to: put them on the plan first.")),
                place.outside());
    }

    /**
     * The nearest place at which a thing stands apart from what stands there already; the place itself where nothing does.
     *
     * @param taken where other things stand
     */
    public static Place apart(Place place, List<PlanPoint> taken, SetPlan set) {
        if (isFree(place.point(), taken)) {
            return place;
        }
        Walls walls = set.tapeWalls();
        boolean within = walls.encloses(place.point());
        for (int ring = 1; ring <= MOST_RINGS; ring++) {
            for (int i = 0; i < ROUND * ring; i++) {
                double turn = 2 * Math.PI * i / (ROUND * ring);
                PlanPoint point = PlanPoint.of(
                        place.xM() + ring * APART_M * Math.sin(turn), place.yM() + ring * APART_M * Math.cos(turn));
                if (isFree(point, taken) && walls.encloses(point) == within && !walls.between(place.point(), point)) {
                    return at(point, place.outside());
                }
            }
        }
        return place;
    }

    private static boolean isFree(PlanPoint point, List<PlanPoint> taken) {
        return taken.stream().allMatch(t -> t.distanceM(point) > APART_M - CLOSE_M);
    }

    private static Optional<PlanPoint> nearest(List<PlanPoint> points, Place place) {
        return points.stream().min(Comparator.comparingDouble(p -> p.distanceM(place.point())));
    }

    private static Place at(PlanPoint point, boolean outside) {
        return new Place(
                Math.round(point.xM() * CENTIMETRES) / CENTIMETRES,
                Math.round(point.yM() * CENTIMETRES) / CENTIMETRES,
                outside);
    }
}
