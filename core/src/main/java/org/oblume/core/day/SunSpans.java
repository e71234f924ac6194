package org.oblume.core.day;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.oblume.core.geometry.SunDirection;

/** Times of a date at which something is true of the sun, by whole minutes of local time. */
public final class SunSpans {

    private static final int MINUTES_OF_A_DAY = 1440;
    private static final int HOUR = 60;

    /** Minutes of the date, as its clock shows them, and where the sun stands then. */
    private final int[] minutes;

    private final SunDirection[] sun;

    /** @param what it is that is so in it */
    public record Told<T>(LightSpan span, T what) {}

    /**
     * Of a date at a place. Minutes that the clock skips are left out; of those that it repeats the first are taken.
     *
     * @param latitude degrees, −90 to 90
     * @param longitude degrees, −180 to 180
     */
    public SunSpans(double latitude, double longitude, LocalDate date, ZoneId zone) {
        this.minutes = IntStream.range(0, MINUTES_OF_A_DAY)
                .filter(m -> shown(date, m, zone).toLocalDateTime().equals(local(date, m)))
                .toArray();
        this.sun = Arrays.stream(minutes)
                .mapToObj(m -> SunDirection.at(
                        latitude, longitude, shown(date, m, zone).toInstant()))
                .toArray(SunDirection[]::new);
    }

    private static LocalDateTime local(LocalDate date, int minute) {
        return date.atTime(minute / HOUR, minute % HOUR);
    }

    private static ZonedDateTime shown(LocalDate date, int minute, ZoneId zone) {
        return ZonedDateTime.of(local(date, minute), zone);
    }

    /** The unbroken runs of minutes, 00:00 to 23:59, in order; one goes on over what the clock skips. */
    public List<LightSpan> of(Predicate<SunDirection> counts) {
        return by(at -> counts.test(at) ? Optional.of(true) : Optional.<Boolean>empty()).stream()
                .map(Told::span)
                .toList();
    }

    /** The same, where what is so differs: a run ends where it changes. */
    public <T> List<Told<T>> by(Function<SunDirection, Optional<T>> what) {
        List<Told<T>> all = new ArrayList<>();
        Optional<T> now = Optional.empty();
        int first = 0;
        int last = 0;
        for (int i = 0; i < minutes.length; i++) {
            Optional<T> then = what.apply(sun[i]);
            if (!then.equals(now)) {
                end(all, now, first, last);
                now = then;
                first = minutes[i];
            }
            last = minutes[i];
        }
        end(all, now, first, last);
        return all;
    }

    private static <T> void end(List<Told<T>> all, Optional<T> what, int first, int last) {
        what.ifPresent(so -> all.add(new Told<>(new LightSpan(new TimeOfDay(first), new TimeOfDay(last)), so)));
    }
}
