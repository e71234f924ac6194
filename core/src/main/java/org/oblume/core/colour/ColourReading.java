package org.oblume.core.colour;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/**
 * What a colour meter reads of any light: the nearest white of the Planckian locus, and how far off it the light is.
 *
 * @param kelvin correlated colour temperature, 1000 to 25000; an end of that range for a light beyond it
 * @param duv signed distance from the locus in CIE 1960 u,v; positive is green. Not limited: a saturated light is far off
 */
public record ColourReading(double kelvin, double duv) {

    /** Whether it is a white that can be told in kelvin; a colour otherwise. */
    public boolean isWhite() {
        return kelvin > Kelvin.LOWEST && kelvin < Kelvin.HIGHEST && Math.abs(duv) <= Duv.LIMIT;
    }
}
