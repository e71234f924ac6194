package org.oblume.core.photo;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;

/**
 * What would make a place better known: one more landmark in the photograph whose own place strays most, or another photograph across the
 * way in which the place strays (model: what strays more is mended first; nothing is worked out anew).
 *
 * @param photo index of the photograph in which a landmark helps, or −1 when another photograph does
 * @param landmark to tap in it, or null
 * @param from where another photograph would help, or null
 */
public record PhotoHelp(int photo, @Nullable String landmark, @Nullable PlanPoint from) {

    private static final double AWAY_M = 3;
    private static final double HALF = 0.5;

    /** @param landmarks of the set whose height is known, by name */
    static PhotoHelp of(
            PhotoSurvey survey, PhotoSurvey.Found found, PhotoPoint point, Map<String, SpacePoint> landmarks) {
        List<Integer> tapped = found.target().taps().stream()
                .map(PhotoFix.TargetTap::photo)
                .filter(i -> survey.photos().get(i).from() != null)
                .toList();
        double ofPoses = point.ofPoses().stream().mapToDouble(d -> d).sum();
        if (ofPoses > HALF) {
            int worst = 0;
            for (int i = 1; i < tapped.size(); i++) {
                worst = point.ofPoses().get(i) > point.ofPoses().get(worst) ? i : worst;
            }
            PhotoSurvey.Taken taken = survey.photos().get(tapped.get(worst));
            Optional<String> landmark = farthest(taken, landmarks);
            if (landmark.isPresent()) {
                return new PhotoHelp(tapped.get(worst), landmark.get(), null);
            }
        }
        return new PhotoHelp(-1, null, across(point, landmarks));
    }

    /** The landmark in the picture that is farthest from all that are tapped in it. */
    private static Optional<String> farthest(PhotoSurvey.Taken taken, Map<String, SpacePoint> landmarks) {
        return landmarks.entrySet().stream()
                .filter(l -> taken.photo().marks().stream()
                        .noneMatch(m -> m.landmark().equals(l.getKey())))
                .filter(l -> taken.sees(l.getValue()).isPresent())
                .max(Comparator.comparingDouble(
                        l -> alone(taken, taken.sees(l.getValue()).orElseThrow())))
                .map(Map.Entry::getKey);
    }

    private static double alone(PhotoSurvey.Taken taken, Tap tap) {
        return taken.photo().marks().stream()
                .mapToDouble(m -> Math.hypot(m.tap().u() - tap.u(), m.tap().v() - tap.v()))
                .min()
                .orElse(0);
    }

    /** Three metres off the place at a right angle to the way in which it strays most, on the side of the landmarks' middle. */
    private static PlanPoint across(PhotoPoint point, Map<String, SpacePoint> landmarks) {
        double across = Math.toRadians(point.floor().bearingDeg()) + Math.PI / 2;
        double x = landmarks.values().stream()
                        .mapToDouble(SpacePoint::xM)
                        .average()
                        .orElse(0)
                - point.place().xM();
        double y = landmarks.values().stream()
                        .mapToDouble(SpacePoint::yM)
                        .average()
                        .orElse(0)
                - point.place().yM();
        double side = x * Math.sin(across) + y * Math.cos(across) < 0 ? -AWAY_M : AWAY_M;
        return PlanPoint.of(
                point.place().xM() + side * Math.sin(across), point.place().yM() + side * Math.cos(across));
    }
}
