package org.oblume.server.photo;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.FloorSpread;
import org.oblume.core.units.Phrase;

/**
 * What the photographs of a shot tell of where things stand.
 *
 * @param landmarks of the set
 * @param things on set, with what the photographs say of them
 */
public record SurveyView(
        long shotId, List<TappedPhoto> photos, List<SurveyLandmark> landmarks, List<SurveyedThing> things) {

    /** @param heightM null while nobody said it: it cannot be used then */
    public record SurveyLandmark(String name, double xM, double yM, @Nullable Double heightM) {}

    /**
     * A point that was tapped.
     *
     * @param landmark name of it, or null for a thing
     * @param placement key of the thing, or null for a landmark
     * @param u pixels from the left
     * @param v pixels from the top
     */
    public record TappedPoint(@Nullable String landmark, @Nullable String placement, double u, double v) {}

    /**
     * @param id of its note
     * @param focal35 mm, null where its file did not tell it
     * @param version of its taps
     * @param tappedBy who tapped last, or null
     * @param pose where it was taken from; null while that is not known
     * @param other another place that fits as well, or null
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
            @Nullable String problem,
            List<TappedPoint> expected) {}

    /** @param missPercent how far the landmarks miss, of the longer side */
    public record CameraPose(SpacePoint at, double bearingDeg, double missPercent) {}

    /**
     * @param recorded where it stands in the record, or null
     * @param found where the photographs say that it stands, or null
     * @param within one standard deviation on the floor, null as well
     * @param quality as well
     * @param photographs how many tell it
     * @param off how far the record is from it on the floor, or null
     * @param isElsewhere whether that is more than three standard deviations
     * @param floor how far it strays, or null as well
     * @param help what would make it better known while it is poor, or null
     * @param helpFrom where another photograph would, or null
     * @param problem why it is not known though it is tapped, or null
     */
    public record SurveyedThing(
            String key,
            String name,
            @Nullable SpacePoint recorded,
            @Nullable SpacePoint found,
            @Nullable Phrase within,
            @Nullable FloorSpread floor,
            @Nullable Crossing quality,
            int photographs,
            @Nullable Phrase off,
            boolean isElsewhere,
            @Nullable String help,
            @Nullable PlanPoint helpFrom,
            @Nullable String problem) {}
}
