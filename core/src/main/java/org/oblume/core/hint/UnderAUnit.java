package org.oblume.core.hint;

import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.MarkLight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A person under something that hangs overhead. */
final class UnderAUnit implements HintRule {

    /** A person within this of the plumb line of a unit's edge is under it, metres. */
    private static final double WITHIN_M = 0.8;

    @Override
    public void look(HintContext shot) {
        shot.rigged().filter(p -> p.piece().mount() == Mount.OVERHEAD).forEach(p -> shot.light().marks().stream()
                .filter(mark -> isUnder(mark, p, shot.position(p)))
                .forEach(mark -> report(shot, p, mark)));
    }

    private static boolean isUnder(MarkLight mark, Placement unit, SpacePoint at) {
        return at.zM() > mark.face().zM()
                && mark.face().onPlan().distanceM(at.onPlan())
                        < WITHIN_M + unit.piece().widthM() / 2;
    }

    private static void report(HintContext shot, Placement unit, MarkLight mark) {
        shot.report(
                HintKind.UNDER_A_UNIT,
                unit,
                true,
                Phrase.of("%s hangs over %s"
                        .formatted(unit.name(), shot.placement(mark.key()).name())),
                Phrase.of(
                        "A person under an overhead unit: rated points, safety bond, a qualified rigger; clear the floor while it is worked on."),
                shot.position(unit));
    }
}
