package org.oblume.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.power.PowerPlan.FedCircuit;
import org.oblume.core.power.PowerPlan.PowerSource;
import org.oblume.core.units.Checks;

/**
 * What the circuits of one set carry over a day. An estimate (model: the lights of a shot are on, as they are dialled in it, from its
 * set-up to its last take; what draws between the takes does so through set-ups and waits; in pauses and while another set is shot only
 * what always draws, or draws at these times, does).
 *
 * @param circuits in the plan's order
 * @param sources in the plan's order
 */
public record DayLoad(List<CircuitDay> circuits, List<SourceDay> sources) {

    private static final double VOLT_AMPERES = 1000;

    /** A shot on that set, in time, and what it draws. */
    public record InTime(Schedule.Slot slot, PowerLoad load) {}

    /**
     * A time in which a load does not change.
     *
     * @param shot slate of the shot that is set up or taken, or null
     * @param inTakes whether it is taken
     */
    public record Step(TimeOfDay from, TimeOfDay to, double amps, @Nullable String shot, boolean inTakes) {}

    /**
     * A circuit over the day.
     *
     * @param limitAmps continuous limit
     * @param steps in time, one after the other; empty when nothing of the set is shot
     */
    public record CircuitDay(String name, double breakerAmps, double limitAmps, List<Step> steps) {

        /** When it carries most, the first such time; empty when nothing of the set is shot. */
        public Optional<Step> peak() {
            return steps.stream().reduce((a, b) -> b.amps > a.amps * (1 + Checks.LIMIT_SLACK) ? b : a);
        }

        /** Whether that is more than its continuous limit. */
        public boolean over() {
            return steps.stream().anyMatch(this::isOver);
        }

        /** Whether a step of it is more than its continuous limit. */
        public boolean isOver(Step step) {
            return step.amps > limitAmps * (1 + Checks.LIMIT_SLACK);
        }
    }

    /**
     * A source over the day.
     *
     * @param peakKva the most that it gives
     * @param at when, the first such time; null when nothing of the set is shot
     * @param share of the rating of a generator; null of a house, and where it is not known
     */
    public record SourceDay(String name, double peakKva, @Nullable TimeOfDay at, @Nullable Double share) {}

    /**
     * @param shots on this set, in time
     * @param call of the day: times before it are of the next day
     */
    public static DayLoad of(PowerPlan plan, List<InTime> shots, TimeOfDay call) {
        List<TimeOfDay> times = shots.isEmpty() ? List.of() : times(plan, shots, call);
        List<CircuitDay> circuits = plan.circuits().stream()
                .map(c -> new CircuitDay(
                        c.name(), c.breakerAmps(), PowerLoad.limitAmps(c), steps(plan, c, shots, call, times)))
                .toList();
        return new DayLoad(
                circuits,
                plan.sources().stream().map(s -> source(plan, s, circuits)).toList());
    }

    /** When something changes, from the first to the last. */
    private static List<TimeOfDay> times(PowerPlan plan, List<InTime> shots, TimeOfDay call) {
        return Stream.concat(
                        shots.stream()
                                .map(InTime::slot)
                                .flatMap(s -> Stream.of(s.setUpFrom(), s.shootFrom(), s.shootTo())),
                        plan.others().stream().flatMap(o -> o.spans(call).stream()))
                .distinct()
                .sorted()
                .toList();
    }

    private static List<Step> steps(
            PowerPlan plan, FedCircuit circuit, List<InTime> shots, TimeOfDay call, List<TimeOfDay> times) {
        List<Step> steps = new ArrayList<>();
        for (int i = 1; i < times.size(); i++) {
            TimeOfDay from = times.get(i - 1);
            Optional<InTime> shot = shots.stream()
                    .filter(s -> isBetween(from, s.slot.setUpFrom(), s.slot.shootTo()))
                    .findFirst();
            boolean inTakes =
                    shot.filter(s -> from.compareTo(s.slot.shootFrom()) >= 0).isPresent();
            double volts = plan.voltsOf(circuit);
            double lights = shot.map(s -> s.load.lightAmps(circuit, volts)).orElse(0.0);
            double others = plan.others().stream()
                    .filter(o -> PowerPlan.same(o.circuit(), circuit.name())
                            && o.drawsAt(from, call, shot.isPresent() && !inTakes))
                    .mapToDouble(o -> new Load(o.watts(), o.powerFactor()).amps(volts))
                    .sum();
            steps.add(new Step(
                    from,
                    times.get(i),
                    lights + others,
                    shot.map(s -> s.slot.shot().name()).orElse(null),
                    inTakes));
        }
        return steps;
    }

    static boolean isBetween(TimeOfDay at, TimeOfDay from, TimeOfDay to) {
        return from.compareTo(at) <= 0 && at.compareTo(to) < 0;
    }

    private static SourceDay source(PowerPlan plan, PowerSource source, List<CircuitDay> circuits) {
        List<List<Step>> mine = new ArrayList<>();
        for (int c = 0; c < circuits.size(); c++) {
            if (plan.hangsOn(plan.circuits().get(c).source(), source)) {
                mine.add(circuits.get(c).steps);
            }
        }
        double most = 0;
        TimeOfDay at = null;
        for (int i = 0; i < (mine.isEmpty() ? 0 : mine.get(0).size()); i++) {
            int step = i;
            double amps =
                    mine.stream().mapToDouble(steps -> steps.get(step).amps).sum();
            if (at == null || amps > most * (1 + Checks.LIMIT_SLACK)) {
                most = amps;
                at = mine.get(0).get(i).from;
            }
        }
        double kva = most * source.volts() / VOLT_AMPERES;
        return new SourceDay(source.name(), kva, at, source.shareOf(kva));
    }
}
