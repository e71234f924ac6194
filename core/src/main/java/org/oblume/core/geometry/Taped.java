package org.oblume.core.geometry;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A place by tapes, as they were pulled.
 *
 * @param tapes two to six; the first two give the place, each further one checks it
 * @param side hand on which it stands for someone walking from the first landmark to the second
 */
public record Taped(List<Tape> tapes, Side side) {

    public Taped {
        tapes = List.copyOf(tapes);
        TapeFit.refuseUnlessSeveral(tapes);
    }

    /**
     * Tapes of which nobody said the side: a third tape tells it, else the walls, else where it stood last.
     *
     * @param landmarks of the set, for what a tape that disagrees could be
     * @param last where it stood in the shot before, or null
     * @throws Refusal when they do not meet, when further ones disagree (with what each would have to read), or when either side could be meant
     */
    public static Taped of(
            List<Tape> tapes, @Nullable Side side, List<Landmark> landmarks, Walls walls, @Nullable PlanPoint last) {
        TapeFit fit = side == null ? likeliest(tapes, walls, last) : TapeFit.of(tapes, side);
        Side told = side == null
                ? Side.of(tapes.get(0).from().point(), tapes.get(1).from().point(), fit.point())
                : side;
        if (!fit.agrees()) {
            throw new Refusal(
                    "tapes", TapeSlips.of(tapes, told, landmarks, walls, last).phrase());
        }
        return new Taped(tapes, told);
    }

    private static TapeFit likeliest(List<Tape> tapes, Walls walls, @Nullable PlanPoint last) {
        List<TapeFit> all = TapeFit.candidates(tapes);
        List<TapeFit> agreeing = all.stream().filter(TapeFit::agrees).toList();
        if (agreeing.isEmpty()) {
            return all.stream().min(Comparator.comparingDouble(TapeFit::worstM)).orElseThrow();
        }
        List<TapeFit> inside =
                agreeing.stream().filter(fit -> walls.encloses(fit.point())).toList();
        List<TapeFit> left = inside.isEmpty() ? agreeing : inside;
        if (left.size() > 1 && last == null) {
            throw new Refusal(
                    "side",
                    "Walking from %s to %s, is it on your left or on your right? Say which: both are inside the walls."
                            .formatted(
                                    tapes.get(0).from().name(),
                                    tapes.get(1).from().name()));
        }
        return last == null
                ? left.get(0)
                : left.stream()
                        .min(Comparator.comparingDouble(fit -> fit.point().distanceM(last)))
                        .orElseThrow();
    }

    public TapeFit fit() {
        return TapeFit.of(tapes, side);
    }

    /** The tapes after the first two. */
    public List<Tape> checks() {
        return tapes.subList(2, tapes.size());
    }

    /** The first two as a pair, as they were pulled. */
    public TapePair pair() {
        Tape a = tapes.get(0);
        Tape b = tapes.get(1);
        return new TapePair(
                a.from(),
                b.from(),
                a.lengthM(),
                b.lengthM(),
                side,
                Plane.angleDeg(fit().point(), a.from().point(), b.from().point()));
    }

    /** {@code 2.12 m from window post, 1.46 m from door post, on the left of that way; 3.31 m from bench leg}. */
    public Phrase phrase() {
        Phrase two = Phrase.format(
                "%s, %s, on the %s walking that way",
                tapes.get(0).phrase(), tapes.get(1).phrase(), side.name().toLowerCase(Locale.ROOT));
        List<Phrase> checked = checks().stream().map(Tape::phrase).toList();
        return checked.isEmpty() ? two : Phrase.format("%s; checked by %s", two, Phrase.joined(", ", checked));
    }
}
