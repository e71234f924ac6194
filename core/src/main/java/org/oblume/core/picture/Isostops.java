package org.oblume.core.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Lines of equal exposure over a picture, as the height lines of a map. They end where a surface ends, as height lines do at a cliff.
 */
public final class Isostops {

    /** The least and the most that is drawn, whole stops. */
    public static final int LOWEST = -6;

    public static final int HIGHEST = 4;

    /** Half of the square that stops are evened out over within a surface, dots of a picture of 640. */
    private static final double EVENED = 2.5;

    private static final int EVENED_TIMES = 2;
    private static final double USUAL_WIDTH = 640;
    /** A line that is shorter than this part of the width is left out. */
    private static final double SHORTEST = 0.055;

    private static final double HALF = 0.5;
    /** A dot is left out of a line when the line without it passes as near as this, dots. */
    private static final double STRAIGHT = 0.35;

    private Isostops() {}

    /**
     * A line of equal exposure.
     *
     * @param stops over the camera's stop
     * @param points dots from the left and the upper edge, two or more; what is darker lies to the right of the way along it
     */
    public record Line(double stops, List<double[]> points) {}

    /**
     * What lines are drawn of, by row.
     *
     * @param surfaces what each dot shows: no line goes from one to another
     * @param stops over the camera's stop; not a number where there is none
     */
    public record Field(int width, int height, int[] surfaces, float[] stops) {}

    /**
     * All of a picture's lines, the longest first.
     *
     * @param perStop how many there are to a stop, 1 or 3
     */
    public static List<Line> of(Frame frame, Frame.Of of, int perStop) {
        return of(new Field(frame.width(), frame.height(), frame.surfaces(), frame.stops(of)), perStop);
    }

    /** The same of any picture. */
    public static List<Line> of(Field frame, int perStop) {
        Tracing tracing = new Tracing(frame.width, frame.surfaces, evened(frame), perStop);
        List<Line> lines = new ArrayList<>();
        for (int k = LOWEST * perStop; k <= HIGHEST * perStop; k++) {
            for (List<double[]> points : tracing.lines(k)) {
                if (length(points) >= SHORTEST * frame.width) {
                    lines.add(new Line((double) k / perStop, thinned(points)));
                }
            }
        }
        lines.sort((a, b) -> Double.compare(length(b.points), length(a.points)));
        return lines;
    }

    private static float[] evened(Field frame) {
        int half = Math.max(1, (int) Math.round(EVENED * frame.width / USUAL_WIDTH));
        float[] now = frame.stops;
        for (int i = 0; i < EVENED_TIMES; i++) {
            now = along(frame.surfaces, now, half, 1, frame.width);
            now = along(frame.surfaces, now, half, frame.width, frame.height);
        }
        return now;
    }

    /** Means over a stretch of dots of one surface, along rows or columns. */
    private static float[] along(int[] surfaces, float[] stops, int half, int step, int count) {
        float[] means = new float[stops.length];
        IntStream.range(0, stops.length).parallel().forEach(dot -> {
            int place = dot / step % count;
            float sum = stops[dot];
            int counted = 1;
            for (int side = -1; side <= 1; side += 2) {
                for (int k = 1; k <= half && place + side * k >= 0 && place + side * k < count; k++) {
                    int other = dot + side * k * step;
                    if (surfaces[other] != surfaces[dot] || Float.isNaN(stops[other])) {
                        break;
                    }
                    sum += stops[other];
                    counted++;
                }
            }
            means[dot] = sum / counted;
        });
        return means;
    }

    private static double length(List<double[]> points) {
        double sum = 0;
        for (int i = 1; i < points.size(); i++) {
            sum += Math.hypot(points.get(i)[0] - points.get(i - 1)[0], points.get(i)[1] - points.get(i - 1)[1]);
        }
        return sum;
    }

    /** Without the dots that are not missed (Ramer, 1972; Douglas and Peucker, 1973). */
    private static List<double[]> thinned(List<double[]> points) {
        boolean[] kept = new boolean[points.size()];
        kept[0] = true;
        kept[kept.length - 1] = true;
        Deque<int[]> open = new ArrayDeque<>();
        open.push(new int[] {0, kept.length - 1});
        while (!open.isEmpty()) {
            int[] stretch = open.pop();
            int worst = -1;
            double most = STRAIGHT;
            for (int i = stretch[0] + 1; i < stretch[1]; i++) {
                double aside = aside(points.get(i), points.get(stretch[0]), points.get(stretch[1]));
                if (aside > most) {
                    most = aside;
                    worst = i;
                }
            }
            if (worst >= 0) {
                kept[worst] = true;
                open.push(new int[] {stretch[0], worst});
                open.push(new int[] {worst, stretch[1]});
            }
        }
        List<double[]> left = new ArrayList<>();
        for (int i = 0; i < kept.length; i++) {
            if (kept[i]) {
                left.add(points.get(i));
            }
        }
        return left;
    }

    private static double aside(double[] p, double[] a, double[] b) {
        double dx = b[0] - a[0];
        double dy = b[1] - a[1];
        double length = dx * dx + dy * dy;
        double part = length == 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length));
        return Math.hypot(p[0] - a[0] - part * dx, p[1] - a[1] - part * dy);
    }

    /** The lines of each exposure (marching squares: Lorensen and Cline, 1987, in two dimensions). */
    private static final class Tracing {

        private final int width;
        private final float[] stops;
        private final int perStop;
        /** By exposure, and by the edge between two dots where it begins, where a piece ends. */
        private final Map<Integer, Map<Long, Long>> pieces = new HashMap<>();

        Tracing(int width, int[] surfaces, float[] stops, int perStop) {
            this.width = width;
            this.stops = stops;
            this.perStop = perStop;
            for (int dot = 0; dot + width + 1 < stops.length; dot++) {
                int[] corners = {dot, dot + 1, dot + 1 + width, dot + width};
                float least = Float.MAX_VALUE;
                float most = -Float.MAX_VALUE;
                boolean one = dot % width + 1 < width;
                for (int corner : corners) {
                    one &= surfaces[corner] == surfaces[dot] && !Float.isNaN(stops[corner]);
                    least = Math.min(least, stops[corner]);
                    most = Math.max(most, stops[corner]);
                }
                int first = Math.max(LOWEST * perStop, (int) Math.floor(least * perStop) + 1);
                for (int k = first; one && k <= HIGHEST * perStop && k <= most * perStop; k++) {
                    square(corners, k);
                }
            }
        }

        private double level(int exposure) {
            return (double) exposure / perStop;
        }

        private void square(int[] corners, int exposure) {
            boolean[] bright = new boolean[4];
            for (int k = 0; k < 4; k++) {
                bright[k] = stops[corners[k]] >= level(exposure);
            }
            for (int k = 0; k < 4; k++) {
                if (!bright[k] && bright[(k + 1) % 4]) {
                    // clockwise into the bright here, and out of it again there: the bright is to the left of the way
                    int last = (k + 1) % 4;
                    while (bright[(last + 1) % 4]) {
                        last = (last + 1) % 4;
                    }
                    pieces.computeIfAbsent(exposure, e -> new LinkedHashMap<>())
                            .put(edge(corners[k], corners[(k + 1) % 4]), edge(corners[last], corners[(last + 1) % 4]));
                }
            }
        }

        private static long edge(int a, int b) {
            return (long) Math.min(a, b) << 32 | Math.max(a, b);
        }

        /** Where an exposure lies between two dots. */
        private double[] place(long edge, int exposure) {
            int a = (int) (edge >> 32);
            int b = (int) edge;
            double part = (level(exposure) - stops[a]) / (stops[b] - stops[a]);
            int row = a / width;
            int down = b / width - row;
            int right = b % width - a % width;
            return new double[] {a % width + part * right + HALF, row + part * down + HALF};
        }

        List<List<double[]>> lines(int exposure) {
            Map<Long, Long> next = pieces.getOrDefault(exposure, new HashMap<>());
            Map<Long, Long> before = new HashMap<>();
            next.forEach((from, to) -> before.put(to, from));
            List<List<double[]>> lines = new ArrayList<>();
            while (!next.isEmpty()) {
                Long start = next.keySet().iterator().next();
                Long at = start;
                Long earlier = before.get(at);
                while (earlier != null && !earlier.equals(start)) {
                    at = earlier;
                    earlier = before.get(at);
                }
                List<double[]> points = new ArrayList<>(List.of(place(at, exposure)));
                Long to = next.remove(at);
                while (to != null) {
                    before.remove(to);
                    points.add(place(to, exposure));
                    to = next.remove(to);
                }
                lines.add(points);
            }
            return lines;
        }
    }
}
