package org.oblume.core.exposure;

import java.util.List;
import java.util.function.ToDoubleFunction;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A crew's own curve from signal to light, linear between its points.
 *
 * @param name as it is called beside a figure
 * @param points 2 to 256, percent and light rising
 */
public record SignalTable(String name, List<Point> points) implements SignalCurve {

    private static final int LONGEST_NAME = 60;
    private static final int MOST_POINTS = 256;
    private static final double LOWEST_PERCENT = -10;
    private static final double HIGHEST_PERCENT = 120;
    private static final double MOST_LIGHT = 1e4;

    /**
     * @param percent of the video range, −10 to 120
     * @param light relative to 1, 0 to 10,000
     */
    public record Point(double percent, double light) {

        public Point {
            Checks.within("percent", "A percent", percent, LOWEST_PERCENT, HIGHEST_PERCENT, "");
            Checks.within("light", "A light", light, 0, MOST_LIGHT, "");
        }
    }

    public SignalTable {
        name = Checks.text("The curve's name", name, LONGEST_NAME);
        points = List.copyOf(points);
        if (points.size() < 2 || points.size() > MOST_POINTS) {
            throw new Refusal("points", "A curve has 2 to %d points: percent and light.".formatted(MOST_POINTS));
        }
        for (int i = 1; i < points.size(); i++) {
            Point before = points.get(i - 1);
            Point here = points.get(i);
            if (here.percent <= before.percent || here.light <= before.light) {
                throw new Refusal(
                        "points",
                        "Percent and light of a curve have to rise from point to point: look at point %d."
                                .formatted(i + 1));
            }
        }
    }

    @Override
    public double light(double percent) {
        return percent < first().percent || percent > last().percent
                ? Double.NaN
                : between(percent, Point::percent, Point::light);
    }

    @Override
    public double percent(double light) {
        return between(Math.max(first().light, Math.min(last().light, light)), Point::light, Point::percent);
    }

    @Override
    public double top() {
        return last().light;
    }

    @Override
    public String label() {
        return name;
    }

    private Point first() {
        return points.get(0);
    }

    private Point last() {
        return points.get(points.size() - 1);
    }

    private double between(double at, ToDoubleFunction<Point> along, ToDoubleFunction<Point> value) {
        int to = 1;
        while (along.applyAsDouble(points.get(to)) < at) {
            to++;
        }
        double low = along.applyAsDouble(points.get(to - 1));
        double part = (at - low) / (along.applyAsDouble(points.get(to)) - low);
        double from = value.applyAsDouble(points.get(to - 1));
        return from + part * (value.applyAsDouble(points.get(to)) - from);
    }
}
