package org.oblume.core.proof;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * How far readings stray though all is as recorded, one standard deviation each (settings of the model).
 *
 * @param light of a light that is put back as it was
 * @param unmetered besides, of a light that was never metered alone: the record predicts it no better
 * @param metres of a light's place, along each axis, 0 or more
 * @param meter of one reading
 */
public record Spread(Figures light, Figures unmetered, double metres, Figures meter) {

    /** @param stops 0 or more, as are the mired and the Duv */
    public record Figures(double stops, double mired, double duv) {

        static final Figures NONE = new Figures(0, 0, 0);

        Figures besides(Figures other) {
            return new Figures(
                    Math.hypot(stops, other.stops), Math.hypot(mired, other.mired), Math.hypot(duv, other.duv));
        }
    }

    /** Stands put by tape, a hand-held meter. */
    public static final Spread USUAL =
            new Spread(new Figures(0.08, 3, 0.001), new Figures(0.2, 5, 0.002), 0.05, new Figures(0.06, 2.5, 0.001));

    private static final double MOST_STOPS = 2;
    private static final double MOST_MIRED = 60;
    private static final double MOST_DUV = 0.02;
    private static final double MOST_M = 1;
    /** Less than this part of the usual nobody keeps to. */
    private static final double LEAST_PART = 0.1;

    private static final double NEXT_TO_NOTHING = 1e-9;

    /** As good as exact. */
    static final Spread EXACT = new Spread(
            new Figures(NEXT_TO_NOTHING, NEXT_TO_NOTHING, NEXT_TO_NOTHING),
            Figures.NONE,
            NEXT_TO_NOTHING,
            new Figures(NEXT_TO_NOTHING, NEXT_TO_NOTHING, NEXT_TO_NOTHING));

    /** The same where the record is known to predict each light: all were metered, or the light is the model's own. */
    public Spread ofKnownLights() {
        return new Spread(light, Figures.NONE, metres, meter);
    }

    /**
     * The same, and each light's prediction is only this well known besides.
     *
     * @param more stops, 0 or more
     */
    public Spread predictedWithin(double more) {
        return new Spread(light.besides(new Figures(more, 0, 0)), unmetered, metres, meter);
    }

    /**
     * This, when a crew and its meters can be so.
     *
     * @throws Refusal on the field that cannot be
     */
    public Spread checked() {
        check("light", "A light that is put back", light, USUAL.light);
        check("unmetered", "A light that was never metered", unmetered, Figures.NONE);
        Checks.within("metres", "A light’s place", metres, LEAST_PART * USUAL.metres, MOST_M, Checks.METRES);
        check("meter", "A meter", meter, USUAL.meter);
        return this;
    }

    private static void check(String field, String what, Figures strays, Figures usual) {
        Checks.within(field, what, strays.stops, LEAST_PART * usual.stops, MOST_STOPS, " stop");
        Checks.within(field, what, strays.mired, LEAST_PART * usual.mired, MOST_MIRED, " mired");
        Checks.within(field, what, strays.duv, LEAST_PART * usual.duv, MOST_DUV, " Duv");
    }

    Figures of(boolean metered) {
        return metered ? light : light.besides(unmetered);
    }
}
