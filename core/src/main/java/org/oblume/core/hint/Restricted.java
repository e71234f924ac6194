package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Restriction;
import org.oblume.core.units.Phrase;

/** A stand where the place allows none. */
final class Restricted implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.rigged().filter(Restricted::standsOnTheFloor).forEach(p -> shot.set().restrictions().stream()
                .filter(r -> r.kind() == Restriction.Kind.NO_STANDS
                        && covers(r.outline(), shot.position(p).onPlan()))
                .forEach(r -> shot.report(
                        HintKind.RESTRICTED,
                        p,
                        true,
                        Phrase.of("%s stands where no stand may".formatted(p.name())),
                        Phrase.of("The place says: %s.".formatted(r.note())),
                        shot.position(p))));
    }

    private static boolean standsOnTheFloor(Placement placement) {
        return placement.piece().mount() == Mount.STAND || placement.piece().mount() == Mount.FLOOR;
    }

    /** @param outline without one, it is of the whole place */
    private static boolean covers(List<PlanPoint> outline, PlanPoint at) {
        if (outline.isEmpty()) {
            return true;
        }
        List<PlanPoint> closed = new ArrayList<>(outline);
        closed.add(outline.get(0));
        return new Walls(List.of(closed), List.of()).encloses(at);
    }
}
