package org.oblume.core.hint;

import org.oblume.core.geometry.Aim;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A lamp that is tilted further than it may burn. */
final class BurnPosition implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.lights().forEach(placement -> {
            Lamp lamp = placement.piece().lamp();
            if (lamp != null) {
                shot.state()
                        .aim(placement.key())
                        .filter(aim -> !lamp.upkeep().burn().allows(aim.tiltDeg()))
                        .ifPresent(aim -> report(shot, placement, lamp, aim));
            }
        });
    }

    private static void report(HintContext shot, Placement placement, Lamp lamp, Aim aim) {
        shot.report(
                HintKind.BURN_POSITION,
                placement,
                true,
                Phrase.of("%s burns at %s %d°"
                        .formatted(
                                placement.name(),
                                aim.tiltDeg() < 0 ? "down" : "up",
                                Math.round(Math.abs(aim.tiltDeg())))),
                Phrase.of("This lamp may run from %s. Tilted further it fails early or comes apart."
                        .formatted(lamp.upkeep().burn().say())),
                null);
    }
}
