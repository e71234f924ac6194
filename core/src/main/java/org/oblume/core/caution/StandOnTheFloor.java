package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.rigging.StandInWind;
import org.oblume.core.units.Refusal;

/**
 * A stand goes over unless it is bagged; a camera stands on its own legs and has its own crew. How many bags is told where the height is
 * recorded (model, as {@link StandInWind} has it: the recorded front in an even wind, the stand's own weight left out, which is on the
 * safe side, and of grip its weight too).
 */
final class StandOnTheFloor implements CautionRule {

    private static final String ALWAYS = "Bag the high leg, tallest leg under the load";
    /** A wind that sways small trees; for more it is taken down. */
    private static final double OUTSIDE_MS = 8;

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        boolean onStand =
                placement.kind() != PlacementKind.CAMERA && placement.piece().mount() == Mount.STAND;
        if (!onStand) {
            return Optional.empty();
        }
        String bags = state.value(placement.key(), Height.class)
                .map(Height::heightM)
                .filter(high -> high > 0)
                .map(high -> bags(placement, high, isOutside(placement, state)))
                .orElse("");
        return Optional.of(new Caution(Caution.Kind.STAND, ALWAYS + bags + "."));
    }

    private static boolean isOutside(Placement placement, RecordedState state) {
        return state.value(placement.key(), Place.class).filter(Place::outside).isPresent();
    }

    private static String bags(Placement placement, double heightM, boolean outside) {
        Lamp lamp = placement.piece().lamp();
        StandInWind.Standing standing = new StandInWind.Standing(
                lamp == null || lamp.upkeep() == null ? 0 : lamp.upkeep().weightKg(),
                0,
                0,
                StandInWind.DEFAULT_FOOT_RADIUS_M,
                heightM,
                placement.piece().widthM() * placement.piece().tallM(),
                placement.kind().isLight() ? StandInWind.Shape.HEAD : StandInWind.Shape.CLOTH);
        String wind = outside ? " in a wind of %.0f m/s".formatted(OUTSIDE_MS) : "";
        try {
            int bags = StandInWind.of(
                            standing,
                            outside ? OUTSIDE_MS : StandInWind.INDOORS_MS,
                            StandInWind.DEFAULT_BAG_KG,
                            StandInWind.DEFAULT_FACTOR)
                    .bags();
            return ":%s %d sandbag%s of %.0f kg (estimate without the stand's own weight; a rigger decides)"
                    .formatted(wind, bags, bags == 1 ? "" : "s", StandInWind.DEFAULT_BAG_KG);
        } catch (Refusal tooMany) {
            return ":%s no sandbags hold it (estimate): guy it with a rigger, or take it down".formatted(wind);
        }
    }
}
