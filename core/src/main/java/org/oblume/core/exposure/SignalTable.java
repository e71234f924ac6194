package org.oblume.core.exposure;

import java.util.List;
import org.oblume.core.units.Refusal;

/**
 * A crew's own curve from signal to light, linear between its points.
 *
 * @param points two or more, percent rising
 */
record SignalTable(List<Point> points) {

    /**
     * @param percent of the video range
     * @param light relative to 1
     */
    public record Point(double percent, double light) {}

    public SignalTable {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new Refusal("A curve needs two points or more: percent and light.");
        }
        for (int i = 1; i < points.size(); i++) {
            if (!(points.get(i).percent() > points.get(i - 1).percent())) {
                throw new Refusal("The percents of a curve have to rise: look at point %d.".formatted(i + 1));
            }
        }
    }

    /** @throws Refusal outside the table */
    public double light(double percent) {
        for (int i = 1; i < points.size(); i++) {
            Point from = points.get(i - 1);
            Point to = points.get(i);
            if (percent >= from.percent() && percent <= to.percent()) {
                double part = (percent - from.percent()) / (to.percent() - from.percent());
                return from.light() + part * (to.light() - from.light());
            }
        }
        throw new Refusal("The curve has no light for this percentage: it goes from %s to %s."
                .formatted(
                        points.get(0).percent(), points.get(points.size() - 1).percent()));
    }
}
