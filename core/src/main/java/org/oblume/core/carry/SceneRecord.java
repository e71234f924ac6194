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

    private SceneRecord(SetPlan set, Collection<Placement> placements, CarryBook book) {
        this.set = set;
        this.book = book;
        for (Placement placement : placements) {
            if (this.placements.put(placement.key(), placement) != null) {
                throw new Refusal("Two placements have the key “%s”: give each its own.".formatted(placement.key()));
            }
        }
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
        return new SceneRecord(set, placements(), other);
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

    /**
     * Checks that a value can be recorded of a placement on this set, as far as that needs no other value of the shot.
     *
     * @throws Refusal with what is wrong and what to do
     */
    public void check(String key, AttributeValue value) {
        Placement placement = placement(key);
        placement.check(value);
        if (value instanceof Place place) {
            set.check(placement, place);
        }
        if (value instanceof AimSetting pointing && pointing.mark() != null) {
            Placement mark = placement(pointing.mark());
            if (mark.kind() != PlacementKind.MARK || mark.key().equals(key)) {
                throw new Refusal("%s cannot be aimed at %s: aim at a mark, or give a bearing and a tilt."
                        .formatted(placement.name(), mark.name()));
            }
        }
    }

    /** Everything that is wrong with this record, a sentence each; empty when it is sound. */
    public List<String> problems(Collection<Knot> knots) {
        List<String> problems = new ArrayList<>();
        for (Knot knot : knots) {
            gather(problems, k -> check(k.placement(), k.value()), knot);
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
