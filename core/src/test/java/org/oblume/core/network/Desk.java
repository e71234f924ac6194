package org.oblume.core.network;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.oblume.core.plot.Patch;

/** Universes full of spots, to be measured. */
public final class Desk {

    private Desk() {}

    /** So many universes, each with 64 spots of 8 slots at some level. */
    public static Map<Integer, UniverseFrame> full(int universes, double percent) {
        return UniverseFrame.of(units(universes, percent));
    }

    public static List<PatchedUnit> units(int universes, double percent) {
        return IntStream.range(0, universes * 64)
                .mapToObj(i -> Truck.unit(
                        "Spot " + i,
                        new Patch(1 + i / 64, 1 + i % 64 * 8, 8, "16-bit white"),
                        Truck.SPOT_MODES,
                        Truck.at(percent, 4300)))
                .toList();
    }
}
