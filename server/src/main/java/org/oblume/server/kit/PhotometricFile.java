package org.oblume.server.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.oblume.core.photometry.MeasuredBeam;
import org.oblume.core.units.Refusal;

/**
 * A measured beam from an ANSI/IES LM-63 file, type C: angles from straight down, the axis of the light. The beam is taken as the
 * same all around, the mean over the measured planes (model). Feet become metres.
 */
final class PhotometricFile {

    private static final Pattern FIGURE =
            Pattern.compile("[-+]?(\\d{1,30}\\.?\\d{0,30}|\\.\\d{1,30})([eE][-+]?\\d{1,3})?");
    private static final double METRES_PER_FOOT = 0.3048;
    private static final int FEET = 1;
    private static final int TYPE_C = 1;
    private static final int MOST_ANGLES = 1000;

    private final String[] numbers;
    private int at;

    private PhotometricFile(String numbers) {
        this.numbers = numbers.strip().split("[\\s,]+");
    }

    /**
     * @param beamDeg full angle at half intensity, degrees
     * @param candela on the axis
     * @param watts of the lamp with its ballast
     * @param widthM of the emitter, 0 when the file does not tell
     * @param lengthM likewise
     */
    record MeasuredFixture(
            MeasuredBeam beam, double beamDeg, double candela, double watts, double widthM, double lengthM) {}

    /** @throws Refusal when the file is another type, cut off or not such a file */
    static MeasuredFixture read(String text) {
        String[] parts = text.split("(?im)^\\s*TILT\\s*=", 2);
        if (!text.stripLeading().toUpperCase(Locale.ROOT).startsWith("IESNA") && parts.length < 2) {
            throw new Refusal("This is not an LM-63 file: it should begin with IESNA and have a TILT line.");
        }
        String[] tilt = parts[parts.length - 1].split("\\R", 2);
        if (parts.length < 2 || tilt.length < 2) {
            throw new Refusal("The LM-63 file ends before its figures: get it again.");
        }
        PhotometricFile file = new PhotometricFile(tilt[1]);
        if (tilt[0].strip().equalsIgnoreCase("INCLUDE")) {
            file.next();
            int pairs = file.count("tilt angles");
            file.skip(2 * pairs);
        } else if (!tilt[0].strip().equalsIgnoreCase("NONE")) {
            throw new Refusal("The LM-63 file keeps its tilt in another file: ask for one with TILT=NONE.");
        }
        return file.figures();
    }

    private MeasuredFixture figures() {
        skip(2);
        double multiplier = next();
        int vertical = count("vertical angles");
        int horizontal = count("horizontal angles");
        if ((int) next() != TYPE_C) {
            throw new Refusal("The LM-63 file is not of photometric type C: ask for one that is.");
        }
        double metres = (int) next() == FEET ? METRES_PER_FOOT : 1;
        double width = Math.abs(next()) * metres;
        double length = Math.abs(next()) * metres;
        skip(1);
        double ballast = next();
        skip(1);
        double watts = next();
        double[] angles = row(vertical);
        skip(horizontal);
        double[] candela = new double[vertical];
        for (int plane = 0; plane < horizontal; plane++) {
            double[] values = row(vertical);
            for (int i = 0; i < vertical; i++) {
                candela[i] += values[i] * multiplier * ballast / horizontal;
            }
        }
        MeasuredBeam beam = new MeasuredBeam(list(angles), list(candela));
        return new MeasuredFixture(beam, beam.beamDeg(), beam.candela().get(0), watts, width, length);
    }

    private double[] row(int count) {
        double[] row = new double[count];
        for (int i = 0; i < count; i++) {
            row[i] = next();
        }
        return row;
    }

    private static List<Double> list(double[] values) {
        List<Double> list = new ArrayList<>();
        for (double value : values) {
            list.add(Math.round(value * 1e3) / 1e3);
        }
        return list;
    }

    private int count(String what) {
        double number = next();
        if (number < 1 || number > MOST_ANGLES || number != Math.rint(number)) {
            throw new Refusal("The LM-63 file has %s %s: that cannot be read.".formatted(numbers[at - 1], what));
        }
        return (int) number;
    }

    private void skip(int count) {
        for (int i = 0; i < count; i++) {
            next();
        }
    }

    private double next() {
        if (at >= numbers.length) {
            throw new Refusal("The LM-63 file ends before its figures do: get it again.");
        }
        String figure = numbers[at++];
        double value = FIGURE.matcher(figure).matches() ? Double.parseDouble(figure) : Double.NaN;
        if (!Double.isFinite(value)) {
            throw new Refusal("“%s” stands in the LM-63 file where a figure should: get it again."
                    .formatted(figure.substring(0, Math.min(20, figure.length()))));
        }
        return value;
    }
}
