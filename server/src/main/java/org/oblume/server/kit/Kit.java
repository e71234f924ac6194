package org.oblume.server.kit;

import java.util.List;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;

/**
 * What can be placed and hung. All figures are nominal.
 *
 * @param fixtures generic kinds of things to place
 * @param stock filters and cloths, without a frame
 */
public record Kit(List<Fixture> fixtures, List<Modifier> stock) {

    /** @param beamDeg beam of a light as it comes, degrees; 0 for grip */
    public record Fixture(PlacementKind kind, Piece piece, double beamDeg) {
    }
}
