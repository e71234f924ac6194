package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.proof.Fault.Kind;

/** Measures how well what is wrong with a rebuild is found: seeded rebuilds of a room, read with a meter; a table as JSON. */
public final class ProveRebuilds {

    /** Lights that bring less to every place are not made wrong: nobody would see it. */
    private static final double LEAST_PART = 0.05;

    private static final int MOST_ASKED = 8;
    private static final int MOST_DRAWS = 200;
    private static final List<Integer> LIGHTS = List.of(6, 12, 24);
    private static final int TIMES = 5;

    private static final long SEEDS_APART = 1_000_003;

    private static final List<Probe.Way> PLACES =
            List.of(Probe.Way.LEFT, Probe.Way.RIGHT, Probe.Way.BACKGROUND, Probe.Way.BACK_LEFT, Probe.Way.BACK_RIGHT);

    private final Random random;
    private final int number;
    private final long seed;
    private final int runs;
    private final Spread truth;
    private final Suspects suspects;
    private final Inference inference;
    private final List<String> worth;
    private final MadeWrong.Draw wrong;
    private final long preparedMs;
    private long inferences;
    private long nanos;

    private ProveRebuilds(int number, long seed, int runs, double spread) {
        this.number = number;
        this.seed = seed;
        this.random = new Random(seed);
        this.runs = runs;
        this.truth = Spread.USUAL.ofKnownLights().predictedWithin(spread);
        long begun = System.nanoTime();
        this.suspects = Suspects.of(ProofRooms.recorded(number));
        this.preparedMs = (System.nanoTime() - begun) / 1_000_000;
        this.inference = new Inference(suspects, truth);
        this.worth = worth();
        this.wrong = new MadeWrong.Draw(suspects.shot(), random);
    }

    private List<String> worth() {
        Recorded shot = suspects.shot();
        List<String> keys = new ArrayList<>();
        for (int i = 0; i < shot.lights().size(); i++) {
            double most = 0;
            for (Probe.Way way : PLACES) {
                int p = shot.probes().indexOf(new Probe("mark", way));
                double all = 0;
                for (double[][] light : shot.brought()) {
                    all += ConeLight.luminance(light[p]);
                }
                most = Math.max(most, ConeLight.luminance(shot.brought()[i][p]) / all);
            }
            if (most >= LEAST_PART) {
                keys.add(shot.lights().get(i).key());
            }
        }
        return keys;
    }

    private MadeWrong wrong(Kind kind, String thing) {
        for (int attempt = 0; attempt < MOST_DRAWS; attempt++) {
            Optional<MadeWrong> one = wrong.at(kind, thing);
            if (one.isPresent()) {
                return one.get();
            }
        }
        throw new IllegalStateException("%s cannot be wrong at %s.".formatted(kind, thing));
    }

    private MadeWrong wrongAtALight() {
        return wrong(one(MadeWrong.AT_A_LIGHT), one(worth));
    }

    /** Each rebuild is drawn anew, so that the same are drawn however many readings were asked for before. */
    private void draw(int run) {
        random.setSeed(SEEDS_APART * seed + run);
    }

    private <T> T one(List<T> of) {
        return wrong.one(of);
    }

    private SimulatedRebuild rebuilt(List<MadeWrong> wrong) {
        return new SimulatedRebuild(
                suspects.shot(),
                truth,
                random,
                wrong.stream().map(MadeWrong::change).toList(),
                null);
    }

    private static List<ProofReading> places(SimulatedRebuild rebuilt) {
        List<ProofReading> read = new ArrayList<>();
        PLACES.forEach(way -> read.add(rebuilt.read(new Probe("mark", way), null)));
        return read;
    }

    private List<ProofReading.Wanted> wanted() {
        List<ProofReading.Wanted> all = new ArrayList<>();
        suspects.shot().lights().forEach(l -> {
            all.add(new ProofReading.Wanted(new Probe("mark", Probe.Way.TO_LIGHT), l.key()));
            PLACES.forEach(way -> all.add(new ProofReading.Wanted(new Probe("mark", way), l.key())));
        });
        return all;
    }

    private Diagnosis diagnose(List<ProofReading> readings) {
        long begun = System.nanoTime();
        Diagnosis found = inference.diagnose(readings, wanted());
        nanos += System.nanoTime() - begun;
        inferences++;
        return found;
    }

    private record Asked(Diagnosis found, int readings) {}

    private Asked ask(SimulatedRebuild rebuilt) {
        List<ProofReading> read = places(rebuilt);
        int asked = 0;
        while (true) {
            Diagnosis found = diagnose(read);
            if (found.next() == null || asked == MOST_ASKED) {
                return new Asked(found, asked);
            }
            read.add(rebuilt.read(found.next().probe(), found.next().alone()));
            asked++;
        }
    }

    private static Set<String> things(Diagnosis.Finding finding) {
        return new TreeSet<>(finding.things());
    }

    private static boolean named(Diagnosis found, MadeWrong wrong) {
        return found.findings().get(0).faults().stream()
                .anyMatch(f -> f.thing().equals(wrong.thing())
                        && f.kind().sort() == wrong.kind().sort());
    }

    private double healthy() {
        int off = 0;
        for (int i = 0; i < runs; i++) {
            draw(i);
            SimulatedRebuild rebuilt = rebuilt(List.of());
            List<ProofReading> read = new ArrayList<>();
            List<ProofReading> all = new ArrayList<>(places(rebuilt));
            suspects.shot()
                    .lights()
                    .forEach(l -> all.add(rebuilt.read(new Probe("mark", Probe.Way.TO_LIGHT), l.key())));
            for (ProofReading one : all) {
                read.add(one);
                if (!inference.diagnose(read, List.of()).asRecorded()) {
                    off++;
                    break;
                }
            }
        }
        return part(off);
    }

    private double part(int of) {
        return Math.round(1000.0 * of / runs) / 10.0;
    }

    private Map<String, Object> table() {
        Map<String, Object> table = new LinkedHashMap<>();
        table.put("lights worth it", String.join(" ", worth));
        table.put("suspects", suspects.faults().size());
        table.put("prepared, ms", preparedMs);
        table.put("healthy, called off, %", healthy());
        one(table, "one fault", MadeWrong.AT_A_LIGHT);
        one(table, "tint", List.of(Kind.TINT));
        two(table, "filter and distance on one light", () -> {
            String thing = one(worth);
            return List.of(
                    wrong(one(List.of(Kind.FILTER_MISSING, Kind.FILTER_DOUBLED, Kind.FILTER_SWAPPED)), thing),
                    wrong(Kind.DISTANCE, thing));
        });
        two(table, "two lights", () -> {
            MadeWrong first = wrongAtALight();
            MadeWrong second = wrongAtALight();
            while (second.thing().equals(first.thing())) {
                second = wrongAtALight();
            }
            return List.of(first, second);
        });
        two(
                table,
                "filter and cloth over the set",
                () -> List.of(
                        wrong(one(List.of(Kind.FILTER_MISSING, Kind.FILTER_SWAPPED)), one(worth)),
                        wrong(Kind.CLOTH_SWAPPED, "overhead")));
        table.put("inference, ms", Math.round(10.0 * nanos / inferences / 1e6) / 10.0);
        LIGHTS.forEach(lights -> timed(table, lights));
        return table;
    }

    /** How long it takes with more lights, five places and three of them alone read. */
    private void timed(Map<String, Object> table, int lights) {
        long begun = System.nanoTime();
        Suspects many = Suspects.of(ProofRooms.recorded(number, lights));
        long prepared = System.nanoTime();
        SimulatedRebuild rebuilt = new SimulatedRebuild(many.shot(), truth, random, List.of(), null);
        List<ProofReading> read = places(rebuilt);
        many.shot().lights().stream()
                .limit(3)
                .forEach(l -> read.add(rebuilt.read(new Probe("mark", Probe.Way.TO_LIGHT), l.key())));
        Inference asked = new Inference(many, truth);
        List<ProofReading.Wanted> wanted = MeterReadings.wanted(many.shot(), read);
        asked.diagnose(read, wanted);
        long warm = System.nanoTime();
        for (int i = 0; i < TIMES; i++) {
            asked.diagnose(read, wanted);
        }
        table.put(
                "%d lights: causes; prepared, ms; inference, ms".formatted(lights),
                "%d; %d; %d"
                        .formatted(
                                many.faults().size(),
                                (prepared - begun) / 1_000_000,
                                (System.nanoTime() - warm) / TIMES / 1_000_000));
    }

    private void one(Map<String, Object> table, String name, List<Kind> kinds) {
        int first = 0;
        int light = 0;
        int both = 0;
        int readings = 0;
        int told = 0;
        Map<Kind, int[]> byKind = new LinkedHashMap<>();
        for (int i = 0; i < runs; i++) {
            draw(i);
            MadeWrong wrong = wrong(one(kinds), one(worth));
            SimulatedRebuild rebuilt = rebuilt(List.of(wrong));
            if (inference
                    .diagnose(places(rebuilt), List.of())
                    .findings()
                    .get(0)
                    .things()
                    .equals(List.of(wrong.thing()))) {
                first++;
            }
            Asked asked = ask(rebuilt);
            readings += asked.readings;
            told += asked.found.asRecorded() ? 0 : 1;
            boolean right = things(asked.found.findings().get(0)).equals(Set.of(wrong.thing()));
            int[] count = byKind.computeIfAbsent(wrong.kind(), k -> new int[3]);
            count[0]++;
            if (right) {
                light++;
                count[1]++;
            }
            if (right && named(asked.found, wrong)) {
                both++;
                count[2]++;
            }
        }
        table.put(name + ", right light first by places alone, %", part(first));
        table.put(name + ", right light, %", part(light));
        table.put(name + ", light and kind, %", part(both));
        table.put(name + ", told that something is off, %", part(told));
        table.put(name + ", readings asked", Math.round(100.0 * readings / runs) / 100.0);
        table.put(
                name + ", of each kind: runs, light, kind",
                byKind.entrySet().stream()
                        .map(e -> e.getKey() + " " + Arrays.toString(e.getValue()))
                        .collect(Collectors.joining("; ")));
    }

    private void two(Map<String, Object> table, String name, Supplier<List<MadeWrong>> draw) {
        int both = 0;
        int first = 0;
        int things = 0;
        int readings = 0;
        int told = 0;
        for (int i = 0; i < runs; i++) {
            draw(i);
            List<MadeWrong> wrong = draw.get();
            Asked asked = ask(rebuilt(wrong));
            readings += asked.readings;
            Set<String> at = wrong.stream().map(MadeWrong::thing).collect(Collectors.toCollection(TreeSet::new));
            told += asked.found.asRecorded() ? 0 : 1;
            things += things(asked.found.findings().get(0)).equals(at) ? 1 : 0;
            first += named(asked.found, wrong.get(0)) ? 1 : 0;
            both += named(asked.found, wrong.get(0)) && named(asked.found, wrong.get(1)) ? 1 : 0;
        }
        table.put(name + ", right things, %", part(things));
        table.put(name + ", first named, %", part(first));
        table.put(name + ", both named, %", part(both));
        table.put(name + ", told that something is off, %", part(told));
        table.put(name + ", readings asked", Math.round(100.0 * readings / runs) / 100.0);
    }

    /** @param args {@code --seed N --runs M --room K --spread S} */
    public static void main(String[] args) {
        Map<String, String> given = new LinkedHashMap<>();
        for (int i = 0; i + 1 < args.length; i += 2) {
            given.put(args[i].replaceFirst("^--", ""), args[i + 1]);
        }
        int room = Integer.parseInt(given.getOrDefault("room", "1"));
        long seed = Long.parseLong(given.getOrDefault("seed", "1"));
        int runs = Integer.parseInt(given.getOrDefault("runs", "200"));
        double spread = Double.parseDouble(given.getOrDefault("spread", "0"));
        Map<String, Object> table = new LinkedHashMap<>();
        table.put("room", room);
        table.put("seed", seed);
        table.put("runs", runs);
        table.put("spread", spread);
        table.putAll(new ProveRebuilds(room, seed, runs, spread).table());
        System.out.println(table.entrySet().stream()
                .map(e -> "  \"%s\": %s"
                        .formatted(
                                e.getKey(),
                                e.getValue() instanceof String text ? "\"%s\"".formatted(text) : e.getValue()))
                .collect(Collectors.joining(",\n", "{\n", "\n}")));
    }
}
