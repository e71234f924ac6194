package org.oblume.core.rigging;

import java.util.OptionalInt;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Refusal;

/**
 * The sandbags that a recorded thing on a stand wants (model, as {@link StandInWind} has it: the recorded front in an even wind, the stand's
 * own weight left out, which is on the safe side, and of grip its weight too).
 */
public final class StandBags {

    /** A wind that sways small trees, m/s; for more a stand is taken down. */
    public static final double OUTSIDE_MS = 8;

    private StandBags() {}

    /** Whether a thing is on a stand of this crew's: a camera stands on its own legs and has its own crew. */
    public static boolean isOnStand(Placement placement) {
        return placement.kind() != PlacementKind.CAMERA && placement.piece().mount() == Mount.STAND;
    }

    public static boolean isOutside(Placement placement, RecordedState state) {
        return state.value(placement.key(), Place.class).filter(Place::outside).isPresent();
    }

    /** How many; empty when its height is not recorded, or when no number of them holds it. */
    public static OptionalInt of(Placement placement, RecordedState state) {
        try {
            return isHigh(placement, state) ? OptionalInt.of(holding(placement, state)) : OptionalInt.empty();
        } catch (Refusal tooMany) {
            return OptionalInt.empty();
        }
    }

    /** Whether it is on a stand of which a height is recorded. */
    public static boolean isHigh(Placement placement, RecordedState state) {
        return isOnStand(placement)
                && state.value(placement.key(), Height.class)
                        .filter(h -> h.heightM() > 0)
                        .isPresent();
    }

    /**
     * How many hold one that {@link #isHigh}.
     *
     * @throws Refusal when no number of them does
     */
    public static int holding(Placement placement, RecordedState state) {
        Lamp lamp = placement.piece().lamp();
        StandInWind.Standing standing = new StandInWind.Standing(
                lamp == null ? 0 : lamp.upkeep().weightKg(),
                0,
                0,
                StandInWind.DEFAULT_FOOT_RADIUS_M,
                state.value(placement.key(), Height.class).orElseThrow().heightM(),
                placement.piece().widthM() * tallM(placement.piece()),
                placement.kind().isLight() ? StandInWind.Shape.HEAD : StandInWind.Shape.CLOTH);
        return StandInWind.of(
                        standing,
                        isOutside(placement, state) ? OUTSIDE_MS : StandInWind.INDOORS_MS,
                        StandInWind.DEFAULT_BAG_KG,
                        StandInWind.DEFAULT_FACTOR)
                .bags();
    }

    private static double tallM(Piece piece) {
        Lamp lamp = piece.lamp();
        return lamp == null || lamp.round() ? piece.tallM() : lamp.emitterHeightM();
    }
}
