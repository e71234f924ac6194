package org.oblume.core.hint;

import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.Glasses;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** The camera sees a source in the {@link Glasses} that somebody wears. */
final class GlassesReflection implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.light().marks().stream()
                .filter(mark -> shot.placement(mark.key()).piece().wearsGlasses())
                .forEach(mark -> shot.lit(mark)
                        .filter(lit -> Glasses.mirror(frame.lens(), mark, lit.at()))
                        .forEach(lit -> report(shot, frame.lens(), lit))));
    }

    private static void report(HintContext shot, SpacePoint camera, HintContext.Lit lit) {
        Placement person = shot.placement(lit.mark().key());
        double clearDeg = Glasses.clearDeg(camera, lit.mark(), lit.at());
        double level = lit.at().throwM() * Math.cos(Math.toRadians(lit.at().elevationDeg()));
        double up = level
                * (Math.tan(Math.toRadians(Math.min(80, clearDeg)))
                        - Math.tan(Math.toRadians(lit.at().elevationDeg())));
        shot.report(
                HintKind.GLASSES,
                lit.source(),
                false,
                Phrase.of("%s shows in the glasses of %s".formatted(lit.source().name(), person.name())),
                up > 0
                        ? Phrase.format(
                                "The camera sees it in a lens, the head held level (model). Raise it about %s, or turn the glasses down a little.",
                                Length.ofMetres(up).small())
                        : Phrase.of(
                                "The camera sees it in a lens, the head held level (model). Move it to the side, or turn the glasses down a little."),
                null);
    }
}
