package org.oblume.server.paper;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the marks are drawn with, the same on a page and in an SVG. Points of 1/72 inch, x to the right, y down. */
interface Pen {

    /** A point of the page. */
    record At(double x, double y) {

        At plus(double dx, double dy) {
            return new At(x + dx, y + dy);
        }
    }

    /**
     * A line of black.
     *
     * @param width points
     * @param dash lengths of line and gap, or none for a whole line
     */
    record Stroke(double width, double... dash) {

        static final Stroke HAIR = new Stroke(0.4);
        static final Stroke THIN = new Stroke(0.8);
        static final Stroke SOLID = new Stroke(1.4);
        static final Stroke WALL = new Stroke(2.4);
    }

    /** A face of the type. */
    enum Face {
        TEXT,
        BOLD,
        FIGURES
    }

    /**
     * @param grey fill, 0 black to 1 white, or null for none
     * @param stroke or null for no line
     */
    void shape(List<At> corners, boolean closed, @Nullable Stroke stroke, @Nullable Double grey);

    void circle(At centre, double radius, @Nullable Stroke stroke, @Nullable Double grey);

    /** @param at left end of the base line */
    void text(At at, String text, Face face, double size);

    /** How wide a text would be, points. */
    double width(String text, Face face, double size);

    default void line(At from, At to, Stroke stroke) {
        shape(List.of(from, to), false, stroke, null);
    }
}
