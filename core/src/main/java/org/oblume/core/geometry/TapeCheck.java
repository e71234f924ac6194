package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Tapes pulled to a stand, checked against the place where it should be: two give a place, a third one tells whether they were read right.
 *
 * @param found where the first two that cross well put it
 * @param offM from where it should be, metres
 * @param missM how far the third tape misses that place, metres; null without a third tape
 * @param wrong the tape that is likely misread, or null when all agree or it cannot be told
 * @param sentence what it comes to and what to do
 */
public record TapeCheck(PlanPoint found, double offM, @Nullable Double missM, @Nullable String wrong, Phrase sentence) {

    /** What three tapes pulled by hand may miss each other by, metres. */
    private static final double AGREE_WITHIN_M = 0.03;

    /**
     * @param tapes two or three, from different landmarks
     * @param wanted where it should stand
     * @param others landmarks of the set, one of which may cross better
     * @throws Refusal when the tapes do not meet, with the gap, or cross too flat to tell, with a better landmark
     */
    public static TapeCheck of(List<Tape> tapes, PlanPoint wanted, List<Landmark> others, Walls walls) {
        if (tapes.size() < 2) {
            throw new Refusal("tapes", "Give the tapes to two landmarks, or to three for a check.");
        }
        Tape a = tapes.get(0);
        Tape b = tapes.get(1);
        refuseFlat(a, b, wanted, others, walls);
        PlanPoint found = fix(a, b, wanted);
        double off = found.distanceM(wanted);
        if (tapes.size() == 2) {
            return new TapeCheck(
                    found,
                    off,
                    null,
                    null,
                    off <= AGREE_WITHIN_M
                            ? Phrase.of("It stands where it should.")
                            : Phrase.format(
                                    "By these two tapes it stands %s %s. Pull a third tape before it is moved.",
                                    Phrase.metres(off), towards(wanted, found)));
        }
        Tape c = tapes.get(2);
        double miss = Math.abs(found.distanceM(c.from().point()) - c.lengthM());
        if (miss <= AGREE_WITHIN_M) {
            return new TapeCheck(
                    found,
                    off,
                    miss,
                    null,
                    off <= AGREE_WITHIN_M
                            ? Phrase.of("All three tapes agree: it stands where it should.")
                            : Phrase.format(
                                    "All three tapes agree: it stands %s %s.",
                                    Phrase.metres(off), towards(wanted, found)));
        }
        Phrase gap = Phrase.format("The third tape misses by %s", Phrase.metres(miss));
        return wrong(tapes, wanted)
                .map(w -> new TapeCheck(
                        found,
                        off,
                        miss,
                        w.from().name(),
                        Phrase.format(
                                "%s: the tape from %s is %s %s than the other two allow. Pull that one again.",
                                gap,
                                w.from().name(),
                                Phrase.metres(
                                        Math.abs(w.lengthM() - w.from().point().distanceM(wanted))),
                                w.lengthM() > w.from().point().distanceM(wanted) ? "longer" : "shorter")))
                .orElseGet(() -> new TapeCheck(
                        found,
                        off,
                        miss,
                        null,
                        Phrase.format("%s and more than one tape is off. Pull all three again.", gap)));
    }

    /** The one tape that does not fit the wanted place while the two others do. */
    private static Optional<Tape> wrong(List<Tape> tapes, PlanPoint wanted) {
        List<Tape> off = new ArrayList<>(tapes);
        off.removeIf(t -> Math.abs(t.from().point().distanceM(wanted) - t.lengthM()) <= AGREE_WITHIN_M);
        return off.size() == 1 ? Optional.of(off.get(0)) : Optional.empty();
    }

    /** A third landmark for a check: in sight, and of those the one whose tape crosses the first two best. */
    public static Optional<Landmark> third(TapePair pair, PlanPoint point, List<Landmark> landmarks, Walls walls) {
        return landmarks.stream()
                .filter(l -> !l.equals(pair.a())
                        && !l.equals(pair.b())
                        && l.point().distanceM(point) > 0
                        && !walls.between(l.point(), point))
                .max(Comparator.comparingDouble(l -> Math.min(across(l, pair.a(), point), across(l, pair.b(), point))));
    }

    private static double across(Landmark one, Landmark other, PlanPoint point) {
        return Math.sin(Math.toRadians(Plane.angleDeg(point, one.point(), other.point())));
    }

    private static PlanPoint fix(Tape a, Tape b, PlanPoint wanted) {
        return TapeFix.of(
                        a.from().point(),
                        b.from().point(),
                        a.lengthM(),
                        b.lengthM(),
                        Side.of(a.from().point(), b.from().point(), wanted),
                        TapeFix.DEFAULT_TAPE_ERROR_M)
                .point();
    }

    private static void refuseFlat(Tape a, Tape b, PlanPoint wanted, List<Landmark> others, Walls walls) {
        double angle = Plane.angleDeg(wanted, a.from().point(), b.from().point());
        if (Crossing.ofAngle(angle) == Crossing.POOR) {
            TapePair better = TapePair.choose(wanted, others, walls);
            String instead = better.a().equals(a.from()) || better.a().equals(b.from())
                    ? better.b().name()
                    : better.a().name();
            throw new Refusal(
                    "tapes",
                    "The tapes from %s and %s cross at %d°, too flat to place it. Use %s for one of them."
                            .formatted(
                                    a.from().name(),
                                    b.from().name(),
                                    Math.round(Math.min(angle, 180 - angle)),
                                    instead));
        }
    }

    private static String towards(PlanPoint from, PlanPoint to) {
        double dx = to.xM() - from.xM();
        double dy = to.yM() - from.yM();
        return Math.abs(dx) > Math.abs(dy)
                ? dx > 0 ? "too far right on the plan" : "too far left on the plan"
                : dy > 0 ? "too far up the plan" : "too far down the plan";
    }
}
