package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/**
 * Something to be placed.
 *
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
        Place place,
        double beamDeg,
        @Nullable Modifiers stack,
        @Nullable Reason reason) {}
