package org.oblume.core.power;

import java.util.Arrays;
import java.util.List;
import org.oblume.core.units.Checks;

/**
 * How heavily circuits are loaded. An estimate: a qualified electrician and the local code decide.
 *
 * @param circuits in the order given
 * @param phaseAmps three sums, phase 1 first; a circuit without a phase counts for none
 * @param unbalance {@code (max − mean) / mean} of the three, 0 when there is no load on them
 */
public record LoadPlan(List<LoadedCircuit> circuits, List<Double> phaseAmps, double unbalance) {

    /** Part of a breaker that may be drawn for hours. */
    public static final double DEFAULT_CONTINUOUS_FRACTION = 0.8;

    /**
     * @param limitAmps continuous limit, {@code fraction · breaker}
     * @param utilisation {@code amps / limitAmps}
     * @param over whether it draws more than its limit
     */
    public record LoadedCircuit(String name, double amps, double limitAmps, double utilisation, boolean over) {}

    /**
     * @param volts above 0
     * @param continuousFraction of a breaker that may be drawn for hours, above 0 to 1
     */
    public static LoadPlan of(double volts, double continuousFraction, List<Circuit> circuits) {
        Checks.above0("volts", "The voltage", volts, " V");
        Checks.fraction("continuousFraction", "The part of a breaker that may be drawn for hours", continuousFraction);
        double[] phases = new double[Circuit.PHASES];
        for (Circuit circuit : circuits) {
            if (circuit.phase() != null) {
                phases[circuit.phase() - 1] += circuit.amps(volts);
            }
        }
        double mean = Arrays.stream(phases).sum() / phases.length;
        double most = Arrays.stream(phases).max().orElse(0);
        return new LoadPlan(
                circuits.stream()
                        .map(circuit -> loaded(circuit, volts, continuousFraction))
                        .toList(),
                Arrays.stream(phases).boxed().toList(),
                mean == 0 ? 0 : (most - mean) / mean);
    }

    /** Whether a share of a rating, 0 or more, is more than may be drawn for hours. */
    static boolean isOver(double share) {
        return share > DEFAULT_CONTINUOUS_FRACTION * (1 + Checks.LIMIT_SLACK);
    }

    private static LoadedCircuit loaded(Circuit circuit, double volts, double continuousFraction) {
        double amps = circuit.amps(volts);
        double limit = continuousFraction * circuit.breakerAmps();
        return new LoadedCircuit(circuit.name(), amps, limit, amps / limit, amps > limit * (1 + Checks.LIMIT_SLACK));
    }
}
