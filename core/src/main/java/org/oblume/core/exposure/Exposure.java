package org.oblume.core.exposure;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * A camera's settings as an incident meter takes them: {@code E = C · N² · 2^nd / (t · S)} (ISO 2720).
 *
 * @param iso ISO number S, above 0
 * @param shutterSeconds exposure time t, seconds, above 0
 * @param lensNdStops ND on the lens, stops, 0 or more
 * @param calibrationConstant C of the meter, lx·s, above 0; ISO 2720 allows 240 to 400 for a flat receptor
 */
public record Exposure(double iso, double shutterSeconds, double lensNdStops, double calibrationConstant) {

    public static final double DEFAULT_CALIBRATION = 250;
    private static final double FULL_CIRCLE_DEG = 360;

    public Exposure {
        Checks.above0("iso", "The ISO number", iso, "");
        Checks.above0("shutterSeconds", "The shutter", shutterSeconds, " s");
        Checks.notBelow0("lensNdStops", "The ND on the lens", lensNdStops, " stops");
        Checks.above0("calibrationConstant", "The meter's constant", calibrationConstant, "");
    }

    /**
     * {@code t = angle / 360 / fps}, seconds.
     *
     * @param shutterAngleDeg above 0 to 360
     */
    public static double seconds(double fps, double shutterAngleDeg) {
        Checks.above0("fps", "The frame rate", fps, " fps");
        Checks.above0("shutterAngleDeg", "The shutter angle", shutterAngleDeg, "°");
        return Checks.within("shutterAngleDeg", "The shutter angle", shutterAngleDeg, 0, FULL_CIRCLE_DEG, "°")
                / FULL_CIRCLE_DEG
                / fps;
    }

    /** The light that a stop needs. */
    public Illuminance required(TStop stop) {
        return Illuminance.ofLux(calibrationConstant
                * stop.number()
                * stop.number()
                * Math.pow(2, lensNdStops)
                / (shutterSeconds * iso));
    }

    /**
     * The stop that a light asks for.
     *
     * @param light above 0
     */
    public TStop stop(Illuminance light) {
        return TStop.of(
                Math.sqrt(light.lux() * shutterSeconds * iso / (calibrationConstant * Math.pow(2, lensNdStops))));
    }

    /**
     * How far a light is above what a stop needs.
     *
     * @param light above 0
     */
    public Stops over(Illuminance light, TStop stop) {
        return Stops.fromRatio(light.lux() / required(stop).lux());
    }
}
