package org.oblume.core.hint;

import java.util.Optional;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/** Another light than the key that throws a shadow of the nose, or of the jaw on the neck, to the key's side, and is near to it in strength. */
final class CrossedNoseShadows implements HintRule {

    /** A nose shadow is seen from a source this far from straight ahead. */
    private static final double FROM_DEG = 10;

    private static final double TO_DEG = 75;
    /** From farther round it is the jaw that throws a shadow on the neck, when the source is high. */
    private static final double NECK_TO_DEG = 120;

    private static final double HIGH_DEG = 25;
    private static final double WITHIN_STOPS = 1.5;
    /** A larger source throws no shadow that is seen. */
    private static final double SOFT_FROM_DEG = 40;

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> shot.reaching(mark, Role.KEY).ifPresent(key -> {
            if (throwsNose(key) || throwsNeck(key)) {
                shot.lit(mark)
                        .filter(other -> other.source().role() != Role.KEY && isHard(other))
                        .filter(other -> key.sideDeg() * other.sideDeg() < 0)
                        .forEach(other -> look(shot, key, other));
            }
        }));
    }

    private static void look(HintContext shot, HintContext.Lit key, HintContext.Lit other) {
        Optional<Double> stops = Optional.of(other.at().wayLux())
                .filter(lux -> lux > 0 && key.at().wayLux() > 0)
                .map(lux -> Stops.fromRatio(key.at().wayLux() / lux).value())
                .filter(s -> Math.abs(s) < WITHIN_STOPS);
        if (stops.isPresent() && throwsNose(key) && throwsNose(other)) {
            report(shot, key, other, "Nose shadows", "nose", stops.get());
        } else if (stops.isPresent() && throwsNeck(other)) {
            report(shot, key, other, "Neck shadows", "jaw on the neck", stops.get());
        }
    }

    private static boolean isHard(HintContext.Lit lit) {
        return lit.at().hasDirection() && !lit.at().allAround() && lit.at().angularSizeDeg() < SOFT_FROM_DEG;
    }

    private static boolean throwsNose(HintContext.Lit lit) {
        double side = Math.abs(lit.sideDeg());
        return side > FROM_DEG && side < TO_DEG;
    }

    private static boolean throwsNeck(HintContext.Lit lit) {
        double side = Math.abs(lit.sideDeg());
        return lit.at().elevationDeg() > HIGH_DEG && side > FROM_DEG && side < NECK_TO_DEG;
    }

    private static void report(
            HintContext shot, HintContext.Lit key, HintContext.Lit other, String which, String of, double stops) {
        shot.report(
                HintKind.NOSE_SHADOWS,
                other.source(),
                false,
                Phrase.of("%s of %s and %s cross"
                        .formatted(which, key.source().name(), other.source().name())),
                Phrase.of(
                        "Both throw a shadow of the %s, %s stops apart: one falls on the key’s side. Take %s down or nearer to the camera, or make it larger."
                                .formatted(
                                        of,
                                        Stops.of(Math.abs(stops)).inTenths(),
                                        other.source().name())),
                null);
    }
}
