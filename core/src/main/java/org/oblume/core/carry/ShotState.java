package org.oblume.core.carry;

import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;

/** Everything recorded of a shot, resolved: for each placement and attribute the knot that holds there. */
public final class ShotState extends RecordedState {

    private final Slate slate;
    private final Map<String, Map<Attribute, Knot>> held;

    ShotState(Slate slate, Map<String, Map<Attribute, Knot>> held) {
        this.slate = slate;
        this.held = held;
    }

    /** A state of a shot that rests on these knots and no others. */
    public static ShotState of(Slate slate, Collection<Knot> knots) {
        Map<String, Map<Attribute, Knot>> held = new LinkedHashMap<>();
        knots.forEach(k -> held.computeIfAbsent(k.placement(), p -> new EnumMap<>(Attribute.class))
                .put(k.attribute(), k));
        return new ShotState(slate, held);
    }

    public Slate slate() {
        return slate;
    }

    @Override
    public String name() {
        return slate.text();
    }

    @Override
    public Set<String> placements() {
        return Collections.unmodifiableSet(held.keySet());
    }

    @Override
    public Optional<AttributeValue> value(String placement, Attribute attribute) {
        return knot(placement, attribute).map(Knot::value);
    }

    /** The knot that an attribute rests on, tied here or in a shot before; empty when nothing was recorded. */
    public Optional<Knot> knot(String placement, Attribute attribute) {
        return Optional.ofNullable(held.getOrDefault(placement, Map.of()).get(attribute));
    }

    /** All knots that a placement's values rest on. */
    public Collection<Knot> knots(String placement) {
        return Collections.unmodifiableCollection(
                held.getOrDefault(placement, Map.of()).values());
    }

    public boolean tiedHere(Knot knot) {
        return knot.slate().equals(slate);
    }
}
