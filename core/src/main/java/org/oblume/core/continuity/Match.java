package org.oblume.core.continuity;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Figures.Figure;

/**
 * A shot judged against the one it is to match.
 *
 * @param lines one for each aspect, in their order
 */
public record Match(List<Line> lines) {

    /** How a line stands. */
    public enum Verdict {
        HOLDS,
        OUT,
        /** Off, and somebody said why that is right. */
        WAIVED,
        /** One of the two figures is not known. */
        UNKNOWN
    }

    /**
     * @param recorded of the shot that it is to match; null when it is not known
     * @param now of this one
     * @param difference between them, in the aspect's way; null when one is not known
     * @param tolerance that holds here
     * @param waiver why it is quiet, also where it holds; null when nobody said
     */
    public record Line(
            Aspect aspect,
            @Nullable Figure recorded,
            @Nullable Figure now,
            @Nullable Double difference,
            double tolerance,
            Verdict verdict,
            @Nullable Waiver waiver) {

        /** {@code Background is 0.7 over}; null when it holds or is not known. */
        public @Nullable String say() {
            return difference == null || verdict == Verdict.HOLDS ? null : aspect.say(difference);
        }
    }

    public Match {
        lines = List.copyOf(lines);
    }

    /** @param waivers lines that are to be quiet */
    public static Match of(Figures recorded, Figures now, Tolerances tolerances, Map<Aspect, Waiver> waivers) {
        List<Line> lines = new ArrayList<>();
        for (Aspect aspect : Aspect.values()) {
            Figure was = recorded.of().get(aspect);
            Figure is = now.of().get(aspect);
            Waiver quiet = waivers.get(aspect);
            Double difference =
                    was == null || is == null ? null : Double.valueOf(aspect.difference(was.value(), is.value()));
            Verdict verdict = difference == null
                    ? Verdict.UNKNOWN
                    : tolerances.holds(aspect, difference)
                            ? Verdict.HOLDS
                            : quiet != null ? Verdict.WAIVED : Verdict.OUT;
            lines.add(new Line(aspect, was, is, difference, tolerances.of(aspect), verdict, quiet));
        }
        return new Match(lines);
    }

    /** Whether nothing is off without a word why. What is not known does not count as off. */
    public boolean holds() {
        return lines.stream().noneMatch(l -> l.verdict == Verdict.OUT);
    }

    /** What is off and nobody said why, a sentence after the other; empty when it holds. */
    public String say() {
        return lines.stream()
                .filter(l -> l.verdict == Verdict.OUT)
                .map(l -> l.say() + ".")
                .collect(Collectors.joining(" "));
    }

    public Line line(Aspect aspect) {
        return lines.stream().filter(l -> l.aspect == aspect).findFirst().orElseThrow();
    }
}
