package org.oblume.core.power;

import org.oblume.core.units.Checks;

/**
 * One consumer.
 *
 * @param watts real power, 0 or more
 * @param powerFactor above 0 to 1
 */
public record Load(double watts, double powerFactor) {

    public Load {
        Checks.notBelow0("watts", "The power", watts, " W");
        Checks.fraction("powerFactor", "The power factor", powerFactor);
    }

    /** {@code W / (V · pf)}, amperes. */
    double amps(double volts) {
        return watts / (volts * powerFactor);
    }
}
