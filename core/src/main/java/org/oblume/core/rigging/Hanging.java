package org.oblume.core.rigging;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Rig;
import org.oblume.core.units.Refusal;

/**
 * Something that hangs, by what is recorded of how. Estimates: a qualified rigger decides.
 *
 * @param key of the placement
 * @param massKg as it was said; else of its lamp without what is on it, or of a light cloth of its size (model, {@value #CLOTH_KG_M2}
 *     kg/m² without a frame); null where neither is known
 * @param said whether somebody said the mass
 * @param pull of a cloth that is pulled flat, as {@link FlatCloth} has it, or null
 */
public record Hanging(
        String key, String name, Rig rig, @Nullable Double massKg, boolean said, @Nullable FlatCloth pull) {

    /** What a light cloth weighs, kg/m² (model). */
    public static final double CLOTH_KG_M2 = 0.15;

    /** Of a thing whose rigging is recorded. */
    public static Optional<Hanging> of(Placement placement, RecordedState state) {
        return state.value(placement.key(), Rig.class).map(rig -> {
            Double mass = mass(placement, rig);
            return new Hanging(
                    placement.key(), placement.name(), rig, mass, rig.massKg() != null, pull(placement, rig, mass));
        });
    }

    private static @Nullable Double mass(Placement placement, Rig rig) {
        Lamp lamp = placement.piece().lamp();
        if (rig.massKg() != null) {
            return rig.massKg();
        }
        if (lamp != null) {
            return lamp.upkeep().weightKg();
        }
        return isCloth(placement) ? Double.valueOf(CLOTH_KG_M2 * areaM2(placement)) : null;
    }

    private static boolean isCloth(Placement placement) {
        return placement.kind() == PlacementKind.FRAME || placement.kind() == PlacementKind.CURTAIN;
    }

    private static double areaM2(Placement placement) {
        return placement.piece().widthM() * placement.piece().tallM();
    }

    /** Between its two sides, by the points of an edge. */
    private static @Nullable FlatCloth pull(Placement placement, Rig rig, @Nullable Double massKg) {
        Double sag = rig.sagM();
        if (sag == null || massKg == null || areaM2(placement) <= 0) {
            return null;
        }
        try {
            return FlatCloth.of(
                    placement.piece().widthM(),
                    placement.piece().tallM(),
                    massKg / areaM2(placement),
                    sag,
                    rig.points());
        } catch (Refusal notFlat) {
            return null;
        }
    }
}
