package org.oblume.server.day;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.BatteryCourse;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.Pause;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What is said of a shooting day.
 *
 * @param date or null while it is not known
 * @param unit main, second; as the crew calls it
 * @param place where it is, in words
 * @param zone of its clock, as IANA names it, or null for that of this machine
 * @param call when the crew begins, 08:00
 * @param wrap when work stops; a time before the call is of the next day
 * @param leastMinutes that a changeover takes at least
 * @param chargeHours until a battery that was taken out is full again, each in a charger of its own; null when none is charged that day
 * @param offBetween whether what is on a battery is off between shots; null as false
 */
public record DayCard(
        @Nullable LocalDate date,
        String unit,
        String place,
        @Nullable String zone,
        String call,
        String wrap,
        double leastMinutes,
        List<DayPause> pauses,
        @Nullable Double chargeHours,
        @Nullable Boolean offBetween) {

    /** Of a day of which nothing was said. */
    static final DayCard USUAL = new DayCard(
            null,
            "main",
            "",
            null,
            "08:00",
            "18:00",
            DayFrame.USUAL_LEAST_MIN,
            List.of(new DayPause("12:00", "14:00", 45)),
            null,
            null);

    private static final int LONGEST = 80;
    private static final int MOST_PAUSES = 6;

    /** A meal: it begins between two times. */
    public record DayPause(String after, String before, double minutes) {}

    public DayCard {
        unit = Checks.text("The unit", unit, LONGEST);
        place = place.strip();
        if (place.length() > LONGEST) {
            throw new Refusal("place", "Keep the place to %d characters.".formatted(LONGEST));
        }
        if (zone != null) {
            zone(zone);
        }
        if (pauses.size() > MOST_PAUSES) {
            throw new Refusal("pauses", "A day has %d pauses at most.".formatted(MOST_PAUSES));
        }
        pauses = List.copyOf(pauses);
        BatteryCourse.check(chargeHours);
        frame(call, wrap, leastMinutes, pauses, null);
    }

    /** @param now while it runs, or null */
    DayFrame frame(@Nullable TimeOfDay now) {
        return frame(call, wrap, leastMinutes, pauses, now);
    }

    private static DayFrame frame(
            String call, String wrap, double least, List<DayPause> pauses, @Nullable TimeOfDay now) {
        TimeOfDay start = TimeOfDay.parse("call", call);
        return new DayFrame(
                start,
                TimeOfDay.parse("wrap", wrap).notBefore(start),
                least,
                pauses.stream()
                        .map(p -> new Pause(
                                TimeOfDay.parse("pauses", p.after).notBefore(start),
                                TimeOfDay.parse("pauses", p.before).notBefore(start),
                                p.minutes))
                        .toList(),
                now);
    }

    ZoneId clock() {
        return zone == null ? ZoneId.systemDefault() : zone(zone);
    }

    /** @throws Refusal when there is no zone of that name */
    static ZoneId zone(String name) {
        if (!ZoneId.getAvailableZoneIds().contains(name)) {
            throw new Refusal("zone", "“%s” is no time zone: write it as Etc/UTC.".formatted(name));
        }
        return ZoneId.of(name);
    }
}
