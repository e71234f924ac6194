package org.oblume.core.network;

import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalInt;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/** What room is left in universes. */
public final class FreeSlots {

    private final Map<Integer, BitSet> taken = new HashMap<>();

    /** Where there is room. */
    public record Spot(int universe, int address) {}

    /** @param standing units that keep their place */
    public static FreeSlots around(Collection<PatchedUnit> standing) {
        FreeSlots free = new FreeSlots();
        for (PatchedUnit unit : standing) {
            if (unit.patch().universe() != null && unit.patch().address() != null) {
                free.take(new Spot(unit.patch().universe(), unit.patch().address()), unit.slots());
            }
        }
        return free;
    }

    void take(Spot spot, int slots) {
        in(spot.universe()).set(spot.address(), Math.min(Patch.LAST_ADDRESS, spot.address() + slots - 1) + 1);
    }

    /**
     * The next address with room for a footprint.
     *
     * @param from where to begin looking; goes on in the universes above
     * @param slots footprint, 1 to 512
     * @param every addresses to begin at: 1 for any, 10 for 1, 11, 21 and so on; the footprint never runs over 512
     * @throws Refusal when there is none up to the last universe
     */
    public Spot next(Spot from, int slots, int every) {
        Checks.within("slots", "The footprint", slots, 1, Patch.LAST_ADDRESS, " slots");
        Checks.within("every", "The step between addresses", every, 1, Patch.LAST_ADDRESS, "");
        for (int universe = from.universe(); universe <= Patch.LAST_UNIVERSE; universe++) {
            OptionalInt address = inUniverse(universe, universe == from.universe() ? from.address() : 1, slots, every);
            if (address.isPresent()) {
                return new Spot(universe, address.getAsInt());
            }
        }
        throw new Refusal(
                "universe", "No universe from %d up has room for %d slots.".formatted(from.universe(), slots));
    }

    /** The first address with room in one universe; empty when there is none. */
    public OptionalInt inUniverse(int universe, int from, int slots, int every) {
        BitSet used = in(universe);
        int first = 1 + (from - 1 + every - 1) / every * every;
        for (int address = first; address + slots - 1 <= Patch.LAST_ADDRESS; address += every) {
            int next = used.nextSetBit(address);
            if (next < 0 || next >= address + slots) {
                return OptionalInt.of(address);
            }
        }
        return OptionalInt.empty();
    }

    /** How many slots of a universe nothing listens to. */
    public int left(int universe) {
        return Patch.LAST_ADDRESS - in(universe).cardinality();
    }

    private BitSet in(int universe) {
        return taken.computeIfAbsent(universe, u -> new BitSet(Patch.LAST_ADDRESS + 1));
    }
}
