package org.oblume.server.day;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.LightNeed;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.SunSpans;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.light.SunReach;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Streak;
import org.oblume.server.day.DayViews.SunOfSet;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.springframework.stereotype.Component;

/** What the sun does at a set on a date. */
@Component
class DaySun {

    private static final int EVERY_MIN = 10;
    private static final int MINUTES = 1440;
    private static final int MOST_KEPT = 2000;

    private record Key(StoredScene scene, long shotId, LightNeed need, LocalDate date, ZoneId zone) {}

    private final Cache<Key, List<LightSpan>> kept = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Changeovers.KEPT)
            .build();

    /** When the light that a shot needs is there, on a date and in the night after it; none when its set has no place on earth. */
    List<LightSpan> spans(RecordedShot shot, LightNeed need, @Nullable LocalDate date, ZoneId zone) {
        Site site = shot.record().set().site();
        if (need == LightNeed.ANY || date == null || site == null) {
            return List.of();
        }
        return kept.get(new Key(shot.scene(), shot.shot().id(), need, date, zone), key -> {
            Predicate<SunDirection> counts =
                    need == LightNeed.SUN ? onTheMark(shot).orElse(sun -> false) : need::is;
            return DayOrder.joined(
                    new SunSpans(site.latitude(), site.longitude(), date, zone).of(counts),
                    new SunSpans(site.latitude(), site.longitude(), date.plusDays(1), zone).of(counts));
        });
    }

    /** Whether the sun reaches the mark on which it lay by the record, else the first that has a place and a height. */
    private static Optional<Predicate<SunDirection>> onTheMark(RecordedShot shot) {
        SunReach reach = new SunReach(shot.record().set(), shot.record().placements(), shot.state());
        return shot.marks().stream()
                .sorted(Comparator.comparing(
                        mark -> shot.state().value(mark.key(), Streak.class).isEmpty()))
                .flatMap(mark -> shot.state().position(mark.key()).stream())
                .findFirst()
                .map(point -> sun -> reach.reaches(sun, point));
    }

    /** Empty without a date, or where the set has no place on earth. */
    Optional<SunOfSet> of(StoredScene scene, @Nullable LocalDate date, ZoneId zone) {
        Site site = scene.set().plan().site();
        if (date == null || site == null) {
            return Optional.empty();
        }
        List<Double> elevations = new ArrayList<>();
        for (int minute = 0; minute <= 2 * MINUTES; minute += EVERY_MIN) {
            elevations.add(SunDirection.at(site.latitude(), site.longitude(), new TimeOfDay(minute).on(date, zone))
                    .elevationDeg());
        }
        SunSpans day = new SunSpans(site.latitude(), site.longitude(), date, zone);
        List<LightSpan> up = day.of(LightNeed.DAY::is);
        List<LightSpan> dark = day.of(LightNeed.NIGHT::is);
        Double rise = up.isEmpty() || up.get(0).from().minutes() == 0
                ? null
                : Double.valueOf(up.get(0).from().minutes());
        Double sets = up.isEmpty() || up.get(up.size() - 1).to().minutes() == MINUTES - 1
                ? null
                : Double.valueOf(up.get(up.size() - 1).to().minutes());
        Double nightFrom = dark.isEmpty() || dark.get(dark.size() - 1).from().minutes() == 0
                ? null
                : Double.valueOf(dark.get(dark.size() - 1).from().minutes());
        return Optional.of(new SunOfSet(
                scene.scene().setId(),
                scene.set().name(),
                elevations,
                EVERY_MIN,
                rise,
                sets,
                nightFrom,
                said(up, rise, sets, nightFrom)));
    }

    private static String said(
            List<LightSpan> up, @Nullable Double rise, @Nullable Double sets, @Nullable Double nightFrom) {
        if (up.isEmpty()) {
            return "The sun does not rise on this day.";
        }
        if (rise == null && sets == null) {
            return "The sun does not set on this day.";
        }
        List<String> said = new ArrayList<>();
        if (rise != null) {
            said.add("up %s".formatted(print(rise)));
        }
        if (sets != null) {
            said.add("down %s".formatted(print(sets)));
        }
        if (nightFrom != null) {
            said.add("dark from %s".formatted(print(nightFrom)));
        }
        return "Sun %s.".formatted(String.join(", ", said));
    }

    private static String print(double minutes) {
        return new TimeOfDay(minutes).print();
    }
}
