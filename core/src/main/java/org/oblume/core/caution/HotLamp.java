package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;

/** A hot filament (model): a lamp that cannot be dialled above a warm white and draws much. */
final class HotLamp implements CautionRule {

    /** A lamp that cannot be dialled above this colour is taken to have a hot filament, kelvin (model). */
    private static final double FILAMENT_UP_TO_K = 3400;

    private static final double HOT_FROM_W = 150;
    private static final Caution CAUTION = new Caution(
            Caution.Kind.HEAT, "Hot lamp: clear of cloth, gel and sprinklers. Let it cool before it is moved.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return isHot(placement.piece()) ? Optional.of(CAUTION) : Optional.empty();
    }

    static boolean isHot(Piece piece) {
        Double highest = piece.highestKelvin();
        return highest != null && highest <= FILAMENT_UP_TO_K && piece.watts() >= HOT_FROM_W;
    }
}
