package org.oblume.core.hint;

import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Phrase;

/** Daylight with sun in it, of which nobody can tell where it stands. */
final class SunUnknown implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.standing().filter(p -> p.kind() == PlacementKind.DAYLIGHT).forEach(p -> {
            String missing = shot.light().unknown().get(p.key());
            if (missing != null) {
                shot.report(
                        HintKind.SUN_UNKNOWN,
                        p,
                        false,
                        Phrase.of("%s: the sun is left out".formatted(p.name())),
                        Phrase.of(missing),
                        shot.position(p));
            }
        });
    }
}
