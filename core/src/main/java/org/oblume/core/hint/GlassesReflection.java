package org.oblume.core.hint;

import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.MarkLight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** The camera sees a source in a flat upright glass before the eyes (model). */
final class GlassesReflection implements HintRule {

    /** A reflection this near to a source shows it in a lens of the glasses, degrees, beside its own half angle. */
    private static final double WITHIN_DEG = 6;

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.light().marks().stream()
                .filter(mark -> shot.placement(mark.key()).piece().wearsGlasses())
                .forEach(mark -> look(shot, frame.lens(), mark)));
    }

    private static void look(HintContext shot, SpacePoint lens, MarkLight mark) {
        if (lens.coincides(mark.face())) {
            return;
        }
        Direction facing = Direction.of(mark.facing(), 0);
        Direction toCamera = Direction.between(mark.face(), lens);
        if (toCamera.dot(facing) <= 0) {
            return;
        }
        Direction seen = toCamera.mirrored(facing).opposite();
        shot.lit(mark)
                .filter(lit -> lit.at().hasDirection()
                        && Math.toDegrees(lit.at().direction().angleTo(seen)) < reach(lit))
                .forEach(lit -> report(shot, lit));
    }

    private static double reach(HintContext.Lit lit) {
        return WITHIN_DEG + lit.at().angularSizeDeg() / 2;
    }

    private static void report(HintContext shot, HintContext.Lit lit) {
        Placement person = shot.placement(lit.mark().key());
        double up = lit.at().throwM() * Math.tan(Math.toRadians(reach(lit)));
        shot.report(
                HintKind.GLASSES,
                lit.source(),
                false,
                Phrase.of("%s shows in the glasses of %s".formatted(lit.source().name(), person.name())),
                Phrase.format(
                        "At this height and head position the camera sees it reflected. Raise it about %s, or turn the glasses down a little.",
                        Length.ofMetres(up).small()),
                null);
    }
}
