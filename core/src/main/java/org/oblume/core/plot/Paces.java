package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;

/** Walls as one paces them out: {@code 6 right, 4.5 up, 6 left, close}. */
public final class Paces {

    private static final Map<String, Double> WAYS = Map.of("up", 0.0, "right", 90.0, "down", 180.0, "left", 270.0);
    private static final int MOST = 200;

    private Paces() {}

    /**
     * @param start where the first pace begins
     * @param text lengths with a way each, apart by commas; a way is up, right, down or left on the plan, or a bearing such as 45°;
     *        {@code close} goes back to the start
     * @return the points, the start first; three or more when closed
     * @throws Refusal naming the pace that is not understood
     */
    public static List<PlanPoint> from(PlanPoint start, String text) {
        List<PlanPoint> points = new ArrayList<>(List.of(start));
        for (String pace : text.strip().toLowerCase(Locale.ROOT).split("\\s*[,;]\\s+|\\s*[;]\\s*|,(?!\\d)")) {
            if (pace.isBlank()) {
                continue;
            }
            if (points.size() > MOST) {
                throw new Refusal("paces", "That is more than %d paces: draw the wall in parts.".formatted(MOST));
            }
            if (pace.strip().equals("close")) {
                if (points.size() < 3) {
                    throw new Refusal("paces", "A room needs two walls before it can be closed.");
                }
                points.add(start);
                break;
            }
            points.add(next(points.get(points.size() - 1), pace.strip()));
        }
        if (points.size() < 2) {
            throw new Refusal("paces", "Type lengths and ways, such as 6 right, 4.5 up, 6 left, close.");
        }
        return points;
    }

    private static PlanPoint next(PlanPoint from, String pace) {
        int gap = pace.lastIndexOf(' ');
        if (gap < 0) {
            throw new Refusal("paces", "“%s” needs a length and a way, such as 6 right.".formatted(pace));
        }
        double metres = Length.parse(pace.substring(0, gap)).metres();
        String way = pace.substring(gap + 1);
        double bearing = Math.toRadians(
                WAYS.containsKey(way) ? WAYS.get(way) : Bearing.parse(way).degrees());
        return PlanPoint.of(
                round(from.xM() + metres * Math.sin(bearing)), round(from.yM() + metres * Math.cos(bearing)));
    }

    private static double round(double metres) {
        return Math.round(metres * 1000) / 1000.0;
    }
}
