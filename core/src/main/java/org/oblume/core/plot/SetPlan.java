package org.oblume.core.plot;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A set or a place as it is drawn: metres, x to the right, y up the plan.
 *
 * @param ceilingHeightM metres, or null outdoors
 * @param northDeg bearing of north on the plan
 * @param walls with their height and paint
 * @param openings doors and windows in those walls
 * @param furniture what stands on the floor
 * @param landmarks points that can be found again, at most 200, names unique
 * @param ceiling its paint, or null when it is not known: then {@link Surface#CEILING} is taken
 * @param floor what the floor sends back, or null: then {@link Surface#FLOOR} is taken
 * @param restrictions what the place does not allow, at most 50
 * @param underlay a picture under the plan, or null
 * @param site where on the earth it stands, or null when the sun does not matter
 */
public record SetPlan(
        @Nullable Double ceilingHeightM,
        double northDeg,
        List<Wall> walls,
        List<Opening> openings,
        List<Furniture> furniture,
        List<Landmark> landmarks,
        @Nullable Surface ceiling,
        @Nullable Surface floor,
        @Nullable List<Restriction> restrictions,
        @Nullable Underlay underlay,
        @Nullable Site site) {

    private static final double HIGHEST_CEILING_M = 60;
    private static final int LONGEST_NAME = 60;
    private static final int MOST_OF_EACH = 200;
    private static final int MOST_RESTRICTIONS = 50;
    private static final int TRIED = 20;

    /** Light and, where a person can walk through, tape pass an opening. */
    public enum OpeningKind {
        DOOR,
        WINDOW
    }

    /**
     * @param sillM height of the lower edge in metres; 0 for a door
     * @param headM height of the upper edge
     * @param closed whether a door is shut, or null for an open one; light comes through a window either way
     */
    public record Opening(
            String name,
            OpeningKind kind,
            PlanPoint from,
            PlanPoint to,
            double sillM,
            double headM,
            @Nullable Boolean closed) {

        public Opening(String name, OpeningKind kind, PlanPoint from, PlanPoint to, double sillM, double headM) {
            this(name, kind, from, to, sillM, headM, null);
        }

        /** Whether light comes through. */
        public boolean letsLightThrough() {
            return kind == OpeningKind.WINDOW || !Boolean.TRUE.equals(closed);
        }

        public Opening {
            name = Checks.text("An opening's name", name, LONGEST_NAME);
            Checks.within(
                    "openings", "The sill of %s".formatted(name), sillM, -HIGHEST_CEILING_M, HIGHEST_CEILING_M, " m");
            Checks.within(
                    "openings", "The head of %s".formatted(name), headM, -HIGHEST_CEILING_M, HIGHEST_CEILING_M, " m");
            if (headM <= sillM) {
                throw new Refusal(
                        "openings",
                        "%s has its head at or below its sill: give the upper edge as its head.".formatted(name));
            }
            if (from.distanceM(to) == 0) {
                throw new Refusal("openings", "%s has no width: give it two ends.".formatted(name));
            }
        }

        public double widthM() {
            return from.distanceM(to);
        }

        /** A thing that fills it, such as the daylight that it lets in. */
        public Piece asPiece(Piece kind) {
            return kind.sized(widthM(), headM - sillM);
        }
    }

    /**
     * @param outline corners in order, three or more
     * @param heightM metres
     * @param surface what it sends back, or null: then a grey is taken
     */
    public record Furniture(String name, List<PlanPoint> outline, double heightM, @Nullable Surface surface) {

        /** Wood and cloth of no known colour. */
        private static final Surface USUAL = Surface.grey(0.3);

        public Furniture(String name, List<PlanPoint> outline, double heightM) {
            this(name, outline, heightM, null);
        }

        /** What it sends back, as far as it is known. */
        public Surface paint() {
            return surface == null ? USUAL : surface;
        }

        public Furniture {
            name = Checks.text("A piece of furniture's name", name, LONGEST_NAME);
            outline = List.copyOf(outline);
            if (outline.size() < 3) {
                throw new Refusal("%s needs three corners or more.".formatted(name));
            }
        }
    }

    /** What the place does not allow; empty when nothing was said. */
    @Override
    public List<Restriction> restrictions() {
        return restrictions == null ? List.of() : restrictions;
    }

    public SetPlan {
        if (ceilingHeightM != null) {
            Checks.within("Ceiling", ceilingHeightM, 1, HIGHEST_CEILING_M, " m");
        }
        Checks.finite("North", northDeg);
        walls = List.copyOf(walls);
        openings = List.copyOf(openings);
        furniture = List.copyOf(furniture);
        landmarks = List.copyOf(landmarks);
        restrictions = restrictions == null ? List.of() : List.copyOf(restrictions);
        for (List<?> many : List.of(walls, openings, furniture, landmarks)) {
            Checks.within("The number of walls, openings, furniture or landmarks", many.size(), 0, MOST_OF_EACH, "");
        }
        Checks.within("The number of restrictions", restrictions.size(), 0, MOST_RESTRICTIONS, "");
        Set<String> names = new HashSet<>();
        for (Landmark landmark : landmarks) {
            if (!names.add(landmark.name())) {
                throw new Refusal(
                        "landmarks",
                        "Two landmarks are called “%s”: give each its own name.".formatted(landmark.name()));
            }
        }
    }

    /** A set of which no more is known than how it is drawn. */
    public SetPlan(
            @Nullable Double ceilingHeightM,
            double northDeg,
            List<Wall> walls,
            List<Opening> openings,
            List<Furniture> furniture,
            List<Landmark> landmarks) {
        this(ceilingHeightM, northDeg, walls, openings, furniture, landmarks, null, null, null, null, null);
    }

    /** The same with landmarks, each in the place of the one of its name or after all others. */
    public SetPlan with(List<Landmark> more) {
        Map<String, Landmark> all = new LinkedHashMap<>();
        landmarks.forEach(l -> all.put(l.name(), l));
        more.forEach(l -> all.put(l.name(), l));
        return new SetPlan(
                ceilingHeightM,
                northDeg,
                walls,
                openings,
                furniture,
                List.copyOf(all.values()),
                ceiling,
                floor,
                restrictions,
                underlay,
                site);
    }

    /** The same without the picture under it. */
    public SetPlan withoutUnderlay() {
        return new SetPlan(
                ceilingHeightM,
                northDeg,
                walls,
                openings,
                furniture,
                landmarks,
                ceiling,
                floor,
                restrictions,
                null,
                site);
    }

    /** Nothing is drawn yet: no walls, no landmarks; the sky above. */
    public static final SetPlan OPEN = new SetPlan(null, 0, List.of(), List.of(), List.of(), List.of());

    /**
     * What is known of a set when it is started: a bare room, or an open place.
     *
     * @param width as typed, or null with the depth for an open place
     * @param depth likewise
     * @param ceiling as typed, or null with no ceiling
     * @throws Refusal when only one of width and depth is given
     */
    public static SetPlan start(@Nullable String width, @Nullable String depth, @Nullable String ceiling) {
        if (isBlank(width) && isBlank(depth)) {
            return OPEN;
        }
        return walled(
                metres("roomWidth", width),
                metres("roomDepth", depth),
                isBlank(ceiling) ? null : metres("ceiling", ceiling));
    }

    private static boolean isBlank(@Nullable String typed) {
        return typed == null || typed.isBlank();
    }

    private static double metres(String field, @Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            throw new Refusal(
                    field, "A room has a width and a depth: give both, or neither for a place without a room.");
        }
        try {
            return Length.parse(typed).metres();
        } catch (Refusal refusal) {
            throw refusal.at(field);
        }
    }

    /** A bare room with a landmark in each corner, from (0, 0). Width along x, depth along y, metres. */
    public static SetPlan room(double widthM, double depthM, double ceilingHeightM) {
        return walled(widthM, depthM, ceilingHeightM);
    }

    private static SetPlan walled(double widthM, double depthM, @Nullable Double ceilingHeightM) {
        Checks.within("Room width", widthM, 1, 200, " m");
        Checks.within("Room depth", depthM, 1, 200, " m");
        PlanPoint a = PlanPoint.of(0, 0);
        PlanPoint b = PlanPoint.of(widthM, 0);
        PlanPoint c = PlanPoint.of(widthM, depthM);
        PlanPoint d = PlanPoint.of(0, depthM);
        return new SetPlan(
                ceilingHeightM,
                0,
                List.of(Wall.of(List.of(a, b, c, d, a))),
                List.of(),
                List.of(),
                List.of(
                        new Landmark("near left corner", a), new Landmark("near right corner", b),
                        new Landmark("far right corner", c), new Landmark("far left corner", d)));
    }

    /**
     * A place for something to stand at first: inside the walls, as near as can be to a part of the set's width and depth.
     *
     * @param right part of the width from the left, 0 to 1
     * @param up part of the depth from below, 0 to 1
     */
    public Place roomFor(double right, double up) {
        List<PlanPoint> all = walls.stream().flatMap(w -> w.points().stream()).toList();
        if (all.isEmpty()) {
            return Place.of(0, 0);
        }
        double left = all.stream().mapToDouble(PlanPoint::xM).min().orElse(0);
        double bottom = all.stream().mapToDouble(PlanPoint::yM).min().orElse(0);
        double width = all.stream().mapToDouble(PlanPoint::xM).max().orElse(0) - left;
        double depth = all.stream().mapToDouble(PlanPoint::yM).max().orElse(0) - bottom;
        PlanPoint wanted = PlanPoint.of(left + right * width, bottom + up * depth);
        Walls inside = tapeWalls();
        Place best = Place.of(wanted.xM(), wanted.yM());
        if (inside.encloses(wanted)) {
            return best;
        }
        double nearest = Double.MAX_VALUE;
        for (int i = 1; i < TRIED; i++) {
            for (int j = 1; j < TRIED; j++) {
                PlanPoint point = PlanPoint.of(left + width * i / TRIED, bottom + depth * j / TRIED);
                if (inside.encloses(point) && point.distanceM(wanted) < nearest) {
                    nearest = point.distanceM(wanted);
                    best = Place.of(point.xM(), point.yM());
                }
            }
        }
        return best;
    }

    /** @throws Refusal when there is no opening of that name */
    public Opening opening(String name) {
        return openings.stream()
                .filter(o -> o.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "opening", "The set has no opening “%s” any more: choose another one.".formatted(name)));
    }

    /** The walls as tapes meet them: a door is a way through, a window is not. */
    public Walls tapeWalls() {
        return new Walls(
                walls.stream().map(Wall::points).toList(),
                openings.stream()
                        .filter(o -> o.kind() == OpeningKind.DOOR)
                        .map(o -> new Walls.Opening(o.from(), o.to()))
                        .toList());
    }

    /**
     * Checks a place against the walls.
     *
     * @throws Refusal when it is outside them and not marked so
     */
    public void check(Placement placement, Place place) {
        Walls all = tapeWalls();
        if (!place.outside() && !all.encloses(place.point())) {
            throw new Refusal(
                    "place",
                    Phrase.format(
                            "%s would stand %s outside the walls. Keep it inside, or mark it as outside when it lights through a window.",
                            placement.name(), Phrase.metres(all.distanceM(place.point()))));
        }
    }
}
