package org.oblume.core.hint;

import java.util.List;
import org.oblume.core.geometry.Direction;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A mark that looks away from every light on set. */
final class FacesAway implements HintRule {

    /** From here on no light reaches either cheek straight: they are turned 45° to the sides. */
    private static final double BEHIND_DEG = 135;

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> {
            List<HintContext.Lit> from = shot.lit(mark)
                    .filter(lit -> lit.at().hasDirection() && !lit.at().allAround())
                    .toList();
            if (!from.isEmpty()
                    && from.stream()
                            .allMatch(lit -> lit.at().direction().angleTo(facing(lit)) > Math.toRadians(BEHIND_DEG))) {
                Placement person = shot.placement(mark.key());
                shot.report(
                        HintKind.FACES_AWAY,
                        person,
                        true,
                        Phrase.of("%s faces away from every light".formatted(person.name())),
                        Phrase.of(
                                "Only what the room sends back reaches the face. Turn the mark if it is recorded the wrong way round, or light it from the front."),
                        shot.position(person));
            }
        });
    }

    private static Direction facing(HintContext.Lit lit) {
        return Direction.of(lit.mark().facing(), 0);
    }
}
