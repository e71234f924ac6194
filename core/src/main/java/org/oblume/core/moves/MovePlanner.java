package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** Turns what differs into what is done, and says what has to wait for what. */
final class MovePlanner {

    /** A light that is moved farther needs its cable run anew (model). */
    private static final double CABLE_REACHES_M = 2;
    /** What is wider, or hangs overhead, takes two people (model). */
    private static final double ONE_PERSON_UP_TO_M = 1.5;

    private static final Set<Attribute> LEVELS =
            EnumSet.of(Attribute.LEVEL, Attribute.CCT, Attribute.TINT, Attribute.COLOUR, Attribute.EFFECT);
    private static final Set<Attribute> CAMERA_SETTINGS =
            EnumSet.of(Attribute.STOP, Attribute.SPEED, Attribute.SHUTTER, Attribute.WHITE, Attribute.LENS_ND);
    private static final Set<Attribute> WHERE = EnumSet.of(Attribute.PLACE, Attribute.HEIGHT, Attribute.AIM);

    private final ComparedState from;
    private final ComparedState to;
    private final JobTimes times;
    private final List<Move> moves = new ArrayList<>();
    private final List<Phrase> recalled = new ArrayList<>();

    MovePlanner(ComparedState from, ComparedState to, JobTimes times) {
        this.from = from;
        this.to = to;
        this.times = times;
    }

    /** All moves, each after those that it waits for. */
    List<Move> moves() {
        Map<Placement, Map<Attribute, Difference>> byThing = new LinkedHashMap<>();
        Differences.between(from, to).forEach(d -> byThing.computeIfAbsent(d.placement(), p -> new LinkedHashMap<>())
                .put(d.attribute(), d));
        byThing.forEach(this::plan);
        if (!recalled.isEmpty()) {
            add(
                    null,
                    Department.CONTROL,
                    Job.RECALL,
                    Phrase.format("Recall %s: %s", Phrase.of(to.state().slate()), joined("; ", recalled)),
                    1,
                    1);
        }
        if (!moves.isEmpty()) {
            to.scene().placements().stream()
                    .filter(p -> p.kind() == PlacementKind.MARK && to.isOnSet(p))
                    .forEach(
                            mark -> add(mark, Department.TOGETHER, Job.METER, Phrase.of("Meter " + mark.name()), 1, 1));
        }
        List<Move> ordered = new ArrayList<>();
        moves.stream().sorted(Comparator.comparing(Move::job)).forEach(m -> ordered.add(waiting(m, ordered)));
        return inOrder(ordered);
    }

    private void plan(Placement thing, Map<Attribute, Difference> changed) {
        boolean was = from.isOnSet(changed.values().iterator().next().from());
        boolean is = to.isOnSet(thing);
        Department department = Department.of(thing);
        if (was && !is) {
            add(
                    thing,
                    department,
                    Job.STRIKE,
                    Phrase.of("%s out%s"
                            .formatted(thing.name(), thing.kind().isLight() ? ": off first, let it cool" : "")),
                    1,
                    people(thing));
            return;
        }
        if (!was) {
            bring(thing, department);
            return;
        }
        if (changed.keySet().stream().anyMatch(WHERE::contains)) {
            shift(thing, department, changed);
        }
        Difference stack = changed.get(Attribute.MODIFIERS);
        if (stack != null) {
            dress(thing, department, value(stack.before()), value(stack.after()));
        }
        if (thing.kind().isLight()) {
            light(thing, changed);
        }
        if (thing.kind() == PlacementKind.CAMERA) {
            camera(thing, changed);
        }
        Difference beam = changed.get(Attribute.BEAM);
        if (beam != null) {
            add(thing, department, Job.AIM, Phrase.format("%s: beam %s", Phrase.of(thing.name()), beam.words()), 1, 1);
        }
    }

    private void bring(Placement thing, Department department) {
        Job job = thing.piece().mount() == Mount.OVERHEAD
                ? Job.RIG
                : thing.kind() == PlacementKind.MARK
                        ? Job.MARK
                        : thing.kind() == PlacementKind.CAMERA ? Job.CAMERA_MOVE : Job.BRING;
        add(
                thing,
                department,
                job,
                Phrase.format("%s in: %s", Phrase.of(thing.name()), set(thing, EnumSet.copyOf(WHERE))),
                1,
                people(thing));
        Modifiers stack = to.state().value(thing.key(), Modifiers.class).orElse(Modifiers.NONE);
        if (!stack.items().isEmpty()) {
            dress(thing, department, Modifiers.NONE, stack);
        }
        if (thing.kind().isLight()) {
            power(thing);
            to.state()
                    .value(thing.key(), Patch.class)
                    .filter(p -> p.universe() != null)
                    .ifPresent(p -> patch(thing, p));
            levels(thing);
        }
        if (thing.kind() == PlacementKind.CAMERA) {
            add(
                    thing,
                    Department.CAMERA,
                    Job.SETTINGS,
                    Phrase.format("%s: set as recorded", Phrase.of(thing.name())),
                    1,
                    1);
        }
    }

    private void shift(Placement thing, Department department, Map<Attribute, Difference> changed) {
        Set<Attribute> told = EnumSet.noneOf(Attribute.class);
        changed.keySet().stream().filter(WHERE::contains).forEach(told::add);
        Job job = !told.contains(Attribute.PLACE)
                ? told.contains(Attribute.HEIGHT) ? Job.RAISE : Job.AIM
                : thing.kind() == PlacementKind.CAMERA
                        ? Job.CAMERA_MOVE
                        : thing.kind() == PlacementKind.MARK
                                ? Job.MARK
                                : thing.piece().mount() == Mount.OVERHEAD ? Job.RIG : Job.SHIFT;
        add(
                thing,
                department,
                job,
                Phrase.format("%s %s", Phrase.of(thing.name()), set(thing, told)),
                1,
                people(thing));
        if (thing.kind().isLight() && movedM(changed.get(Attribute.PLACE)) >= CABLE_REACHES_M) {
            power(thing);
        }
    }

    /** Where it goes: by two tapes, so high, aimed so. */
    private Phrase set(Placement thing, Set<Attribute> told) {
        String key = thing.key();
        List<Phrase> parts = new ArrayList<>();
        if (told.contains(Attribute.PLACE)) {
            to.point(key)
                    .ifPresent(point -> parts.add(RebuildSheet.tapes(to.scene().set(), to.state(), key)
                            .map(MovePlanner::tapes)
                            .orElse(Phrase.format("at %s", new Place(point.xM(), point.yM(), false).phrase()))));
        }
        if (told.contains(Attribute.HEIGHT)) {
            to.state().value(key, Height.class).ifPresent(h -> parts.add(Phrase.format("%s high", h.phrase())));
        }
        if (told.contains(Attribute.AIM)) {
            to.state()
                    .value(key, AimSetting.class)
                    .ifPresent(p -> parts.add(Phrase.format(
                            thing.kind() == PlacementKind.MARK ? "facing %s" : "aimed %s",
                            ChangePhrases.say(to.scene(), p))));
        }
        return joined(", ", parts);
    }

    private static Phrase tapes(TapePair pair) {
        return Phrase.format(
                "to %s from " + plain(pair.a().name()) + ", %s from "
                        + plain(pair.b().name()),
                Phrase.of(Length.ofMetres(pair.distanceAM())),
                Phrase.of(Length.ofMetres(pair.distanceBM())));
    }

    /** A name that may stand in a pattern. */
    private static String plain(String name) {
        return name.replace("%", "%%");
    }

    /** What hangs in the head is the electrician's, what stands on a frame of its own the grip's. */
    private void dress(Placement thing, Department department, Modifiers before, Modifiers after) {
        for (boolean framed : List.of(false, true)) {
            List<Modifier> was = before.items().stream()
                    .filter(m -> m.frameWidthM() != null == framed)
                    .toList();
            List<Modifier> is = after.items().stream()
                    .filter(m -> m.frameWidthM() != null == framed)
                    .toList();
            if (!was.equals(is)) {
                Phrase change = ChangePhrases.restacked(new Modifiers(was), new Modifiers(is));
                int handled = Math.max(
                        1, (int) (was.stream().filter(m -> !is.contains(m)).count()
                                + is.stream().filter(m -> !was.contains(m)).count()));
                add(
                        thing,
                        framed ? Department.GRIP : department,
                        framed ? Job.FRAME : Job.DRESS,
                        Phrase.format("%s: %s", Phrase.of(thing.name()), change),
                        framed ? 1 : handled,
                        framed ? widest(is) > ONE_PERSON_UP_TO_M ? 2 : 1 : 1);
            }
        }
    }

    private void light(Placement thing, Map<Attribute, Difference> changed) {
        Difference patch = changed.get(Attribute.PATCH);
        if (patch != null && patch.after() instanceof Patch p) {
            patch(thing, p);
        }
        Difference menu = changed.get(Attribute.MENU);
        if (menu != null) {
            add(
                    thing,
                    Department.CONTROL,
                    Job.PATCH,
                    Phrase.format("%s, menu: %s", Phrase.of(thing.name()), menu.words()),
                    1,
                    1);
        }
        if (changed.containsKey(Attribute.STANDING) || changed.keySet().stream().anyMatch(LEVELS::contains)) {
            levels(thing);
        }
    }

    private void levels(Placement thing) {
        Phrase as = Phrase.of(thing.name() + " " + dialled(thing.key()));
        Patch patch = to.state().value(thing.key(), Patch.class).orElse(Patch.BY_HAND);
        if (patch.universe() != null) {
            recalled.add(as);
        } else if (patch.reachedBy() == ControlPath.APP) {
            add(
                    thing,
                    Department.CONTROL,
                    Job.AT_THE_HEAD,
                    Phrase.format("%s, in the %s", as, Phrase.of(patch.say())),
                    1,
                    1);
        } else {
            add(thing, Department.ELECTRIC, Job.AT_THE_HEAD, Phrase.format("%s, at the head", as), 1, 1);
        }
    }

    private String dialled(String key) {
        if (to.state()
                .value(key, SetStatus.class)
                .filter(s -> s.state() == SetStatus.State.OFF)
                .isPresent()) {
            return "off";
        }
        List<String> parts = new ArrayList<>();
        to.state().value(key, Level.class).ifPresent(v -> parts.add(v.say()));
        to.state().value(key, ColourTemperature.class).ifPresent(v -> parts.add(v.say()));
        to.state().value(key, Tint.class).filter(t -> t.duv() != 0).ifPresent(v -> parts.add("tint " + v.say()));
        to.state().value(key, Colour.class).filter(c -> !c.plain()).ifPresent(v -> parts.add(v.say()));
        to.state().value(key, Effect.class).filter(Effect::runs).ifPresent(v -> parts.add(v.say()));
        return String.join(", ", parts);
    }

    private void patch(Placement thing, Patch patch) {
        add(thing, Department.CONTROL, Job.PATCH, Phrase.of("%s: %s".formatted(thing.name(), patch.say())), 1, 1);
    }

    private void power(Placement thing) {
        if (thing.piece().watts() > 0) {
            add(
                    thing,
                    Department.ELECTRIC,
                    Job.POWER,
                    Phrase.of("Power to %s, ramp over the cable".formatted(thing.name())),
                    1,
                    1);
        }
    }

    private void camera(Placement camera, Map<Attribute, Difference> changed) {
        Difference lens = changed.get(Attribute.LENS);
        if (lens != null) {
            add(camera, Department.CAMERA, Job.LENS, Phrase.format("Lens %s", lens.words()), 1, 1);
        }
        List<Phrase> set = changed.values().stream()
                .filter(d -> CAMERA_SETTINGS.contains(d.attribute()))
                .map(d -> Phrase.format(d.attribute().label() + " %s", d.words()))
                .toList();
        if (!set.isEmpty()) {
            add(camera, Department.CAMERA, Job.SETTINGS, joined(", ", set), 1, 1);
        }
    }

    /** Two changes of one thing that are the same job are one move. */
    private void add(@Nullable Placement thing, Department department, Job job, Phrase words, int repeats, int people) {
        String key = (thing == null ? "all" : thing.key()) + "/" + job.name().toLowerCase(Locale.ROOT);
        Optional<Move> same = moves.stream().filter(m -> m.key().equals(key)).findFirst();
        same.ifPresent(moves::remove);
        moves.add(new Move(
                key,
                department,
                job,
                thing == null ? null : thing.key(),
                same.map(m -> Phrase.format("%s; %s", m.words(), words)).orElse(words),
                same.map(Move::minutes).orElse(0.0) + repeats * times.of(job),
                people,
                thing == null ? List.of() : cautions(thing, job),
                List.of(),
                0));
    }

    /** All there is to mind where a thing is carried or set; of what hangs in or before it only the heat. */
    private List<String> cautions(Placement thing, Job job) {
        List<String> all = RebuildSheet.cautions(thing, to.state());
        return switch (job) {
            case BRING, RIG, SHIFT, RAISE, CAMERA_MOVE -> all;
            case DRESS, FRAME ->
                all.stream()
                        .filter(c -> c.toLowerCase(Locale.ROOT).contains("hot "))
                        .toList();
            default -> List.of();
        };
    }

    /** A move with what it waits for among those of earlier jobs, and what its way crosses. */
    private Move waiting(Move move, List<Move> before) {
        boolean levels = move.job().compareTo(Job.RECALL) >= 0 || move.job() == Job.AT_THE_HEAD;
        List<String> after = new ArrayList<>(before.stream()
                .filter(b -> b.job().compareTo(move.job()) < 0)
                .filter(b -> levels
                        ? move.job() == Job.METER || b.job().compareTo(Job.PATCH) <= 0
                        : b.job() == Job.STRIKE || Objects.equals(b.placement(), move.placement()))
                .map(Move::key)
                .toList());
        List<String> cautions = new ArrayList<>(move.cautions());
        if (setsStand(move)) {
            for (Placement grip : to.scene().placements()) {
                if (grip.kind().isGrip()
                        && !grip.key().equals(move.placement())
                        && to.isOnSet(grip)
                        && wayCrosses(move, grip)) {
                    boolean moves = this.moves.stream().anyMatch(m -> grip.key().equals(m.placement()) && setsStand(m));
                    if (!moves) {
                        cautions.add("The way crosses %s: lift it clear, or go round.".formatted(grip.name()));
                    }
                }
            }
            if (isGrip(move)) {
                before.stream()
                        .filter(b -> setsStand(b) && !isGrip(b))
                        .filter(b -> wayCrosses(b, placement(move)))
                        .map(Move::key)
                        .forEach(after::add);
            }
        }
        return new Move(
                move.key(),
                move.department(),
                move.job(),
                move.placement(),
                move.words(),
                move.minutes(),
                move.people(),
                cautions,
                after.stream().distinct().toList(),
                0);
    }

    private static boolean setsStand(Move move) {
        return move.job() == Job.SHIFT || move.job() == Job.BRING;
    }

    private boolean isGrip(Move move) {
        return move.placement() != null && placement(move).kind().isGrip();
    }

    private Placement placement(Move move) {
        return to.scene().placement(Objects.requireNonNull(move.placement()));
    }

    /** Whether carrying a stand straight from where it was to where it goes passes through a piece of grip where that will stand. */
    private boolean wayCrosses(Move move, Placement grip) {
        String key = Objects.requireNonNull(move.placement());
        return from.point(key)
                .flatMap(start -> to.point(key).flatMap(end -> to.point(grip.key())
                        .flatMap(middle -> to.state().aim(grip.key()).map(aim -> new Walls(
                                        List.of(edge(middle, aim, grip.piece().widthM())), List.of())
                                .between(start, end)))))
                .orElse(false);
    }

    private static List<PlanPoint> edge(PlanPoint middle, Aim aim, double widthM) {
        double across = Math.toRadians(aim.bearing().degrees() + 90);
        double dx = Math.sin(across) * widthM / 2;
        double dy = Math.cos(across) * widthM / 2;
        return List.of(
                PlanPoint.of(middle.xM() - dx, middle.yM() - dy), PlanPoint.of(middle.xM() + dx, middle.yM() + dy));
    }

    /** By job, but heads before the grip that their way crosses: nobody carries a stand through a frame. */
    private static List<Move> inOrder(List<Move> moves) {
        List<Move> ordered = new ArrayList<>();
        Set<String> done = new HashSet<>();
        List<Move> left = new ArrayList<>(moves);
        Set<String> all = moves.stream().map(Move::key).collect(Collectors.toSet());
        while (!left.isEmpty()) {
            Move next = left.stream()
                    .filter(m -> m.after().stream().allMatch(k -> done.contains(k) || !all.contains(k)))
                    .findFirst()
                    .orElse(left.get(0));
            left.remove(next);
            ordered.add(next);
            done.add(next.key());
        }
        return ordered;
    }

    private static int people(Placement thing) {
        return thing.piece().mount() == Mount.OVERHEAD || thing.piece().widthM() > ONE_PERSON_UP_TO_M ? 2 : 1;
    }

    private static double widest(List<Modifier> framed) {
        return framed.stream()
                .map(Modifier::frameWidthM)
                .filter(Objects::nonNull)
                .mapToDouble(w -> w)
                .max()
                .orElse(0);
    }

    private static double movedM(@Nullable Difference place) {
        return place != null && place.before() instanceof Place a && place.after() instanceof Place b
                ? a.point().distanceM(b.point())
                : 0;
    }

    private static Modifiers value(@Nullable Object stack) {
        return stack instanceof Modifiers modifiers ? modifiers : Modifiers.NONE;
    }

    private static Phrase joined(String by, List<Phrase> parts) {
        return Phrase.format(String.join(by, Collections.nCopies(parts.size(), "%s")), parts.toArray(new Phrase[0]));
    }
}
