package org.oblume.server.paper;

import com.google.zxing.common.BitMatrix;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jspecify.annotations.Nullable;
import org.oblume.server.paper.Pen.At;
import org.oblume.server.paper.Pen.Face;
import org.oblume.server.paper.Pen.Stroke;
import org.oblume.server.support.QrCode;

/** Lays a sheet out on A4 pages: black on white, legible when it is copied. */
final class PdfSheet {

    /** Not between a figure and its unit. */
    private static final Pattern BETWEEN_WORDS =
            Pattern.compile("(?<!\\d)\\s+|\\s+(?!(?:m|mm|s|K|W|%|lx|fc|min)\\b|%)");

    private static final double MARGIN = 40;
    private static final double QR = 68;
    private static final String NOT_REACHED =
            "No code: only the machine that printed this reaches its Oblume. Started with --lan, phones do.";
    /** Rows of the code reach into each other by this, or a reader sees white lines between them; points. */
    private static final double NO_SEAM = 0.12;

    private static final double HEAD = 76;
    private static final double HEAD_WITHOUT_CODE = 46;
    private static final double FOOT = 30;
    private static final double SIZE = 9;
    private static final double LEADING = 12;
    private static final double CELL = 4;
    /** What a width may be off by when it is added up; points. */
    private static final double HAIR = 0.01;

    private static final int HALVINGS = 40;
    private static final double SCALE_BAR = 26;
    private static final double MOST_PICTURE = 420;
    private static final int LABELS_ACROSS = 3;
    private static final double LABEL_HEIGHT = 84;
    /** A side of a label's code, with the light margin that scanners ask for around it. */
    private static final double LABEL_CODE = 62;

    private final Sheet sheet;
    private final PDDocument document = new PDDocument();
    private final Type type = new Type(document);
    private final List<PDPageContentStream> streams = new ArrayList<>();
    private final List<Pen> pens = new ArrayList<>();
    private final PDRectangle paper;
    private double down;

    private PdfSheet(Sheet sheet) {
        this.sheet = sheet;
        float longSide = PDRectangle.A4.getHeight();
        float shortSide = PDRectangle.A4.getWidth();
        this.paper = sheet.landscape() ? new PDRectangle(longSide, shortSide) : new PDRectangle(shortSide, longSide);
    }

    /** @param printed when and by whom, for the foot */
    static byte[] of(Sheet sheet, String printed) {
        PdfSheet pdf = new PdfSheet(sheet);
        try (PDDocument document = pdf.document) {
            document.getDocumentInformation().setTitle(sheet.title());
            pdf.turn();
            sheet.parts().forEach(pdf::part);
            pdf.foot(printed);
            for (PDPageContentStream stream : pdf.streams) {
                stream.close();
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Whether a plan is drawn larger on a page that lies than on one that stands. */
    static boolean suitsLandscape(PlanDrawing drawing) {
        PDRectangle a4 = PDRectangle.A4;
        return drawing.scaleFor(a4.getHeight() - 2 * MARGIN, planHeight(a4.getWidth()))
                < drawing.scaleFor(a4.getWidth() - 2 * MARGIN, planHeight(a4.getHeight()));
    }

    private static double planHeight(double paperHeight) {
        return paperHeight - 2 * MARGIN - FOOT - HEAD - SCALE_BAR;
    }

    private double width() {
        return paper.getWidth() - 2 * MARGIN;
    }

    private double left() {
        return paper.getHeight() - MARGIN - FOOT - down;
    }

    private Pen pen() {
        return pens.get(pens.size() - 1);
    }

    /** A new page. Its head stands on the first one only, with the way back to the shot. */
    private void turn() {
        try {
            PDPage page = new PDPage(paper);
            document.addPage(page);
            PDPageContentStream stream = new PDPageContentStream(document, page);
            streams.add(stream);
            pens.add(new PdfPen(stream, paper.getHeight(), type));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        down = MARGIN;
        if (streams.size() == 1) {
            pen().text(new At(MARGIN, MARGIN + 16), sheet.title(), Face.BOLD, 20);
            boolean coded = sheet.link() != null;
            double y = MARGIN + 32;
            for (String line : wrapped(sheet.subtitle(), width() - (coded ? QR + 12 : 0), Face.TEXT, 10)) {
                pen().text(new At(MARGIN, y), line, Face.TEXT, 10);
                y += 13;
            }
            if (sheet.link() != null) {
                code(sheet.link(), new At(paper.getWidth() - MARGIN - QR, MARGIN - 6), QR);
            }
            down = coded ? MARGIN + HEAD : Math.max(MARGIN + HEAD_WITHOUT_CODE, y);
        } else {
            pen().text(new At(MARGIN, MARGIN + 4), sheet.title(), Face.BOLD, 10);
            down = MARGIN + 16;
        }
    }

    private void code(String link, At corner, double side) {
        BitMatrix modules = QrCode.modules(link);
        double dot = side / modules.getWidth();
        for (QrCode.Run run : QrCode.runs(modules)) {
            At from = corner.plus(run.x() * dot, run.y() * dot);
            double length = (run.end() - run.x()) * dot;
            pen().shape(
                            List.of(
                                    from,
                                    from.plus(length, 0),
                                    from.plus(length, dot + NO_SEAM),
                                    from.plus(0, dot + NO_SEAM)),
                            true,
                            null,
                            0.0);
        }
    }

    private static List<At> square(At at, double side) {
        return List.of(at, at.plus(side, 0), at.plus(side, side), at.plus(0, side));
    }

    private void part(Sheet.Part part) {
        if (part instanceof Sheet.Say say) {
            say(say);
        } else if (part instanceof Sheet.Table table) {
            table(table);
        } else if (part instanceof Sheet.Steps steps) {
            steps.steps().forEach(this::step);
        } else if (part instanceof Sheet.Plan plan) {
            plan(plan);
        } else if (part instanceof Sheet.Picture picture) {
            FramePrint print = new FramePrint(picture.pictured(), Math.min(width(), MOST_PICTURE));
            room(print.heightPt());
            print.draw(document, streams.get(streams.size() - 1), pen(), new At(MARGIN, down), paper.getHeight());
            down += print.heightPt();
        } else if (part instanceof Sheet.Labels labels) {
            labels(labels.labels());
        } else if (part instanceof Sheet.Signing signature) {
            sign(signature);
        }
    }

    private void room(double height) {
        if (left() < height && down > MARGIN + HEAD) {
            turn();
        }
    }

    private void say(Sheet.Say say) {
        Face face = say.strong() ? Face.BOLD : Face.TEXT;
        double size = say.strong() ? 11 : SIZE;
        for (String line : wrapped(say.text(), width(), face, size)) {
            room(LEADING);
            down += LEADING;
            pen().text(new At(MARGIN, down), line, face, size);
        }
        down += 4;
    }

    private void table(Sheet.Table table) {
        room(5 * LEADING);
        if (!table.name().isEmpty()) {
            down += LEADING + 4;
            pen().text(new At(MARGIN, down), table.name(), Face.BOLD, 11);
            down += 4;
        }
        List<Double> widths = widths(table);
        row(table.columns().stream().map(Sheet.Column::title).toList(), table, widths, Face.BOLD);
        for (List<String> cells : table.rows()) {
            double height = LEADING * lines(cells, widths, table) + CELL;
            if (left() < height) {
                turn();
                row(table.columns().stream().map(Sheet.Column::title).toList(), table, widths, Face.BOLD);
            }
            row(cells, table, widths, null);
        }
        down += 6;
    }

    /**
     * Each column by its share of the page, but never narrower than its longest word nor wider than its longest text: what
     * one doesn't need goes to those that would have to be broken into more lines. By the shares alone where the longest
     * words together are wider than the page.
     */
    private List<Double> widths(Sheet.Table table) {
        List<Sheet.Column> columns = table.columns();
        double[] least = new double[columns.size()];
        double[] most = new double[columns.size()];
        for (int i = 0; i < columns.size(); i++) {
            asks(columns.get(i).title(), Face.BOLD, i, least, most);
            for (List<String> cells : table.rows()) {
                asks(cells.get(i), face(table, i), i, least, most);
            }
        }
        if (total(columns, 0, least, most) > width()) {
            double shares = columns.stream().mapToDouble(Sheet.Column::share).sum();
            return columns.stream().map(c -> c.share() / shares * width()).toList();
        }
        double narrow = 0;
        double wide = 1;
        while (wide < width() && total(columns, wide, least, most) < width()) {
            wide *= 2;
        }
        for (int halving = 0; halving < HALVINGS; halving++) {
            double middle = (narrow + wide) / 2;
            if (total(columns, middle, least, most) < width()) {
                narrow = middle;
            } else {
                wide = middle;
            }
        }
        double share = narrow;
        double filling = width() / total(columns, share, least, most);
        return IntStream.range(0, columns.size())
                .mapToObj(i -> filling * width(columns.get(i), share, least[i], most[i]))
                .toList();
    }

    private void asks(String text, Face face, int column, double[] least, double[] most) {
        for (String word : BETWEEN_WORDS.split(text.strip())) {
            least[column] = Math.max(least[column], type.width(word, face, SIZE) + 2 * CELL + HAIR);
        }
        most[column] = Math.max(most[column], type.width(text.strip(), face, SIZE) + 2 * CELL + HAIR);
    }

    private static double total(List<Sheet.Column> columns, double share, double[] least, double[] most) {
        return IntStream.range(0, columns.size())
                .mapToDouble(i -> width(columns.get(i), share, least[i], most[i]))
                .sum();
    }

    private static double width(Sheet.Column column, double share, double least, double most) {
        return Math.min(most, Math.max(least, column.share() * share));
    }

    private int lines(List<String> cells, List<Double> widths, Sheet.Table table) {
        int most = 1;
        for (int i = 0; i < cells.size(); i++) {
            most = Math.max(
                    most,
                    wrapped(cells.get(i), widths.get(i) - 2 * CELL, face(table, i), SIZE)
                            .size());
        }
        return most;
    }

    private static Face face(Sheet.Table table, int column) {
        return table.columns().get(column).figures() ? Face.FIGURES : Face.TEXT;
    }

    private void row(List<String> cells, Sheet.Table table, List<Double> widths, @Nullable Face all) {
        double x = MARGIN;
        double lowest = down;
        for (int i = 0; i < cells.size(); i++) {
            Face face = all == null ? face(table, i) : all;
            double y = down;
            for (String line : wrapped(cells.get(i), widths.get(i) - 2 * CELL, face, SIZE)) {
                y += LEADING;
                pen().text(new At(x, y), line, face, SIZE);
            }
            lowest = Math.max(lowest, y);
            x += widths.get(i);
        }
        down = lowest + CELL;
        pen().line(new At(MARGIN, down), new At(MARGIN + width(), down), all == null ? Stroke.HAIR : Stroke.THIN);
    }

    private void step(Sheet.Task step) {
        List<String> lines = step.lines().stream()
                .flatMap(l -> wrapped(l, width() - 30, Face.TEXT, SIZE + 0.5).stream())
                .toList();
        String title = "%d  %s".formatted(step.number(), step.title());
        double beside = MARGIN + 30 + type.width(title, Face.BOLD, 12);
        List<String> what = wrapped(step.what(), MARGIN + width() - beside, Face.TEXT, SIZE);
        room(LEADING * (lines.size() + what.size()) + 12);
        down += 16;
        pen().shape(square(new At(MARGIN, down - 10), 12), true, Stroke.SOLID, 1.0);
        if (step.done()) {
            pen().line(new At(MARGIN + 2, down - 4), new At(MARGIN + 5, down), Stroke.SOLID);
            pen().line(new At(MARGIN + 5, down), new At(MARGIN + 11, down - 8), Stroke.SOLID);
        }
        pen().text(new At(MARGIN + 22, down), title, Face.BOLD, 12);
        for (int i = 0; i < what.size(); i++) {
            down += i == 0 ? 0 : LEADING;
            pen().text(new At(beside, down), what.get(i), Face.TEXT, SIZE);
        }
        for (String line : lines) {
            down += LEADING;
            pen().text(new At(MARGIN + 22, down), line, Face.TEXT, SIZE + 0.5);
        }
        down += 6;
        pen().line(new At(MARGIN, down), new At(MARGIN + width(), down), Stroke.HAIR);
    }

    private void plan(Sheet.Plan plan) {
        double height = planHeight(paper.getHeight());
        int scale = plan.scale() > 0 ? plan.scale() : plan.drawing().scaleFor(width(), height);
        room(Math.min(height, plan.drawing().heightPt(scale) + SCALE_BAR));
        plan.drawing().draw(pen(), new At(MARGIN, down), scale);
        down += plan.drawing().heightPt(scale) + 6;
        PlanDrawing.scaleBar(pen(), new At(MARGIN, down), scale);
        down += SCALE_BAR;
    }

    /** Row by row, each in a thin frame to cut along. */
    private void labels(List<Sheet.Label> labels) {
        double wide = width() / LABELS_ACROSS;
        for (int i = 0; i < labels.size(); i++) {
            int column = i % LABELS_ACROSS;
            if (column == 0) {
                down += i == 0 ? 0 : LABEL_HEIGHT;
                room(LABEL_HEIGHT);
            }
            label(labels.get(i), new At(MARGIN + column * wide, down), wide);
        }
        down += labels.isEmpty() ? 0 : LABEL_HEIGHT;
    }

    private void label(Sheet.Label label, At corner, double wide) {
        At right = corner.plus(wide, 0);
        pen().shape(
                        List.of(corner, right, right.plus(0, LABEL_HEIGHT), corner.plus(0, LABEL_HEIGHT)),
                        true,
                        Stroke.HAIR,
                        1.0);
        double quiet = (LABEL_HEIGHT - LABEL_CODE) / 2;
        code(label.link(), corner.plus(quiet, quiet), LABEL_CODE);
        double x = 2 * quiet + LABEL_CODE;
        double room = wide - x - CELL;
        double y = quiet;
        for (String line : wrapped(label.name(), room, Face.BOLD, 12)) {
            y += 13;
            pen().text(corner.plus(x, y), line, Face.BOLD, 12);
        }
        for (String line : wrapped(label.tag(), room, Face.FIGURES, SIZE)) {
            y += LEADING;
            pen().text(corner.plus(x, y), line, Face.FIGURES, SIZE);
        }
        for (String line : wrapped(label.what(), room, Face.TEXT, 7)) {
            y += 8.5;
            pen().text(corner.plus(x, y), line, Face.TEXT, 7);
        }
    }

    private void sign(Sheet.Signing signature) {
        room(50);
        down += 36;
        pen().line(new At(MARGIN, down), new At(MARGIN + 240, down), Stroke.THIN);
        down += LEADING;
        pen().text(new At(MARGIN, down), signature.said(), Face.TEXT, SIZE);
    }

    private void foot(String printed) {
        for (int i = 0; i < pens.size(); i++) {
            double y = paper.getHeight() - MARGIN + 8;
            String page = "%d of %d".formatted(i + 1, pens.size());
            pens.get(i)
                    .text(
                            new At(MARGIN, y),
                            printed + ". Figures are predicted by a model unless they are said to be metered.",
                            Face.TEXT,
                            7);
            if (sheet.link() == null) {
                pens.get(i).text(new At(MARGIN, y + 9), NOT_REACHED, Face.TEXT, 6.5);
            } else {
                pens.get(i).text(new At(MARGIN, y + 9), sheet.link(), Face.FIGURES, 6.5);
            }
            pens.get(i)
                    .text(
                            new At(paper.getWidth() - MARGIN - pens.get(i).width(page, Face.FIGURES, 8), y),
                            page,
                            Face.FIGURES,
                            8);
        }
    }

    /** A text in lines that are no wider than this; a figure stays with its unit, and a word that is wider is broken. */
    private List<String> wrapped(String text, double width, Face face, double size) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : BETWEEN_WORDS.split(text.strip())) {
            String rest = word;
            while (type.width(rest, face, size) > width && rest.length() > 1) {
                int fits = rest.length() - 1;
                while (fits > 1 && type.width(rest.substring(0, fits), face, size) > width) {
                    fits--;
                }
                push(lines, line);
                lines.add(rest.substring(0, fits));
                rest = rest.substring(fits);
            }
            if (!line.isEmpty() && type.width(line + " " + rest, face, size) > width) {
                push(lines, line);
            }
            line.append(line.isEmpty() ? "" : " ").append(rest);
        }
        push(lines, line);
        return lines;
    }

    private static void push(List<String> lines, StringBuilder line) {
        if (!line.isEmpty()) {
            lines.add(line.toString());
            line.setLength(0);
        }
    }
}
