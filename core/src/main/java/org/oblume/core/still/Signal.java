package org.oblume.core.still;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.oblume.core.units.Checks;

/**
 * The signal of a still, {@code V = 0.2126 R′ + 0.7152 G′ + 0.0722 B′} of its components as they are coded (ITU-R BT.709). Nothing is
 * clipped: a still of video range has figures below 0 and above 100 percent.
 */
public final class Signal {

    private static final double RED = 0.2126;
    private static final double GREEN = 0.7152;
    private static final double BLUE = 0.0722;
    /** Steps that reeds are sorted by. */
    private static final int STEPS = 65_535;

    private static final double PERCENT = 100;
    static final double CLIPPED = 254.0 / 255;
    static final double BLACK = 0.01;
    /** At a limit a dot is neither: sums of products come this near to it. */
    private static final double AT_LIMIT = 1e-9;
    /** A point is a square with this part of the width as its side. */
    private static final int POINTS_ACROSS = 64;

    private static final double HALF = 0.5;
    /** Of the colour of a point so many parts a side are kept, not each dot. */
    private static final int GRAINS_A_SIDE = 8;

    private final int width;
    private final int height;
    private final boolean videoRange;
    private final float[] dots;
    private final double clippedShare;
    private final double blackShare;
    private final Tints tints;

    /** The components of a row of dots. */
    @FunctionalInterface
    public interface Rows {

        /**
         * @param row from the upper edge, in turn
         * @param components red, green and blue of each dot, 0 to 1 as coded, to be filled in
         */
        void read(int row, double[] components);
    }

    /**
     * @param width dots, 1 or more
     * @param height dots, 1 or more
     * @param videoRange whether 16 of 255 is black and 235 white
     */
    public Signal(int width, int height, boolean videoRange, Rows rows) {
        this.width = width;
        this.height = height;
        this.videoRange = videoRange;
        this.dots = new float[width * height];
        this.tints = new Tints(width, height, Math.max(1, side() / GRAINS_A_SIDE));
        double[] components = new double[3 * width];
        long clipped = 0;
        long black = 0;
        for (int row = 0; row < height; row++) {
            rows.read(row, components);
            for (int column = 0; column < width; column++) {
                double coded = RED * components[3 * column]
                        + GREEN * components[3 * column + 1]
                        + BLUE * components[3 * column + 2];
                dots[row * width + column] = (float) coded;
                tints.add(column, row, components[3 * column], components[3 * column + 2]);
                double v = ranged(coded);
                clipped += v > CLIPPED + AT_LIMIT ? 1 : 0;
                black += v < BLACK - AT_LIMIT ? 1 : 0;
            }
        }
        clippedShare = (double) clipped / dots.length;
        blackShare = (double) black / dots.length;
    }

    private double ranged(double coded) {
        return videoRange ? (255 * coded - 16) / 219 : coded;
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** Part of all dots above 254 of 255. */
    public double clippedShare() {
        return clippedShare;
    }

    /** Part of all dots below 1 percent. */
    public double blackShare() {
        return blackShare;
    }

    /**
     * The signal of a point: the mean over a square with a side of 1/64 of the width, of what of it is in the picture.
     *
     * @param x from the left edge, 0 to 1
     * @param y from the upper edge, 0 to 1
     * @return percent
     */
    public double percent(double x, double y) {
        Checks.within("x", "A point's place from the left", x, 0, 1, "");
        Checks.within("y", "A point's place from the top", y, 0, 1, "");
        int side = side();
        return mean(first(x, width, side), first(y, height, side), side);
    }

    /** Red and blue of a still by squares of dots: of its colours no more is asked than that of points. */
    private static final class Tints {

        private final int grain;
        private final int across;
        private final double[] red;
        private final double[] blue;
        private final int[] counts;

        Tints(int width, int height, int grain) {
            this.grain = grain;
            this.across = (width + grain - 1) / grain;
            int all = across * ((height + grain - 1) / grain);
            red = new double[all];
            blue = new double[all];
            counts = new int[all];
        }

        void add(int column, int row, double r, double b) {
            int at = row / grain * across + column / grain;
            red[at] += r;
            blue[at] += b;
            counts[at]++;
        }

        /** Means of red and blue over the squares that begin in a square of dots. */
        double[] means(int left, int top, int right, int bottom) {
            double r = 0;
            double b = 0;
            int counted = 0;
            for (int row = top / grain; row <= (bottom - 1) / grain; row++) {
                for (int column = left / grain; column <= (right - 1) / grain; column++) {
                    r += red[row * across + column];
                    b += blue[row * across + column];
                    counted += counts[row * across + column];
                }
            }
            return new double[] {r / counted, b / counted};
        }
    }

    /**
     * The colour of a point: of the same square as its signal, to an eighth of its side where a still is wider than 512 dots.
     *
     * @param x from the left edge, 0 to 1
     * @param y from the upper edge, 0 to 1
     * @return red, green and blue as coded, percent
     */
    public double[] colour(double x, double y) {
        double v = percent(x, y) / PERCENT;
        int side = side();
        int left = first(x, width, side);
        int top = first(y, height, side);
        double[] means = tints.means(
                Math.max(0, left), Math.max(0, top), Math.min(width, left + side), Math.min(height, top + side));
        double red = ranged(means[0]);
        double blue = ranged(means[1]);
        return new double[] {PERCENT * red, PERCENT * (v - RED * red - BLUE * blue) / GREEN, PERCENT * blue};
    }

    private int side() {
        return Math.max(1, (int) Math.floor((double) width / POINTS_ACROSS + HALF));
    }

    private static int first(double part, int dots, int side) {
        return (int) Math.floor(Math.min(part * dots, dots - HALF) - side / 2.0 + HALF);
    }

    private double mean(int left, int top, int side) {
        double sum = 0;
        int counted = 0;
        for (int row = Math.max(0, top); row < Math.min(height, top + side); row++) {
            for (int column = Math.max(0, left); column < Math.min(width, left + side); column++) {
                sum += dots[row * width + column];
                counted++;
            }
        }
        return PERCENT * ranged(sum / counted);
    }

    /**
     * A place in a still and its signal.
     *
     * @param x from the left edge, 0 to 1
     * @param y from the upper edge, 0 to 1
     */
    public record Spot(double x, double y, double percent) {}

    /** The point with the most signal: the first of them in reading order. */
    public Spot hottest() {
        return most(1);
    }

    /** The point with the least. */
    public Spot darkest() {
        return most(-1);
    }

    private Spot most(int sign) {
        int side = side();
        int step = Math.max(1, side / 2);
        double best = -Double.MAX_VALUE;
        int bestLeft = 0;
        int bestTop = 0;
        for (int top = 0; top + side <= Math.max(height, side); top += step) {
            for (int left = 0; left + side <= width; left += step) {
                double mean = sign * mean(left, top, side);
                if (mean > best) {
                    best = mean;
                    bestLeft = left;
                    bestTop = top;
                }
            }
        }
        return new Spot(
                Math.min(1, (bestLeft + side / 2.0) / width),
                Math.min(1, (bestTop + side / 2.0) / height),
                sign * best);
    }

    /**
     * The signal of the dots of a stretch of columns.
     *
     * @param lowest of which 2 percent of them lie below
     * @param low of which a quarter do
     * @param middle of which half do
     * @param high of which three quarters do
     * @param highest of which 98 percent do
     */
    public record Reed(double lowest, double low, double middle, double high, double highest) {}

    /**
     * The signal across a still.
     *
     * @param count of stretches from the left to the right edge, 1 or more; no more than there are columns are made
     * @return percents of each
     */
    public List<Reed> reeds(int count) {
        int made = Math.min(count, width);
        List<Reed> reeds = new ArrayList<>();
        int[] counts = new int[STEPS + 1];
        for (int reed = 0; reed < made; reed++) {
            int from = (int) ((long) reed * width / made);
            int to = (int) ((long) (reed + 1) * width / made);
            Arrays.fill(counts, 0);
            for (int row = 0; row < height; row++) {
                for (int column = from; column < to; column++) {
                    counts[Math.max(0, Math.min(STEPS, Math.round(STEPS * dots[row * width + column])))]++;
                }
            }
            reeds.add(reed(counts, (long) (to - from) * height));
        }
        return reeds;
    }

    private Reed reed(int[] counts, long all) {
        double[] parts = {0.02, 0.25, 0.5, 0.75, 0.98};
        double[] at = new double[parts.length];
        long passed = 0;
        int next = 0;
        for (int value = 0; value < counts.length && next < parts.length; value++) {
            passed += counts[value];
            while (next < parts.length && passed >= Math.max(1, Math.ceil(parts[next] * all))) {
                at[next++] = PERCENT * ranged((double) value / STEPS);
            }
        }
        return new Reed(at[0], at[1], at[2], at[3], at[4]);
    }

    /**
     * The signal of a smaller picture of the still, each dot the mean of what it covers.
     *
     * @param wide dots, 1 or more; no wider than the still
     * @return percents by row
     */
    public float[] reduced(int wide) {
        int across = Math.min(wide, width);
        int down = downOf(across);
        float[] all = new float[across * down];
        for (int row = 0; row < down; row++) {
            int top = (int) ((long) row * height / down);
            int bottom = Math.max(top + 1, (int) ((long) (row + 1) * height / down));
            for (int column = 0; column < across; column++) {
                int left = (int) ((long) column * width / across);
                int right = Math.max(left + 1, (int) ((long) (column + 1) * width / across));
                double sum = 0;
                for (int y = top; y < bottom; y++) {
                    for (int x = left; x < right; x++) {
                        sum += dots[y * width + x];
                    }
                }
                all[row * across + column] =
                        (float) (PERCENT * ranged(sum / ((double) (bottom - top) * (right - left))));
            }
        }
        return all;
    }

    /** Rows of a smaller picture of so many columns. */
    public int downOf(int across) {
        return Math.max(1, (int) Math.round((double) across * height / width));
    }
}
