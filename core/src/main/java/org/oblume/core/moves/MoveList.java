package org.oblume.core.moves;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * What to do to get from one recorded state of the light to another, in the order it is begun, with the time on the clock
 * (estimate). Departments work side by side; within one, whoever is free takes what can be begun next (model: list scheduling).
 *
 * @param moves in the order of their start, ready to be read out
 */
public record MoveList(List<Move> moves) {

    public MoveList {
        moves = List.copyOf(moves);
    }

    /** The moves from one side to the other; none when nothing differs that people can change. */
    public static MoveList between(ComparedState from, ComparedState to, JobTimes times) {
        return new MoveList(timed(MovePlanner.moves(from, to, times), times));
    }

    /** Minutes on the clock until the last is done. */
    public double minutes() {
        return moves.stream().mapToDouble(Move::endMin).max().orElse(0);
    }

    /** Minutes on the clock until each department is done; one that has nothing to do is left out. */
    public Map<Department, Double> minutesByDepartment() {
        Map<Department, Double> busy = new EnumMap<>(Department.class);
        moves.forEach(m -> busy.merge(m.department(), m.endMin(), Math::max));
        return busy;
    }

    /** Each move as soon as those before it are done and people of its department are free. */
    private static List<Move> timed(List<Move> ordered, JobTimes times) {
        Map<Department, PriorityQueue<Double>> free = new EnumMap<>(Department.class);
        Map<MoveKey, Double> done = new HashMap<>();
        return ordered.stream()
                .map(move -> {
                    PriorityQueue<Double> crew = free.computeIfAbsent(move.department(), d -> {
                        PriorityQueue<Double> all = new PriorityQueue<>();
                        for (int i = 0; i < times.of(d); i++) {
                            all.add(0.0);
                        }
                        return all;
                    });
                    int people = Math.min(move.people(), crew.size());
                    double start = move.after().stream()
                            .mapToDouble(k -> done.getOrDefault(k, 0.0))
                            .max()
                            .orElse(0);
                    for (int i = 0; i < people; i++) {
                        start = Math.max(start, crew.remove());
                    }
                    for (int i = 0; i < people; i++) {
                        crew.add(start + move.minutes());
                    }
                    done.put(move.key(), start + move.minutes());
                    return move.startingAt(start);
                })
                .sorted(Comparator.comparingDouble(Move::startMin))
                .toList();
    }
}
