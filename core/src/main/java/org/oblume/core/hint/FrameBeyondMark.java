package org.oblume.core.hint;

import org.oblume.core.geometry.Aim;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A frame before a light that would stand at its mark, or behind it. */
final class FrameBeyondMark implements HintRule {

    @Override
    public void look(HintContext shot) {
        shot.lights().forEach(placement -> shot.state()
                .aim(placement.key())
                .map(Aim::distanceM)
                .ifPresent(markM -> shot.state()
                        .value(placement.key(), Modifiers.class)
                        .orElse(Modifiers.NONE)
                        .items()
                        .forEach(item -> look(shot, placement, item, markM))));
    }

    private static void look(HintContext shot, Placement placement, Modifier item, double markM) {
        Double frameM = item.frameDistanceM();
        if (frameM != null && frameM >= markM) {
            shot.report(
                    HintKind.FRAME_BEYOND_MARK,
                    placement,
                    true,
                    Phrase.format("%s stands behind the mark", Phrase.of(item.name())),
                    Phrase.format(
                            "Its frame is recorded %s before %s, whose mark is %s away: no light comes through it to the mark. Check the distance from the lens.",
                            Phrase.metres(frameM), placement.name(), Phrase.metres(markM)),
                    shot.position(placement));
        }
    }
}
