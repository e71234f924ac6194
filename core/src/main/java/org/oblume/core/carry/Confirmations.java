package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.plot.Attribute;

/** Which values of a scene somebody looked at on set. */
public final class Confirmations {

    public static final Confirmations NONE = new Confirmations(List.of());

    private final Map<ValueKey, List<Confirmation>> byValue = new HashMap<>();

    private Confirmations(Collection<Confirmation> all) {
        all.forEach(
                c -> byValue.computeIfAbsent(c.key(), key -> new ArrayList<>()).add(c));
    }

    public static Confirmations of(Collection<Confirmation> all) {
        return new Confirmations(all);
    }

    /** Who looked, in this very shot, at the value that holds there now; empty when nobody did since it changed. */
    public Optional<Confirmation> here(ShotState state, String placement, Attribute attribute) {
        return state.knot(placement, attribute).flatMap(knot -> byValue.getOrDefault(knot.key(), List.of()).stream()
                .filter(c -> c.slate().equals(state.slate()) && c.value().equals(knot.value()))
                .findFirst());
    }

    /**
     * Whether somebody looked at the value that holds in a shot: there, or in a shot on the way that it carried from its knot. Who saw it
     * stand in a later shot says nothing of an earlier one.
     */
    public boolean holds(CarryBook book, ShotState state, String placement, Attribute attribute) {
        Optional<Knot> held = state.knot(placement, attribute);
        if (held.isEmpty() || !byValue.containsKey(held.get().key())) {
            return false;
        }
        List<Slate> chain = book.chain(state.slate());
        List<Slate> since =
                chain.subList(0, Math.min(chain.size(), chain.indexOf(held.get().slate()) + 1));
        return byValue.get(held.get().key()).stream()
                .anyMatch(c ->
                        since.contains(c.slate()) && c.value().equals(held.get().value()));
    }

    /** All of them, in no order. */
    public List<Confirmation> all() {
        return byValue.values().stream().flatMap(List::stream).toList();
    }
}
