package org.oblume.server.proof;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the readings of a rebuild say.
 *
 * @param ready whether all that could be wrong is worked out; until then nothing else is told
 * @param read how many readings it rests on
 * @param asRecorded whether nothing that was read needs an explanation
 * @param byChance how often a rebuild that is as recorded would read so far off, 0 to 1
 * @param findings what explains it, the likeliest first
 * @param next what would tell most, in words: {@code Key alone at Repairer, turned to it: stop and colour}; null when nothing would
 * @param nextLine how its reading begins on the meter, up to the figures; null as well
 */
public record DiagnosisView(
        boolean ready,
        int read,
        boolean asRecorded,
        double byChance,
        List<Finding> findings,
        @Nullable String next,
        @Nullable String nextLine) {

    static final DiagnosisView NOT_READY = new DiagnosisView(false, 0, false, 1, List.of(), null, null);

    /**
     * @param words what would be so, one or two at once
     * @param likely whether it is told as likely; possible otherwise
     * @param percent of all that would explain the readings, 0 to 100
     */
    public record Finding(List<String> words, boolean likely, int percent) {}
}
