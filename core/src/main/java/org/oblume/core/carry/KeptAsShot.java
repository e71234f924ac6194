package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.SetStatus;

/**
 * Two records of a scene became one: what was shot stays as it was shot. A change that one crew made in a shot would carry into a shot
 * that another crew has shot meanwhile; there the value is tied as it was.
 *
 * @param knots to tie in the record that the two became, each in a shot that was shot
 * @param unsaid what holds there now, was not recorded when it was shot, and cannot be tied to nothing
 */
public record KeptAsShot(List<Knot> knots, List<Knot> unsaid) {

    public KeptAsShot {
        knots = List.copyOf(knots);
        unsaid = List.copyOf(unsaid);
    }

    /**
     * @param side one of the two records as it was before
     * @param merged what they became: it has all shots and things of the side
     * @param tie who ties what has to be tied, when and why
     */
    public static KeptAsShot of(CarryBook side, CarryBook merged, Attribution tie) {
        List<Knot> knots = new ArrayList<>();
        List<Knot> unsaid = new ArrayList<>();
        CarryBook book = merged;
        List<Slate> shot = side.slates().stream()
                .filter(s -> side.node(s).stage() == ShotStage.SHOT)
                .filter(merged.slates()::contains)
                .sorted(Comparator.comparingInt(s -> merged.chain(s).size()))
                .toList();
        for (Slate slate : shot) {
            ShotState then = side.resolve(slate);
            ShotState now = book.resolve(slate);
            List<Knot> tied = new ArrayList<>();
            TreeSet<String> things = new TreeSet<>(then.placements());
            things.addAll(now.placements());
            for (String thing : things) {
                keep(thing, then, now, tie, tied, unsaid);
            }
            book = book.with(tied);
            knots.addAll(tied);
        }
        return new KeptAsShot(knots, unsaid);
    }

    /** What is tied in the shot itself was looked at by itself. */
    private static void keep(
            String thing, ShotState then, ShotState now, Attribution tie, List<Knot> tied, List<Knot> unsaid) {
        boolean stood = then.placements().contains(thing);
        for (Attribute attribute : Attribute.values()) {
            Optional<Knot> is = now.knot(thing, attribute);
            Optional<Knot> was = then.knot(thing, attribute);
            boolean own = is.filter(now::tiedHere).isPresent();
            if (own || is.map(Knot::value).equals(was.map(Knot::value))) {
                continue;
            }
            if (was.isPresent()) {
                tied.add(new Knot(now.slate(), thing, was.get().value(), tie));
            } else if (stood) {
                Knot holds = is.orElseThrow();
                unsaid.add(new Knot(now.slate(), thing, holds.value(), holds.attribution()));
            }
        }
        if (!stood && now.isOnSet(thing)) {
            tied.add(new Knot(now.slate(), thing, SetStatus.STRUCK, tie));
        }
    }
}
