package org.oblume.core.caution;

import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** A head of some kind with what is recorded of it, and what one rule says. */
final class Things {

    private Things() {}

    static Piece lamp(Mount mount, @Nullable Double highestKelvin, double watts) {
        return new Piece(
                "Head", null, 0.2, highestKelvin == null ? null : Double.valueOf(2700), highestKelvin, watts, mount);
    }

    static Optional<Caution> says(CautionRule rule, Piece piece, AttributeValue... recorded) {
        Placement head = new Placement("head", "Head", PlacementKind.HEAD, Role.KEY, null, piece);
        Attribution tie = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
        return rule.of(
                head,
                ShotState.of(
                        new Slate("4A"),
                        Arrays.stream(recorded)
                                .map(v -> new Knot(new Slate("4A"), "head", v, tie))
                                .toList()));
    }
}
