package org.oblume.core.power;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Placement;
import org.oblume.core.power.PowerPlan.FedCircuit;
import org.oblume.core.power.PowerPlan.PowerSource;

/**
 * A shot's lights spread over the phases of a source: the largest first, each onto the phase that carries least, where its breaker holds
 * it at full (a heuristic: not always the best there is). What is no light stays where it is, and so do practicals on their own cords.
 *
 * @param source its name
 * @param moves what goes to another circuit; none where nothing is gained
 * @param before amperes of the three phases at the peak
 * @param after the same, with the moves
 * @param unbalanceBefore {@code (max − mean) / mean}
 */
public record PhaseSpread(
        String source,
        List<Rehung> moves,
        List<Double> before,
        List<Double> after,
        double unbalanceBefore,
        double unbalanceAfter) {

    private static final double GAINED = 0.01;

    /** A light that goes from one circuit to another. */
    public record Rehung(String key, String name, String from, String to) {}

    /** A light that can go elsewhere. */
    private record Movable(Placement light, String circuit, double amps, double fullAmps) {}

    /** One for each source of three phases. */
    public static List<PhaseSpread> of(PowerPlan plan, List<Placement> placements, RecordedState state) {
        return plan.sources().stream()
                .filter(s -> s.phases() == Circuit.PHASES)
                .map(s -> of(plan, s, placements, state))
                .toList();
    }

    private static PhaseSpread of(PowerPlan plan, PowerSource source, List<Placement> placements, RecordedState state) {
        List<FedCircuit> circuits = plan.circuits().stream()
                .filter(c -> PowerPlan.same(c.source(), source.name()) && c.phase() != null)
                .toList();
        List<Movable> movable = movable(circuits, source, placements, state);
        Map<String, Double> full = new HashMap<>();
        Map<String, Double> drawn = new HashMap<>();
        PowerLoad load = PowerLoad.of(plan, placements, state, 0);
        for (PowerLoad.CircuitLoad one : load.circuits()) {
            String name = one.circuit().name();
            double mine = sum(movable, name, true);
            full.put(name, one.fullAmps() - sum(movable, name, false));
            drawn.put(name, one.peakAmps() - mine);
        }
        List<Rehung> moves = new ArrayList<>();
        for (Movable light : movable) {
            FedCircuit best = circuits.stream()
                    .filter(c -> full.getOrDefault(c.name(), 0.0) + light.fullAmps
                            <= LoadPlan.DEFAULT_CONTINUOUS_FRACTION * c.breakerAmps())
                    .min(Comparator.<FedCircuit>comparingDouble(c -> phase(circuits, drawn, c.phase()))
                            .thenComparing(c -> !PowerPlan.same(c.name(), light.circuit)))
                    .orElseGet(() -> named(circuits, light.circuit));
            full.merge(best.name(), light.fullAmps, Double::sum);
            drawn.merge(best.name(), light.amps, Double::sum);
            if (!PowerPlan.same(best.name(), light.circuit)) {
                moves.add(new Rehung(light.light.key(), light.light.name(), light.circuit, best.name()));
            }
        }
        List<Double> before = load.sources().stream()
                .filter(s -> s.source().equals(source))
                .findFirst()
                .orElseThrow()
                .phaseAmps();
        List<Double> after = List.of(phase(circuits, drawn, 1), phase(circuits, drawn, 2), phase(circuits, drawn, 3));
        boolean gains = unbalance(after) < unbalance(before) - GAINED;
        return new PhaseSpread(
                source.name(),
                gains ? moves : List.of(),
                before,
                gains ? after : before,
                unbalance(before),
                unbalance(gains ? after : before));
    }

    private static List<Movable> movable(
            List<FedCircuit> circuits, PowerSource source, List<Placement> placements, RecordedState state) {
        List<Movable> all = new ArrayList<>();
        for (Placement light : placements) {
            Optional<Feed> feed = state.isOn(light.key()) && light.kind().isLight()
                    ? state.value(light.key(), Feed.class).filter(f -> f.from() == Feed.From.CIRCUIT)
                    : Optional.empty();
            for (FedCircuit circuit : circuits) {
                if (feed.filter(f -> f.isOn(circuit.name())).isPresent()) {
                    all.add(new Movable(
                            light,
                            circuit.name(),
                            PowerLoad.watts(light, state, 0) / source.volts(),
                            light.piece().watts() / source.volts()));
                }
            }
        }
        all.sort(Comparator.comparingDouble(Movable::amps).reversed());
        return all;
    }

    private static double sum(List<Movable> movable, String circuit, boolean asDialled) {
        return movable.stream()
                .filter(m -> PowerPlan.same(m.circuit, circuit))
                .mapToDouble(m -> asDialled ? m.amps : m.fullAmps)
                .sum();
    }

    private static FedCircuit named(List<FedCircuit> circuits, String name) {
        return circuits.stream()
                .filter(c -> PowerPlan.same(c.name(), name))
                .findFirst()
                .orElseThrow();
    }

    private static double phase(List<FedCircuit> circuits, Map<String, Double> amps, @Nullable Integer phase) {
        return circuits.stream()
                .filter(c -> Objects.equals(phase, c.phase()))
                .mapToDouble(c -> amps.getOrDefault(c.name(), 0.0))
                .sum();
    }

    private static double unbalance(List<Double> phases) {
        double mean = phases.stream().mapToDouble(p -> p).sum() / phases.size();
        double most = phases.stream().mapToDouble(p -> p).max().orElse(0);
        return mean == 0 ? 0 : (most - mean) / mean;
    }
}
