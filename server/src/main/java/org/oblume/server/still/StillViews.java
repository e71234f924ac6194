package org.oblume.server.still;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.still.StillFigure;
import org.oblume.core.still.StillPart;

/** What crosses the wire of stills. */
final class StillViews {

    private StillViews() {}

    /**
     * A still, without what is read off it.
     *
     * @param id of its note
     * @param thing name of what it is of, or null for the shot
     * @param run the rebuild that it is of, or null
     * @param reference whether the stills of the scene are held against it
     * @param version of what is said of it, for If-Match
     */
    record StillHead(
            long id,
            long shotId,
            Slate slate,
            String text,
            @Nullable String thing,
            @Nullable Long run,
            StillKind kind,
            boolean videoRange,
            boolean reference,
            double widthPx,
            double heightPx,
            String author,
            Instant at,
            long version) {}

    /** All of a scene, by shot in the scene's order, the oldest first. */
    record SceneStills(List<StillHead> stills) {}

    /** A point that is marked in a still: from its left and its upper edge, 0 to 1. */
    record MarkedPoint(String name, double x, double y) {}

    /**
     * Lit to shadow.
     *
     * @param through name of the curve
     */
    record RatioRead(String through, double ratio, double stops) {}

    /** A place that was found. */
    record FoundSpot(double x, double y, double percent) {}

    /**
     * Stops over a grey card at the camera's stop of the dots of a stretch of columns.
     *
     * @param lowest of which 2 percent of them lie below; where the curve tells no light, as low as is drawn
     * @param low a quarter
     * @param high three quarters
     * @param highest 98 percent
     */
    record ReedStops(double lowest, double low, double high, double highest) {}

    /**
     * A line of equal exposure.
     *
     * @param dots right of the left edge and below the upper one of a picture of the width of the lines, in turn
     */
    record StillLine(double stops, List<Double> dots) {}

    /**
     * What is predicted at a point of its name, or in its place.
     *
     * @param percent null in the dark
     * @param apart stops that the still is over it, or null
     */
    record PredictedAt(String name, String on, @Nullable Double percent, @Nullable Double apart) {}

    /**
     * A still and what is read off it: of what is only looked at nothing.
     *
     * @param curve name of what it is read through
     * @param ratios of the points “lit cheek” and “shadow cheek”, by each school; none without them
     * @param parts that are clipped or near black, told in the width of the lines
     * @param linesWide width that the lines are told in, dots
     * @param linesHigh height, likewise
     * @param line what a meter's line would be, or null for what is no frame of the camera
     * @param shape what is said of a still that has another shape than what its camera frames, or null
     */
    record StillView(
            StillHead head,
            String curve,
            List<StillFigure> points,
            List<RatioRead> ratios,
            @Nullable FoundSpot hottest,
            @Nullable FoundSpot darkest,
            double clippedShare,
            double blackShare,
            List<StillPart> parts,
            List<ReedStops> reeds,
            int linesWide,
            int linesHigh,
            List<StillLine> lines,
            List<PredictedAt> predicted,
            @Nullable String line,
            @Nullable String shape) {

        static StillView lookedAt(StillHead head, String curve, int wide) {
            return new StillView(
                    head,
                    curve,
                    List.of(),
                    List.of(),
                    null,
                    null,
                    0,
                    0,
                    List.of(),
                    List.of(),
                    wide,
                    (int) Math.round(wide * head.heightPx() / head.widthPx()),
                    List.of(),
                    List.of(),
                    null,
                    null);
        }
    }

    /**
     * A point that two stills have.
     *
     * @param apart stops that the second is over the first, or null where one tells no light
     * @param holds whether that is within the tolerance; null as well
     */
    record LikePoint(
            String name, StillFigure first, StillFigure second, @Nullable Double apart, @Nullable Boolean holds) {}

    /**
     * How far the white of a neutral patch is from that of the first still, from each camera's white.
     *
     * @param mired + is warmer
     * @param duv + is greener
     */
    record WhiteApart(double mired, double duv, boolean holds, String say) {}

    /**
     * @param tolerance stops to either side
     * @param ratioApart by each school, in the order of the ratios; none where one has none
     * @param holds whether the points of the face do; null while neither has any of them
     * @param say the verdict in a sentence
     * @param white of the points “grey”, or null
     */
    record StillPair(
            double tolerance,
            List<LikePoint> points,
            List<Double> ratioApart,
            @Nullable Boolean holds,
            String say,
            @Nullable WhiteApart white) {

        /** All that is said. */
        String said() {
            return white == null ? say : "%s %s".formatted(say, white.say());
        }
    }

    /**
     * A frame of a rebuilt shot beside the one that is recorded of it.
     *
     * @param recorded newest frame of the camera that is of no rebuild, or null
     * @param now newest of the rebuild, or null
     * @param pair the second against the first; null without both
     */
    record RunStill(@Nullable StillHead recorded, @Nullable StillHead now, @Nullable StillPair pair) {}
}
