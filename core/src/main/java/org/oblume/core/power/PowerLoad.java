package org.oblume.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;
import org.oblume.core.power.PowerPlan.FedCircuit;
import org.oblume.core.power.PowerPlan.OtherLoad;
import org.oblume.core.power.PowerPlan.PowerSource;
import org.oblume.core.power.PowerPlan.When;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;

/**
 * What a shot draws from what. Estimates (model: lights at the power factor 1 and at their recorded levels, no inrush, copper at room
 * temperature): a qualified electrician and the local code decide.
 *
 * @param circuits in the plan's order
 * @param sources in the plan's order
 * @param batteries lights on batteries, in the scene's order
 * @param unfed lights that are on and of which nobody said what feeds them, or that hang on a circuit that the set does not have
 */
public record PowerLoad(
        List<CircuitLoad> circuits, List<SourceLoad> sources, List<OnBattery> batteries, List<Unfed> unfed) {

    private static final double MOST_LOWER_STOPS = 6;
    private static final double VOLT_AMPERES = 1000;
    /** Asked of a circuit, and not looked at when it is only summed. */
    private static final double ANY_BREAKER_A = 1;

    private static final double HOUR_MIN = 60;

    /**
     * Something that draws.
     *
     * @param key of the light, or null
     * @param watts in the takes; 0 for what draws only between them
     * @param fullWatts with a light at full
     * @param when it draws; what does so at times of the day counts in the takes and between them
     * @param drop at the end of its own cable, at its own current; null when that cable is not known
     */
    public record Drawn(
            @Nullable String key,
            String name,
            double watts,
            double fullWatts,
            double powerFactor,
            When when,
            @Nullable Drop drop) {

        /** In the takes. */
        public double amps(double volts) {
            return new Load(watts, powerFactor).amps(volts);
        }

        /** At full, or between the takes. */
        public double fullAmps(double volts) {
            return new Load(fullWatts, powerFactor).amps(volts);
        }
    }

    /**
     * Voltage lost in a cable.
     *
     * @param part of the voltage
     */
    public record Drop(double volts, double part) {

        /** From here on it is told, and from here on something is to be done (settings of the model). */
        public static final double TOLD = 0.03;

        public static final double TOO_MUCH = 0.05;

        static Drop of(double volts, Cable cable, double amps) {
            double lost = cable.dropVolts(amps);
            return new Drop(lost, lost / volts);
        }
    }

    /**
     * A circuit and what hangs on it.
     *
     * @param takesAmps during the takes
     * @param peakAmps with what draws between them
     * @param fullAmps with all lights at full and what draws between the takes
     * @param limitAmps continuous limit
     * @param drop in the cable that is laid to it, at the peak; null when it is not known
     */
    public record CircuitLoad(
            FedCircuit circuit,
            List<Drawn> drawn,
            double takesAmps,
            double peakAmps,
            double fullAmps,
            double limitAmps,
            @Nullable Drop drop) {

        /** Whether more than the continuous limit is drawn at some time. */
        public boolean over() {
            return isOver(peakAmps);
        }

        /** Whether it is in the takes already. */
        public boolean overInTakes() {
            return isOver(takesAmps);
        }

        private boolean isOver(double amps) {
            return amps > limitAmps * (1 + Checks.LIMIT_SLACK);
        }
    }

    /**
     * A source and what hangs on it.
     *
     * @param phaseAmps three sums at the peak, phase 1 first
     * @param unbalance {@code (max − mean) / mean}
     * @param kva drawn at the peak
     * @param share of the rating of a generator; null of any other, and where it is not known
     * @param feederAmps of a distribution on the phase that carries most; null of any other
     * @param drop in the cable to a distribution (model: as of one phase, there and back); null when it is not known
     */
    public record SourceLoad(
            PowerSource source,
            List<Double> phaseAmps,
            double unbalance,
            double kva,
            @Nullable Double share,
            @Nullable Double feederAmps,
            @Nullable Drop drop) {

        /** Continuous limit of the breaker before a distribution; null of any other, and where it is not known. */
        public @Nullable Double feederLimitAmps() {
            return source.feeder() == null || source.feeder().breakerAmps() == null
                    ? null
                    : (Double) (LoadPlan.DEFAULT_CONTINUOUS_FRACTION
                            * source.feeder().breakerAmps());
        }

        /** Whether the breaker before a distribution carries more than its continuous limit. */
        public boolean feederIsOver() {
            Double limit = feederLimitAmps();
            return limit != null && feederAmps != null && feederAmps > limit * (1 + Checks.LIMIT_SLACK);
        }

        public boolean over() {
            return share != null && LoadPlan.isOver(share);
        }
    }

    /**
     * A light on a battery.
     *
     * @param unit the crew's own name for it, else the light's
     * @param wattHours of it, or null when nobody said and its kind has none
     * @param minutes that a full one lasts, or null
     */
    public record OnBattery(
            String key,
            String name,
            String unit,
            @Nullable String tag,
            @Nullable Double wattHours,
            double watts,
            @Nullable Double minutes) {}

    /** @param circuit that it hangs on and that the set does not have, or null */
    public record Unfed(String key, String name, double watts, @Nullable String circuit) {}

    /** @throws Refusal when lights are not taken so much lower, stops, 0 to 6 */
    public static void checkLower(double stops) {
        Checks.within("lower", "How much lower", stops, 0, MOST_LOWER_STOPS, " stops");
    }

    /** @param lowerStops how much lower all lights are taken, stops, 0 to 6 */
    public static PowerLoad of(PowerPlan plan, List<Placement> placements, RecordedState state, double lowerStops) {
        checkLower(lowerStops);
        List<Placement> lights = lit(placements, state);
        List<Unfed> unfed = new ArrayList<>();
        for (Placement light : lights) {
            Optional<Feed> feed = state.value(light.key(), Feed.class);
            boolean battery = feed.filter(f -> f.from() == Feed.From.BATTERY).isPresent();
            if (!battery
                    && (feed.isEmpty()
                            || plan.circuits().stream()
                                    .noneMatch(c -> feed.get().isOn(c.name())))) {
                unfed.add(new Unfed(
                        light.key(),
                        light.name(),
                        watts(light, state, lowerStops),
                        feed.map(Feed::name).orElse(null)));
            }
        }
        List<CircuitLoad> circuits = plan.circuits().stream()
                .map(c -> loaded(plan, c, lights, state, lowerStops))
                .toList();
        return new PowerLoad(
                circuits,
                plan.sources().stream().map(s -> loaded(plan, s, circuits)).toList(),
                batteries(placements, state, lowerStops),
                unfed);
    }

    private static List<Placement> lit(List<Placement> placements, RecordedState state) {
        return placements.stream()
                .filter(p -> p.kind().isLight() && state.isOn(p.key()))
                .toList();
    }

    private static List<OnBattery> batteries(List<Placement> placements, RecordedState state, double lowerStops) {
        return lit(placements, state).stream()
                .flatMap(light -> state
                        .value(light.key(), Feed.class)
                        .filter(f -> f.from() == Feed.From.BATTERY)
                        .map(f -> onBattery(light, f, watts(light, state, lowerStops)))
                        .stream())
                .toList();
    }

    /** What a light draws, as it is dialled, watts. */
    static double watts(Placement light, RecordedState state, double lowerStops) {
        double level = state.level(light.key());
        Lamp lamp = light.piece().lamp();
        LevelCurve curve = lamp == null ? LevelCurve.LINEAR : lamp.curve();
        double idle = lamp == null || lamp.upkeep() == null ? 0 : lamp.upkeep().idleWatts();
        double lower = lowerStops == 0 ? level : curve.level(curve.output(level) * Math.pow(2, -lowerStops));
        return curve.drawWatts(
                light.piece().watts(), idle, Percent.ofFraction(lower).fraction());
    }

    private static OnBattery onBattery(Placement light, Feed feed, double watts) {
        Lamp lamp = light.piece().lamp();
        Double ofItsKind =
                lamp == null || lamp.upkeep() == null ? null : lamp.upkeep().batteryWh();
        Double wattHours = feed.batteryWh() == null ? ofItsKind : feed.batteryWh();
        return new OnBattery(
                light.key(),
                light.name(),
                light.piece().unit() == null ? light.name() : light.piece().unit(),
                feed.name(),
                wattHours,
                watts,
                wattHours == null || watts == 0
                        ? null
                        : (Double) (HOUR_MIN * wattHours * BatteryRun.DEFAULT_USABLE / watts));
    }

    private static CircuitLoad loaded(
            PowerPlan plan, FedCircuit circuit, List<Placement> lights, RecordedState state, double lowerStops) {
        double volts = plan.voltsOf(circuit);
        List<Drawn> drawn = new ArrayList<>();
        double takes = 0;
        double between = 0;
        double full = 0;
        for (Placement light : lights) {
            Feed feed = state.value(light.key(), Feed.class).orElse(null);
            if (feed == null || !feed.isOn(circuit.name())) {
                continue;
            }
            double watts = watts(light, state, lowerStops);
            double amps = new Load(watts, 1).amps(volts);
            drawn.add(new Drawn(
                    light.key(),
                    light.name(),
                    watts,
                    light.piece().watts(),
                    1,
                    When.ALWAYS,
                    feed.cableM() == null || feed.areaMm2() == null
                            ? null
                            : Drop.of(volts, new Cable(feed.cableM(), feed.areaMm2()), amps)));
            takes += amps;
            full += new Load(light.piece().watts(), 1).amps(volts);
        }
        for (OtherLoad load : plan.others()) {
            if (PowerPlan.same(load.circuit(), circuit.name())) {
                double amps = new Load(load.watts(), load.powerFactor()).amps(volts);
                boolean always = load.when() != When.CHANGEOVERS; // what draws at times may do so in takes
                drawn.add(new Drawn(
                        null,
                        load.name(),
                        always ? load.watts() : 0,
                        load.watts(),
                        load.powerFactor(),
                        load.when(),
                        null));
                takes += always ? amps : 0;
                between += always ? 0 : amps;
                full += amps;
            }
        }
        double peak = takes + between;
        return new CircuitLoad(
                circuit,
                drawn,
                takes,
                peak,
                full,
                limitAmps(circuit),
                circuit.cableM() == null || circuit.areaMm2() == null
                        ? null
                        : Drop.of(volts, new Cable(circuit.cableM(), circuit.areaMm2()), peak));
    }

    /** Continuous limit of a circuit. */
    static double limitAmps(FedCircuit circuit) {
        return LoadPlan.DEFAULT_CONTINUOUS_FRACTION * circuit.breakerAmps();
    }

    /** What the lights on a circuit draw in the takes. */
    double lightAmps(FedCircuit circuit, double volts) {
        return circuits.stream()
                .filter(c -> c.circuit().equals(circuit))
                .flatMap(c -> c.drawn().stream())
                .filter(d -> d.key() != null)
                .mapToDouble(d -> d.amps(volts))
                .sum();
    }

    private static SourceLoad loaded(PowerPlan plan, PowerSource source, List<CircuitLoad> circuits) {
        List<Circuit> mine = hanging(plan, source, circuits);
        LoadPlan load = LoadPlan.of(source.volts(), LoadPlan.DEFAULT_CONTINUOUS_FRACTION, mine);
        double amps = mine.stream().mapToDouble(c -> c.amps(source.volts())).sum();
        double kva = amps * source.volts() / VOLT_AMPERES;
        PowerPlan.Feeder feeder = source.feeder();
        Double fed = feeder == null
                ? null
                : Double.valueOf(
                        source.phases() == 1
                                ? amps
                                : load.phaseAmps().stream().max(Double::compare).orElse(0.0));
        return new SourceLoad(
                source,
                load.phaseAmps(),
                load.unbalance(),
                kva,
                source.shareOf(kva),
                fed,
                feeder == null || fed == null || feeder.cableM() == null || feeder.areaMm2() == null
                        ? null
                        : Drop.of(source.volts(), new Cable(feeder.cableM(), feeder.areaMm2()), fed));
    }

    /** What hangs on a source at the peak: its circuits, and each phase of the distributions that it feeds. */
    private static List<Circuit> hanging(PowerPlan plan, PowerSource source, List<CircuitLoad> circuits) {
        List<Circuit> all = new ArrayList<>();
        for (CircuitLoad circuit : circuits) {
            if (PowerPlan.same(circuit.circuit().source(), source.name())) {
                all.add(drawing(
                        circuit.circuit().name(), circuit.circuit().phase(), circuit.peakAmps() * source.volts()));
            }
        }
        for (PowerSource box : plan.sources()) {
            if (box.isFedFrom(source) && box.feeder() != null) {
                for (Circuit below : hanging(plan, box, circuits)) {
                    Integer phase = box.phases() == source.phases()
                            ? below.phase()
                            : box.feeder().phase();
                    all.add(drawing(below.name(), phase, below.amps(source.volts()) * source.volts()));
                }
            }
        }
        return all;
    }

    private static Circuit drawing(String name, @Nullable Integer phase, double voltAmperes) {
        return new Circuit(name, ANY_BREAKER_A, phase, List.of(new Load(voltAmperes, 1)));
    }
}
