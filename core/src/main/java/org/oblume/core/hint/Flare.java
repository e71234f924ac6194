package org.oblume.core.hint;

import org.oblume.core.geometry.Direction;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A light that looks into the lens from outside the frame (model: a part of its peak on the lens). */
final class Flare implements HintRule {

    /** Spill this much of the peak on the lens can flare. */
    private static final double PART_OF_PEAK = 0.15;

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.lights().forEach(placement -> shot.light()
                .straight(placement.key())
                .filter(light -> flares(shot, frame, light))
                .ifPresent(light -> report(shot, placement))));
    }

    private static boolean flares(HintContext shot, CameraFrame frame, LightSource light) {
        CameraFrame.Seen seen = frame.see(light.at());
        if (seen == null || seen.inside() || light.at().coincides(frame.lens())) {
            return false;
        }
        double off = Direction.between(light.at(), frame.lens()).angleTo(light.aim());
        boolean spills = light.distribution().candela(off)
                > PART_OF_PEAK * light.distribution().candela(0);
        return spills && shot.light().reaches(light.at(), frame.lens());
    }

    private static void report(HintContext shot, Placement placement) {
        shot.report(
                HintKind.FLARE,
                placement,
                false,
                Phrase.of("%s spills on the lens".formatted(placement.name())),
                Phrase.of(
                        "It looks into the lens from outside the frame: flag it off the lens, turn it, or narrow its beam."),
                shot.position(placement));
    }
}
