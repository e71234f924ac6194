package org.oblume.core.moves;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;

/**
 * One thing that differs between two states, and how.
 *
 * @param thing as the second state has it where it does
 * @param was whether it stands in the first state
 * @param is whether it stands in the second
 * @param differences by attribute
 * @param then the second state
 */
record ThingChange(
        Placement thing, boolean was, boolean is, Map<Attribute, Difference> differences, RecordedState then) {

    boolean isStruck() {
        return was && !is;
    }

    /** Whether it comes in and is set from nothing. */
    boolean isBrought() {
        return !was && is;
    }

    /** Whether it stands in both and something of it changes. */
    boolean isChanged() {
        return was && is;
    }

    boolean changesAny(Set<Attribute> attributes) {
        return differences.keySet().stream().anyMatch(attributes::contains);
    }

    Optional<Difference> of(Attribute attribute) {
        return Optional.ofNullable(differences.get(attribute));
    }

    /** A value as it is to be. */
    <V extends AttributeValue> Optional<V> value(Class<V> type) {
        return then.value(thing.key(), type);
    }

    /** A value before, when it is of a type. */
    static <V> Optional<V> as(Class<V> type, @Nullable Object value) {
        return type.isInstance(value) ? Optional.of(type.cast(value)) : Optional.empty();
    }
}
