package org.oblume.core.plot;

import org.oblume.core.units.Checks;

/**
 * Where on the earth a set stands, for the sun.
 *
 * @param latitude degrees, −90 to 90, north is positive
 * @param longitude degrees, −180 to 180, east is positive
 */
public record Site(double latitude, double longitude) {

    public Site {
        Checks.within("latitude", "The latitude", latitude, -90, 90, "°");
        Checks.within("longitude", "The longitude", longitude, -180, 180, "°");
    }
}
