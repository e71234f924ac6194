package org.oblume.server.photo;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.FloorSpread;
import org.oblume.core.units.Phrase;

/**
 * What the photographs of one round tell of where things stand.
 *
 * @param round which it is, null for those of the record
 * @param rounds all of the shot, that of the record first
 * @param landmarks of the set, then those that are tapped and not in it
 * @param things on set
 */
public record SurveyView(
        long shotId,
        @Nullable String round,
        List<Round> rounds,
        List<TappedPhoto> photos,
        List<SurveyLandmark> landmarks,
        List<SurveyedThing> things) {

    /**
     * @param began when a check began, or null
     * @param run what the rebuild is called, or null
     */
    public record Round(@Nullable String id, @Nullable Instant began, @Nullable String run, int photographs) {}

    /**
     * What the photographs say of one point.
     *
     * @param at null while they do not tell it
     * @param within one standard deviation on the floor, null as well
     * @param floor how far it strays, null as well
     * @param photographs how many tell it
     * @param help what would make it better known while it is poor, or null
     * @param helpFrom where another photograph would, or null
     * @param problem why it is not known though it is tapped, or null
     */
    public record SurveyedPoint(
            @Nullable SpacePoint at,
            @Nullable Phrase within,
            @Nullable FloorSpread floor,
            @Nullable Crossing quality,
            int photographs,
            @Nullable String help,
            @Nullable PlanPoint helpFrom,
            @Nullable String problem) {}

    /**
     * @param at where it is drawn, or null when the set has none of that name
     * @param heightM null while nobody said it: it helps to find nothing then, and can itself be found
     * @param found null where its place and height are known
     * @param isWorthKeeping whether what is found says more than the set
     */
    public record SurveyLandmark(
            String name,
            @Nullable PlanPoint at,
            @Nullable Double heightM,
            @Nullable SurveyedPoint found,
            boolean isWorthKeeping) {}

    /**
     * A point that was tapped: of one of three.
     *
     * @param landmark name of it, or null; one that the set does not have is found instead
     * @param placement key of the thing, or null
     * @param aimOf key of the thing that points at this spot, or null
     * @param u pixels from the left
     * @param v pixels from the top
     */
    public record TappedPoint(
            @Nullable String landmark, @Nullable String placement, @Nullable String aimOf, double u, double v) {

        boolean isOf(TappedPoint other) {
            return isSame(landmark, other.landmark) && isSame(placement, other.placement) && isSame(aimOf, other.aimOf);
        }

        private static boolean isSame(@Nullable String one, @Nullable String other) {
            return one == null ? other == null : one.equals(other);
        }
    }

    /**
     * @param id of its note
     * @param focal35 mm, null where its file did not tell it
     * @param version of its taps
     * @param tappedBy who tapped last, or null
     * @param pose where it was taken from; null while that is not known
     * @param other another place that fits as well, or null
     * @param stood where somebody says that it was taken from, or null
     * @param problem why it is not known, or null
     * @param expected where landmarks and things that are not tapped would be
     */
    public record TappedPhoto(
            long id,
            String text,
            int widthPx,
            int heightPx,
            @Nullable Double focal35,
            List<TappedPoint> taps,
            long version,
            @Nullable String tappedBy,
            @Nullable CameraPose pose,
            @Nullable CameraPose other,
            @Nullable PlanPoint stood,
            @Nullable String problem,
            List<TappedPoint> expected) {}

    /** @param missPercent how far the landmarks miss, of the longer side */
    public record CameraPose(SpacePoint at, double bearingDeg, double missPercent) {}

    /**
     * @param recorded where it stands in the record, or null
     * @param off how far the record is from what is found, on the floor, or null
     * @param isElsewhere whether that is more than three standard deviations
     * @param isWorthKeeping whether what is found is well known and not what was measured before
     * @param aims whether one can say of it which way it points
     * @param aim which way it points as found, or null
     */
    public record SurveyedThing(
            String key,
            String name,
            @Nullable SpacePoint recorded,
            SurveyedPoint found,
            @Nullable Phrase off,
            boolean isElsewhere,
            boolean isWorthKeeping,
            boolean aims,
            @Nullable SurveyedAim aim) {}

    /**
     * @param bearingDeg null while it is not known
     * @param said bearing and tilt, or null as well
     * @param within one standard deviation of the bearing, or null as well
     * @param isElsewhere whether the record says another bearing
     * @param isWorthKeeping whether it is sure and not what the record says
     * @param problem why it is not known, or null
     */
    public record SurveyedAim(
            @Nullable Double bearingDeg,
            @Nullable String said,
            @Nullable String within,
            boolean isElsewhere,
            boolean isWorthKeeping,
            @Nullable String problem) {}
}
