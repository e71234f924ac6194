package org.oblume.core.power;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import org.oblume.core.day.BatteryCourse;
import org.oblume.core.power.PowerLoad.CircuitLoad;
import org.oblume.core.power.PowerLoad.Drop;
import org.oblume.core.power.PowerLoad.SourceLoad;
import org.oblume.core.power.PowerPlan.When;

/**
 * What is worth a look in how a shot is fed.
 *
 * @param act whether something is to be done
 */
public record PowerNotice(String text, boolean act) {

    /** A phase that carries so much more than their mean is told (a setting of the model). */
    private static final double UNBALANCED = 0.5;

    /** From more than this on a spare battery in an aircraft is asked about (a setting; airlines decide). */
    private static final double ASKED_WH = 100;

    private static final double[] SECTIONS_MM2 = {1.5, 2.5, 4, 6, 10, 16, 25, 35};

    /** What is to be done first, then what is told. */
    public static List<PowerNotice> of(PowerLoad load) {
        List<PowerNotice> all = new ArrayList<>();
        load.circuits().forEach(c -> circuit(c, all));
        load.sources().forEach(s -> source(s, all));
        load.circuits().forEach(c -> drops(c, all));
        load.unfed().stream()
                .filter(u -> u.circuit() != null)
                .forEach(u -> all.add(new PowerNotice(
                        "%s hangs on “%s”, which is no circuit of this set: choose another."
                                .formatted(u.name(), u.circuit()),
                        true)));
        load.batteries().stream()
                .filter(b -> b.wattHours() == null)
                .forEach(b -> all.add(new PowerNotice(
                        "%s is on a battery of which nobody said the watt hours.".formatted(b.name()), false)));
        load.batteries().stream()
                .filter(b -> b.wattHours() != null && b.wattHours() > ASKED_WH)
                .forEach(b -> all.add(new PowerNotice(
                        "The battery of %s has %.0f Wh: before it flies ask the airline, who ask from %.0f Wh on."
                                .formatted(b.name(), b.wattHours(), ASKED_WH),
                        false)));
        String unsaid = load.unfed().stream()
                .filter(u -> u.circuit() == null)
                .map(PowerLoad.Unfed::name)
                .collect(Collectors.joining(", "));
        if (!unsaid.isEmpty()) {
            all.add(new PowerNotice("Nobody said what feeds %s: they are not counted.".formatted(unsaid), false));
        }
        all.sort((a, b) -> Boolean.compare(b.act(), a.act()));
        return all;
    }

    /** What is to be done over a day first, then what is told: circuits, generators, batteries. */
    public static List<PowerNotice> of(DayLoad load) {
        List<PowerNotice> all = new ArrayList<>();
        load.circuits().stream().filter(DayLoad.CircuitDay::over).forEach(c -> all.add(over(c)));
        for (DayLoad.SourceDay source : load.sources()) {
            Double share = source.share();
            if (share != null && source.at() != null && LoadPlan.isOver(share)) {
                all.add(new PowerNotice(
                        "%s gives %.1f kVA at %s, %.0f %% of its rating: over 80 %%. Take something off it."
                                .formatted(
                                        source.name(),
                                        source.peakKva(),
                                        source.at().print(),
                                        100 * share),
                        true));
            }
        }
        return all;
    }

    private static PowerNotice over(DayLoad.CircuitDay circuit) {
        DayLoad.Step most = circuit.peak().orElseThrow();
        String when = circuit.steps().stream()
                .filter(circuit::isOver)
                .map(s -> "%s (%s to %s)"
                        .formatted(
                                s.shot() == null
                                        ? "between shots"
                                        : s.inTakes() ? "takes of " + s.shot() : "set-up of " + s.shot(),
                                s.from().print(),
                                s.to().print()))
                .collect(Collectors.joining(", "));
        return new PowerNotice(
                "%s is %.1f A over: %.1f of %.1f A (80 %% of its breaker), %s. Move something to another circuit."
                        .formatted(
                                circuit.name(),
                                most.amps() - circuit.limitAmps(),
                                most.amps(),
                                circuit.limitAmps(),
                                when),
                true);
    }

    /** What is to be told of a unit's batteries over a day. */
    public static List<PowerNotice> of(BatteryCourse course) {
        String unit = course.battery().unit();
        List<PowerNotice> all = new ArrayList<>();
        for (BatteryCourse.Change change : course.changes()) {
            if (!change.inTakes()) {
                all.add(new PowerNotice(
                        "%s runs out at %s, in the takes of %s: change its battery in the set-up, by %s."
                                .formatted(
                                        unit,
                                        change.emptyAt().print(),
                                        change.shot(),
                                        change.at().print()),
                        false));
            }
        }
        course.changes().stream()
                .filter(BatteryCourse.Change::inTakes)
                .collect(Collectors.groupingBy(
                        BatteryCourse.Change::shot,
                        LinkedHashMap::new,
                        Collectors.mapping(c -> c.at().print(), Collectors.joining(", "))))
                .forEach((shot, times) -> all.add(new PowerNotice(
                        "%s needs more than a full battery in %s: it runs out between takes, at %s. Shoot it in parts, or feed it from the mains."
                                .formatted(unit, shot, times),
                        true)));
        return all;
    }

    private static void circuit(CircuitLoad circuit, List<PowerNotice> all) {
        String name = circuit.circuit().name();
        if (!circuit.over()) {
            return;
        }
        String with = circuit.drawn().stream()
                .filter(d -> d.when() == When.CHANGEOVERS)
                .map(PowerLoad.Drawn::name)
                .collect(Collectors.joining(" and "));
        boolean onlyBetween = !circuit.overInTakes();
        all.add(new PowerNotice(
                "%s is %.1f A over%s: %.1f of %.1f A (80 %% of its breaker). Move something to another circuit."
                        .formatted(
                                name,
                                circuit.peakAmps() - circuit.limitAmps(),
                                onlyBetween && !with.isEmpty() ? " with " + with : "",
                                circuit.peakAmps(),
                                circuit.limitAmps()),
                true));
    }

    private static void source(SourceLoad source, List<PowerNotice> all) {
        String name = source.source().name();
        Double feederAmps = source.feederAmps();
        Double feederLimit = source.feederLimitAmps();
        if (source.feederIsOver() && feederAmps != null && feederLimit != null) {
            all.add(new PowerNotice(
                    "The breaker before %s carries %.1f of %.1f A (80 %%). Take something off it."
                            .formatted(name, feederAmps, feederLimit),
                    true));
        }
        PowerPlan.Feeder feeder = source.source().feeder();
        if (feeder != null && feeder.areaMm2() != null && source.drop() != null) {
            drop("The cable to %s".formatted(name), source.drop(), feeder.areaMm2(), all);
        }
        Double share = source.share();
        if (source.over() && share != null) {
            all.add(new PowerNotice(
                    "%s gives %.1f kVA, %.0f %% of its rating: over 80 %%. Take something off it."
                            .formatted(name, source.kva(), 100 * share),
                    true));
        }
        if (source.source().kind() == PowerPlan.SourceKind.GENERATOR
                && source.source().kva() == null) {
            all.add(new PowerNotice("Nobody said what %s is rated for.".formatted(name), false));
        }
        if (source.source().phases() == Circuit.PHASES && source.unbalance() > UNBALANCED) {
            List<Double> amps = source.phaseAmps();
            int most = amps.indexOf(amps.stream().max(Double::compare).orElse(0.0));
            all.add(new PowerNotice(
                    "%s: L%d carries most, %.1f A beside %s."
                            .formatted(
                                    name,
                                    most + 1,
                                    amps.get(most),
                                    amps.stream()
                                            .filter(a -> !a.equals(amps.get(most)))
                                            .map("%.1f"::formatted)
                                            .collect(Collectors.joining(" and "))),
                    false));
        }
    }

    private static void drops(CircuitLoad circuit, List<PowerNotice> all) {
        if (circuit.drop() != null && circuit.circuit().areaMm2() != null) {
            drop(
                    "The cable to %s".formatted(circuit.circuit().name()),
                    circuit.drop(),
                    circuit.circuit().areaMm2(),
                    all);
        }
        for (PowerLoad.Drawn drawn : circuit.drawn()) {
            if (drawn.drop() != null) {
                drop("The cable to %s".formatted(drawn.name()), drawn.drop(), 0, all);
            }
        }
    }

    private static void drop(String what, Drop drop, double areaMm2, List<PowerNotice> all) {
        if (drop.part() <= Drop.TOLD) {
            return;
        }
        StringBuilder said =
                new StringBuilder("%s loses %.1f V, %.1f %%.".formatted(what, drop.volts(), 100 * drop.part()));
        for (double next : SECTIONS_MM2) {
            if (areaMm2 > 0 && next > areaMm2 && drop.part() * areaMm2 / next <= Drop.TOLD) {
                said.append(" In %s mm² it would be %.1f %%."
                        .formatted(
                                next == Math.rint(next) ? "%.0f".formatted(next) : "%.1f".formatted(next),
                                100 * drop.part() * areaMm2 / next));
                break;
            }
        }
        all.add(new PowerNotice(said + " Unroll the drum.", drop.part() > Drop.TOO_MUCH));
    }
}
