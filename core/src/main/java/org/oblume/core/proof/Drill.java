package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * A rebuild in which something is wrong on purpose, to be found with the meter. It is seeded: the same seed hides the same. What is read is
 * predicted of lights as they then stand, with the spreads of a rebuild and of a meter (model).
 */
public final class Drill {

    private static final int MOST_DRAWS = 500;

    /** How plain it is: what differs by less at every reading that can be made nobody finds, spreads. */
    private static final double LEAST_SPREADS = 4;

    private static final double PLAIN_SPREADS = 10;

    /** The light that is hidden is the model's own. */
    private static final Spread STRAYS = Spread.USUAL.ofKnownLights();

    private static final List<Fault.Kind> PLAIN_KINDS = List.of(
            Fault.Kind.OFF,
            Fault.Kind.LEVEL,
            Fault.Kind.WHITE,
            Fault.Kind.FILTER_MISSING,
            Fault.Kind.FILTER_SWAPPED,
            Fault.Kind.AIM);

    /** How hard it is to find. */
    public enum Difficulty {
        /** One thing, plain to see. */
        PLAIN,
        /** One thing, small or large. */
        ONE,
        /** Two things at two lights. */
        TWO
    }

    private final Suspects suspects;
    private final List<MadeWrong> hidden;
    private final SimulatedRebuild there;
    private final SimulatedRebuild asRecorded;
    private final List<ProofReading> read = new ArrayList<>();

    private Drill(Suspects suspects, List<MadeWrong> hidden, SimulatedRebuild there) {
        this.suspects = suspects;
        this.hidden = hidden;
        this.there = there;
        this.asRecorded = exactly(suspects.shot());
    }

    /**
     * Hides something.
     *
     * @throws Refusal when nothing that could be found can be wrong in this shot
     */
    public static Drill of(Suspects suspects, long seed, Difficulty difficulty) {
        Recorded shot = suspects.shot();
        Random random = new Random(seed);
        MadeWrong.Draw draw = new MadeWrong.Draw(shot, random);
        List<String> lights = shot.lights().stream().map(Placement::key).toList();
        if (lights.isEmpty() || shot.marks().isEmpty()) {
            throw new Refusal("A drill needs a shot with a mark and lights that are on: choose another shot.");
        }
        List<MadeWrong> hidden = new ArrayList<>();
        int wanted = difficulty == Difficulty.TWO ? 2 : 1;
        double least = difficulty == Difficulty.PLAIN ? PLAIN_SPREADS : LEAST_SPREADS;
        List<Fault.Kind> kinds = difficulty == Difficulty.PLAIN ? PLAIN_KINDS : MadeWrong.AT_A_LIGHT;
        for (int attempt = 0; attempt < MOST_DRAWS && hidden.size() < wanted; attempt++) {
            String light = draw.one(lights);
            draw.at(draw.one(kinds), light)
                    .filter(w -> hidden.stream().noneMatch(h -> h.thing().equals(light)))
                    .filter(w -> spreads(shot, w) >= least)
                    .ifPresent(hidden::add);
        }
        if (hidden.size() < wanted) {
            throw new Refusal("Nothing in this shot could be wrong so that a meter tells it: choose another shot.");
        }
        return new Drill(
                suspects,
                List.copyOf(hidden),
                new SimulatedRebuild(
                        shot,
                        STRAYS,
                        random,
                        hidden.stream().map(MadeWrong::change).toList(),
                        null));
    }

    private static SimulatedRebuild exactly(Recorded shot, Change... wrong) {
        return new SimulatedRebuild(shot, Spread.EXACT, new Random(0), List.of(wrong), null);
    }

    /** How far off the plainest reading is that can be made, spreads of a light and a meter. */
    private static double spreads(Recorded shot, MadeWrong wrong) {
        SimulatedRebuild before = exactly(shot);
        SimulatedRebuild after;
        try {
            after = exactly(shot, wrong.change());
        } catch (Refusal cannotBe) {
            return 0;
        }
        return MeterReadings.wanted(shot, List.of()).stream()
                .mapToDouble(w -> {
                    ProofReading one = before.read(w.probe(), w.alone());
                    ProofReading other = after.read(w.probe(), w.alone());
                    return one.lux() == null || other.lux() == null
                            ? 0
                            : Math.abs(Math.log(other.lux() / one.lux()) / Math.log(2))
                                            / Math.hypot(
                                                    STRAYS.light().stops(),
                                                    STRAYS.meter().stops())
                                    + (one.kelvin() == null || other.kelvin() == null
                                            ? 0
                                            : Math.abs(Kelvin.MIRED_PRODUCT / other.kelvin()
                                                            - Kelvin.MIRED_PRODUCT / one.kelvin())
                                                    / Math.hypot(
                                                            STRAYS.light().mired(),
                                                            STRAYS.meter().mired()))
                                    + (one.duv() == null || other.duv() == null
                                            ? 0
                                            : Math.abs(other.duv() - one.duv())
                                                    / Math.hypot(
                                                            STRAYS.light().duv(),
                                                            STRAYS.meter().duv()));
                })
                .max()
                .orElse(0);
    }

    /** What can be read: each place under all lights, each light alone. */
    public List<ProofReading.Wanted> readable() {
        return MeterReadings.wanted(suspects.shot(), List.of());
    }

    /**
     * Reads it with a meter.
     *
     * @throws Refusal when that cannot be read here
     */
    public ProofReading read(ProofReading.Wanted wanted) {
        if (!readable().contains(wanted)) {
            throw new Refusal("That cannot be read in this drill: choose a light and a place of the list.");
        }
        ProofReading now = there.read(wanted.probe(), wanted.alone());
        read.add(now);
        return now;
    }

    /** What it would read as recorded. */
    public ProofReading recorded(ProofReading.Wanted wanted) {
        return asRecorded.read(wanted.probe(), wanted.alone());
    }

    public Recorded shot() {
        return suspects.shot();
    }

    public List<ProofReading> readings() {
        return List.copyOf(read);
    }

    /** What is wrong, in the order in which it was hidden. */
    public List<MadeWrong> hidden() {
        return hidden;
    }

    /** Whether these are the things that something is wrong at. */
    public boolean isFoundBy(Set<String> things) {
        return hidden.stream().map(MadeWrong::thing).collect(Collectors.toSet()).equals(things);
    }

    /** What was likeliest after each reading, by all that had been read until then; in their order. */
    public List<Optional<Diagnosis.Finding>> told() {
        Inference inference = new Inference(suspects, STRAYS);
        return Stream.iterate(1, n -> n + 1)
                .limit(read.size())
                .map(n -> inference.diagnose(read.subList(0, n), List.of()))
                .map(found -> found.asRecorded()
                        ? Optional.<Diagnosis.Finding>empty()
                        : found.findings().stream().findFirst())
                .toList();
    }
}
