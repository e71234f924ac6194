package org.oblume.server.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Phrase;
import org.oblume.server.shot.PlacedView;

/**
 * Changes that were tried on a shot and are not kept.
 *
 * @param changes all of them, with the levels that hold
 * @param holds what each held light does
 * @param placements those that change, as they would be
 * @param light as it would be
 */
record TrialView(List<ChangeView> changes, List<HoldView> holds, List<PlacedView> placements, LightView light) {

    /**
     * A change in words.
     *
     * @param label of the attribute
     * @param before null when nothing was recorded
     * @param revision to keep it on
     */
    record ChangeView(
            String placement,
            String name,
            Attribute attribute,
            String label,
            @Nullable Phrase before,
            Phrase after,
            AttributeValue value,
            long revision) {}

    /**
     * A light whose level follows so that the mark keeps its stop.
     *
     * @param mark name of the mark
     * @param changeStops what the mark would gain at an unchanged level
     * @param levelPercent that holds; 100 when it cannot
     * @param shortStops what is missing then
     * @param offers what could make up for it, in words
     */
    record HoldView(
            String placement,
            String name,
            String mark,
            double changeStops,
            double levelPercent,
            boolean reachable,
            double shortStops,
            double sizeFromDeg,
            double sizeToDeg,
            @Nullable Double distanceFromM,
            @Nullable Double distanceToM,
            List<Phrase> offers) {}
}
