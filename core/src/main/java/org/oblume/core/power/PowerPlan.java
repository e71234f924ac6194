package org.oblume.core.power;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What feeds a set: the house and generators, circuits with their breakers, and what draws besides the lights. Figures of a board are
 * what its label says; a qualified electrician and the local code decide.
 */
public record PowerPlan(List<PowerSource> sources, List<FedCircuit> circuits, List<OtherLoad> others) {

    public static final PowerPlan NOTHING_SAID = new PowerPlan(List.of(), List.of(), List.of());
    private static final int MOST = 60;
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_LANDMARK = 60;
    private static final double LOWEST_V = 12;
    private static final double HIGHEST_V = 1000;
    private static final double MOST_AMPS = 2000;
    private static final double MOST_WATTS = 1e6;
    private static final double LONGEST_M = 1000;

    /** Where current comes from. */
    public enum SourceKind {
        HOUSE,
        GENERATOR,
        /** A box that is fed from another source and has circuits of its own. */
        DISTRIBUTION
    }

    /**
     * A board, a generator, or a distribution.
     *
     * @param volts of one phase, 12 to 1000
     * @param phases 1 or 3
     * @param kva of a generator, as rated, above 0; null when it is not known, and of any other
     * @param feeder of a distribution, else null
     */
    public record PowerSource(
            String name, SourceKind kind, double volts, int phases, @Nullable Double kva, @Nullable Feeder feeder) {

        public PowerSource {
            name = Checks.text("The source's name", name, LONGEST_NAME);
            Checks.within("volts", "The voltage of %s".formatted(name), volts, LOWEST_V, HIGHEST_V, " V");
            if (phases != 1 && phases != Circuit.PHASES) {
                throw new Refusal("phases", "%s has one phase or three.".formatted(name));
            }
            if (kva != null) {
                Checks.above0("kva", "The rating of %s".formatted(name), kva, " kVA");
            }
            if (kind != SourceKind.DISTRIBUTION) {
                feeder = null;
            } else if (feeder == null) {
                throw new Refusal("from", "%s is a distribution: say from which source it is fed.".formatted(name));
            }
        }

        /** One that is fed from no other. */
        public PowerSource(String name, SourceKind kind, double volts, int phases, @Nullable Double kva) {
            this(name, kind, volts, phases, kva, null);
        }

        boolean isFedFrom(PowerSource other) {
            return feeder != null && same(feeder.from(), other.name());
        }

        /** Of the rating of a generator, 0 or more; null of a house, and where it is not known. */
        @Nullable
        Double shareOf(double drawnKva) {
            return kind == SourceKind.GENERATOR && kva != null ? (Double) (drawnKva / kva) : null;
        }
    }

    /**
     * What feeds a distribution.
     *
     * @param from name of another source
     * @param phase of that, 1 to 3, on which a distribution of one phase hangs; null of one of three, and from a source of one phase
     * @param breakerAmps before it, of one phase, above 0 to 2000; null when it is not known
     * @param cableM of its cable, one way, metres, above 0, or null
     * @param areaMm2 of one conductor of that, mm², above 0, or null
     */
    public record Feeder(
            String from,
            @Nullable Integer phase,
            @Nullable Double breakerAmps,
            @Nullable Double cableM,
            @Nullable Double areaMm2) {

        public Feeder {
            from = Checks.text("What feeds a distribution", from, LONGEST_NAME);
            if (breakerAmps != null) {
                Checks.above0("breakerAmps", "The breaker before a distribution", breakerAmps, " A");
                Checks.within("breakerAmps", "The breaker before a distribution", breakerAmps, 0, MOST_AMPS, " A");
            }
            new Circuit(from, 1, phase, List.of());
            checkCable("a distribution", cableM, areaMm2);
        }
    }

    /**
     * A circuit behind one breaker.
     *
     * @param source name of what feeds it
     * @param breakerAmps above 0 to 2000
     * @param phase 1 to 3, or null of a source of one phase
     * @param where its sockets are, in words
     * @param landmark of the set by which they are, or null
     * @param cableM of what is laid to it, one way, metres, above 0, or null
     * @param areaMm2 of one conductor of that, mm², above 0, or null
     */
    public record FedCircuit(
            String name,
            String source,
            double breakerAmps,
            @Nullable Integer phase,
            String where,
            @Nullable Double cableM,
            @Nullable Double areaMm2,
            @Nullable String landmark) {

        /** One of which it is not known by which landmark its sockets are. */
        public FedCircuit(
                String name,
                String source,
                double breakerAmps,
                @Nullable Integer phase,
                String where,
                @Nullable Double cableM,
                @Nullable Double areaMm2) {
            this(name, source, breakerAmps, phase, where, cableM, areaMm2, null);
        }

        public FedCircuit {
            name = Checks.text("The circuit's name", name, LONGEST_NAME);
            where = where.strip();
            if (where.length() > LONGEST_NAME) {
                throw new Refusal("where", "Keep the place of %s to %d characters.".formatted(name, LONGEST_NAME));
            }
            landmark = landmark == null || landmark.isBlank()
                    ? null
                    : Checks.text("The landmark", landmark, LONGEST_LANDMARK);
            new Circuit(name, breakerAmps, phase, List.of());
            Checks.within("breakerAmps", "The breaker of %s".formatted(name), breakerAmps, 0, MOST_AMPS, " A");
            checkCable(name, cableM, areaMm2);
        }
    }

    /** When something draws that is no light. */
    public enum When {
        ALWAYS,
        /** Between the takes: a kettle, a heater that hums. */
        CHANGEOVERS,
        /** From a time of the day to another, whatever is done then. */
        TIMES
    }

    /**
     * What draws besides the lights: monitors, chargers, a heater.
     *
     * @param watts above 0
     * @param powerFactor above 0 to 1
     * @param from when it is switched on, {@code 19:00}; null unless it draws at times
     * @param to when it is switched off, likewise; one before {@code from} is of the next day
     */
    public record OtherLoad(
            String name,
            double watts,
            double powerFactor,
            String circuit,
            When when,
            @Nullable String from,
            @Nullable String to) {

        public OtherLoad {
            name = Checks.text("What draws", name, LONGEST_NAME);
            Checks.above0("watts", "The power of %s".formatted(name), watts, " W");
            Checks.within("watts", "The power of %s".formatted(name), watts, 0, MOST_WATTS, " W");
            new Load(watts, powerFactor);
            if (when != When.TIMES) {
                from = null;
                to = null;
            } else if (from == null || to == null) {
                throw new Refusal(
                        from == null ? "from" : "to",
                        "%s draws at times: say from when, and until when.".formatted(name));
            } else if (TimeOfDay.parse("from", from).equals(TimeOfDay.parse("to", to))) {
                throw new Refusal("to", "%s would be switched off when it is switched on.".formatted(name));
            }
        }

        /** One that draws at no times of its own. */
        public OtherLoad(String name, double watts, double powerFactor, String circuit, When when) {
            this(name, watts, powerFactor, circuit, when, null, null);
        }

        /**
         * When it is switched on and off again; empty unless it draws at times.
         *
         * @param call of the day: what is before it is of the next day
         */
        List<TimeOfDay> spans(TimeOfDay call) {
            if (from == null || to == null) {
                return List.of();
            }
            TimeOfDay on = TimeOfDay.parse("from", from).notBefore(call);
            return List.of(on, TimeOfDay.parse("to", to).notBefore(on));
        }

        /** @param betweenTakes whether something is set up, or waits, then */
        boolean drawsAt(TimeOfDay time, TimeOfDay call, boolean betweenTakes) {
            return switch (when) {
                case ALWAYS -> true;
                case CHANGEOVERS -> betweenTakes;
                case TIMES -> {
                    List<TimeOfDay> span = spans(call);
                    yield DayLoad.isBetween(time, span.get(0), span.get(1));
                }
            };
        }
    }

    /** @throws Refusal when two have one name, or one hangs on what is not there */
    public PowerPlan {
        sources = List.copyOf(sources);
        circuits = List.copyOf(circuits);
        others = List.copyOf(others);
        if (sources.size() > MOST || circuits.size() > MOST || others.size() > MOST) {
            throw new Refusal("A set has %d sources, circuits and other loads at most.".formatted(MOST));
        }
        refuseTwice("sources", sources.stream().map(PowerSource::name));
        refuseTwice("circuits", circuits.stream().map(FedCircuit::name));
        refuseTwice("others", others.stream().map(OtherLoad::name));
        for (PowerSource source : sources) {
            checkFeeder(source, sources);
        }
        for (FedCircuit circuit : circuits) {
            PowerSource source = sources.stream()
                    .filter(s -> same(s.name(), circuit.source()))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(
                            "source",
                            "%s hangs on “%s”, which is no source of this set: choose one."
                                    .formatted(circuit.name(), circuit.source())));
            if (circuit.phase() != null && circuit.phase() > source.phases()) {
                throw new Refusal("phase", "%s has no phase %d.".formatted(source.name(), circuit.phase()));
            }
        }
        for (OtherLoad load : others) {
            if (circuits.stream().noneMatch(c -> same(c.name(), load.circuit()))) {
                throw new Refusal(
                        "circuit",
                        "%s hangs on “%s”, which is no circuit of this set: choose one."
                                .formatted(load.name(), load.circuit()));
            }
        }
    }

    private static void checkCable(String to, @Nullable Double cableM, @Nullable Double areaMm2) {
        if ((cableM == null) != (areaMm2 == null)) {
            throw new Refusal(
                    cableM == null ? "cableM" : "areaMm2",
                    "The cable to %s needs both its length and its section, or neither.".formatted(to));
        }
        if (cableM != null && areaMm2 != null) {
            new Cable(cableM, areaMm2);
            Checks.within("cableM", "The cable to %s".formatted(to), cableM, 0, LONGEST_M, " m");
        }
    }

    private static void checkFeeder(PowerSource box, List<PowerSource> sources) {
        Feeder feeder = box.feeder();
        if (feeder == null) {
            return;
        }
        PowerSource from = sources.stream()
                .filter(box::isFedFrom)
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "from",
                        "%s is fed from “%s”, which is no source of this set: choose one."
                                .formatted(box.name(), feeder.from())));
        if (box.volts() != from.volts()) {
            throw new Refusal("volts", "%s has the voltage of %s that feeds it.".formatted(box.name(), from.name()));
        }
        if (box.phases() > from.phases()) {
            throw new Refusal("phases", "%s has one phase: %s can have no three.".formatted(from.name(), box.name()));
        }
        if (box.phases() < from.phases() && feeder.phase() == null) {
            throw new Refusal("phase", "Say on which phase of %s %s hangs.".formatted(from.name(), box.name()));
        }
        Set<String> seen = new HashSet<>();
        PowerSource up = box;
        while (up != null) {
            if (!seen.add(up.name())) {
                throw new Refusal("from", "%s would be fed from itself: choose another source.".formatted(box.name()));
            }
            PowerSource below = up;
            up = sources.stream().filter(below::isFedFrom).findFirst().orElse(null);
        }
    }

    /** The voltage of a circuit of this plan. */
    public double voltsOf(FedCircuit circuit) {
        return sources.stream()
                .filter(s -> same(s.name(), circuit.source()))
                .findFirst()
                .orElseThrow()
                .volts();
    }

    /** Whether a source of that name is another one, or is fed from it over distributions. */
    boolean hangsOn(String name, PowerSource other) {
        return same(name, other.name())
                || sources.stream()
                        .filter(s -> same(s.name(), name) && s.feeder() != null)
                        .anyMatch(s ->
                                hangsOn(s.feeder() == null ? "" : s.feeder().from(), other));
    }

    static boolean same(String one, String other) {
        return one.toLowerCase(Locale.ROOT).equals(other.toLowerCase(Locale.ROOT));
    }

    private static void refuseTwice(String field, Stream<String> names) {
        Set<String> seen = new HashSet<>();
        names.filter(n -> !seen.add(n.toLowerCase(Locale.ROOT))).findFirst().ifPresent(n -> {
            throw new Refusal(field, "Two are called %s: give each its own name.".formatted(n));
        });
    }
}
