package org.oblume.server.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.jspecify.annotations.Nullable;

/** Draws on one page of a PDF. */
final class PdfPen implements Pen {

    /** Control points of a quarter circle by cubic curves. */
    private static final double ROUND = 0.5522847498;

    private final PDPageContentStream page;
    private final double heightPt;
    private final Type type;

    PdfPen(PDPageContentStream page, double heightPt, Type type) {
        this.page = page;
        this.heightPt = heightPt;
        this.type = type;
    }

    private interface Drawing {

        void draw() throws IOException;
    }

    private static void attempt(Drawing drawing) {
        try {
            drawing.draw();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private float y(double down) {
        return (float) (heightPt - down);
    }

    @Override
    public void shape(List<At> corners, boolean closed, @Nullable Stroke stroke, @Nullable Double grey) {
        attempt(() -> {
            page.moveTo((float) corners.get(0).x(), y(corners.get(0).y()));
            for (At corner : corners.subList(1, corners.size())) {
                page.lineTo((float) corner.x(), y(corner.y()));
            }
            if (closed) {
                page.closePath();
            }
            finish(stroke, grey);
        });
    }

    @Override
    public void circle(At c, double r, @Nullable Stroke stroke, @Nullable Double grey) {
        attempt(() -> {
            double k = ROUND * r;
            page.moveTo((float) (c.x() + r), y(c.y()));
            curve(c, r, k, k, r, 0, r);
            curve(c, -k, r, -r, k, -r, 0);
            curve(c, -r, -k, -k, -r, 0, -r);
            curve(c, k, -r, r, -k, r, 0);
            page.closePath();
            finish(stroke, grey);
        });
    }

    private void curve(At c, double x1, double y1, double x2, double y2, double x3, double y3) throws IOException {
        page.curveTo(
                (float) (c.x() + x1),
                y(c.y() + y1),
                (float) (c.x() + x2),
                y(c.y() + y2),
                (float) (c.x() + x3),
                y(c.y() + y3));
    }

    private void finish(@Nullable Stroke stroke, @Nullable Double grey) throws IOException {
        if (grey != null) {
            page.setNonStrokingColor(grey.floatValue());
        }
        if (stroke != null) {
            page.setStrokingColor(0f);
            page.setLineWidth((float) stroke.width());
            float[] dash = new float[stroke.dash().length];
            for (int i = 0; i < dash.length; i++) {
                dash[i] = (float) stroke.dash()[i];
            }
            page.setLineDashPattern(dash, 0);
        }
        if (grey != null && stroke != null) {
            page.fillAndStroke();
        } else if (grey != null) {
            page.fill();
        } else {
            page.stroke();
        }
    }

    @Override
    public void text(At at, String text, Face face, double size) {
        attempt(() -> {
            page.beginText();
            page.setNonStrokingColor(0f);
            page.setFont(type.font(face), (float) size);
            page.newLineAtOffset((float) at.x(), y(at.y()));
            page.showText(type.written(text, face));
            page.endText();
        });
    }

    @Override
    public double width(String text, Face face, double size) {
        return type.width(text, face, size);
    }
}
