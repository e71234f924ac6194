package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.oblume.core.proof.Evidence.Otherwise;

/**
 * What explains what was read (proof, "What is wrong"). Detecting is apart from ranking: whether anything is off is asked of all readings
 * together, what it is by how well each cause explains them.
 *
 * <p>False alarms, over a whole run: {@link #BY_CHANCE} of all healthy rebuilds is spent on a chi-square test after each reading (Bonferroni,
 * 1/k²). The evidence for all that is looked for against the record has to reach {@link #ODDS_ASKED}: Ville's inequality bounds how often a
 * healthy rebuild does by one in as many; measured over eleven readings it is one in some 300, for the readings of a run are few and what is
 * looked for is much the same in them.
 */
public final class Inference {

    private static final double BY_CHANCE = 0.004;
    private static final double ODDS_ASKED = 12;
    /** How much of the evidence is asked of causes that come in twos: most is detected by one of them alone. */
    private static final double OF_TWOS_ASKED = 0.1;

    /** Part of all faults that come in twos (a setting of the model). */
    private static final double IN_TWOS = 0.5;

    /** How much it counts that nothing is off when it is asked what to read next: who meters wants to know (a setting of the model). */
    private static final double NOTHING_WHEN_ASKING = 0.1;

    private static final int LOOKED_AT_CLOSELY = 120;
    private static final int FIRST_OF_TWO = 40;
    private static final int FIRST_AT_EACH = 4;

    private final Suspects suspects;
    private final Spread spread;
    private final List<Double> weights;

    public Inference(Suspects suspects, Spread spread) {
        this.suspects = suspects;
        this.spread = spread;
        double all = suspects.faults().stream().mapToDouble(Inference::weight).sum();
        this.weights = suspects.faults().stream().map(f -> weight(f) / all).toList();
    }

    private static double weight(Fault fault) {
        return fault.weight() * fault.kind().weight();
    }

    /** A cause, or two at once. */
    record Hypothesis(List<Fault> faults, Otherwise one, Otherwise other, double logPrior) {}

    /** One that was looked at closely. */
    record Weighed(Hypothesis hypothesis, double logWeight, double distance) {}

    /**
     * @param readings of the rebuild, the oldest first
     * @param wanted what could be read besides
     */
    public Diagnosis diagnose(List<ProofReading> readings, List<ProofReading.Wanted> wanted) {
        List<ProofReading> known =
                readings.stream().filter(r -> Evidence.isOf(suspects, r)).toList();
        Evidence evidence = new Evidence(suspects, spread, known);
        if (evidence.figures() == 0) {
            return new Diagnosis(true, 1, List.of(), null);
        }
        Normal asRecorded = asRecorded(evidence);
        double[] residual = evidence.residual(Otherwise.AS_RECORDED, Otherwise.AS_RECORDED);
        List<Weighed> weighed = weighed(evidence, asRecorded);
        Weighed nothing = new Weighed(
                new Hypothesis(List.of(), Otherwise.AS_RECORDED, Otherwise.AS_RECORDED, 0),
                asRecorded.logDensity(residual),
                asRecorded.distance(residual));
        double byChance = chance(nothing.distance, evidence.figures());
        boolean off = isOff(weighed, nothing, byChance, evidence.readings());
        List<Weighed> open = new ArrayList<>(weighed);
        if (!off) {
            open.add(new Weighed(
                    nothing.hypothesis, nothing.logWeight + Math.log(NOTHING_WHEN_ASKING), nothing.distance));
        }
        return new Diagnosis(
                !off, byChance, findings(weighed), new NextReading(suspects, spread, known).of(open, wanted));
    }

    private static Normal asRecorded(Evidence evidence) {
        return new Normal(evidence.covariance(Otherwise.AS_RECORDED, Otherwise.AS_RECORDED));
    }

    private static boolean isOff(List<Weighed> weighed, Weighed nothing, double byChance, int looks) {
        double forAny = 0;
        for (Weighed one : weighed) {
            double share =
                    one.hypothesis.faults.size() == 1 ? (1 - OF_TWOS_ASKED) / (1 - IN_TWOS) : OF_TWOS_ASKED / IN_TWOS;
            forAny += share * Math.exp(one.logWeight - nothing.logWeight);
        }
        return forAny > ODDS_ASKED || byChance < spent(looks);
    }

    private static double spent(int looks) {
        return BY_CHANCE * 6 / (Math.PI * Math.PI * looks * looks);
    }

    private static double chance(double distance, int figures) {
        return 1 - new ChiSquaredDistribution(figures).cumulativeProbability(distance);
    }

    private List<Weighed> weighed(Evidence evidence, Normal asRecorded) {
        List<Hypothesis> singles = new ArrayList<>();
        List<Fault> faults = suspects.faults();
        for (int i = 0; i < faults.size(); i++) {
            singles.add(new Hypothesis(
                    List.of(faults.get(i)),
                    evidence.otherwise(faults.get(i)),
                    Otherwise.AS_RECORDED,
                    Math.log((1 - IN_TWOS) * weights.get(i))));
        }
        List<Hypothesis> ranked = best(singles.size(), evidence, asRecorded, singles);
        List<Weighed> weighed = closely(evidence, ranked.stream().limit(LOOKED_AT_CLOSELY));
        weighed.addAll(
                closely(evidence, best(LOOKED_AT_CLOSELY, evidence, asRecorded, twos(singles, ranked)).stream()));
        return weighed;
    }

    /** Those that explain the readings best, roughly: all with the spread of what is recorded. */
    private static List<Hypothesis> best(int most, Evidence evidence, Normal asRecorded, List<Hypothesis> all) {
        double[] scores = all.parallelStream()
                .mapToDouble(h -> h.logPrior - asRecorded.distance(evidence.residual(h.one, h.other)) / 2)
                .toArray();
        double[] sorted = scores.clone();
        Arrays.parallelSort(sorted);
        double least = sorted.length > most ? sorted[sorted.length - most] : Double.NEGATIVE_INFINITY;
        return IntStream.range(0, scores.length)
                .filter(i -> scores[i] >= least)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -scores[i]))
                .map(all::get)
                .toList();
    }

    private static List<Weighed> closely(Evidence evidence, Stream<Hypothesis> best) {
        return best.parallel()
                .map(h -> {
                    Normal spread = new Normal(evidence.covariance(h.one, h.other));
                    double[] residual = evidence.residual(h.one, h.other);
                    return new Weighed(h, h.logPrior + spread.logDensity(residual), spread.distance(residual));
                })
                .collect(Collectors.toCollection(ArrayList::new));
    }

    /** The likeliest of all and of each thing, each with all that may be so besides; each two once. */
    private static List<Hypothesis> twos(List<Hypothesis> singles, List<Hypothesis> ranked) {
        Map<String, Integer> atEach = new HashMap<>();
        List<Hypothesis> twos = new ArrayList<>();
        Set<Hypothesis> before = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int i = 0; i < ranked.size(); i++) {
            Hypothesis one = ranked.get(i);
            Fault fault = one.faults.get(0);
            if (i < FIRST_OF_TWO || atEach.getOrDefault(fault.thing(), 0) < FIRST_AT_EACH) {
                before.add(one);
                for (Hypothesis other : singles) {
                    if (!before.contains(other) && canBeBoth(fault, other.faults.get(0))) {
                        twos.add(two(one, other));
                    }
                }
            }
            atEach.merge(fault.thing(), 1, Integer::sum);
        }
        return twos;
    }

    private static Hypothesis two(Hypothesis one, Hypothesis other) {
        return new Hypothesis(
                List.of(one.faults.get(0), other.faults.get(0)),
                one.one,
                other.one,
                one.logPrior + other.logPrior + Math.log(2 * IN_TWOS / ((1 - IN_TWOS) * (1 - IN_TWOS))));
    }

    private static boolean canBeBoth(Fault one, Fault other) {
        return !one.thing().equals(other.thing())
                || (one.kind() != other.kind() && one.kind() != Fault.Kind.OFF && other.kind() != Fault.Kind.OFF);
    }

    private static List<Diagnosis.Finding> findings(List<Weighed> weighed) {
        double most = weighed.stream().mapToDouble(Weighed::logWeight).max().orElse(0);
        double all =
                weighed.stream().mapToDouble(w -> Math.exp(w.logWeight - most)).sum();
        Map<String, List<Weighed>> alike = new LinkedHashMap<>();
        Map<List<String>, Double> atThings = new HashMap<>();
        for (Weighed one : weighed) {
            alike.computeIfAbsent(sorts(one.hypothesis), k -> new ArrayList<>()).add(one);
            atThings.merge(things(one.hypothesis), Math.exp(one.logWeight - most) / all, Double::sum);
        }
        return alike.values().stream()
                .map(group -> finding(group, most, all, atThings))
                .sorted(Comparator.comparingDouble((Diagnosis.Finding f) -> -f.atThings())
                        .thenComparing(Comparator.comparingDouble((Diagnosis.Finding f) -> -f.share())))
                .toList();
    }

    private static Diagnosis.Finding finding(
            Collection<Weighed> group, double most, double all, Map<List<String>, Double> atThings) {
        Weighed best = group.stream()
                .max(Comparator.comparingDouble(Weighed::logWeight))
                .orElseThrow();
        double share = group.stream()
                .mapToDouble(w -> Math.exp(w.logWeight - most) / all)
                .sum();
        return new Diagnosis.Finding(
                best.hypothesis.faults, share, atThings.getOrDefault(things(best.hypothesis), share));
    }

    static List<String> things(Hypothesis of) {
        return of.faults.stream().map(Fault::thing).distinct().sorted().toList();
    }

    /** Which sorts of faults it is, at which things: {@code key LEVEL, edge AIM}. */
    static String sorts(Hypothesis of) {
        return Stream.of(of.faults)
                .flatMap(List::stream)
                .map(f -> f.thing() + " " + f.kind().sort())
                .sorted()
                .collect(Collectors.joining(", "));
    }
}
