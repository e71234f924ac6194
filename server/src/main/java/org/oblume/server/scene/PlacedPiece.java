package org.oblume.server.scene;

import org.oblume.core.plot.Placement;

/**
 * A placement with the id it is stored under.
 *
 * @param version counts the changes of its card, for If-Match
 */
public record PlacedPiece(long id, long version, Placement placement) {}
