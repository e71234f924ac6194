package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.rigging.Hanging;
import org.oblume.core.units.Numbers;

/** What hangs overhead needs rated points and somebody who is qualified; how much it is where it is recorded what it hangs from. */
final class RiggedOverhead implements CautionRule {

    private static final String ALWAYS =
            "Overhead: rated points, safety bond, a qualified rigger. Clear the floor below.";

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        Optional<Hanging> hanging = Hanging.of(placement, state);
        return placement.piece().mount() == Mount.OVERHEAD || hanging.isPresent()
                ? Optional.of(new Caution(
                        Caution.Kind.OVERHEAD,
                        hanging.map(h -> ALWAYS + said(h)).orElse(ALWAYS)))
                : Optional.empty();
    }

    private static String said(Hanging hanging) {
        Double mass = hanging.massKg();
        int points = hanging.rig().points();
        String each = mass == null
                ? " What hangs from %s was not weighed".formatted(hanging.rig().from())
                : " %s kg from %s, %s kg on each of %d point%s (%s)"
                        .formatted(
                                Numbers.fixed(mass, 1),
                                hanging.rig().from(),
                                Numbers.fixed(mass / points, 1),
                                points,
                                points == 1 ? "" : "s",
                                hanging.said() ? "as it was said" : "estimate, without what is on it");
        String bond = Boolean.TRUE.equals(hanging.rig().bond())
                ? "; a bond holds it too."
                : "; NO BOND IS RECORDED: fit one.";
        return each + bond;
    }
}
