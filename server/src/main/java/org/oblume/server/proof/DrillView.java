package org.oblume.server.proof;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.proof.Drill;
import org.oblume.core.units.Phrase;

/**
 * A drill as it stands.
 *
 * @param seed with which it can be made again
 * @param things how many are wrong
 * @param readable what can be read, by its place in the list
 * @param lights that something may be wrong at
 * @param readings made, the oldest first
 * @param answered null until somebody said what is wrong
 */
public record DrillView(
        String id,
        long seed,
        Drill.Difficulty difficulty,
        int things,
        Instant begun,
        List<ReadingToMake> readable,
        List<DrilledLight> lights,
        List<DrillReading> readings,
        @Nullable Answered answered) {

    /**
     * @param light name of the light that is on alone, or null for all of them
     * @param place where: {@code lit cheek}, {@code turned to it}
     */
    public record ReadingToMake(@Nullable String light, String place) {}

    public record DrilledLight(String key, String name) {}

    /**
     * @param stops read less recorded; null when there is no light
     * @param mired as well; null when a colour is missing
     * @param duv as well
     */
    public record DrillReading(
            ReadingToMake what,
            Phrase read,
            Phrase recorded,
            @Nullable Double stops,
            @Nullable Double mired,
            @Nullable Double duv) {}

    /**
     * @param right whether it was found
     * @param seconds from the begin on
     * @param hidden what was wrong
     * @param told what each reading told, in their order
     */
    public record Answered(boolean right, long seconds, List<String> hidden, List<Told> told) {}

    /**
     * @param words likeliest by then, one or two at once; none while all was as recorded
     * @param percent of all that would explain the readings
     */
    public record Told(List<String> words, int percent) {}
}
