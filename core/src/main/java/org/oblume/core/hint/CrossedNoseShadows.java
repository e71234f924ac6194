package org.oblume.core.hint;

import java.util.Optional;
import org.oblume.core.light.MarkLight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/** Key and fill that both throw a shadow of the nose, to either side, and are near to each other in strength. */
final class CrossedNoseShadows implements HintRule {

    /** A nose shadow is seen from a source this far from straight ahead. */
    private static final double FROM_DEG = 10;

    private static final double TO_DEG = 75;
    private static final double WITHIN_STOPS = 1.5;

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> look(shot, mark));
    }

    private static void look(HintContext shot, MarkLight mark) {
        Optional<HintContext.Lit> key = shot.reaching(mark, Role.KEY);
        Optional<HintContext.Lit> fill = shot.reaching(mark, Role.FILL);
        if (key.isPresent() && fill.isPresent()) {
            double stops = Math.abs(
                    Stops.fromRatio(key.get().at().facingLux() / fill.get().at().facingLux())
                            .value());
            if (throwsNose(key.get())
                    && throwsNose(fill.get())
                    && stops < WITHIN_STOPS
                    && key.get().sideDeg() * fill.get().sideDeg() < 0) {
                report(shot, key.get(), fill.get(), stops);
            }
        }
    }

    private static boolean throwsNose(HintContext.Lit lit) {
        double side = Math.abs(lit.sideDeg());
        return side > FROM_DEG && side < TO_DEG;
    }

    private static void report(HintContext shot, HintContext.Lit key, HintContext.Lit fill, double stops) {
        shot.report(
                HintKind.NOSE_SHADOWS,
                fill.source(),
                false,
                Phrase.of("Nose shadows of %s and %s cross"
                        .formatted(key.source().name(), fill.source().name())),
                Phrase.of(
                        "Both throw a shadow of the nose, %s stops apart. Take the fill down or nearer to the camera, or make it larger."
                                .formatted(Stops.of(stops).inTenths())),
                null);
    }
}
