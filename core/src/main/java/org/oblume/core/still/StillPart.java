package org.oblume.core.still;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/**
 * A part of a still that hangs together and holds no picture any more: clipped, or near black.
 *
 * @param clipped whether it is over 254 of 255; else it is under 1 percent
 * @param share of the whole picture, above 0 to 1
 * @param where it lies, in words, such as {@code upper left}
 * @param runs its rows in a picture of the width that was asked for: row, first column, and the column after the last, in turn
 */
public record StillPart(boolean clipped, double share, String where, List<Integer> runs) {

    private static final double PERCENT = 100;
    /** Smaller ones are not told. */
    private static final double LEAST_SHARE = 0.0005;

    private static final int MOST = 4;
    private static final String[] DOWN = {"upper", "", "lower"};
    private static final String[] ACROSS = {"left", "", "right"};

    /**
     * The largest of them, clipped ones first.
     *
     * @param wide dots that their rows are told in, 1 or more
     */
    public static List<StillPart> of(Signal signal, int wide) {
        int across = Math.min(wide, signal.width());
        float[] percents = signal.reduced(across);
        List<StillPart> all = new ArrayList<>();
        for (boolean clipped : new boolean[] {true, false}) {
            boolean[] in = new boolean[percents.length];
            for (int i = 0; i < in.length; i++) {
                in[i] = clipped ? percents[i] > PERCENT * Signal.CLIPPED : percents[i] < PERCENT * Signal.BLACK;
            }
            parts(in, across, clipped).stream()
                    .sorted(Comparator.comparingDouble((StillPart p) -> -p.share))
                    .limit(MOST)
                    .forEach(all::add);
        }
        return all;
    }

    private static List<StillPart> parts(boolean[] in, int across, boolean clipped) {
        List<StillPart> parts = new ArrayList<>();
        int[] part = new int[in.length];
        for (int start = 0; start < in.length; start++) {
            if (in[start] && part[start] == 0) {
                int number = parts.size() + 1;
                int dots = flood(in, part, start, number, across);
                parts.add(part(part, number, dots, across, clipped));
            }
        }
        parts.removeIf(p -> p.share < LEAST_SHARE);
        return parts;
    }

    private static int flood(boolean[] in, int[] part, int start, int number, int across) {
        Deque<Integer> open = new ArrayDeque<>(List.of(start));
        part[start] = number;
        int dots = 0;
        while (!open.isEmpty()) {
            int at = open.pop();
            dots++;
            int column = at % across;
            int[] beside = {
                column > 0 ? at - 1 : -1,
                column + 1 < across ? at + 1 : -1,
                at - across,
                at + across < in.length ? at + across : -1
            };
            for (int next : beside) {
                if (next >= 0 && in[next] && part[next] == 0) {
                    part[next] = number;
                    open.push(next);
                }
            }
        }
        return dots;
    }

    private static StillPart part(int[] part, int number, int dots, int across, boolean clipped) {
        List<Integer> runs = new ArrayList<>();
        double x = 0;
        double y = 0;
        int down = part.length / across;
        for (int row = 0; row < down; row++) {
            for (int column = 0; column < across; column++) {
                if (part[row * across + column] == number) {
                    int from = column;
                    while (column < across && part[row * across + column] == number) {
                        x += column + 0.5;
                        y += row + 0.5;
                        column++;
                    }
                    runs.addAll(List.of(row, from, column));
                }
            }
        }
        return new StillPart(
                clipped, (double) dots / part.length, where(x / dots / across, y / dots / down), List.copyOf(runs));
    }

    private static String where(double x, double y) {
        String vertical = DOWN[Math.min(2, (int) (3 * y))];
        String horizontal = ACROSS[Math.min(2, (int) (3 * x))];
        String both = (vertical + " " + horizontal).strip();
        return both.isEmpty() ? "the middle" : both;
    }
}
