package org.oblume.core.say;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Refusal;

/** A shot as it would be with what was said so far. Nothing is kept here. */
final class Draft {

    /** Where eyes are when nothing says it (model). */
    static final double EYES_M = 1.5;

    private final SceneRecord scene;
    private final RecordedState state;
    private final Map<ValueKey, Change> changes = new LinkedHashMap<>();
    private final Set<String> holds = new LinkedHashSet<>();
    private final Map<String, Change> measured = new LinkedHashMap<>();
    /** What levels were before stops were added to them, and how many were. */
    private final Map<String, Lifted> lifted = new LinkedHashMap<>();

    /** @param output part of the full output that the stops are counted from */
    record Lifted(double output, double stops) {}

    Draft(SceneRecord scene, RecordedState state) {
        this.scene = scene.in(state);
        this.state = state;
    }

    /** The same, for trying what a part of the line would do. */
    Draft copy() {
        Draft copy = new Draft(scene, state);
        copy.changes.putAll(changes);
        copy.holds.addAll(holds);
        copy.lifted.putAll(lifted);
        copy.measured.putAll(measured);
        return copy;
    }

    /** A draft of the same shot with one thing more, of which nothing is said yet. */
    Draft having(Placement thing) {
        List<Placement> all = new ArrayList<>(scene.placements());
        all.add(thing);
        return new Draft(SceneRecord.of(scene.set(), all, scene.book()), state);
    }

    SceneRecord scene() {
        return scene;
    }

    RecordedState state() {
        return state;
    }

    List<Change> changes() {
        return List.copyOf(changes.values());
    }

    List<String> holds() {
        return List.copyOf(holds);
    }

    /** What holds after what was said so far. */
    <V extends AttributeValue> Optional<V> value(String key, Class<V> type) {
        Change said = changes.get(new ValueKey(key, Attribute.of(type)));
        return said != null ? Optional.of(type.cast(said.value())) : state.value(key, type);
    }

    /**
     * @throws Refusal when it cannot be recorded of that thing
     */
    void put(Placement placement, AttributeValue value) {
        if (!placement.kind().records(Attribute.of(value))) {
            throw new Refusal("%s has no %s to record."
                    .formatted(placement.name(), Attribute.of(value).label()));
        }
        placement.refuseMovingWhenLocked(Attribute.of(value));
        scene.check(placement, value);
        Change change = new Change(placement.key(), value);
        lifted.remove(placement.key());
        if (value instanceof Place) {
            measured.remove(placement.key());
        }
        changes.put(change.key(), change);
    }

    Lifted lifted(String key, double output) {
        return lifted.getOrDefault(key, new Lifted(output, 0));
    }

    void lift(String key, Lifted now) {
        lifted.put(key, now);
    }

    /** Keeps beside the place that was put last how it was measured. */
    void measured(Placement placement, Measured how) {
        boolean outside =
                value(placement.key(), Place.class).map(Place::outside).orElse(false);
        measured.put(placement.key(), new Change(placement.key(), Place.of(how, outside)));
    }

    /** Places as they were measured, of those that changed. */
    List<Change> measured() {
        return List.copyOf(measured.values());
    }

    void hold(Placement placement) {
        if (!placement.kind().isLight()) {
            throw new Refusal("Only a light can be held.");
        }
        holds.add(placement.key());
    }

    /** Where its lens is. */
    SpacePoint position(Placement thing) {
        return value(thing.key(), Place.class)
                .flatMap(
                        p -> value(thing.key(), Height.class).map(h -> p.point().at(h.heightM())))
                .orElseThrow(() -> new Refusal("%s has no place yet: drag it onto the plan.".formatted(thing.name())));
    }

    /** The point that something is aimed at; without a mark, the first mark on set. */
    SpacePoint target(Placement thing) {
        Optional<AimSetting> aim = value(thing.key(), AimSetting.class);
        String mark = aim.map(AimSetting::mark)
                .orElseGet(
                        () -> marks().stream().findFirst().map(Placement::key).orElse(null));
        if (mark == null) {
            throw new Refusal("There is no mark on set to measure from: place one first.");
        }
        return point(mark, aim.map(AimSetting::heightM).orElse(null));
    }

    /** The bearing that something is aimed along; empty when it is aimed at a mark. */
    Optional<Double> bearingDeg(Placement thing) {
        return value(thing.key(), AimSetting.class).map(AimSetting::bearingDeg);
    }

    /**
     * The point of a mark that something is aimed at.
     *
     * @throws Refusal when it is aimed along a bearing
     */
    SpacePoint markAimedAt(Placement thing) {
        if (bearingDeg(thing).isPresent()) {
            throw new Refusal(
                    "%s is aimed along a bearing, at no mark: say whom it is on first.".formatted(thing.name()));
        }
        return target(thing);
    }

    /** @param heightM metres, or null for the mark's own */
    private SpacePoint point(String mark, @Nullable Double heightM) {
        double height = heightM != null ? heightM : eyesM(mark);
        return value(mark, Place.class)
                .map(p -> p.point().at(height))
                .orElseThrow(() -> new Refusal("The mark has no place yet: drag it onto the plan."));
    }

    /** Metres up to the eyes of a mark. */
    double eyesM(String mark) {
        return value(mark, Height.class).map(Height::heightM).orElse(EYES_M);
    }

    List<Placement> marks() {
        return scene.placements().stream()
                .filter(p -> p.kind() == PlacementKind.MARK && state.isOnSet(p.key()))
                .toList();
    }

    /** The camera that things are moved to the left and right of. */
    Placement camera() {
        return state.camera(scene.placements())
                .orElseThrow(() -> new Refusal("No camera stands here: say north, east, south or west."));
    }

    /**
     * Looked at when all is said: what is moved out of a room may be higher than its ceiling.
     *
     * @throws Refusal at the first value that cannot be
     */
    void require() {
        for (Change change : changes.values()) {
            Reach.require(scene, all(change.placement()), scene.placement(change.placement()), change.value());
        }
    }

    private RecordedState all(String key) {
        List<Change> values = new ArrayList<>();
        for (Attribute attribute : Attribute.values()) {
            state.value(key, attribute).ifPresent(v -> values.add(new Change(key, v)));
        }
        changes.values().stream().filter(c -> c.placement().equals(key)).forEach(values::add);
        return new LookState(state.name(), values);
    }
}
