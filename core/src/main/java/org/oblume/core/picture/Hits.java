package org.oblume.core.picture;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.Glow;
import org.oblume.core.light.LitSet;

/** What each dot of a frame shows, and where. */
final class Hits {

    private static final double QUARTER = 0.25;

    final int width;
    final int height;
    final SeenThings things;
    private final SpacePoint lens;
    private final FrameView.Rays rays;
    private final int[] what;
    private final int[] surfaces;
    private final float[] metres;
    /** Dots at edges, and of which four dots each is the mean. */
    private final int[] edges;

    private final int[][] of;

    /** @param glows what gives light in the frame */
    Hits(FrameView view, LitSet set, List<Glow> glows) {
        this.width = view.width();
        this.height = view.height();
        SeenThings seen = new SeenThings(set, glows, view.halfDot());
        this.things = seen;
        this.lens = view.camera().lens();
        this.rays = view.rays();
        this.what = new int[width * height];
        this.metres = new float[width * height];
        IntStream.range(0, height).parallel().forEach(this::look);
        this.surfaces = IntStream.of(what).map(seen::surface).toArray();
        this.edges =
                IntStream.range(0, what.length).parallel().filter(this::isEdge).toArray();
        this.of = Arrays.stream(edges).parallel().mapToObj(this::parts).toArray(int[][]::new);
    }

    private void look(int y) {
        double[] way = new double[3];
        double[] at = new double[1];
        for (int x = 0; x < width; x++) {
            rays.into(x + 0.5, y + 0.5, way);
            what[y * width + x] = things.first(lens, way, at);
            metres[y * width + x] = (float) at[0];
        }
    }

    private boolean isEdge(int dot) {
        int x = dot % width;
        return (x > 0 && what[dot - 1] != what[dot])
                || (x + 1 < width && what[dot + 1] != what[dot])
                || (dot >= width && what[dot - width] != what[dot])
                || (dot + width < what.length && what[dot + width] != what[dot]);
    }

    /** A dot's quarters, each as the nearest dot that shows the same thing. */
    private int[] parts(int dot) {
        int[] parts = new int[4];
        double[] way = new double[3];
        double[] at = new double[1];
        int x = dot % width;
        int y = dot / width;
        for (int k = 0; k < parts.length; k++) {
            int right = k % 2 == 0 ? -1 : 1;
            int down = k / 2 == 0 ? -1 : 1;
            rays.into(x + 0.5 + right * QUARTER, y + 0.5 + down * QUARTER, way);
            int seen = things.first(lens, way, at);
            parts[k] = dot;
            int[][] around = {{0, 0}, {right, 0}, {0, down}, {right, down}, {-right, 0}, {0, -down}};
            for (int[] step : around) {
                int other = inside(x + step[0], y + step[1]);
                if (what[other] == seen) {
                    parts[k] = other;
                    break;
                }
            }
        }
        return parts;
    }

    private int inside(int x, int y) {
        return Math.max(0, Math.min(height - 1, y)) * width + Math.max(0, Math.min(width - 1, x));
    }

    int what(int dot) {
        return what[dot];
    }

    /** By dot, number of the surface that it shows, −1 for none. */
    int[] surfaces() {
        return surfaces;
    }

    /** Where what a dot shows is. */
    double[] at(int dot) {
        double[] way = way(dot);
        double m = metres[dot];
        return new double[] {lens.xM() + m * way[0], lens.yM() + m * way[1], lens.zM() + m * way[2]};
    }

    /** From the lens to it, of length 1. */
    double[] way(int dot) {
        double[] way = new double[3];
        int row = dot / width;
        rays.into(dot % width + 0.5, row + 0.5, way);
        return way;
    }

    /** Mends the steps at edges. */
    void smoothEdges(float[][] rgb) {
        float[][] mended = new float[rgb.length][edges.length];
        for (int e = 0; e < edges.length; e++) {
            for (int c = 0; c < rgb.length; c++) {
                float sum = 0;
                for (int part : of[e]) {
                    sum += Math.min(rgb[c][part], FULL);
                }
                mended[c][e] = sum / of[e].length;
            }
        }
        for (int e = 0; e < edges.length; e++) {
            for (int c = 0; c < rgb.length; c++) {
                rgb[c][edges[e]] = mended[c][e];
            }
        }
    }

    /** What is brighter is no brighter on a picture; at an edge it would swallow its neighbour. */
    private static final float FULL = 2;
}
