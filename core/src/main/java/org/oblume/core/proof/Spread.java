package org.oblume.core.proof;

/**
 * How well a light is put back as it was, and how well a meter reads, one standard deviation each (settings of the model).
 *
 * @param stops of a light that is rebuilt as recorded, above 0
 * @param mired as well
 * @param duv as well
 * @param metres of its place, along each axis
 * @param meterStops of one reading, above 0
 * @param meterMired as well
 * @param meterDuv as well
 */
public record Spread(
        double stops, double mired, double duv, double metres, double meterStops, double meterMired, double meterDuv) {

    /** Stands put by tape, a hand-held meter; predictions that were calibrated. */
    public static final Spread USUAL = new Spread(0.08, 3, 0.001, 0.05, 0.06, 2.5, 0.001);

    /** As good as exact. */
    static final Spread EXACT = new Spread(1e-9, 1e-9, 1e-9, 1e-9, 1e-9, 1e-9, 1e-9);

    /**
     * The same, and each light's prediction is only this well known besides.
     *
     * @param more stops, 0 or more
     */
    public Spread predictedWithin(double more) {
        return new Spread(Math.hypot(stops, more), mired, duv, metres, meterStops, meterMired, meterDuv);
    }
}
