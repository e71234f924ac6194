package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;

/** One side of a comparison: a state of a scene. Two sides may be of different scenes. */
public record ComparedState(SceneRecord scene, RecordedState state) {

    /** With what stands in that state. */
    public ComparedState {
        scene = scene.in(state);
    }

    boolean isOnSet(@Nullable Placement placement) {
        return placement != null && state.isOnSet(placement.key());
    }

    @Nullable
    AttributeValue value(@Nullable Placement placement, Attribute attribute) {
        return placement == null
                ? null
                : state.value(placement.key(), attribute).orElse(null);
    }

    /** What stands there, whether it was placed so or exchanged. */
    @Nullable
    AttributeValue standing(@Nullable Placement placement) {
        return placement == null ? null : new Exchanged(placement.piece());
    }

    Optional<PlanPoint> point(String key) {
        return state.value(key, Place.class).map(Place::point);
    }

    Optional<Placement> camera() {
        return state.camera(scene.placements());
    }

    /**
     * Which placement of this side is the same as which of the other: by key in one scene; else the same unit, else the
     * same name. One that has no counterpart stands alone.
     *
     * @return pairs in this side's order, then what is only on the other side
     */
    public List<Pair> pairs(ComparedState other) {
        Map<String, Placement> left = new LinkedHashMap<>();
        other.scene.placements().forEach(p -> left.put(p.key(), p));
        boolean sameScene = scene.hasTheThingsOf(other.scene);
        List<Pair> pairs = new ArrayList<>();
        for (Placement mine : scene.placements()) {
            Placement theirs = sameScene
                    ? left.get(mine.key())
                    : take(left, mine, p -> p.piece().unit())
                            .or(() -> take(left, mine, Placement::name))
                            .orElse(null);
            if (theirs != null) {
                left.remove(theirs.key());
            }
            pairs.add(new Pair(mine, theirs));
        }
        left.values().forEach(theirs -> pairs.add(new Pair(null, theirs)));
        return pairs;
    }

    private static Optional<Placement> take(
            Map<String, Placement> left, Placement mine, Function<Placement, @Nullable String> by) {
        String wanted = by.apply(mine);
        return wanted == null
                ? Optional.empty()
                : left.values().stream()
                        .filter(p -> Objects.equals(by.apply(p), wanted) && p.kind() == mine.kind())
                        .findFirst();
    }

    /**
     * @param from on the first side, or null
     * @param to its counterpart, or null
     */
    public record Pair(@Nullable Placement from, @Nullable Placement to) {

        /** It, as the second side has it where it does. */
        public Placement thing() {
            return to != null ? to : Objects.requireNonNull(from);
        }
    }
}
