package org.oblume.server.shot;

import java.util.List;

/**
 * What an edit of a plot changed.
 *
 * @param placements those that are another than before, whole; the others are as they were
 */
record PlotEdit(PlotView.ShotHead shot, PlotView.Mine mine, List<PlacedView> placements) {}
