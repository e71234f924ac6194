package org.oblume.server.search;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.server.shot.SaidOfShot.About;

/** What is found. */
final class SearchViews {

    private SearchViews() {}

    /**
     * What was found.
     *
     * @param words that were looked for, as they were compared
     * @param shots in the order of the book
     * @param others what is of no shot: units, counted stock, sets
     * @param more how many shots more than are told
     */
    record Found(List<String> words, List<FoundShot> shots, List<FoundElsewhere> others, int more) {}

    /**
     * A shot.
     *
     * @param scene its number
     * @param why what in it has the words, at most a handful
     */
    record FoundShot(
            long id,
            long productionId,
            String production,
            String scene,
            String heading,
            Slate slate,
            String description,
            ShotStage stage,
            @Nullable Integer day,
            List<Why> why) {}

    /** Something that has some of the words. */
    record Why(About about, String text) {}

    /** What is of no shot. */
    enum Elsewhere {
        UNIT,
        COUNTED,
        SET,
        LOOK
    }

    /**
     * Something of no shot.
     *
     * @param id of the unit, the stock, the set; of a look its scene's first shot
     */
    record FoundElsewhere(Elsewhere what, long id, long productionId, String production, String text) {}

    /**
     * Shots that were lit like one, as far as they were looked at.
     *
     * @param looked how many scenes were
     * @param of how many there are
     * @param asked how the shot that was asked for is lit, in words; null when too little is known of it
     * @param shots the likest first
     */
    record Alike(int looked, int of, @Nullable String asked, List<AlikeShot> shots) {}

    /**
     * A shot that was lit alike.
     *
     * @param say how it is lit, in words
     * @param off how far it is off, 0 to 1
     */
    record AlikeShot(
            long id,
            String production,
            String scene,
            String heading,
            Slate slate,
            String description,
            String say,
            double off) {}
}
