package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/**
 * Something to be placed: where it is drawn, with values to start from, or as it stands on set, with what was said of it and nothing else.
 *
 * @param key that it shall have, so that a device can go on with it before it was heard; told by its name where it is left out
 * @param place where it is drawn, or null
 * @param measured where it stands, measured, or null; with both null it stands on set and has no place yet
 * @param beamDeg beam of a light in degrees
 * @param stack what it comes with
 * @param reason as for a knot
 */
record NewPlacement(
        String name,
        PlacementKind kind,
        Role role,
        @Nullable String motivation,
        Piece piece,
        @Nullable String key,
        @Nullable Place place,
        @Nullable MeasuredBody measured,
        double beamDeg,
        @Nullable Modifiers stack,
        @Nullable Reason reason) {}
