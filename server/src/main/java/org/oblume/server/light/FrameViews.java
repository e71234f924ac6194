package org.oblume.server.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/** What crosses the wire of a predicted picture. */
final class FrameViews {

    private FrameViews() {}

    /**
     * A step on the way to a picture: how far it is, or the picture, first a coarse one.
     *
     * @param done of the work, 0 to 1
     * @param refused why there is no picture, when something went wrong on the way
     */
    record FrameStep(double done, @Nullable PredictedFrame frame, @Nullable String refused) {}

    /**
     * @param coarse whether a finer one follows
     * @param picture a PNG as a data URL
     * @param lines of equal exposure
     * @param points the cheeks of the marks, what is behind them, and what is touched
     * @param camera key of the camera that sees it
     * @param curve name of what percents are read through
     */
    record PredictedFrame(
            boolean coarse,
            int width,
            int height,
            String picture,
            List<IsostopLine> lines,
            List<FramePoint> points,
            String camera,
            String curve) {}

    /**
     * A line of equal exposure.
     *
     * @param stops over the camera's stop
     * @param dots right of the left edge and below the upper one, in turn; what is darker is to the right of the way along it
     */
    record IsostopLine(double stops, List<Double> dots) {}

    /** What a point of a frame is. */
    enum PointKind {
        LIT,
        SHADOW,
        BACKGROUND,
        TOUCHED
    }

    /**
     * The light at a point of a frame.
     *
     * @param on name of what it is on
     * @param mark key of the mark whose cheek or background it is, or null
     * @param x from the left edge, 0 to 1; null when it is not in the picture
     * @param y from the upper edge, likewise
     * @param light null where there is nothing that light falls on
     * @param said how much that is, or null as well
     * @param percent of the video range that it makes on a monitor, or null in the dark
     * @param clipped whether it is more than the range
     */
    record FramePoint(
            PointKind kind,
            String on,
            @Nullable String mark,
            @Nullable Double x,
            @Nullable Double y,
            LightView.@Nullable CheekView light,
            @Nullable Phrase said,
            @Nullable Double percent,
            boolean clipped,
            List<PointSource> sources) {}

    /** What one source brings to a point. */
    record PointSource(String key, LightView.OnSide light) {}
}
