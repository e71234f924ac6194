package org.oblume.core.power;

import org.oblume.core.units.Checks;

/**
 * A copper cable on one phase.
 *
 * @param lengthM one way, metres, above 0
 * @param areaMm2 of one conductor, mm², above 0
 */
record Cable(double lengthM, double areaMm2) {

    /** Of copper, Ω·mm²/m. */
    private static final double RESISTIVITY = 0.0175;

    public Cable {
        Checks.above0("lengthM", "The cable's length", lengthM, " m");
        Checks.above0("areaMm2", "The cable's cross section", areaMm2, " mm²");
    }

    /**
     * Voltage lost on the way there and back, {@code 2·L·I·0.0175/A}, volts.
     *
     * @param amps 0 or more
     */
    public double dropVolts(double amps) {
        return 2 * lengthM * Checks.notBelow0("amps", "The current", amps, " A") * RESISTIVITY / areaMm2;
    }
}
