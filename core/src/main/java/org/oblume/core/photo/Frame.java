package org.oblume.core.photo;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * The measures of a photograph, turned as its file says.
 *
 * @param widthPx 100 to 20000
 * @param heightPx 100 to 20000
 * @param f35 focal length as if on 36 mm of film, mm, 8 to 300, from the file; null when it has none (a zoomed or cropped one)
 */
public record Frame(int widthPx, int heightPx, @Nullable Double f35) {

    private static final int FEWEST_PX = 100;
    private static final int MOST_PX = 20_000;
    private static final double SHORTEST_MM = 8;
    private static final double LONGEST_MM = 300;
    private static final double FILM_MM = 36;

    public Frame {
        Checks.within("widthPx", "A photograph’s width", widthPx, FEWEST_PX, MOST_PX, " pixels");
        Checks.within("heightPx", "A photograph’s height", heightPx, FEWEST_PX, MOST_PX, " pixels");
        if (f35 != null) {
            Checks.within("f35", "A focal length", f35, SHORTEST_MM, LONGEST_MM, " mm");
        }
    }

    /** Whether a picture of this size can be tapped in. */
    public static boolean isUsable(double widthPx, double heightPx) {
        return Math.min(widthPx, heightPx) >= FEWEST_PX && Math.max(widthPx, heightPx) <= MOST_PX;
    }

    public double longerSidePx() {
        return Math.max(widthPx, heightPx);
    }

    boolean has(Tap tap) {
        return tap.u() >= 0 && tap.u() <= widthPx && tap.v() >= 0 && tap.v() <= heightPx;
    }

    double middleU() {
        return widthPx / 2.0;
    }

    double middleV() {
        return heightPx / 2.0;
    }

    /** What the file's figure says of the focal length in pixels; NaN without one. */
    double focalPx() {
        return f35 == null ? Double.NaN : f35 / FILM_MM * longerSidePx();
    }
}
