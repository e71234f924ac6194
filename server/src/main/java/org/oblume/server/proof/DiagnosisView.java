package org.oblume.server.proof;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.proof.Spread;
import org.oblume.core.units.Phrase;

/**
 * What the readings of a rebuild say.
 *
 * @param ready whether all that could be wrong is worked out; until then nothing else is told
 * @param said what they say, in a sentence
 * @param read how many readings it rests on
 * @param asRecorded whether nothing that was read needs an explanation
 * @param byChance how often a rebuild that is as recorded would read so far off, 0 to 1
 * @param findings what explains it, the likeliest first
 * @param next what would tell most, in words: {@code Key alone at Repairer, turned to it: stop and colour}; null when nothing would
 * @param nextLine how its reading begins on the meter, up to the figures; null as well
 * @param productionId whose lights and meters stray so far
 * @param spread how far they stray though all is as recorded
 */
public record DiagnosisView(
        boolean ready,
        String said,
        int read,
        boolean asRecorded,
        double byChance,
        List<Finding> findings,
        @Nullable String next,
        @Nullable String nextLine,
        long productionId,
        Spread spread) {

    static final String NOTHING_READ = "Nothing was read yet.";

    /**
     * While what could be wrong is being worked out.
     *
     * @param isRead whether anything was read; there is nothing to wait for otherwise
     */
    static DiagnosisView before(boolean isRead, long productionId, Spread spread) {
        return new DiagnosisView(
                !isRead,
                isRead ? "Working out what could be wrong and what it would read…" : NOTHING_READ,
                0,
                !isRead,
                1,
                List.of(),
                null,
                null,
                productionId,
                spread);
    }

    /**
     * @param words what would be so, one or two at once
     * @param likely whether it is told as likely; possible otherwise
     * @param percent of all that would explain the readings, 0 to 100
     * @param nextWouldRead what the next reading would be if so: {@code 62.5 lux, 4407 K}; null when none is asked for
     */
    public record Finding(List<String> words, boolean likely, int percent, @Nullable Phrase nextWouldRead) {}
}
