package org.oblume.core.geometry;

import java.util.Locale;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A place told from a mark: so far along the floor, so many degrees off the way to the camera.
 *
 * @param mark what it was measured from: the name of the mark
 * @param markAt where that stood then
 * @param cameraAt where the camera stood then
 * @param distanceM along the floor, metres, above 0 to 100
 * @param offDeg off the way from the mark to the camera, 0–180°
 * @param side camera left or right, as one looks through it
 */
public record Polar(String mark, PlanPoint markAt, PlanPoint cameraAt, double distanceM, double offDeg, Side side) {

    private static final double FARTHEST_M = 100;
    private static final double STRAIGHT_DEG = 180;

    public Polar {
        if (!(distanceM > 0)) {
            throw new Refusal("distanceM", "The distance from the mark has to be longer than 0 m.");
        }
        Checks.within("distanceM", "The distance from the mark", distanceM, 0, FARTHEST_M, " m");
        Checks.within("offDeg", "The angle off the way to the camera", offDeg, 0, STRAIGHT_DEG, "°");
        if (markAt.distanceM(cameraAt) == 0) {
            throw new Refusal("camera", "The camera stands on the mark, so that no way leads to it: move one of them.");
        }
    }

    /** The bearing from the mark is that of the way to the camera, + {@code offDeg} to camera left, − to camera right. */
    public PlanPoint point() {
        double toCamera = Bearing.fromOffset(cameraAt.xM() - markAt.xM(), cameraAt.yM() - markAt.yM())
                .degrees();
        double bearing = Math.toRadians(toCamera + (side == Side.LEFT ? offDeg : -offDeg));
        return PlanPoint.of(markAt.xM() + distanceM * Math.sin(bearing), markAt.yM() + distanceM * Math.cos(bearing));
    }

    /** {@code 2.40 m from Repairer, 45° off the way to the camera, camera left}. */
    public Phrase phrase() {
        return Phrase.format(
                "%s along the floor from %s, %d° off the way to the camera, camera %s",
                Phrase.metres(distanceM), mark, Math.round(offDeg), side.name().toLowerCase(Locale.ROOT));
    }
}
