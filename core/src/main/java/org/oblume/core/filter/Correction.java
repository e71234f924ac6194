package org.oblume.core.filter;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.MiredShift;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * Which filters of the stock bring a reading to a target: the best of all stacks that the sheets at hand allow. A stack is
 * judged by {@code (Δmired/10)² + (Δstops/0.1)² + (ΔDuv/0.001)² + 0.25 · filters} (our own weights). Stacks are gone
 * through by size; a branch that cannot beat the worst kept one is not entered.
 *
 * @param source the light as it reads now
 * @param sourceTStop its reading
 * @param target colour that is wanted
 * @param targetTStop reading that is wanted
 * @param dimming how far the light itself can be turned down
 */
public record Correction(WhitePoint source, TStop sourceTStop, WhitePoint target, TStop targetTStop, Dimming dimming) {

    /** How many prescriptions are answered. */
    public static final int MOST = 5;

    public static final int DEFAULT_FILTERS = 3;
    /** So many are looked at for those with fewer sheets. */
    private static final int WIDE = 40;

    private static final double OPPOSED_MIRED = 10;
    private static final double OPPOSED_DUV = 0.002;
    /** Costs this near to each other tie: fewer filters win, then the names in code-point order. */
    public static final double TIE = 1e-9;

    private static final double MIRED_SCALE = 10;
    private static final double STOPS_SCALE = 0.1;
    private static final double DUV_SCALE = 0.001;
    private static final double COST_OF_A_FILTER = 0.25;
    /** Steps of the search beyond which a question is refused rather than answered late. */
    public static final int DEFAULT_MOST_STEPS = 20_000_000;

    private static final Comparator<String> BY_CODE_POINT =
            (a, b) -> Arrays.compare(a.codePoints().toArray(), b.codePoints().toArray());

    /** @param lowestOutput part of full output, above 0 to 1; 1 for a light that cannot be dimmed */
    public record Dimming(double lowestOutput) {

        public static final Dimming NONE = new Dimming(1);
        public static final double DEFAULT_LOWEST_OUTPUT = 0.01;

        public Dimming {
            Checks.fraction("minLevelOutput", "The lowest output", lowestOutput);
        }

        double stops() {
            return Stops.fromRatio(1 / lowestOutput).value();
        }
    }

    /** How far the light is above the target before anything hangs. */
    public Stops tooBright() {
        return Stops.of(
                2 * Stops.fromRatio(sourceTStop.number() / targetTStop.number()).value());
    }

    /**
     * @param stock at hand; items may share a name
     * @param maxFilters most sheets in a stack, 0 or more
     * @return at most {@link #MOST}, best first; no filter at all counts as one. Stacks whose colour would be outside 1000
     *         to 25000 K are left out
     * @throws Refusal when there are too many stacks to go through
     */
    public List<Prescription> prescribe(List<Sheets> stock, int maxFilters) {
        return prescribe(stock, maxFilters, DEFAULT_MOST_STEPS);
    }

    /**
     * The same with a limit of one's own.
     *
     * @param mostSteps of the search, above 0
     */
    public List<Prescription> prescribe(List<Sheets> stock, int maxFilters, int mostSteps) {
        return searched(stock, maxFilters, mostSteps, MOST, false);
    }

    /**
     * The same as a gaffer would hang them: no warming filter against a cooling one and no green against magenta, unless nothing else
     * reaches; and of those that reach, the one with fewer sheets first.
     *
     * @return at most {@link #MOST}, best first
     */
    public List<Prescription> prescribeSensibly(List<Sheets> stock, int maxFilters) {
        List<Prescription> sensible = searched(stock, maxFilters, DEFAULT_MOST_STEPS, WIDE, true);
        List<Prescription> all = new ArrayList<>(sensible);
        if (sensible.stream().noneMatch(Prescription::reaches)) {
            prescribe(stock, maxFilters).stream()
                    .filter(p -> p.reaches() && !sensible.contains(p))
                    .forEach(all::add);
        }
        return all.stream()
                .sorted(Comparator.comparing((Prescription p) -> !p.reaches())
                        .thenComparingInt(p -> p.reaches() ? p.filters().size() : 0)
                        .thenComparingDouble(Prescription::cost))
                .limit(MOST)
                .toList();
    }

    private List<Prescription> searched(
            List<Sheets> stock, int maxFilters, int mostSteps, int most, boolean withoutOpposites) {
        if (maxFilters < 0) {
            throw new Refusal("maxFilters", "The most filters in a stack has to be 0 or more.");
        }
        Search search = new Search(stock, maxFilters, mostSteps, most, withoutOpposites);
        search.run();
        return search.best.stream().map(Stack::toPrescription).toList();
    }

    /** A stack that was weighed. */
    private record Stack(Prescription toPrescription) {

        boolean beats(Stack other) {
            double apart = toPrescription.cost() - other.toPrescription.cost();
            if (Math.abs(apart) > TIE) {
                return apart < 0;
            }
            List<String> mine = toPrescription.filters();
            List<String> theirs = other.toPrescription.filters();
            if (mine.size() != theirs.size()) {
                return mine.size() < theirs.size();
            }
            for (int i = 0; i < mine.size(); i++) {
                int order = BY_CODE_POINT.compare(mine.get(i), theirs.get(i));
                if (order != 0) {
                    return order < 0;
                }
            }
            return false;
        }
    }

    /** Smallest and largest shift among the items from an index on, of one kind. */
    private record Reach(double[] least, double[] most) {

        static Reach of(double[] shifts) {
            double[] least = new double[shifts.length + 1];
            double[] most = new double[shifts.length + 1];
            least[shifts.length] = Double.POSITIVE_INFINITY;
            most[shifts.length] = Double.NEGATIVE_INFINITY;
            for (int i = shifts.length - 1; i >= 0; i--) {
                least[i] = Math.min(shifts[i], least[i + 1]);
                most[i] = Math.max(shifts[i], most[i + 1]);
            }
            return new Reach(least, most);
        }

        /** Least distance from 0 that a sum can end at when {@code more} items from an index on are added. */
        double leastOff(double sum, int from, int more) {
            double low = sum + more * least[from];
            double high = sum + more * most[from];
            return low > 0 ? low : high < 0 ? -high : 0;
        }
    }

    private final class Search {

        private final List<Sheets> stock;
        private final int largest;
        private final double[] mired;
        private final double[] stops;
        private final double[] duv;
        private final Reach miredReach;
        private final Reach stopsReach;
        private final Reach duvReach;
        private final List<Stack> best = new ArrayList<>();
        private final List<Integer> picked = new ArrayList<>();
        private final int mostSteps;
        private final int most;
        private final boolean withoutOpposites;
        private int steps;

        Search(List<Sheets> stock, int maxFilters, int mostSteps, int most, boolean withoutOpposites) {
            this.mostSteps = mostSteps;
            this.most = most;
            this.withoutOpposites = withoutOpposites;
            this.stock = stock.stream()
                    .filter(s -> s.sheets() > 0)
                    .sorted(Comparator.comparing(Sheets::name, BY_CODE_POINT))
                    .toList();
            long sheets = this.stock.stream().mapToLong(Sheets::sheets).sum();
            largest = (int) Math.min(maxFilters, sheets);
            mired = this.stock.stream()
                    .mapToDouble(s -> s.effect().mired().value())
                    .toArray();
            stops = this.stock.stream()
                    .mapToDouble(s -> -s.effect().stops().value())
                    .toArray();
            duv = this.stock.stream().mapToDouble(s -> s.effect().duv()).toArray();
            miredReach = Reach.of(mired);
            stopsReach = Reach.of(stops);
            duvReach = Reach.of(duv);
        }

        void run() {
            double offMired =
                    MiredShift.between(target.kelvin(), source.kelvin()).value();
            double offStops = tooBright().value();
            double offDuv = source.duv().value() - target.duv().value();
            for (int size = 0; size <= largest; size++) {
                if (cannotBeatWorst(size * COST_OF_A_FILTER)) {
                    return;
                }
                extend(0, size, size, offMired, offStops, offDuv);
            }
        }

        /** Adds {@code more} items from an index on to the stack, whose result is off by so much now. */
        private void extend(int from, int more, int size, double offMired, double offStops, double offDuv) {
            if (++steps > mostSteps) {
                throw new Refusal(
                        "maxFilters",
                        ("There are too many stacks of up to %d filters in a stock of %d: ask for fewer "
                                        + "filters, or give less of the stock.")
                                .formatted(largest, stock.size()));
            }
            if (more == 0) {
                weigh(offMired, offStops, offDuv);
                return;
            }
            for (int i = from; i < mired.length; i++) {
                if (!hasSheet(i) || (withoutOpposites && isOpposed(i))) {
                    continue;
                }
                double least = size * COST_OF_A_FILTER
                        + squared(miredReach.leastOff(offMired, i, more) / MIRED_SCALE)
                        + squared(leastTooBrightOrDark(offStops, i, more) / STOPS_SCALE)
                        + squared(duvReach.leastOff(offDuv, i, more) / DUV_SCALE);
                if (cannotBeatWorst(least)) {
                    return; // what stands after this item in the stock reaches no farther
                }
                picked.add(i);
                extend(i, more - 1, size, offMired + mired[i], offStops + stops[i], offDuv + duv[i]);
                picked.remove(picked.size() - 1);
            }
        }

        private double leastTooBrightOrDark(double offStops, int from, int more) {
            double darkest = offStops + more * stopsReach.least[from];
            double left = stopsReach.leastOff(offStops, from, more);
            return darkest > 0 ? Math.max(0, left - dimming.stops()) : left;
        }

        private boolean hasSheet(int item) {
            int sheets = stock.get(item).sheets();
            int taken = 0;
            for (int i = picked.size() - 1; i >= 0 && picked.get(i) == item; i--) {
                taken++;
            }
            return taken < sheets;
        }

        /** Whether something that was picked does the opposite. */
        private boolean isOpposed(int item) {
            for (int other : picked) {
                if (against(mired[item], mired[other], OPPOSED_MIRED) || against(duv[item], duv[other], OPPOSED_DUV)) {
                    return true;
                }
            }
            return false;
        }

        private boolean against(double one, double other, double from) {
            return Math.min(one, other) <= -from && Math.max(one, other) >= from;
        }

        private boolean cannotBeatWorst(double cost) {
            return best.size() == most
                    && cost > best.get(most - 1).toPrescription().cost() + TIE;
        }

        private void weigh(double offMired, double tooBright, double offDuv) {
            double result = target.kelvin().mired() + offMired;
            if (!Kelvin.isMiredInRange(result)) {
                return;
            }
            double output = tooBright > 0 ? Math.max(dimming.lowestOutput(), Math.pow(2, -tooBright)) : 1;
            double offStops = tooBright + Math.log(output) / Math.log(2);
            double tStop = targetTStop.number() * Math.pow(2, offStops / 2);
            if (!(tStop > 0)) {
                return; // so dense that nothing comes through
            }
            double cost = squared(offMired / MIRED_SCALE)
                    + squared(offStops / STOPS_SCALE)
                    + squared(offDuv / DUV_SCALE)
                    + COST_OF_A_FILTER * picked.size();
            if (cannotBeatWorst(cost)) {
                return;
            }
            Stack stack = new Stack(new Prescription(
                    picked.stream().map(i -> stock.get(i).name()).toList(),
                    Kelvin.MIRED_PRODUCT / result,
                    target.duv().value() + offDuv,
                    TStop.of(tStop),
                    output,
                    MiredShift.of(offMired),
                    offDuv,
                    Stops.of(offStops),
                    cost));
            int place = best.size();
            while (place > 0 && stack.beats(best.get(place - 1))) {
                place--;
            }
            best.add(place, stack);
            if (best.size() > most) {
                best.remove(most);
            }
        }

        private double squared(double value) {
            return value * value;
        }
    }
}
