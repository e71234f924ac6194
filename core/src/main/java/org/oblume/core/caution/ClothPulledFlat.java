package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;
import org.oblume.core.rigging.FlatCloth;
import org.oblume.core.rigging.Hanging;
import org.oblume.core.units.Numbers;

/** A cloth that is pulled flat pulls on what it hangs from: told before it is hung, as {@link FlatCloth} estimates it. */
final class ClothPulledFlat implements CautionRule {

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return Hanging.of(placement, state).flatMap(h -> Optional.ofNullable(h.pull())
                .map(pull -> new Caution(Caution.Kind.OVERHEAD, said(h.rig().from(), pull))));
    }

    private static String said(String from, FlatCloth pull) {
        return "Pulled flat it pulls on %s with %s N per metre, %s N on each of its points (estimate, model: a parabola, no wind)%s A rigger decides."
                .formatted(
                        from,
                        Numbers.fixed(pull.pullNm(), 0),
                        Numbers.fixed(pull.perPointN(), 0),
                        pull.ownStands()
                                ? ": a wall of a set does not hold that, carry it on stands or a frame."
                                : ".");
    }
}
