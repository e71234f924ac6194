package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.units.Refusal;

/**
 * The shots of a scene and their knots: what holds in each shot, and which changes are allowed. Immutable. Resolving a
 * shot is linear in the knots of the shots it is based on.
 */
public final class CarryBook {

    private final Map<Slate, ShotNode> shots = new LinkedHashMap<>();
    private final Map<Slate, List<Knot>> knotsBySlate = new HashMap<>();

    private CarryBook(Collection<ShotNode> shots, Collection<Knot> knots) {
        for (ShotNode shot : shots) {
            if (this.shots.put(shot.slate(), shot) != null) {
                throw new Refusal(
                        "slate",
                        "Two shots of the scene are called %s: give each its own slate.".formatted(shot.slate()));
            }
        }
        for (ShotNode shot : shots) {
            requireBase(shot.slate(), shot.basedOn());
        }
        Set<Slate> grounded = new HashSet<>();
        for (ShotNode shot : shots) {
            requireGround(shot, grounded);
        }
        Map<Slate, Set<ValueKey>> seen = new HashMap<>();
        for (Knot knot : knots) {
            if (!this.shots.containsKey(knot.slate())) {
                throw new Refusal("A knot names shot %s, which the scene does not have.".formatted(knot.slate()));
            }
            if (!seen.computeIfAbsent(knot.slate(), s -> new HashSet<>()).add(knot.key())) {
                throw new Refusal("%s has two values for the %s of %s: keep one."
                        .formatted(knot.slate(), knot.attribute().label(), knot.placement()));
            }
            knotsBySlate.computeIfAbsent(knot.slate(), s -> new ArrayList<>()).add(knot);
        }
    }

    private CarryBook(CarryBook other) {
        shots.putAll(other.shots);
        other.knotsBySlate.forEach((slate, knots) -> knotsBySlate.put(slate, new ArrayList<>(knots)));
    }

    /** @throws Refusal for a slate used twice, an unknown shot, a cycle, or two knots on one value */
    public static CarryBook of(Collection<ShotNode> shots, Collection<Knot> knots) {
        return new CarryBook(shots, knots);
    }

    /** This book with knots tied, each in the place of one that was tied there before. They were checked. */
    public CarryBook with(Collection<Knot> tied) {
        CarryBook now = new CarryBook(this);
        for (Knot knot : tied) {
            now.untie(knot.slate(), knot.key());
            now.knotsBySlate
                    .computeIfAbsent(knot.slate(), s -> new ArrayList<>())
                    .add(knot);
        }
        return now;
    }

    /** This book with one value of a shot carried again. */
    public CarryBook without(Slate slate, ValueKey value) {
        CarryBook now = new CarryBook(this);
        now.untie(slate, value);
        return now;
    }

    /**
     * This book with a shot based on another one.
     *
     * @throws Refusal on a cycle, or when it or a shot that carries from it has been shot
     */
    public CarryBook rebased(Slate slate, @Nullable Slate basedOn) {
        refuseRebasing(slate, basedOn);
        CarryBook now = new CarryBook(this);
        now.shots.put(slate, new ShotNode(slate, basedOn, node(slate).stage()));
        return now;
    }

    /** What holds in a shot: its own knots, then those of the shot it is based on, and so on back. */
    public ShotState resolve(Slate slate) {
        Map<String, Map<Attribute, Knot>> held = new LinkedHashMap<>();
        for (Slate at : chain(slate)) {
            for (Knot knot : knotsBySlate.getOrDefault(at, List.of())) {
                held.computeIfAbsent(knot.placement(), p -> new EnumMap<>(Attribute.class))
                        .putIfAbsent(knot.attribute(), knot);
            }
        }
        return new ShotState(slate, held);
    }

    /**
     * What holds in every shot, by slate in the scene's order. Shots share what none of them changed: the work is linear in the
     * knots and in shots × placements, where resolving each by itself walks every knot again for each shot further on.
     */
    public Map<Slate, ShotState> resolveAll() {
        Map<Slate, ShotState> all = new LinkedHashMap<>();
        Map<Slate, Map<String, Map<Attribute, Knot>>> heldIn = new HashMap<>();
        for (Slate slate : shots.keySet()) {
            all.put(slate, new ShotState(slate, held(slate, heldIn)));
        }
        return all;
    }

    private Map<String, Map<Attribute, Knot>> held(Slate slate, Map<Slate, Map<String, Map<Attribute, Knot>>> known) {
        List<Slate> unknown =
                chain(slate).stream().takeWhile(s -> !known.containsKey(s)).toList();
        for (int i = unknown.size() - 1; i >= 0; i--) {
            Slate at = unknown.get(i);
            Slate base = node(at).basedOn();
            Map<String, Map<Attribute, Knot>> held =
                    new LinkedHashMap<>(base == null ? Map.of() : known.getOrDefault(base, Map.of()));
            Map<String, Map<Attribute, Knot>> own = new HashMap<>();
            for (Knot knot : knotsBySlate.getOrDefault(at, List.of())) {
                own.computeIfAbsent(knot.placement(), p -> {
                            Map<Attribute, Knot> mine = new EnumMap<>(Attribute.class);
                            mine.putAll(held.getOrDefault(p, Map.of()));
                            held.put(p, mine);
                            return mine;
                        })
                        .put(knot.attribute(), knot);
            }
            known.put(at, held);
        }
        return known.getOrDefault(slate, Map.of());
    }

    /** The shot itself, the one it is based on, and so on to the one that is based on nothing. */
    public List<Slate> chain(Slate slate) {
        List<Slate> chain = new ArrayList<>();
        for (Slate at = node(slate).slate(); at != null; at = node(at).basedOn()) {
            chain.add(at);
        }
        return chain;
    }

    /** All knots, shot by shot in the scene's order. */
    public List<Knot> knots() {
        return shots.keySet().stream()
                .flatMap(slate -> knotsBySlate.getOrDefault(slate, List.of()).stream())
                .toList();
    }

    /** All slates, in the scene's order. */
    public List<Slate> slates() {
        return List.copyOf(shots.keySet());
    }

    /** Shots directly based on this one, in the scene's order. */
    public List<Slate> basedOn(Slate slate) {
        return shots.values().stream()
                .filter(s -> slate.equals(s.basedOn()))
                .map(ShotNode::slate)
                .toList();
    }

    /** @throws Refusal when the shot would in the end be based on itself, naming the way round */
    public void refuseCycle(Slate slate, @Nullable Slate basedOn) {
        List<Slate> way = new ArrayList<>(List.of(slate));
        for (Slate at = basedOn; at != null; at = node(at).basedOn()) {
            boolean closed = at.equals(slate);
            boolean looped = way.contains(at);
            way.add(at);
            if (closed || looped) {
                throw new Refusal(
                        "basedOn",
                        "%s cannot be based on %s, which would base it on itself (%s). Choose another shot."
                                .formatted(slate, basedOn, joined(" from ", way)));
            }
        }
    }

    /**
     * Checks that a shot may be based on another from now on.
     *
     * @throws Refusal on a cycle, or when it or a shot that carries from it has been shot
     */
    public void refuseRebasing(Slate slate, @Nullable Slate basedOn) {
        requireBase(slate, basedOn);
        refuseCycle(slate, basedOn);
        List<Slate> locked = shots.values().stream()
                .filter(s -> s.stage() == ShotStage.SHOT)
                .map(ShotNode::slate)
                .filter(s -> chain(s).contains(slate))
                .toList();
        if (!locked.isEmpty()) {
            throw new Refusal(
                    "basedOn",
                    "%s been shot: what %s is based on stays. Make a new shot instead."
                            .formatted(andList(locked) + (locked.size() == 1 ? " has" : " have"), slate));
        }
    }

    /** @throws Refusal when other shots are based on this one, naming them, or it has been shot */
    public void refuseDeleting(Slate slate) {
        List<Slate> dependants = basedOn(slate);
        if (!dependants.isEmpty()) {
            throw new Refusal("%s cannot be deleted: %s based on it. Base %s on another shot first."
                    .formatted(
                            slate,
                            andList(dependants) + (dependants.size() == 1 ? " is" : " are"),
                            dependants.size() == 1 ? "it" : "them"));
        }
        if (node(slate).stage() == ShotStage.SHOT) {
            throw new Refusal(
                    "%s has been shot: its record stays. Open a revision if that was a slip.".formatted(slate));
        }
    }

    /**
     * Checks that a value of a shot may change. What was shot stays as it was shot, also where it carries the value from
     * a shot before it.
     *
     * @throws Refusal naming the locked shots
     */
    public void refuseChangingWhatWasShot(Slate slate, ValueKey value) {
        List<Slate> locked = new ArrayList<>();
        collectLocked(slate, value, locked);
        if (locked.contains(slate)) {
            throw new Refusal(
                    "%s has been shot and is locked. Open a revision of it, or record the change in a new shot based on it."
                            .formatted(slate));
        }
        if (!locked.isEmpty()) {
            throw new Refusal(
                    "%s been shot and %s this value from %s: changing it here would rewrite %s. Make a new shot for the change."
                            .formatted(
                                    andList(locked) + (locked.size() == 1 ? " has" : " have"),
                                    locked.size() == 1 ? "carries" : "carry",
                                    slate,
                                    locked.size() == 1 ? "it" : "them"));
        }
    }

    /** The first shots that were shot on each way down from this one and carry a value from it: a revision may not rewrite them. */
    public List<Slate> lockedFollowers(Slate slate, ValueKey value) {
        List<Slate> locked = new ArrayList<>();
        for (Slate next : basedOn(slate)) {
            if (!tiesItself(next, value)) {
                locked.addAll(node(next).stage() == ShotStage.SHOT ? List.of(next) : lockedFollowers(next, value));
            }
        }
        return locked;
    }

    /** @throws Refusal when a change in a shot that is based on another comes without a reason */
    public void requireReason(Slate slate, @Nullable Reason reason) {
        if (node(slate).basedOn() != null && reason == null) {
            throw new Refusal(
                    "reason",
                    "%s is based on %s: say why this changes: match, cheat, fix or look."
                            .formatted(slate, node(slate).basedOn()));
        }
    }

    /** @throws Refusal when the scene has no such shot */
    public ShotNode node(Slate slate) {
        ShotNode line = shots.get(slate);
        if (line == null) {
            throw new Refusal("The scene has no shot %s.".formatted(slate));
        }
        return line;
    }

    /** Follows a shot back to one that is known to rest on a shot without a base; each shot is passed once in all. */
    private void requireGround(ShotNode shot, Set<Slate> grounded) {
        Set<Slate> way = new HashSet<>();
        for (Slate at = shot.slate(); at != null && !grounded.contains(at); at = node(at).basedOn()) {
            if (!way.add(at)) {
                refuseCycle(at, node(at).basedOn());
            }
        }
        grounded.addAll(way);
    }

    private void untie(Slate slate, ValueKey value) {
        knotsBySlate.getOrDefault(slate, new ArrayList<>()).removeIf(k -> k.key()
                .equals(value));
    }

    private void requireBase(Slate slate, @Nullable Slate basedOn) {
        if (basedOn != null && !shots.containsKey(basedOn)) {
            throw new Refusal("basedOn", "%s is based on %s, which the scene does not have.".formatted(slate, basedOn));
        }
    }

    private void collectLocked(Slate slate, ValueKey value, List<Slate> locked) {
        if (node(slate).stage() == ShotStage.SHOT) {
            locked.add(slate);
        }
        for (Slate next : basedOn(slate)) {
            if (!tiesItself(next, value)) {
                collectLocked(next, value, locked);
            }
        }
    }

    private boolean tiesItself(Slate slate, ValueKey value) {
        return knotsBySlate.getOrDefault(slate, List.of()).stream()
                .anyMatch(k -> k.key().equals(value));
    }

    private static String joined(String between, List<Slate> names) {
        return names.stream().map(Slate::text).collect(Collectors.joining(between));
    }

    private static String andList(List<Slate> names) {
        int last = names.size() - 1;
        return last == 0 ? names.get(0).text() : joined(", ", names.subList(0, last)) + " and " + names.get(last);
    }
}
