package org.oblume.core.filter;

import java.util.List;
import org.oblume.core.units.MiredShift;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * Filters that bring a reading towards a target, and where it lands.
 *
 * @param filters names in code-point order, one for each sheet
 * @param kelvin of the result
 * @param duv of the result
 * @param tStop reading of the result
 * @param output the light is dimmed to, 1 is full
 * @param deltaMired result minus target, + is too warm
 * @param deltaDuv result minus target, + is too green
 * @param deltaStops result above target, + is too bright
 * @param cost how far off it is, 0 is perfect
 */
public record Prescription(List<String> filters, double kelvin, double duv, TStop tStop, double output,
        MiredShift deltaMired, double deltaDuv, Stops deltaStops, double cost) {

    public Prescription {
        filters = List.copyOf(filters);
    }
}
