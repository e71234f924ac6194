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

/** A saved look: values that stand by themselves, tied in no shot. */
public final class LookState extends RecordedState {

    private final String name;
    private final Map<String, Map<Attribute, AttributeValue>> held = new LinkedHashMap<>();

    /**
     * @param name what the crew calls it
     * @param values all there is to it; of two of the same value the later one holds
     */
    public LookState(String name, Collection<Change> values) {
        this.name = name;
        values.forEach(v -> held.computeIfAbsent(v.placement(), p -> new EnumMap<>(Attribute.class))
                .put(v.attribute(), v.value()));
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public Set<String> placements() {
        return Collections.unmodifiableSet(held.keySet());
    }

    @Override
    public Optional<AttributeValue> value(String placement, Attribute attribute) {
        return Optional.ofNullable(held.getOrDefault(placement, Map.of()).get(attribute));
    }
}
