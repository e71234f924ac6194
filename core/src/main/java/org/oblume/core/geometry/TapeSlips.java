package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Tapes that disagree: for each what it would have to read if the others are right, the likeliest slip first. Any two of three meet, so
 * three name no culprit by themselves.
 *
 * @param slips one for each tape whose others meet
 * @param fourOrMore whether there are enough tapes for the others to agree without one
 */
public record TapeSlips(List<Slip> slips, boolean fourOrMore) {

    /** A slip of whole metres and the like may be off by what two tapes are good for, metres (model). */
    private static final double NEAR_M = 0.03;
    /** Tapes that are read right miss the place that they give by no more, metres (model). */
    private static final double OTHERS_AGREE_M = 0.02;
    /** Farther from where it stood in the last shot than this is a hint that the place is wrong, metres (model). */
    private static final double FAR_M = 3;

    private static final double FOOT_M = 0.3048;
    private static final int CM = 100;

    /** What a person did wrong with a tape, the commonest first. */
    public enum Kind {
        WHOLE_METRE("a whole metre"),
        WHOLE_FOOT("a whole foot"),
        DECIMETRE("a decimetre"),
        SWAPPED("two figures swapped"),
        OTHER_LANDMARK("another landmark"),
        UNKNOWN("");

        private final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    /**
     * @param tape that would be wrong
     * @param wouldReadM what it would have to read, metres
     * @param there where it stands then
     * @param kind what slip that would be
     * @param landmark that it would have started at, with {@link Kind#OTHER_LANDMARK} only
     * @param against what speaks against it: the place is outside the walls, or far from where it stood last
     */
    public record Slip(
            Tape tape, double wouldReadM, PlanPoint there, Kind kind, @Nullable String landmark, boolean against) {

        /** {@code door post would read 1.56 m (a decimetre)}. */
        Phrase phrase() {
            Phrase reads = Phrase.format("%s would read %s", tape.from().name(), Phrase.metres(wouldReadM));
            return switch (kind) {
                case UNKNOWN -> reads;
                case OTHER_LANDMARK -> Phrase.format("%s (or it started at %s)", reads, String.valueOf(landmark));
                default -> Phrase.format("%s (%s)", reads, kind.words);
            };
        }
    }

    public TapeSlips {
        slips = List.copyOf(slips);
    }

    /**
     * @param tapes three or more that do not agree
     * @param side of the walk from the first landmark to the second
     * @param landmarks of the set
     * @param walls of the set, NONE outdoors
     * @param last where it stood in the shot before, or null
     */
    public static TapeSlips of(
            List<Tape> tapes, Side side, List<Landmark> landmarks, Walls walls, @Nullable PlanPoint last) {
        List<Slip> slips = new ArrayList<>();
        for (Tape tape : tapes) {
            List<Tape> others = tapes.stream().filter(t -> !t.equals(tape)).toList();
            withoutIt(others, tape, tapes, side, walls, last)
                    .ifPresent(there -> slips.add(slip(tape, there, tapes, landmarks, walls, last)));
        }
        slips.sort(Comparator.comparing(Slip::against)
                .thenComparing(Slip::kind)
                .thenComparingDouble(s -> Math.abs(s.wouldReadM - s.tape.lengthM())));
        return new TapeSlips(slips, tapes.size() > 3);
    }

    /** The one tape that is wrong, where that can be told: by four tapes or more, or because one slip alone fits. */
    public Optional<Slip> alone() {
        List<Slip> likely = fourOrMore
                ? slips
                : slips.stream()
                        .filter(s -> s.kind != Kind.UNKNOWN && !s.against)
                        .toList();
        return likely.size() == 1 ? Optional.of(likely.get(0)) : Optional.empty();
    }

    /** What to do about it, in a sentence or two. */
    public Phrase phrase() {
        Phrase what = alone().map(slip -> Phrase.format("The tapes do not agree. %s; the others agree.", slip.phrase()))
                .orElseGet(() -> slips.isEmpty()
                        ? Phrase.of("The tapes do not agree, and more than one of them is off.")
                        : Phrase.format(
                                "The tapes do not agree; one of them is misread. If the others are right, %s.",
                                Phrase.joined(
                                        "; ", slips.stream().map(Slip::phrase).toList())));
        return Phrase.format("%s Pull again, or leave one out.", what);
    }

    /** Where the others put it: with four tapes or more only where those agree among themselves. */
    private static Optional<PlanPoint> withoutIt(
            List<Tape> others, Tape left, List<Tape> tapes, Side side, Walls walls, @Nullable PlanPoint last) {
        List<TapeFit> fits = meeting(others).stream()
                .filter(fit -> fit.offM().stream().allMatch(off -> Math.abs(off) <= OTHERS_AGREE_M))
                .toList();
        return fits.stream()
                .map(TapeFit::point)
                .filter(p ->
                        Side.of(tapes.get(0).from().point(), tapes.get(1).from().point(), p) == side)
                .min(Comparator.<PlanPoint, Boolean>comparing(p -> isAgainst(p, walls, last))
                        .thenComparingDouble(p -> Math.abs(TapeFit.offM(left, p))));
    }

    private static List<TapeFit> meeting(List<Tape> tapes) {
        try {
            return TapeFit.candidates(tapes);
        } catch (Refusal noMeeting) {
            return List.of();
        }
    }

    private static Slip slip(
            Tape tape,
            PlanPoint there,
            List<Tape> tapes,
            List<Landmark> landmarks,
            Walls walls,
            @Nullable PlanPoint last) {
        double wouldRead = tape.from().point().distanceM(there);
        @Nullable
        String other = landmarks.stream()
                .filter(l -> tapes.stream().noneMatch(t -> t.from().name().equals(l.name())))
                .filter(l -> Math.abs(l.point().distanceM(there) - tape.lengthM()) <= NEAR_M)
                .map(Landmark::name)
                .findFirst()
                .orElse(null);
        Kind kind = kind(tape.lengthM(), wouldRead);
        boolean elsewhere = kind == Kind.UNKNOWN && other != null;
        return new Slip(
                tape,
                wouldRead,
                there,
                elsewhere ? Kind.OTHER_LANDMARK : kind,
                elsewhere ? other : null,
                isAgainst(there, walls, last));
    }

    private static Kind kind(double read, double wouldRead) {
        double off = Math.abs(read - wouldRead);
        if (off > NEAR_M && Math.abs(off - Math.round(off)) <= NEAR_M && Math.round(off) >= 1) {
            return Kind.WHOLE_METRE;
        }
        if (Math.abs(off - FOOT_M) <= NEAR_M / 2) {
            return Kind.WHOLE_FOOT;
        }
        if (Math.abs(off - 0.1) <= NEAR_M / 2) {
            return Kind.DECIMETRE;
        }
        return swapped(read).stream().anyMatch(s -> Math.abs(s - wouldRead) <= NEAR_M) ? Kind.SWAPPED : Kind.UNKNOWN;
    }

    /** The same centimetres with two neighbouring figures swapped, metres. */
    private static List<Double> swapped(double metres) {
        String figures = Long.toString(Math.round(metres * CM));
        List<Double> all = new ArrayList<>();
        for (int i = 1; i < figures.length(); i++) {
            char[] turned = figures.toCharArray();
            turned[i] = figures.charAt(i - 1);
            turned[i - 1] = figures.charAt(i);
            if (turned[i] != turned[i - 1]) {
                all.add(Long.parseLong(new String(turned)) / (double) CM);
            }
        }
        return all;
    }

    private static boolean isAgainst(PlanPoint there, Walls walls, @Nullable PlanPoint last) {
        return !walls.encloses(there) || (last != null && last.distanceM(there) > FAR_M);
    }
}
