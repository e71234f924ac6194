package org.oblume.server.day;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayReader.ReadDay;
import org.oblume.server.day.DayViews.DayNotice;

/** What is said of a day early: what does not fit, who waits, and what nobody said. */
final class DayNotices {

    private DayNotices() {}

    static List<DayNotice> of(ReadDay read, Schedule schedule) {
        List<DayNotice> all = new ArrayList<>();
        if (read.day().card().date() == null && !read.planned().isEmpty()) {
            all.add(new DayNotice("No date is said: the sun is not known.", null, false));
        }
        if (read.order().ring() != null) {
            all.add(new DayNotice(String.valueOf(read.order().ring().getMessage()), null, true));
        }
        for (int i = 0; i < read.planned().size(); i++) {
            Planned shot = read.planned().get(i);
            Schedule.Slot slot = schedule.slots().get(i);
            if (slot.late()) {
                all.add(new DayNotice(
                        "%s ends at %s, after the wrap at %s. Put it on another day, or take it sooner."
                                .formatted(
                                        shot.slate(),
                                        slot.shootTo().print(),
                                        read.day().card().wrap()),
                        shot.id(),
                        true));
            }
            if (!slot.inItsLight()) {
                all.add(new DayNotice(outOfLight(read, shot, slot), shot.id(), true));
            } else if (slot.waitsMin() >= 1) {
                all.add(new DayNotice(
                        "%s waits %d min for %s.".formatted(shot.slate(), Math.round(slot.waitsMin()), light(shot)),
                        shot.id(),
                        false));
            }
            if (!slot.overInTime()) {
                all.add(new DayNotice(
                        "%s ends at %s and has to be over by %s%s. Take it sooner."
                                .formatted(
                                        shot.slate(),
                                        slot.shootTo().print(),
                                        shot.plan().doneBy(),
                                        shot.plan().who() == null
                                                ? ""
                                                : ", when %s leaves"
                                                        .formatted(shot.plan().who())),
                        shot.id(),
                        true));
            }
            slot.elsewhere()
                    .ifPresent(e -> all.add(new DayNotice(
                            "%s: %s. Move the shot, or take another unit.".formatted(shot.slate(), e.what()),
                            shot.id(),
                            true)));
            if (shot.plan().shootMinutes() == null) {
                all.add(new DayNotice(
                        "%s: nobody said how long its takes last; %d min are taken."
                                .formatted(shot.slate(), Math.round(ShotPlan.USUAL_MINUTES)),
                        shot.id(),
                        false));
            }
        }
        return all;
    }

    private static String light(Planned shot) {
        return switch (shot.plan().need()) {
            case SUN -> "the sun";
            case NIGHT -> "the night";
            case DUSK -> "dusk";
            default -> "daylight";
        };
    }

    private static String outOfLight(ReadDay read, Planned shot, Schedule.Slot slot) {
        if (read.day().card().date() == null) {
            return "%s needs %s: say the date.".formatted(shot.slate(), light(shot));
        }
        if (shot.recorded().record().set().site() == null) {
            return "%s needs %s: say where on earth %s stands, on its drawing."
                    .formatted(
                            shot.slate(),
                            light(shot),
                            shot.recorded().scene().set().name());
        }
        String spans = shot.light().stream()
                .filter(s -> s.from().minutes() < TimeOfDay.LATEST_MIN / 2)
                .map(s -> "%s to %s".formatted(s.from().print(), s.to().print()))
                .collect(Collectors.joining(", "));
        return spans.isEmpty()
                ? "%s needs %s, which never comes there on this day.".formatted(shot.slate(), light(shot))
                : "%s is shot from %s to %s and needs %s: %s."
                        .formatted(
                                shot.slate(),
                                slot.shootFrom().print(),
                                slot.shootTo().print(),
                                light(shot),
                                spans);
    }
}
