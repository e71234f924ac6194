package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/** A scene's record as a whole: its set, what is placed in it, its shots and their knots. */
public final class SceneRecord {

    private final SetPlan set;
    private final Map<String, Placement> placements = new LinkedHashMap<>();
    private final CarryBook book;
    /** As they were placed, whatever took their place since. */
    private final List<Placement> placed;

    private SceneRecord(SceneRecord of, Collection<Placement> standing) {
        this.set = of.set;
        this.book = of.book;
        this.placed = of.placed;
        standing.forEach(p -> placements.put(p.key(), p));
    }

    private SceneRecord(SetPlan set, Collection<Placement> placements, CarryBook book) {
        this.set = set;
        this.book = book;
        for (Placement placement : placements) {
            if (this.placements.put(placement.key(), placement) != null) {
                throw new Refusal("Two placements have the key “%s”: give each its own.".formatted(placement.key()));
            }
        }
        placed = List.copyOf(placements);
    }

    /** @throws Refusal when two placements share a key */
    public static SceneRecord of(SetPlan set, Collection<Placement> placements, CarryBook book) {
        return new SceneRecord(set, placements, book);
    }

    public SetPlan set() {
        return set;
    }

    /** The same scene with another book of shots and knots. */
    public SceneRecord with(CarryBook other) {
        return new SceneRecord(set, placed, other);
    }

    /** The same scene with what stands in a state of it, where a unit was exchanged. */
    public SceneRecord in(RecordedState state) {
        return new SceneRecord(
                this,
                placed.stream()
                        .map(p -> state.value(p.key(), Exchanged.class)
                                .map(e -> p.with(e.piece()))
                                .orElse(p))
                        .toList());
    }

    /** Whether another record is of the same things, whatever stands in their places. */
    public boolean hasTheThingsOf(SceneRecord other) {
        return placements.keySet().equals(other.placements.keySet())
                && placements.values().stream()
                        .allMatch(p -> p.name().equals(other.placement(p.key()).name()));
    }

    /** In the scene's own order. */
    public List<Placement> placements() {
        return List.copyOf(placements.values());
    }

    public CarryBook book() {
        return book;
    }

    /** @throws Refusal when the scene has no such placement */
    public Placement placement(String key) {
        Placement placement = placements.get(key);
        if (placement == null) {
            throw new Refusal("The scene has no placement “%s”.".formatted(key));
        }
        return placement;
    }

    /** A value with marks and lights called as the crew calls them, for reading only. */
    public AttributeValue named(AttributeValue value) {
        if (value instanceof AimSetting aim && aim.mark() != null && aim.heightM() != null) {
            return AimSetting.atMark(placement(aim.mark()).name(), aim.heightM());
        }
        return value instanceof Cue cue ? cue.named(key -> placement(key).name()) : value;
    }

    /**
     * Checks that a value can be recorded of a placement on this set, as far as that needs no other value of the shot.
     *
     * @throws Refusal with what is wrong and what to do
     */
    public void check(String key, AttributeValue value) {
        check(placement(key), value);
    }

    /** The same of a placement that may not be in the scene yet. */
    public void check(Placement placement, AttributeValue value) {
        placement.check(value);
        if (value instanceof Place place) {
            set.check(placement, place);
        }
        if (value instanceof Cue cue) {
            cue.changes().forEach(step -> step.values().forEach(placement(step.placement())::check));
        }
        if (value instanceof AimSetting pointing && pointing.mark() != null) {
            Placement mark = placement(pointing.mark());
            if (mark.kind() != PlacementKind.MARK || mark.key().equals(placement.key())) {
                throw new Refusal("%s cannot be aimed at %s: aim at a mark, or give a bearing and a tilt."
                        .formatted(placement.name(), mark.name()));
            }
        }
    }

    /**
     * Checks that what is recorded of a placement can be of what stands there, in every shot.
     *
     * @throws Refusal with the shot and what does not fit
     */
    public void checkStanding(String key) {
        for (Slate slate : book.slates()) {
            ShotState state = book.resolve(slate);
            Placement standing = in(state).placement(key);
            for (Knot knot : state.knots(key)) {
                try {
                    standing.check(knot.value());
                } catch (Refusal refusal) {
                    throw new Refusal(
                            "value",
                            "%s, %s: %s".formatted(slate, knot.attribute().label(), refusal.getMessage()));
                }
            }
        }
    }

    /** Everything that is wrong with this record, a sentence each; empty when it is sound. */
    public List<String> problems(Collection<Knot> knots) {
        List<String> problems = new ArrayList<>();
        for (Knot knot : knots) {
            gather(problems, k -> in(book.resolve(k.slate())).check(k.placement(), k.value()), knot);
            gather(problems, k -> book.requireReason(k.slate(), k.attribution().reason()), knot);
        }
        return problems;
    }

    private static <T> void gather(List<String> problems, Consumer<T> check, T subject) {
        try {
            check.accept(subject);
        } catch (Refusal refusal) {
            String where = subject instanceof Knot knot
                    ? "%s, %s of %s: "
                            .formatted(knot.slate(), Attribute.of(knot.value()).label(), knot.placement())
                    : "";
            problems.add(where + refusal.getMessage());
        }
    }
}
