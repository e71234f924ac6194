package org.oblume.core.filter;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.units.Duv;
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
public record Prescription(
        List<String> filters,
        double kelvin,
        double duv,
        TStop tStop,
        double output,
        MiredShift deltaMired,
        double deltaDuv,
        Stops deltaStops,
        double cost) {

    private static final double COLOUR_IS_RIGHT_MIRED = 0.5;
    private static final double STOP_IS_RIGHT = 0.1;
    private static final double TINT_IS_RIGHT = 0.0005;

    private static final double REACHES_STOPS = 1.0 / 6;
    private static final double REACHES_MIRED = 5;
    private static final double REACHES_DUV = 0.0015;

    public Prescription {
        filters = List.copyOf(filters);
    }

    /** Whether it is as near as anybody sees: a sixth of a stop, 5 mired, 0.0015 Duv (settings of the model). */
    public boolean reaches() {
        return Math.abs(deltaStops.value()) <= REACHES_STOPS
                && Math.abs(deltaMired.value()) <= REACHES_MIRED
                && Math.abs(deltaDuv) <= REACHES_DUV;
    }

    /** Why it ranks where it does, in words: {@code 3 mired too warm, stop and tint right; 3 filters}. */
    public String reason() {
        List<String> off = new ArrayList<>();
        List<String> right = new ArrayList<>();
        tell(
                off,
                right,
                "stop",
                Math.abs(deltaStops.value()) < STOP_IS_RIGHT,
                "%s stop too %s"
                        .formatted(
                                Stops.of(Math.abs(deltaStops.value())).inTenths(),
                                deltaStops.value() > 0 ? "bright" : "dark"));
        tell(
                off,
                right,
                "colour",
                Math.abs(deltaMired.value()) < COLOUR_IS_RIGHT_MIRED,
                "%d mired too %s"
                        .formatted(Math.round(Math.abs(deltaMired.value())), deltaMired.value() > 0 ? "warm" : "cool"));
        tell(
                off,
                right,
                "tint",
                Math.abs(deltaDuv) < TINT_IS_RIGHT,
                "Duv %s too %s".formatted(Duv.print(Math.abs(deltaDuv)), deltaDuv > 0 ? "green" : "magenta"));
        if (!right.isEmpty()) {
            off.add(String.join(" and ", right) + " right");
        }
        String dimmed = output < 1
                ? ", dimmed by %s stops".formatted(Stops.fromRatio(1 / output).inTenths())
                : "";
        return "%s; %s%s".formatted(String.join(", ", off), count(), dimmed);
    }

    private String count() {
        return filters.isEmpty() ? "no filter" : filters.size() == 1 ? "1 filter" : filters.size() + " filters";
    }

    private static void tell(List<String> off, List<String> right, String what, boolean isRight, String how) {
        if (isRight) {
            right.add(what);
        } else {
            off.add(how);
        }
    }
}
