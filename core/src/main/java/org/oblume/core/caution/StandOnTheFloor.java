package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;
import org.oblume.core.rigging.StandBags;
import org.oblume.core.rigging.StandInWind;
import org.oblume.core.units.Refusal;

/** A stand goes over unless it is bagged; how many bags is told where the height is recorded, as {@link StandBags} estimates it. */
final class StandOnTheFloor implements CautionRule {

    private static final String ALWAYS = "Bag the high leg, tallest leg under the load";

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return StandBags.isOnStand(placement)
                ? Optional.of(new Caution(Caution.Kind.STAND, ALWAYS + bags(placement, state) + "."))
                : Optional.empty();
    }

    private static String bags(Placement placement, RecordedState state) {
        if (!StandBags.isHigh(placement, state)) {
            return "";
        }
        String wind =
                StandBags.isOutside(placement, state) ? " in a wind of %.0f m/s".formatted(StandBags.OUTSIDE_MS) : "";
        try {
            int bags = StandBags.holding(placement, state);
            return ":%s %d sandbag%s of %.0f kg (estimate without the stand's own weight; a rigger decides)"
                    .formatted(wind, bags, bags == 1 ? "" : "s", StandInWind.DEFAULT_BAG_KG);
        } catch (Refusal tooMany) {
            return ":%s no sandbags hold it (estimate): guy it with a rigger, or take it down".formatted(wind);
        }
    }
}
