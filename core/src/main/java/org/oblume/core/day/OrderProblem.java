package org.oblume.core.day;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.optim.MaxIter;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.oblume.core.units.Refusal;

/**
 * In which order the shots of a day cost least. An order is a list of places in {@link #shots}, each once.
 *
 * <p>The bound is exact for ten shots or fewer, by trying all orders that could still be cheaper; for more it is that of the assignment
 * relaxation: each shot comes after another or first, and no two after the same one, whether that makes one chain or several.
 */
public final class OrderProblem {

    /** So many shots are tried through. */
    public static final int TRIED_THROUGH = 10;

    /** Place that the day begins from. */
    public static final int START = -1;

    private static final int MOST_ROUNDS = 20_000;
    private static final double NEVER = 1e6;

    private final DayFrame frame;
    private final List<DayShot> shots;
    private final double[][] pairMin;
    private final int[] set;
    private final List<Before> before;
    private final int fixed;

    /** Minutes from one shot to another. */
    @FunctionalInterface
    public interface Changeovers {

        /**
         * @param from place of a shot, or {@link #START}
         * @param to place of another
         * @return 0 or more
         */
        double minutes(int from, int to);
    }

    /**
     * @param shots in the order that is planned; their own changeovers do not count
     * @param set number of the set that each is shot in
     * @param before pairs of shots of which one comes first
     * @param fixed how many of the first stay where they are, because they have begun
     * @throws Refusal when shots come before one another in a ring
     */
    public OrderProblem(
            DayFrame frame,
            List<DayShot> shots,
            Changeovers changeovers,
            List<Integer> set,
            List<Before> before,
            int fixed) {
        this.frame = frame;
        this.shots = List.copyOf(shots);
        this.set = set.stream().mapToInt(Integer::intValue).toArray();
        this.before = List.copyOf(before);
        this.fixed = fixed;
        pairMin = new double[shots.size() + 1][shots.size()];
        for (int from = START; from < shots.size(); from++) {
            for (int to = 0; to < shots.size(); to++) {
                pairMin[from + 1][to] = Math.max(frame.leastMin(), changeovers.minutes(from, to));
            }
        }
        refuseRings();
    }

    private void refuseRings() {
        int[] state = new int[shots.size()];
        for (int i = 0; i < shots.size(); i++) {
            visit(i, state);
        }
    }

    private void visit(int shot, int[] state) {
        if (state[shot] == 2) {
            return;
        }
        if (state[shot] == 1) {
            throw new Refusal(
                    "after",
                    "%s would have to come after itself: let go of one of the afters that lead round to it."
                            .formatted(shots.get(shot).name()));
        }
        state[shot] = 1;
        before.stream().filter(b -> b.first() == shot).forEach(b -> visit(b.then(), state));
        state[shot] = 2;
    }

    public int size() {
        return shots.size();
    }

    /** How many of the first stay where they are. */
    public int fixed() {
        return fixed;
    }

    /** As the shots were given. */
    public List<Integer> planned() {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < shots.size(); i++) {
            order.add(i);
        }
        return order;
    }

    /** An order in time. */
    public Schedule schedule(List<Integer> order) {
        List<DayShot> all = new ArrayList<>();
        int from = START;
        for (int shot : order) {
            all.add(shots.get(shot).after(pairMin[from + 1][shot]));
            from = shot;
        }
        return Schedule.of(frame, all);
    }

    /** What an order costs and breaks. */
    public OrderCost cost(List<Integer> order) {
        Schedule schedule = schedule(order);
        double changeover = 0;
        double wait = 0;
        int setChanges = 0;
        List<String> broken = new ArrayList<>();
        int[] place = new int[shots.size()];
        int from = START;
        for (int i = 0; i < order.size(); i++) {
            int shot = order.get(i);
            Schedule.Slot slot = schedule.slots().get(i);
            place[shot] = i;
            changeover += pairMin[from + 1][shot];
            wait += slot.waitsMin();
            setChanges += from != START && set[from] != set[shot] ? 1 : 0;
            broken.addAll(broken(slot));
            from = shot;
        }
        for (Before pair : before) {
            if (place[pair.first()] > place[pair.then()]) {
                broken.add("%s before %s: %s"
                        .formatted(
                                shots.get(pair.then()).name(),
                                shots.get(pair.first()).name(),
                                pair.why()));
            }
        }
        return new OrderCost(changeover, wait, setChanges, broken);
    }

    private static List<String> broken(Schedule.Slot slot) {
        String name = slot.shot().name();
        List<String> all = new ArrayList<>();
        if (!slot.inItsLight()) {
            all.add("%s is not in its light".formatted(name));
        }
        if (slot.late()) {
            all.add("%s ends after the wrap, at %s"
                    .formatted(name, slot.shootTo().print()));
        }
        TimeOfDay leaves = slot.shot().doneBy();
        if (leaves != null && !slot.overInTime()) {
            all.add("%s ends at %s and has to be over by %s"
                    .formatted(name, slot.shootTo().print(), leaves.print()));
        }
        slot.elsewhere().ifPresent(e -> all.add("%s: %s".formatted(name, e.what())));
        return all;
    }

    /** The total of {@link #cost} without what is broken in words, for those who ask very often. */
    public double total(List<Integer> order) {
        Path path = new Path();
        for (int shot : order) {
            path.push(shot);
        }
        return path.total;
    }

    /** No order costs less than this, minutes; exact for ten shots or fewer. */
    public double bound() {
        return shots.isEmpty() ? 0 : shots.size() <= TRIED_THROUGH ? cheapest().total : assignment();
    }

    /** The cheapest order, of ten shots or fewer; the first of those that cost as much, in the order of the shots. */
    public List<Integer> best() {
        if (shots.size() > TRIED_THROUGH) {
            throw new IllegalStateException("Too many orders to be tried");
        }
        return cheapest().order;
    }

    private record Cheapest(List<Integer> order, double total) {}

    private Cheapest cheapest() {
        Search search = new Search();
        search.go(new Path());
        return new Cheapest(search.best, search.least);
    }

    /** A part of an order, from the start, and what it costs so far: no shot that is added makes it cheaper. */
    private final class Path {

        private final List<Integer> order = new ArrayList<>();
        private final boolean[] used = new boolean[shots.size()];
        private final List<Schedule.Clock> clocks =
                new ArrayList<>(List.of(new Schedule.Clock(frame.start().minutes(), 0)));
        private final List<Double> totals = new ArrayList<>(List.of(0.0));
        private double total;

        void push(int shot) {
            int from = order.isEmpty() ? START : order.get(order.size() - 1);
            Schedule.Step step = Schedule.step(
                    frame, clocks.get(order.size()), shots.get(shot).after(pairMin[from + 1][shot]), null);
            Schedule.Slot slot = step.slot();
            int broken = slot.broken();
            for (Before pair : before) {
                broken += pair.then() == shot && !used[pair.first()] ? 1 : 0;
            }
            total += pairMin[from + 1][shot]
                    + slot.waitsMin()
                    + (from != START && set[from] != set[shot] ? OrderCost.SET_CHANGE_MIN : 0)
                    + OrderCost.BROKEN_MIN * broken;
            used[shot] = true;
            order.add(shot);
            clocks.add(step.then());
            totals.add(total);
        }

        void pop() {
            used[order.remove(order.size() - 1)] = false;
            clocks.remove(clocks.size() - 1);
            totals.remove(totals.size() - 1);
            total = totals.get(totals.size() - 1);
        }
    }

    private final class Search {

        private final double[] cheapestTo = new double[shots.size()];
        private double least = Double.MAX_VALUE;
        private List<Integer> best = List.of();

        Search() {
            for (int to = 0; to < cheapestTo.length; to++) {
                cheapestTo[to] = Double.MAX_VALUE;
                for (int from = START; from < cheapestTo.length; from++) {
                    if (from != to) {
                        cheapestTo[to] = Math.min(cheapestTo[to], pairMin[from + 1][to]);
                    }
                }
            }
        }

        void go(Path path) {
            if (path.order.size() == shots.size()) {
                if (path.total < least - 1e-9) {
                    least = path.total;
                    best = List.copyOf(path.order);
                }
                return;
            }
            double rest = 0;
            for (int shot = 0; shot < shots.size(); shot++) {
                rest += path.used[shot] ? 0 : cheapestTo[shot];
            }
            if (path.total + rest >= least - 1e-9) {
                return;
            }
            for (int shot = 0; shot < shots.size(); shot++) {
                if (!path.used[shot] && (path.order.size() >= fixed || shot == path.order.size())) {
                    path.push(shot);
                    go(path);
                    path.pop();
                }
            }
        }
    }

    /** Each shot has one before it, each is before one at most: the least cost of that, by linear programming, whose corners are whole. */
    double assignment() {
        int n = shots.size();
        double[] cost = new double[(n + 1) * (n + 1)];
        for (int from = 0; from <= n; from++) {
            for (int to = 0; to <= n; to++) {
                cost[from * (n + 1) + to] = to == n
                        ? (from == 0 ? NEVER : 0)
                        : from == to + 1 || isFixedOtherwise(from - 1, to) ? NEVER : pair(from - 1, to);
            }
        }
        List<LinearConstraint> constraints = new ArrayList<>();
        for (int i = 0; i <= n; i++) {
            double[] row = new double[cost.length];
            double[] column = new double[cost.length];
            for (int j = 0; j <= n; j++) {
                row[i * (n + 1) + j] = 1;
                column[j * (n + 1) + i] = 1;
            }
            constraints.add(new LinearConstraint(row, Relationship.EQ, 1));
            constraints.add(new LinearConstraint(column, Relationship.EQ, 1));
        }
        return new SimplexSolver()
                .optimize(
                        new MaxIter(MOST_ROUNDS),
                        new LinearObjectiveFunction(cost, 0),
                        new LinearConstraintSet(constraints),
                        GoalType.MINIMIZE,
                        new NonNegativeConstraint(true))
                .getValue();
    }

    private boolean isFixedOtherwise(int from, int to) {
        return to < fixed && from != to - 1;
    }

    private double pair(int from, int to) {
        return pairMin[from + 1][to] + (from != START && set[from] != set[to] ? OrderCost.SET_CHANGE_MIN : 0);
    }
}
