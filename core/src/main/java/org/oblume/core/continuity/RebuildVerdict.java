package org.oblume.core.continuity;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Whether a rebuild is the same light, by what was read in it (proof, "The verdict"): nothing that is only predicted makes it hold.
 *
 * @param standing how it stands
 * @param say the same in words, its first line on screen, on paper and in the file
 */
public record RebuildVerdict(Standing standing, String say) {

    /** How a rebuild stands. */
    public enum Standing {
        HOLDS,
        DOES_NOT_HOLD,
        /** Too little was read in it: nobody knows. */
        NOT_PROVED
    }

    /** What a lead writes under a rebuild that is not proved has to say this much at least, characters. */
    private static final int SHORTEST_REASON = 3;

    /**
     * @param match against what was recorded
     * @param unread of the rebuild, in words; none when each mark was read on both cheeks under all lights
     * @param holding what it is called when it holds
     */
    public static RebuildVerdict of(Match match, List<String> unread, String holding) {
        boolean readOff = match.lines().stream()
                .anyMatch(l -> l.verdict() == Match.Verdict.OUT
                        && l.now() != null
                        && l.now().metered());
        if (readOff || (unread.isEmpty() && !match.holds())) {
            return new RebuildVerdict(Standing.DOES_NOT_HOLD, "Does not hold. " + match.say());
        }
        return unread.isEmpty()
                ? new RebuildVerdict(Standing.HOLDS, holding)
                : new RebuildVerdict(
                        Standing.NOT_PROVED,
                        "Not proved. Nobody read in this rebuild: %s."
                                .formatted(unread.stream()
                                        .map(RebuildVerdict::asPart)
                                        .collect(Collectors.joining("; "))));
    }

    private static String asPart(String line) {
        return line.substring(0, 1).toLowerCase(Locale.ROOT) + line.substring(1);
    }

    /**
     * What is signed.
     *
     * @param seen how it stood on the page that the lead looked at, or null when it is not told
     * @param byEye why it is signed though it is not proved, or null
     * @return its first line
     * @throws Refusal when it stands otherwise by now, or is not proved and nobody says why it is signed
     */
    public String signed(@Nullable Standing seen, @Nullable String byEye) {
        if (seen != null && seen != standing) {
            throw new Refusal("seen", "It stands otherwise by now. %s Look again, then sign.".formatted(say));
        }
        String reason = byEye == null ? "" : byEye.strip();
        if (standing != Standing.NOT_PROVED) {
            if (!reason.isEmpty()) {
                throw new Refusal(
                        "byEye",
                        "It was read, so its verdict stands on readings: sign it without a reason. %s".formatted(say));
            }
            return say;
        }
        if (reason.length() < SHORTEST_REASON) {
            throw new Refusal("byEye", "%s Read it, or say in a few words why it is signed by eye.".formatted(say));
        }
        return "Not proved, by eye: %s".formatted(Checks.text("The reason", reason, Waiver.LONGEST));
    }
}
