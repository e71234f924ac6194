package org.oblume.core.day;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A time of a shooting day, which may go on past midnight.
 *
 * @param minutes after the midnight before the call, 0 to 2880
 */
public record TimeOfDay(double minutes) implements Comparable<TimeOfDay> {

    private static final double SECONDS = 60;
    private static final int HOUR = 60;
    private static final int DAY = 24 * HOUR;
    /** The end of the day after. */
    public static final double LATEST_MIN = 2 * DAY;

    private static final Pattern WRITTEN = Pattern.compile("([01]\\d|2[0-3]):([0-5]\\d)");

    public TimeOfDay {
        Checks.within("A time of the day", minutes, 0, LATEST_MIN, " min");
    }

    /**
     * Reads {@code 08:00}.
     *
     * @param field that a refusal names
     * @throws Refusal when it is no time from 00:00 to 23:59
     */
    public static TimeOfDay parse(String field, String text) {
        Matcher written = WRITTEN.matcher(text);
        if (!written.matches()) {
            throw new Refusal(field, "“%s” is no time: write it as 08:00, from 00:00 to 23:59.".formatted(text));
        }
        return new TimeOfDay(HOUR * Integer.parseInt(written.group(1)) + Integer.parseInt(written.group(2)));
    }

    /**
     * The time of a date that a clock shows at an instant, on that date or the next.
     *
     * @throws Refusal when it is neither
     */
    public static TimeOfDay of(Instant at, LocalDate date, ZoneId zone) {
        return new TimeOfDay(Duration.between(date.atStartOfDay(), LocalDateTime.ofInstant(at, zone))
                        .toSeconds()
                / SECONDS);
    }

    /** When a clock shows this on a date; in the hour that it skips as much later. */
    public Instant on(LocalDate date, ZoneId zone) {
        return date.atStartOfDay()
                .plusSeconds(Math.round(SECONDS * minutes))
                .atZone(zone)
                .toInstant();
    }

    /** This, on the day after when it would be before the start of the day. */
    public TimeOfDay notBefore(TimeOfDay start) {
        return minutes < start.minutes && minutes < DAY ? new TimeOfDay(minutes + DAY) : this;
    }

    /** So many minutes later. */
    public TimeOfDay plus(double more) {
        return new TimeOfDay(Math.min(LATEST_MIN, minutes + more));
    }

    /** Minutes from another to this. */
    public double minus(TimeOfDay other) {
        return minutes - other.minutes;
    }

    /** {@code 08:00}, to the minute; a time of the next day likewise. */
    public String print() {
        int whole = (int) Math.round(minutes);
        return "%02d:%02d".formatted(whole / HOUR % 24, whole % HOUR);
    }

    @Override
    public int compareTo(TimeOfDay other) {
        return Double.compare(minutes, other.minutes);
    }
}
