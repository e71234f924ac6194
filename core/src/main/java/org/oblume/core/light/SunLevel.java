package org.oblume.core.light;

import org.oblume.core.plot.Lamp;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Stops;

/**
 * The level at which a head gives on a mark what the sun gave there.
 *
 * @param percent of the head, to a tenth, its lowest to 100
 * @param shortfall what is missing at full; 0 when it reaches
 * @param tooStrong whether it gives more even at its lowest
 */
public record SunLevel(double percent, Stops shortfall, boolean tooStrong) {

    private static final double FULL = 100;
    private static final double TENTHS = 10;

    /**
     * @param sunLux that is wanted, lux, above 0
     * @param fullLux that the head gives there at full, lux, above 0
     */
    public static SunLevel of(double sunLux, double fullLux, Lamp lamp) {
        Checks.above0("sunLux", "The light of the sun", sunLux, " lux");
        Checks.above0("fullLux", "The light of the head", fullLux, " lux");
        if (sunLux >= fullLux) {
            return new SunLevel(FULL, Stops.fromRatio(sunLux / fullLux), false);
        }
        double percent = Math.round(FULL * lamp.curve().level(sunLux / fullLux) * TENTHS) / TENTHS;
        return new SunLevel(Math.max(lamp.lowestPercent(), percent), Stops.of(0), percent < lamp.lowestPercent());
    }
}
