package org.oblume.core.power;

import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;

/**
 * How long a battery carries a fixture. An estimate: age and cold take from it.
 *
 * @param drawWatts what the fixture draws at its level
 * @param hours until the usable part is gone
 */
public record BatteryRun(double drawWatts, double hours) {

    /** Part of the capacity on the label that can be counted on. */
    public static final double DEFAULT_USABLE = 0.9;

    /**
     * {@code hours = Wh · usable / draw}.
     *
     * @param wattHours on the label, above 0
     * @param usable part of it, above 0 to 1
     * @param watts of the fixture at full, 0 or more
     * @param idleWatts drawn when it is on and dark, 0 to watts; a filament has none
     * @throws Refusal when nothing is drawn
     */
    public static BatteryRun of(
            double wattHours, double usable, double watts, double idleWatts, Percent level, LevelCurve curve) {
        Checks.above0("wattHours", "The battery's capacity", wattHours, " Wh");
        Checks.fraction("usable", "The usable part", usable);
        Checks.notBelow0("watts", "The power", watts, " W");
        Checks.notBelow0("idleWatts", "The idle power", idleWatts, " W");
        if (curve != LevelCurve.TUNGSTEN && idleWatts > watts * (1 + Checks.LIMIT_SLACK)) {
            throw new Refusal("idleWatts", "It cannot draw more when dark than at full: look at the two figures.");
        }
        double draw = curve.drawWatts(watts, idleWatts, level.fraction());
        if (!(draw > 0)) {
            throw new Refusal(
                    "levelPercent", "It draws nothing at that level: the battery lasts. Give a level above 0.");
        }
        return new BatteryRun(draw, wattHours * usable / draw);
    }
}
