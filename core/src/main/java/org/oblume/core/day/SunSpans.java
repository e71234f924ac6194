package org.oblume.core.day;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.oblume.core.geometry.SunDirection;

/** Times of a date at which something is true of the sun, by whole minutes of local time. */
public final class SunSpans {

    private static final int MINUTES_OF_A_DAY = 1440;
    private static final int HOUR = 60;

    private SunSpans() {}

    /**
     * The unbroken runs of minutes, 00:00 to 23:59, in order. Minutes that the clock skips are left out, and a run goes on over them; of
     * those that it repeats the first are taken.
     *
     * @param latitude degrees, −90 to 90
     * @param longitude degrees, −180 to 180
     */
    public static List<LightSpan> of(
            double latitude, double longitude, LocalDate date, ZoneId zone, Predicate<SunDirection> counts) {
        List<LightSpan> all = new ArrayList<>();
        int first = -1;
        int last = -1;
        for (int minute = 0; minute < MINUTES_OF_A_DAY; minute++) {
            LocalDateTime local = date.atTime(minute / HOUR, minute % HOUR);
            ZonedDateTime at = ZonedDateTime.of(local, zone);
            if (!at.toLocalDateTime().equals(local)) {
                continue; // skipped by the clock
            }
            if (counts.test(SunDirection.at(latitude, longitude, at.toInstant()))) {
                first = first < 0 ? minute : first;
                last = minute;
            } else if (first >= 0) {
                all.add(new LightSpan(new TimeOfDay(first), new TimeOfDay(last)));
                first = -1;
            }
        }
        if (first >= 0) {
            all.add(new LightSpan(new TimeOfDay(first), new TimeOfDay(last)));
        }
        return all;
    }
}
