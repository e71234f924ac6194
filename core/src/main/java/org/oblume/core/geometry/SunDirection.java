package org.oblume.core.geometry;

import java.time.Instant;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;
import org.shredzone.commons.suncalc.SunPosition;

/**
 * Where the sun stands, geometrically: no refraction. Agrees with the NOAA solar equations to 0.3° above the horizon.
 *
 * @param azimuth clockwise from true north
 * @param elevationDeg degrees above the horizon, −90 to 90; negative when it is down
 */
public record SunDirection(Bearing azimuth, double elevationDeg) {

    private static final double POLE_DEG = 90;
    private static final double DATE_LINE_DEG = 180;

    /**
     * @param latitude degrees, −90 to 90, north is positive
     * @param longitude degrees, −180 to 180, east is positive
     */
    public static SunDirection at(double latitude, double longitude, Instant instant) {
        Checks.within("latitude", "The latitude", latitude, -POLE_DEG, POLE_DEG, "°");
        Checks.within("longitude", "The longitude", longitude, -DATE_LINE_DEG, DATE_LINE_DEG, "°");
        SunPosition sun =
                SunPosition.compute().on(instant).at(latitude, longitude).execute();
        return new SunDirection(Bearing.ofDegrees(sun.getAzimuth()), sun.getTrueAltitude());
    }
}
