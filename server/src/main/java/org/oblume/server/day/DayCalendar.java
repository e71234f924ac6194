package org.oblume.server.day;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayViews.DaySlot;
import org.oblume.server.day.DayViews.DayView;

/** A day as iCalendar (RFC 5545): an event for the takes of each shot, which keeps its UID when it moves. */
final class DayCalendar {

    private DayCalendar() {}

    /** @param uid of the day */
    static byte[] write(DayView day, String uid) {
        LocalDate date = day.card().date();
        if (date == null) {
            throw new Refusal("date", "A calendar needs the date of day %d: say it first.".formatted(day.number()));
        }
        ZoneId zone = day.card().clock();
        Calendar calendar =
                new Calendar().withDefaults().withProdId("-//Oblume//Day//EN").getFluentTarget();
        for (DaySlot slot : day.slots()) {
            VEvent event = new VEvent(
                    new TimeOfDay(slot.shootFrom()).on(date, zone),
                    new TimeOfDay(slot.shootTo()).on(date, zone),
                    "%s%s".formatted(slot.slate(), slot.again() ? " again" : ""));
            event.add(new Uid("%s-shot-%d@oblume".formatted(uid, slot.shotId())));
            event.add(new Description("%s. Set-up from %s (plan)."
                    .formatted(slot.description(), new TimeOfDay(slot.setUpFrom()).print())));
            event.add(new Location(slot.scene().location()));
            calendar.add(event);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new CalendarOutputter(false).output(calendar, out);
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return out.toByteArray();
    }

    /**
     * What its events are called, in the order of their beginning.
     *
     * @throws Refusal when it is no iCalendar
     */
    static List<String> read(String text) {
        try {
            Calendar calendar = new CalendarBuilder().build(new StringReader(text));
            return calendar.<VEvent>getComponents("VEVENT").stream()
                    .sorted(Comparator.comparing(e -> e.<DtStart<?>>getProperty("DTSTART")
                            .map(Property::getValue)
                            .orElse("")))
                    .flatMap(e -> e.<Summary>getProperty("SUMMARY").map(Property::getValue).stream())
                    .toList();
        } catch (IOException | ParserException | RuntimeException noCalendar) {
            throw new Refusal(
                    "This is no iCalendar that can be read: save it again as .ics, or put the day in as CSV.");
        }
    }
}
