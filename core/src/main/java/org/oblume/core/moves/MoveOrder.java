package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.caution.Caution;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.Placement;

/**
 * What has to wait for what: work in the order of its kinds, and heads before the grip that their way crosses, because nobody carries a
 * stand through a frame.
 */
final class MoveOrder {

    private final ComparedState from;
    private final ComparedState to;
    private final List<Move> moves;

    MoveOrder(ComparedState from, ComparedState to, List<Move> moves) {
        this.from = from;
        this.to = to;
        this.moves = moves;
    }

    /** The moves, each after those that it waits for. */
    List<Move> ordered() {
        List<Move> waiting = new ArrayList<>();
        moves.stream().sorted(Comparator.comparing(Move::job)).forEach(m -> waiting.add(waiting(m, waiting)));
        return inOrder(waiting);
    }

    /** A move with what it waits for among those of earlier jobs, and what its way crosses. */
    private Move waiting(Move move, List<Move> before) {
        List<MoveKey> after = before.stream()
                .filter(b -> waitsFor(move, b))
                .map(Move::key)
                .distinct()
                .toList();
        return move.after(after, cautions(move));
    }

    private boolean waitsFor(Move move, Move earlier) {
        boolean earlierJob = earlier.job().compareTo(move.job()) < 0;
        if (earlierJob && move.job().phase() == Job.Phase.PROVE) {
            return true;
        }
        if (earlierJob && move.job().phase() == Job.Phase.LEVELS) {
            return earlier.job().phase() != Job.Phase.LEVELS;
        }
        if (earlierJob && (earlier.job() == Job.STRIKE || Objects.equals(earlier.placement(), move.placement()))) {
            return true;
        }
        return setsStand(move)
                && isGrip(move)
                && setsStand(earlier)
                && !isGrip(earlier)
                && wayCrosses(earlier, placement(move));
    }

    private List<Caution> cautions(Move move) {
        List<Caution> cautions = new ArrayList<>(move.cautions());
        if (setsStand(move)) {
            to.scene().placements().stream()
                    .filter(grip -> grip.kind().isGrip()
                            && !grip.key().equals(move.placement())
                            && to.isOnSet(grip)
                            && stays(grip)
                            && wayCrosses(move, grip))
                    .forEach(grip -> cautions.add(new Caution(
                            Caution.Kind.IN_THE_WAY,
                            "The way crosses %s: lift it clear, or go round.".formatted(grip.name()))));
        }
        return cautions;
    }

    /** Whether nobody moves a piece of grip in this change: it stands in the way from the start. */
    private boolean stays(Placement grip) {
        return moves.stream().noneMatch(m -> grip.key().equals(m.placement()) && setsStand(m));
    }

    private static boolean setsStand(Move move) {
        return move.job() == Job.SHIFT || move.job() == Job.BRING;
    }

    private boolean isGrip(Move move) {
        return move.placement() != null && placement(move).kind().isGrip();
    }

    private Placement placement(Move move) {
        return to.scene().placement(Objects.requireNonNull(move.placement()));
    }

    /** Whether carrying a stand straight from where it was to where it goes passes through a piece of grip where that will stand. */
    private boolean wayCrosses(Move move, Placement grip) {
        String key = Objects.requireNonNull(move.placement());
        return from.point(key)
                .flatMap(start -> to.point(key).flatMap(end -> to.point(grip.key())
                        .flatMap(middle -> to.state().aim(grip.key()).map(aim -> edge(
                                        middle, aim, grip.piece().widthM())
                                .between(start, end)))))
                .orElse(false);
    }

    private static Walls edge(PlanPoint middle, Aim aim, double widthM) {
        double across = Math.toRadians(aim.bearing().degrees() + 90);
        double dx = Math.sin(across) * widthM / 2;
        double dy = Math.cos(across) * widthM / 2;
        return new Walls(
                List.of(List.of(
                        PlanPoint.of(middle.xM() - dx, middle.yM() - dy),
                        PlanPoint.of(middle.xM() + dx, middle.yM() + dy))),
                List.of());
    }

    /** By job, but each only when all that it waits for is before it. */
    private static List<Move> inOrder(List<Move> moves) {
        List<Move> ordered = new ArrayList<>();
        Set<MoveKey> done = new HashSet<>();
        List<Move> left = new ArrayList<>(moves);
        Set<MoveKey> all = moves.stream().map(Move::key).collect(Collectors.toSet());
        while (!left.isEmpty()) {
            Move next = left.stream()
                    .filter(m -> m.after().stream().allMatch(k -> done.contains(k) || !all.contains(k)))
                    .findFirst()
                    .orElse(left.get(0));
            left.remove(next);
            ordered.add(next);
            done.add(next.key());
        }
        return ordered;
    }
}
