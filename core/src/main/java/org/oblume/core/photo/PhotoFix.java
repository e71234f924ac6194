package org.oblume.core.photo;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A set worked out from photographs: where each was taken from, then where each thing stands.
 *
 * @param photos in the order they were given
 * @param targets as well
 */
public record PhotoFix(List<Resection> photos, List<PhotoPoint> targets) {

    private static final int MOST_PHOTOS = 6;
    private static final int MOST_MARKS = 24;
    private static final int MOST_LANDMARKS = 60;
    private static final int MOST_TARGETS = 40;

    public PhotoFix {
        photos = List.copyOf(photos);
        targets = List.copyOf(targets);
    }

    /** A landmark that was tapped. */
    public record Mark(String landmark, Tap tap) {}

    public record Photo(Frame frame, List<Mark> marks) {

        public Photo {
            marks = List.copyOf(marks);
        }
    }

    public record KnownPoint(String name, SpacePoint at) {}

    /** @param photo index of it, from 0 */
    public record TargetTap(int photo, Tap tap) {}

    /** @param heightM when it is known; used when it is seen in one photograph */
    public record Target(String name, List<TargetTap> taps, @Nullable Double heightM) {

        public Target {
            taps = List.copyOf(taps);
        }
    }

    /** @throws Refusal for the first thing that cannot be: photographs, then targets, in their order */
    public static PhotoFix of(List<Photo> photos, List<KnownPoint> landmarks, List<Target> targets) {
        if (photos.isEmpty()) {
            throw new Refusal("photos", "There is no photograph: give one to six.");
        }
        atMost("photos", "photographs", photos.size(), MOST_PHOTOS);
        atMost("landmarks", "landmarks", landmarks.size(), MOST_LANDMARKS);
        atMost("targets", "targets", targets.size(), MOST_TARGETS);
        Map<String, SpacePoint> known = new LinkedHashMap<>();
        for (KnownPoint landmark : landmarks) {
            if (known.put(landmark.name(), landmark.at()) != null) {
                throw twice(landmark.name());
            }
        }
        List<Resection> from = new ArrayList<>();
        for (Photo photo : photos) {
            from.add(Resection.of(photo.frame(), marks(photo, known)));
        }
        Set<String> names = new HashSet<>();
        List<PhotoPoint> found = new ArrayList<>();
        for (Target target : targets) {
            if (!names.add(target.name())) {
                throw twice(target.name());
            }
            found.add(PhotoPoint.of(target.name(), seen(target, photos, from), target.heightM()));
        }
        return new PhotoFix(from, found);
    }

    private static Refusal twice(String name) {
        return new Refusal("name", "Two are called %s: give each a name of its own.".formatted(name));
    }

    private static void atMost(String field, String what, int count, int most) {
        if (count > most) {
            throw new Refusal(field, "There are %d %s: %d at most.".formatted(count, what, most));
        }
    }

    private static List<SeenLandmark> marks(Photo photo, Map<String, SpacePoint> known) {
        atMost("marks", "landmarks in one photograph", photo.marks().size(), MOST_MARKS);
        List<SeenLandmark> marks = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Mark mark : photo.marks()) {
            SpacePoint at = known.get(mark.landmark());
            if (at == null) {
                throw new Refusal("landmark", "The set knows no landmark %s.".formatted(mark.landmark()));
            }
            if (!names.add(mark.landmark())) {
                throw new Refusal("landmark", "%s is tapped twice in one photograph.".formatted(mark.landmark()));
            }
            marks.add(new SeenLandmark(mark.landmark(), at, inside(photo.frame(), mark.tap())));
        }
        return marks;
    }

    private static List<PhotoPoint.Seen> seen(Target target, List<Photo> photos, List<Resection> from) {
        List<PhotoPoint.Seen> seen = new ArrayList<>();
        Set<Integer> indices = new HashSet<>();
        for (TargetTap tap : target.taps()) {
            if (tap.photo() < 0 || tap.photo() >= photos.size()) {
                throw new Refusal(
                        "photo",
                        "%s is tapped in photograph %d, which is not there.".formatted(target.name(), tap.photo()));
            }
            if (!indices.add(tap.photo())) {
                throw new Refusal("photo", "%s is tapped twice in one photograph.".formatted(target.name()));
            }
            seen.add(new PhotoPoint.Seen(
                    from.get(tap.photo()), inside(photos.get(tap.photo()).frame(), tap.tap())));
        }
        return seen;
    }

    private static Tap inside(Frame frame, Tap tap) {
        Checks.within("u", "A tap", tap.u(), 0, frame.widthPx(), " pixels from the left");
        Checks.within("v", "A tap", tap.v(), 0, frame.heightPx(), " pixels from the top");
        return tap;
    }
}
