package org.oblume.core.photometry;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Stops;

/**
 * What a meter said of a light alone beside what was predicted of it: how much more of it there is, and of what other white. It holds for
 * the placement wherever its light goes, because light adds up (light.md, <i>The meter and the prediction</i>).
 *
 * @param k measured / predicted, above 0
 * @param colour the white that was predicted and the one that was read at the same place; null while its colour was not read
 */
public record Calibration(double k, @Nullable ColourRead colour) {

    public static final Calibration NONE = new Calibration(1);
    /** Beyond this, something is not as recorded: it is not used until somebody says that it is so. */
    public static final Stops DOUBTFUL_FROM = Stops.of(1.5);

    public Calibration {
        Checks.above0("k", "The calibration", k, "");
    }

    public Calibration(double k) {
        this(k, null);
    }

    /** A white that was read in place of another. */
    public record ColourRead(ColourReading predicted, ColourReading read) {

        /** Read less predicted, mired, + is warmer. */
        public double mired() {
            return Kelvin.MIRED_PRODUCT / read.kelvin() - Kelvin.MIRED_PRODUCT / predicted.kelvin();
        }

        /** Read less predicted, + is greener. */
        public double duv() {
            return read.duv() - predicted.duv();
        }
    }

    /**
     * @param predicted above 0
     * @param measured above 0
     */
    public static Calibration of(Illuminance predicted, Illuminance measured) {
        return new Calibration(measured.lux() / predicted.lux());
    }

    public Calibration withColour(@Nullable ColourRead read) {
        return new Calibration(k, read);
    }

    /** What each channel of the light is multiplied by: a reading at the place of the prediction is then what is predicted. */
    public double[] gains() {
        double[] gains = new double[ConeLight.CHANNELS];
        Arrays.fill(gains, k);
        if (colour != null) {
            double[] before = white(colour.predicted);
            double[] now = white(colour.read);
            for (int c = 0; c < gains.length; c++) {
                gains[c] *= now[c] / before[c];
            }
        }
        return gains;
    }

    private static double[] white(ColourReading white) {
        return ConeLight.white(Kelvin.MIRED_PRODUCT / white.kelvin(), white.duv());
    }

    public Stops stops() {
        return Stops.fromRatio(k);
    }

    /** Whether the reading is so far off that something cannot be as recorded. */
    public boolean isDoubtful() {
        return Math.abs(stops().value()) > DOUBTFUL_FROM.value();
    }
}
