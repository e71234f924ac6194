package org.oblume.server.paper;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.picture.Frame;
import org.oblume.core.picture.Isostops;
import org.oblume.server.light.FrameService;
import org.oblume.server.paper.Pen.At;
import org.oblume.server.paper.Pen.Face;
import org.oblume.server.paper.Pen.Stroke;

/** A predicted picture on paper: in light grey, so that a night costs no ink, with lines of equal exposure in black. */
final class FramePrint {

    /** How dark black is. */
    private static final double INK = 0.5;

    private static final int WHITE = 255;
    private static final Stroke LINE = new Stroke(0.6);
    private static final Stroke STOP = new Stroke(1.3);
    private static final double LABEL = 7;
    private static final double CAPTION = 8;
    private static final double CAPTION_ROOM = 18;

    private final FrameService.Pictured pictured;
    private final double widthPt;

    FramePrint(FrameService.Pictured pictured, double widthPt) {
        this.pictured = pictured;
        this.widthPt = widthPt;
    }

    double heightPt() {
        return widthPt * CameraFrame.ASPECT + CAPTION_ROOM;
    }

    /** @param at its upper left corner */
    void draw(PDDocument document, PDPageContentStream page, Pen pen, At at, double paperHeightPt) {
        double height = widthPt * CameraFrame.ASPECT;
        try {
            page.drawImage(
                    LosslessFactory.createFromImage(document, grey()),
                    (float) at.x(),
                    (float) (paperHeightPt - at.y() - height),
                    (float) widthPt,
                    (float) height);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        double scale = widthPt / pictured.frame().width();
        for (Isostops.Line line : pictured.lines()) {
            List<At> points = line.points().stream()
                    .map(p -> at.plus(p[0] * scale, p[1] * scale))
                    .toList();
            pen.shape(points, false, line.stops() == 0 ? STOP : LINE, null);
        }
        for (Isostops.Line line : pictured.lines()) {
            double[] middle = line.points().get(line.points().size() / 2);
            label(pen, at.plus(middle[0] * scale, middle[1] * scale), (int) line.stops());
        }
        pen.text(
                at.plus(0, height + CAPTION + 3),
                "What the camera is to see; lines are of equal light, in stops from %s. A plain model: a meter decides."
                        .formatted(pictured.stop()),
                Face.TEXT,
                CAPTION);
    }

    private static void label(Pen pen, At middle, int stops) {
        String text = stops == 0 ? "0" : stops > 0 ? "+" + stops : "\u2212" + -stops;
        double half = pen.width(text, Face.FIGURES, LABEL) / 2;
        pen.shape(
                List.of(
                        middle.plus(-half - 1, -LABEL / 2),
                        middle.plus(half + 1, -LABEL / 2),
                        middle.plus(half + 1, LABEL / 2),
                        middle.plus(-half - 1, LABEL / 2)),
                true,
                null,
                1.0);
        pen.text(middle.plus(-half, LABEL / 2 - 1), text, Face.FIGURES, LABEL);
    }

    private BufferedImage grey() {
        Frame frame = pictured.frame();
        BufferedImage image = new BufferedImage(frame.width(), frame.height(), BufferedImage.TYPE_BYTE_GRAY);
        int[] dots = frame.dots();
        for (int dot = 0; dot < dots.length; dot++) {
            int mean = ((dots[dot] >> 16 & WHITE) + 2 * (dots[dot] >> 8 & WHITE) + (dots[dot] & WHITE)) / 4;
            int light = WHITE - (int) Math.round((WHITE - mean) * INK);
            image.getRaster().setSample(dot % frame.width(), Math.floorDiv(dot, frame.width()), 0, light);
        }
        return image;
    }
}
