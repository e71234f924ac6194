package org.oblume.core.power;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A circuit behind one breaker.
 *
 * @param breakerAmps above 0
 * @param phase 1 to 3, or null when it is not known or there is only one
 */
public record Circuit(String name, double breakerAmps, @Nullable Integer phase, List<Load> loads) {

    static final int PHASES = 3;

    public Circuit {
        Checks.above0("breakerAmps", "The breaker of %s".formatted(name), breakerAmps, " A");
        if (phase != null && (phase < 1 || phase > PHASES)) {
            throw new Refusal(
                    "phase", "%s: the phase is 1, 2 or 3; leave it empty where there is only one.".formatted(name));
        }
        loads = List.copyOf(loads);
    }

    double amps(double volts) {
        return loads.stream().mapToDouble(load -> load.amps(volts)).sum();
    }
}
