package org.oblume.server.shot;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Refusal;

/**
 * Something to be placed: where it is drawn, with values to start from, or as it stands on set, with what was said of it and nothing else.
 *
 * @param key that it shall have, so that a device can go on with it before it was heard; told by its name where it is left out
 * @param wide its own width, as typed, or null for the kind's
 * @param high its own height, likewise
 * @param opening name of the opening of the set that it is the daylight of: it stands and is as large as that, or null
 * @param place where it is drawn, or null
 * @param measured where it stands, measured, or null; with both null it stands on set and has no place yet
 * @param beamDeg beam of a light in degrees
 * @param stack what it comes with
 * @param condition how the place is, of what stands nowhere
 * @param cue what changes, likewise
 * @param said what else is said of it, which holds in the place of what it would start from, or null
 * @param reason as for a knot
 */
record NewPlacement(
        String name,
        PlacementKind kind,
        Role role,
        @Nullable String motivation,
        Piece piece,
        @Nullable String wide,
        @Nullable String high,
        @Nullable String opening,
        @Nullable String key,
        @Nullable Place place,
        @Nullable MeasuredBody measured,
        double beamDeg,
        @Nullable Modifiers stack,
        @Nullable Condition condition,
        @Nullable Cue cue,
        @Nullable List<SaidValue> said,
        @Nullable Reason reason) {

    /** A value that is said of it. */
    record SaidValue(Attribute attribute, @Schema(implementation = AttributeValue.class) JsonNode value) {}

    /** @throws Refusal when nothing is said of what stands nowhere */
    AttributeValue state() {
        if (kind == PlacementKind.CONDITION && condition != null) {
            return condition;
        }
        if (kind == PlacementKind.CUE && cue != null) {
            return cue;
        }
        throw new Refusal(
                kind == PlacementKind.CUE ? "cue" : "condition",
                "Say how it is: a condition has its state, a cue its moment and what changes.");
    }

    /** The thing in its own size. */
    Piece standing() {
        return new ExchangeBody(piece, wide, high).standing();
    }
}
