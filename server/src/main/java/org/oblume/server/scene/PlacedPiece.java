package org.oblume.server.scene;

import org.oblume.core.plot.Placement;

/** A placement with the id it is stored under. */
public record PlacedPiece(long id, Placement placement) {
}
