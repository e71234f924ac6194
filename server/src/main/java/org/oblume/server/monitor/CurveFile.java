package org.oblume.server.monitor;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.exposure.SignalTable;
import org.oblume.core.exposure.SignalTable.Point;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CsvFile;

/** A curve in CSV: percent of the video range, and light with 0.18 for a grey card at the camera's stop. */
final class CurveFile {

    private static final int STEP_PERCENT = 5;
    private static final int FULL_PERCENT = 100;

    private CurveFile() {}

    /**
     * @param name as the crew calls it
     * @throws Refusal naming the line that is wrong
     */
    static SignalTable read(String name, String csv) {
        char between = csv.indexOf(';') >= 0 ? ';' : CsvFile.between(csv);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(true)
                .get();
        List<Point> points = new ArrayList<>();
        try (CSVParser rows = format.parse(new StringReader(csv))) {
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() > 1 || startsWithFigure(row)) {
                    points.add(point(row));
                }
            }
        } catch (IOException | UncheckedIOException damaged) {
            throw new Refusal("This is no table that can be read: give two columns, percent and light.");
        }
        return new SignalTable(name, points);
    }

    private static Point point(CSVRecord row) {
        try {
            return new Point(figure(row, 0), figure(row, 1));
        } catch (Refusal refused) {
            throw new Refusal("Line %d: %s".formatted(row.getRecordNumber(), refused.getMessage()));
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException wrong) {
            throw new Refusal("Line %d needs two figures: the percent on the monitor, and the light that makes it."
                    .formatted(row.getRecordNumber()));
        }
    }

    private static boolean startsWithFigure(CSVRecord row) {
        try {
            return Double.isFinite(figure(row, 0));
        } catch (NumberFormatException heading) {
            return false;
        }
    }

    private static double figure(CSVRecord row, int column) {
        return Double.parseDouble(row.get(column).strip().replace(',', '.'));
    }

    /** A table as it was read; a curve that ships at every fifth percent that tells light. */
    static String write(SignalCurve curve) {
        List<Point> points = curve instanceof SignalTable table
                ? table.points()
                : IntStream.rangeClosed(0, FULL_PERCENT / STEP_PERCENT)
                        .map(i -> i * STEP_PERCENT)
                        .filter(percent -> curve.light(percent) >= 0)
                        .mapToObj(percent -> new Point(percent, curve.light(percent)))
                        .toList();
        StringWriter csv = new StringWriter();
        CSVFormat format =
                CSVFormat.RFC4180.builder().setHeader("percent", "light").get();
        try (CSVPrinter printer = new CSVPrinter(csv, format)) {
            for (Point point : points) {
                printer.printRecord(point.percent(), point.light());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return csv.toString();
    }
}
