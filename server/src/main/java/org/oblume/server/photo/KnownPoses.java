package org.oblume.server.photo;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Map;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.PhotoSurvey;
import org.springframework.stereotype.Component;

/** Where photographs were taken from, kept as long as the same is tapped in them: a tap in one leaves the others as they are. */
@Component
class KnownPoses {

    private static final int AT_ONCE = 200;

    private final Cache<Tapped, PhotoSurvey.Taken> known =
            Caffeine.newBuilder().maximumSize(AT_ONCE).build();

    private record Tapped(PhotoSurvey.Tapped photo, Map<String, SpacePoint> landmarks) {}

    PhotoSurvey.Taken of(PhotoSurvey.Tapped photo, Map<String, SpacePoint> landmarks) {
        return known.get(
                new Tapped(photo, Map.copyOf(landmarks)), asked -> PhotoSurvey.taken(asked.photo, asked.landmarks));
    }
}
