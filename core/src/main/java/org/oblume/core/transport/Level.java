package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;

/**
 * A level area that sends light on evenly: a floor, a ceiling from below or from above, the top of a table.
 *
 * @param heightM metres
 * @param up whether it looks up
 * @param outline corners in order
 * @param without pieces of it that are covered
 * @param along direction on the plan that it is divided along
 * @param sends of what it gets, part of each channel
 * @param enclosed whether it is of a closed room
 */
public record Level(
        double heightM,
        boolean up,
        List<PlanPoint> outline,
        List<List<PlanPoint>> without,
        double[] along,
        double[] sends,
        boolean enclosed) {

    private static final int TRIED = 5;

    void into(Patches patches, double size) {
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        for (PlanPoint p : outline) {
            double a = p.xM() * along[0] + p.yM() * along[1];
            double b = -p.xM() * along[1] + p.yM() * along[0];
            least = Math.min(least, a);
            most = Math.max(most, a);
            low = Math.min(low, b);
            high = Math.max(high, b);
        }
        int across = Math.max(1, (int) Math.ceil((most - least) / size - 1e-9));
        int deep = Math.max(1, (int) Math.ceil((high - low) / size - 1e-9));
        double width = (most - least) / across;
        double depth = (high - low) / deep;
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < deep; j++) {
                cell(patches, least + i * width, low + j * depth, width, depth);
            }
        }
    }

    private void cell(Patches patches, double from, double below, double width, double depth) {
        double sumX = 0;
        double sumY = 0;
        int left = 0;
        for (int i = 0; i < TRIED; i++) {
            for (int j = 0; j < TRIED; j++) {
                double a = from + (i + 0.5) / TRIED * width;
                double b = below + (j + 0.5) / TRIED * depth;
                double x = a * along[0] - b * along[1];
                double y = a * along[1] + b * along[0];
                if (Walls.contains(outline, x, y) && without.stream().noneMatch(o -> Walls.contains(o, x, y))) {
                    sumX += x;
                    sumY += y;
                    left++;
                }
            }
        }
        if (left == 0) {
            return;
        }
        double part = left / (double) (TRIED * TRIED);
        double shrunk = Math.sqrt(part) / 2;
        patches.add(
                new double[] {sumX / left, sumY / left, heightM},
                new double[] {0, 0, up ? 1 : -1},
                1,
                width * depth * part,
                new double[] {along[0] * width * shrunk, along[1] * width * shrunk, 0},
                new double[] {-along[1] * depth * shrunk, along[0] * depth * shrunk, 0},
                sends,
                Patches.OF_THE_SET,
                enclosed);
    }
}
