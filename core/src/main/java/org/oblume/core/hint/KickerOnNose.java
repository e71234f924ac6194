package org.oblume.core.hint;

import org.oblume.core.light.BustReading;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;

/** An edge light that comes so far round that it reaches the nose. */
final class KickerOnNose implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> shot.lit(mark)
                .filter(lit -> lit.source().role() == Role.EDGE && BustReading.reachesNose(mark, lit.at()))
                .forEach(lit -> report(shot, lit)));
    }

    private static void report(HintContext shot, HintContext.Lit lit) {
        shot.report(
                HintKind.KICKER_ON_NOSE,
                lit.source(),
                false,
                Phrase.of("%s reaches the nose of %s"
                        .formatted(
                                lit.source().name(),
                                shot.placement(lit.mark().key()).name())),
                Phrase.of("It comes from %d° off the way the face looks: from %d° on it stays on cheek and ear."
                        .formatted(Math.round(Math.abs(lit.sideDeg())), Math.round(BustReading.NOSE_TIP_DEG))),
                null);
    }
}
