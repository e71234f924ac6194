package org.oblume.core.network;

import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Finds what cannot work in a patch; each conflict says how to mend it. A new rule is a new {@link PatchRule} in the list here. */
public final class PatchCheck {

    private static final List<PatchRule> RULES = List.of(
            new SharedSlots(),
            new UnitTwice(),
            new NoAddress(),
            new PastTheLastSlot(),
            new UnknownMode(),
            new WrongFootprint(),
            new ModeLacksSlots(),
            new NodesWithOneAddress(),
            new NodeOutsideNetwork(),
            new UniverseNotCarried(),
            new TwoSources(),
            new Overruled());

    private PatchCheck() {}

    /**
     * Something that sends a universe, as a receiver hears it.
     *
     * @param id the source's own identifier
     * @param name that it gives itself
     * @param priority 0 to 200
     */
    public record SacnSource(int universe, String id, String name, int priority) {}

    /**
     * What the rules find, in the order of the rules.
     *
     * @param units the lights on set in a shot
     * @param nodes of the production; with none of them nothing is said about nodes
     * @param sources heard on the network now; empty when nobody listens
     * @param us identifier under which this Oblume sends, or null when it does not
     */
    public static List<Conflict> of(
            Collection<PatchedUnit> units,
            Collection<NetworkNode> nodes,
            Collection<SacnSource> sources,
            @Nullable String us) {
        PatchContext patch = new PatchContext(List.copyOf(units), List.copyOf(nodes), List.copyOf(sources), us);
        RULES.forEach(rule -> rule.check(patch));
        return patch.found();
    }
}
