package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Which reading tells the likeliest causes apart best: the one after which least is expected to be left open (entropy). */
final class NextReading {

    /** Plain enough to need no further reading, of 1. */
    private static final double PLAIN_FROM = 0.97;

    /** As well where two things are off at once: each of them has to be. */
    private static final double PLAIN_FROM_OF_TWO = 0.98;
    /** Less than this is not worth the walk, nats. */
    private static final double LEAST_GAIN = 0.08;

    private static final double LEAST_GAIN_OF_TWO = 0.02;

    private static final int LOOKED_AT = 40;
    private static final int DRAWN = 5;
    private static final long SEED = 20;

    private final Suspects suspects;
    private final Spread spread;
    private final List<ProofReading> known;

    NextReading(Suspects suspects, Spread spread, List<ProofReading> known) {
        this.suspects = suspects;
        this.spread = spread;
        this.known = known;
    }

    /** What one cause says of each reading that could be made, now that others are known. */
    private record Forecast(
            int faults, String sorts, List<String> things, double share, double[][] mean, Normal[] spread) {}

    ProofReading.@Nullable Wanted of(List<Inference.Weighed> weighed, List<ProofReading.Wanted> wanted) {
        List<ProofReading.Wanted> open = wanted.stream()
                .filter(w -> known.stream()
                                .noneMatch(r -> r.probe().equals(w.probe())
                                        && Objects.equals(r.alone(), w.alone())
                                        && r.lux() != null
                                        && r.kelvin() != null)
                        && Evidence.isOf(suspects, new ProofReading(w.probe(), w.alone(), 1.0, null, null)))
                .toList();
        if (open.isEmpty()) {
            return null;
        }
        List<Forecast> forecasts = forecasts(weighed, open);
        double before = entropy(forecasts.stream().mapToDouble(Forecast::share).toArray(), forecasts);
        boolean two = forecasts.stream()
                        .max(Comparator.comparingDouble(Forecast::share))
                        .orElseThrow()
                        .faults
                > 1;
        if (shares(forecasts).entrySet().stream()
                .anyMatch(s -> s.getValue() >= (two ? PLAIN_FROM_OF_TWO : PLAIN_FROM)
                        && !s.getKey().isEmpty())) {
            return null;
        }
        ProofReading.Wanted best = null;
        double least = before - (two ? LEAST_GAIN_OF_TWO : LEAST_GAIN);
        for (int w = 0; w < open.size(); w++) {
            double after = expected(forecasts, w);
            if (after < least) {
                least = after;
                best = open.get(w);
            }
        }
        return best;
    }

    private List<Forecast> forecasts(List<Inference.Weighed> weighed, List<ProofReading.Wanted> open) {
        List<ProofReading> all = new ArrayList<>(known);
        // its figures are not used: only what would be read
        open.forEach(w -> all.add(new ProofReading(w.probe(), w.alone(), 1.0, 5000.0, 0.0)));
        Evidence evidence = new Evidence(suspects, spread, all);
        List<Inference.Weighed> likeliest = weighed.stream()
                .sorted(Comparator.comparingDouble((Inference.Weighed w) -> -w.logWeight()))
                .limit(LOOKED_AT)
                .toList();
        double most = likeliest.get(0).logWeight();
        double sum = likeliest.stream()
                .mapToDouble(w -> Math.exp(w.logWeight() - most))
                .sum();
        return likeliest.stream()
                .parallel()
                .map(w -> forecast(evidence, w, Math.exp(w.logWeight() - most) / sum, open.size()))
                .toList();
    }

    private Forecast forecast(Evidence evidence, Inference.Weighed weighed, double share, int open) {
        Evidence.Otherwise one = evidence.again(weighed.hypothesis().faults(), 0);
        Evidence.Otherwise other = evidence.again(weighed.hypothesis().faults(), 1);
        double[][] covariance = evidence.covariance(one, other);
        double[] residual = evidence.residual(one, other);
        int n = Features.COUNT * known.size();
        Normal before = new Normal(block(covariance, 0, n));
        double[] white = before.whitened(Arrays.copyOf(residual, n));
        double[][] mean = new double[open][];
        Normal[] spreads = new Normal[open];
        for (int w = 0; w < open; w++) {
            int at = n + Features.COUNT * w;
            double[][] part = block(covariance, at, Features.COUNT);
            double[] now = new double[Features.COUNT];
            double[][] ways = new double[Features.COUNT][];
            for (int f = 0; f < Features.COUNT; f++) {
                ways[f] = before.whitened(Arrays.copyOf(covariance[at + f], n));
                // read less would be read, turned round: what would be read, from nought
                now[f] = -residual[at + f] + dot(ways[f], white);
            }
            for (int f = 0; f < Features.COUNT; f++) {
                for (int g = 0; g < Features.COUNT; g++) {
                    part[f][g] -= dot(ways[f], ways[g]);
                }
            }
            mean[w] = now;
            spreads[w] = new Normal(part);
        }
        return new Forecast(
                weighed.hypothesis().faults().size(),
                Inference.sorts(weighed.hypothesis()),
                Inference.things(weighed.hypothesis()),
                share,
                mean,
                spreads);
    }

    private static double[][] block(double[][] of, int at, int size) {
        double[][] block = new double[size][];
        for (int f = 0; f < size; f++) {
            block[f] = Arrays.copyOfRange(of[at + f], at, at + size);
        }
        return block;
    }

    private static double dot(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }

    private static double expected(List<Forecast> forecasts, int w) {
        Random random = new Random(SEED);
        double sum = 0;
        for (Forecast truth : forecasts) {
            for (int d = 0; d < DRAWN; d++) {
                double[] draw = truth.spread[w].drawn(
                        random.doubles(Features.COUNT, -1.7, 1.7).toArray());
                double[] log = new double[forecasts.size()];
                double most = Double.NEGATIVE_INFINITY;
                for (int h = 0; h < log.length; h++) {
                    Forecast other = forecasts.get(h);
                    double[] off = new double[Features.COUNT];
                    for (int f = 0; f < off.length; f++) {
                        off[f] = truth.mean[w][f] + draw[f] - other.mean[w][f];
                    }
                    log[h] = Math.log(other.share) + other.spread[w].logDensity(off);
                    most = Math.max(most, log[h]);
                }
                double all = 0;
                for (int h = 0; h < log.length; h++) {
                    log[h] = Math.exp(log[h] - most);
                    all += log[h];
                }
                for (int h = 0; h < log.length; h++) {
                    log[h] /= all;
                }
                sum += truth.share / DRAWN * entropy(log, forecasts);
            }
        }
        return sum;
    }

    private static Map<String, Double> shares(List<Forecast> forecasts) {
        Map<String, Double> shares = new HashMap<>();
        forecasts.forEach(f -> shares.merge(f.sorts, f.share, Double::sum));
        return shares;
    }

    /** Of which things it is at, and half as much of which sort of fault it is there; sizes do not matter. */
    private static double entropy(double[] shares, List<Forecast> forecasts) {
        Map<String, Double> sorts = new HashMap<>();
        Map<List<String>, Double> things = new HashMap<>();
        for (int h = 0; h < shares.length; h++) {
            sorts.merge(forecasts.get(h).sorts, shares[h], Double::sum);
            things.merge(forecasts.get(h).things, shares[h], Double::sum);
        }
        return (entropy(things.values()) + entropy(sorts.values())) / 2;
    }

    private static double entropy(Collection<Double> shares) {
        return shares.stream().mapToDouble(p -> p > 0 ? -p * Math.log(p) : 0).sum();
    }
}
