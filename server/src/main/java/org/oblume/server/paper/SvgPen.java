package org.oblume.server.paper;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/** Draws an SVG of its own, black on white. */
final class SvgPen implements Pen {

    /** Middle width of a sign of the faces, part of its size: an SVG is set in whatever type its reader has. */
    private static final double SIGN_WIDTH = 0.55;

    private final double widthPt;
    private final double heightPt;
    private final StringBuilder drawn = new StringBuilder();

    SvgPen(double widthPt, double heightPt) {
        this.widthPt = widthPt;
        this.heightPt = heightPt;
    }

    String svg(String title) {
        return format(
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.1fpt\" height=\"%.1fpt\" viewBox=\"0 0 %.1f %.1f\" font-family=\"Atkinson Hyperlegible Next, sans-serif\">"
                                + "<title>%s</title><rect width=\"100%%\" height=\"100%%\" fill=\"#fff\"/>",
                        widthPt, heightPt, widthPt, heightPt, HtmlUtils.htmlEscape(title))
                + drawn + "</svg>\n";
    }

    @Override
    public void shape(List<At> corners, boolean closed, @Nullable Stroke stroke, @Nullable Double grey) {
        String points =
                corners.stream().map(c -> format("%.2f,%.2f", c.x(), c.y())).collect(Collectors.joining(" "));
        drawn.append(format("<%s points=\"%s\"%s/>", closed ? "polygon" : "polyline", points, style(stroke, grey)));
    }

    @Override
    public void circle(At centre, double radius, @Nullable Stroke stroke, @Nullable Double grey) {
        drawn.append(format(
                "<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\"%s/>", centre.x(), centre.y(), radius, style(stroke, grey)));
    }

    private static String style(@Nullable Stroke stroke, @Nullable Double grey) {
        String fill = grey == null ? "none" : format("#%1$02x%1$02x%1$02x", Math.round(grey * 255));
        String line = stroke == null ? "" : format(" stroke=\"#000\" stroke-width=\"%.2f\"", stroke.width());
        String dash = stroke == null || stroke.dash().length == 0
                ? ""
                : format(
                        " stroke-dasharray=\"%s\"",
                        Arrays.stream(stroke.dash())
                                .mapToObj(d -> format("%.1f", d))
                                .collect(Collectors.joining(" ")));
        return format(" fill=\"%s\"%s%s", fill, line, dash);
    }

    @Override
    public void text(At at, String text, Face face, double size) {
        String weight = face == Face.BOLD ? " font-weight=\"700\"" : "";
        drawn.append(format(
                "<text x=\"%.2f\" y=\"%.2f\" font-size=\"%.1f\"%s>%s</text>",
                at.x(), at.y(), size, weight, HtmlUtils.htmlEscape(text)));
    }

    @Override
    public double width(String text, Face face, double size) {
        return text.length() * size * SIGN_WIDTH;
    }

    private static String format(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
