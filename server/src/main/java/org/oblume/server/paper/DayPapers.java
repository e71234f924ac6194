package org.oblume.server.paper;

import static org.oblume.server.paper.Papers.column;
import static org.oblume.server.paper.Papers.figures;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.oblume.core.day.TimeOfDay;
import org.oblume.server.day.DayFeeds;
import org.oblume.server.day.DayService;
import org.oblume.server.day.DayViews.DaySlot;
import org.oblume.server.day.DayViews.DayView;
import org.oblume.server.day.FeedViews.FeedsView;
import org.oblume.server.day.FeedViews.LoadStep;
import org.oblume.server.truck.TruckService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheet of a shooting day: its shots in time, who works how long in each changeover, the sun, what does not fit, batteries and circuits. */
@Service
@Transactional(readOnly = true)
class DayPapers {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
    private final DayService days;
    private final DayFeeds feeds;
    private final TruckService truck;

    DayPapers(DayService days, DayFeeds feeds, TruckService truck) {
        this.days = days;
        this.feeds = feeds;
        this.truck = truck;
    }

    Paper day(long production, int number, Papers.For reader) {
        DayView day = days.view(production, number);
        FeedsView drawn = feeds.of(production, number, DayFeeds.WhatIf.NOTHING);
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        column("Shot", 0.8),
                        column("Scene", 2.2),
                        figures("Set-up", 0.8),
                        figures("Ready", 0.8),
                        figures("Takes", 0.8),
                        figures("until", 0.8),
                        column("Minutes by department", 2.6),
                        column("Needs", 1.4),
                        column("Batteries to change", 1.4)),
                day.slots().stream().map(slot -> row(slot, drawn)).toList());
        List<Sheet.Part> parts = new ArrayList<>();
        parts.add(new Sheet.Say(
                "Call %s, wrap %s. Changeovers %d min in all (estimate)%s."
                        .formatted(
                                day.card().call(),
                                day.card().wrap(),
                                Math.round(day.cost().changeoverMin()),
                                day.pauses().stream()
                                        .map(p -> ", pause %s to %s".formatted(clock(p.from()), clock(p.to())))
                                        .collect(Collectors.joining())),
                true));
        parts.add(table);
        day.sun().forEach(sun -> parts.add(new Sheet.Say("%s. %s".formatted(sun.set(), sun.say()), false)));
        day.notices().forEach(n -> parts.add(new Sheet.Say(n.text(), n.act())));
        drawn.notices().forEach(n -> parts.add(new Sheet.Say(n.text(), n.act())));
        truck.ofDay(production, number)
                .notices()
                .forEach(n -> parts.add(new Sheet.Say("Kit: %s".formatted(reader.say(n)), true)));
        if (!drawn.full().isEmpty()) {
            parts.add(new Sheet.Say("Full in the morning (estimate): %s.".formatted(full(drawn)), false));
        }
        if (!drawn.sets().isEmpty()) {
            parts.add(new Sheet.Say(
                    "At most, estimates; a qualified electrician decides. %s".formatted(loads(drawn)), false));
        }
        return new Paper(
                "day-%d".formatted(number),
                new Sheet(
                        "Day %d%s"
                                .formatted(
                                        number,
                                        day.card().date() == null
                                                ? ""
                                                : ", " + DATE.format(day.card().date())),
                        day.card().place(),
                        reader.link("/productions/%d/days/%d".formatted(production, number)),
                        true,
                        parts),
                table);
    }

    private static String full(FeedsView drawn) {
        return drawn.full().stream()
                .map(f -> "%d × %.0f Wh".formatted(f.count(), f.wattHours()))
                .collect(Collectors.joining(", "));
    }

    /** What each circuit carries at most, and when. */
    private static String loads(FeedsView drawn) {
        return drawn.sets().stream()
                .map(set -> "%s: %s."
                        .formatted(
                                set.set(),
                                set.circuits().stream()
                                        .flatMap(c -> c.steps().stream()
                                                .max(Comparator.comparingDouble(LoadStep::amps))
                                                .map(s -> "%s %.1f A of %.1f at %s"
                                                        .formatted(c.name(), s.amps(), c.limitAmps(), clock(s.from())))
                                                .stream())
                                        .collect(Collectors.joining(", "))))
                .collect(Collectors.joining(" "));
    }

    private static String changes(DaySlot slot, FeedsView drawn) {
        return drawn.batteries().stream()
                .flatMap(b -> b.changes().stream()
                        .filter(c -> c.shotId() == slot.shotId())
                        .map(c -> "%s %s%s".formatted(b.unit(), clock(c.at()), c.inTakes() ? " in takes" : "")))
                .collect(Collectors.joining(", "));
    }

    private static List<String> row(DaySlot slot, FeedsView drawn) {
        return List.of(
                "%s%s".formatted(slot.slate(), slot.again() ? " again" : ""),
                "%s, %s".formatted(slot.scene().number(), slot.description()),
                clock(slot.setUpFrom()),
                clock(slot.readyAt()),
                clock(slot.shootFrom()),
                clock(slot.shootTo()),
                slot.departments().stream()
                        .map(d -> "%s %d".formatted(d.department().label(), Math.round(d.minutes())))
                        .collect(Collectors.joining(", ")),
                slot.plan().need().label()
                        + slot.light().stream()
                                .map(s -> ", %s to %s".formatted(clock(s.from()), clock(s.to())))
                                .limit(2)
                                .collect(Collectors.joining()),
                changes(slot, drawn));
    }

    private static String clock(double minutes) {
        return new TimeOfDay(minutes).print();
    }
}
