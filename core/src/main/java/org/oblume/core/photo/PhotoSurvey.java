package org.oblume.core.photo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.PhotoFix.Mark;
import org.oblume.core.photo.PhotoFix.Photo;
import org.oblume.core.photo.PhotoFix.Target;
import org.oblume.core.units.Refusal;

/**
 * Photographs while they are tapped: what they tell so far, and of the rest why not. Unlike {@link PhotoFix} one fault leaves the others.
 *
 * @param photos in the order they were given
 * @param found of the targets, in their order
 */
public record PhotoSurvey(List<Taken> photos, List<Found> found) {

    public PhotoSurvey {
        photos = List.copyOf(photos);
        found = List.copyOf(found);
    }

    /** @param stood where somebody says that it was taken from, for a photograph that fits two places; or null */
    public record Tapped(Photo photo, @Nullable PlanPoint stood) {}

    /** A photograph: where it was taken from, or why that is not known. */
    public record Taken(Photo photo, @Nullable Resection from, @Nullable Refusal problem) {

        /** Where a point would be seen in it; empty when that is outside it. */
        public Optional<Tap> sees(SpacePoint point) {
            return from == null ? Optional.empty() : from.sees(point).filter(photo.frame()::has);
        }
    }

    /** A target: where it stands, or why that is not known. */
    public record Found(Target target, @Nullable PhotoPoint point, @Nullable Refusal problem) {}

    /** @param targets whose taps name photographs by index */
    public static PhotoSurvey of(List<Taken> photos, List<Target> targets) {
        return new PhotoSurvey(
                photos, targets.stream().map(t -> found(t, photos)).toList());
    }

    /**
     * Works out where a photograph was taken from; all of the time that a survey takes goes here.
     *
     * @param landmarks of the set whose height is known, by name; what is tapped besides them is not used
     */
    public static Taken taken(Tapped tapped, Map<String, SpacePoint> landmarks) {
        Photo photo = tapped.photo;
        List<SeenLandmark> marks =
                photo.marks().stream().flatMap(m -> seen(m, landmarks)).toList();
        try {
            Resection from = Resection.of(photo.frame(), marks);
            return new Taken(photo, tapped.stood == null ? from : from.takenNear(tapped.stood), null);
        } catch (Refusal problem) {
            return new Taken(photo, null, problem);
        }
    }

    private static Stream<SeenLandmark> seen(Mark mark, Map<String, SpacePoint> landmarks) {
        SpacePoint at = landmarks.get(mark.landmark());
        return at == null ? Stream.empty() : Stream.of(new SeenLandmark(mark.landmark(), at, mark.tap()));
    }

    private static Found found(Target target, List<Taken> taken) {
        List<PhotoPoint.Seen> seen = new ArrayList<>();
        for (PhotoFix.TargetTap tap : target.taps()) {
            Resection from = taken.get(tap.photo()).from();
            if (from != null) {
                seen.add(new PhotoPoint.Seen(from, tap.tap()));
            }
        }
        try {
            if (seen.isEmpty()) {
                throw new Refusal(
                        "taps", "%s is tapped in no photograph whose landmarks agree.".formatted(target.name()));
            }
            return new Found(target, PhotoPoint.of(target.name(), seen, target.heightM()), null);
        } catch (Refusal problem) {
            return new Found(target, null, problem);
        }
    }

    /** What would make a place better known; empty while it is not known at all. */
    public Optional<PhotoHelp> help(Found of, Map<String, SpacePoint> landmarks) {
        return Optional.ofNullable(of.point()).map(point -> PhotoHelp.of(this, of, point, landmarks));
    }

    /** How many of the photographs tell something of it. */
    public int photographsOf(Target target) {
        return (int) target.taps().stream()
                .filter(t -> photos.get(t.photo()).from() != null)
                .count();
    }

    /** The landmarks that tell where the photographs of a target were taken from, each once. */
    public List<String> landmarksOf(Target target, Set<String> known) {
        return known.stream()
                .filter(name -> target.taps().stream()
                        .map(t -> photos.get(t.photo()))
                        .anyMatch(p -> p.from() != null
                                && p.photo().marks().stream()
                                        .anyMatch(m -> m.landmark().equals(name))))
                .toList();
    }
}
