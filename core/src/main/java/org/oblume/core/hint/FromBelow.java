package org.oblume.core.hint;

import org.oblume.core.plot.HintKind;
import org.oblume.core.units.Phrase;

/** A light that reaches a face from below its eyes: shadows go up, which is seen at once. */
final class FromBelow implements HintRule {

    private static final double BELOW_DEG = -10;
    /** Part of the light on both cheeks from which it is seen. */
    private static final double LEAST_PART = 0.15;
    /** From behind it does not reach the face. */
    private static final double FRONT_DEG = 100;

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> {
            double all = mark.lit().lux() + mark.shadow().lux();
            shot.lit(mark)
                    .filter(lit -> lit.at().hasDirection()
                            && !lit.at().allAround()
                            && lit.at().elevationDeg() < BELOW_DEG
                            && Math.abs(lit.sideDeg()) < FRONT_DEG
                            && mark.cheeksLux(lit.source().key()) > LEAST_PART * all)
                    .forEach(lit -> report(shot, lit));
        });
    }

    private static void report(HintContext shot, HintContext.Lit lit) {
        shot.report(
                HintKind.FROM_BELOW,
                lit.source(),
                false,
                Phrase.of("%s lights %s from below"
                        .formatted(
                                lit.source().name(),
                                shot.placement(lit.mark().key()).name())),
                Phrase.of(
                        "It comes from %d° under the eyes: nose and brow throw their shadows up. Raise %s, or leave it and say so."
                                .formatted(
                                        Math.round(-lit.at().elevationDeg()),
                                        lit.at().straight() ? "it" : "what sends it on")),
                null);
    }
}
