package org.oblume.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.PriorityQueue;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.DayBatteries.Battery;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * How a unit's batteries run down over a day. An estimate: age and cold take from them. A unit draws what its shot asks for during the
 * takes and, unless it is off between shots, through the next changeover; never in a pause, in a wait, or after the last shot.
 *
 * @param spans in which it draws, one after the other
 * @param changes in time
 */
public record BatteryCourse(Battery battery, List<Span> spans, List<Change> changes) {

    private static final double MINUTES = 60;
    private static final double NEARLY_WH = 1e-9;
    private static final double LONGEST_CHARGE_H = 48;

    public BatteryCourse {
        spans = List.copyOf(spans);
        changes = List.copyOf(changes);
    }

    /**
     * A time in which one battery runs down.
     *
     * @param leftFrom of what is usable of a full one, 0 to 1
     * @param leftTo the same at its end
     */
    public record Span(TimeOfDay from, TimeOfDay to, double leftFrom, double leftTo) {}

    /**
     * A battery that is changed.
     *
     * @param place of the shot in the schedule, from 0
     * @param shot slate of the shot that it would not have lasted
     * @param inTakes whether between its takes; else in the changeover before it
     * @param emptyAt when the one that is taken out would be empty
     */
    public record Change(int place, String shot, TimeOfDay at, boolean inTakes, TimeOfDay emptyAt) {}

    /**
     * How a battery runs down over a day: it is changed in a changeover, before a shot whose takes need more than is left in it, and
     * between takes where they need more than a full one.
     *
     * @param offBetween whether the unit is off between shots
     */
    public static BatteryCourse of(Schedule schedule, Battery battery, boolean offBetween) {
        return new Course(battery).over(schedule, offBetween);
    }

    /** Whether it draws at all. */
    public boolean draws() {
        return !spans.isEmpty();
    }

    /** Full batteries over the day when none is charged again; 0 when it draws in no shot. */
    public int needed() {
        return needed(null);
    }

    /**
     * Batteries that have to be full in the morning.
     *
     * @param chargeHours until one that was taken out is full again, above 0 to 48, each in a charger of its own; null when none is
     *     charged during the day
     */
    public int needed(@Nullable Double chargeHours) {
        check(chargeHours);
        if (!draws()) {
            return 0;
        }
        int opened = 1;
        PriorityQueue<Double> backAt = new PriorityQueue<>();
        for (Change change : changes) {
            double now = change.at.minutes();
            Double back = backAt.peek();
            if (back != null && back <= now) {
                backAt.poll();
            } else {
                opened++;
            }
            if (chargeHours != null) {
                backAt.add(now + chargeHours * MINUTES);
            }
        }
        return opened;
    }

    /** @throws Refusal when no battery takes so long to be charged, hours */
    public static void check(@Nullable Double chargeHours) {
        if (chargeHours != null) {
            Checks.above0("chargeHours", "Charging a battery", chargeHours, " h");
            Checks.within("chargeHours", "Charging a battery", chargeHours, 0, LONGEST_CHARGE_H, " h");
        }
    }

    /** A battery while it runs down. */
    private static final class Course {

        private final Battery battery;
        private final double full;
        private double left;
        private final List<Span> spans = new ArrayList<>();
        private final List<Change> changes = new ArrayList<>();

        Course(Battery battery) {
            this.battery = battery;
            this.full = battery.fullWh();
            this.left = full;
        }

        BatteryCourse over(Schedule schedule, boolean offBetween) {
            double before = 0;
            for (int place = 0; place < schedule.slots().size(); place++) {
                Schedule.Slot slot = schedule.slots().get(place);
                if (!offBetween) {
                    drain(slot.setUpFrom(), slot.readyAt().minus(slot.setUpFrom()), before);
                }
                double watts = slot.shot().draw(battery.unit());
                double own = slot.shot().drawnWh(battery.unit());
                if (left < own - NEARLY_WH && left < full - NEARLY_WH) {
                    change(new Change(
                            place,
                            slot.shot().name(),
                            slot.readyAt(),
                            false,
                            slot.shootFrom().plus(left / watts * MINUTES)));
                }
                double from = 0;
                while (left < watts * (slot.shot().shootMin() - from) / MINUTES - NEARLY_WH) {
                    double lasts = left / watts * MINUTES;
                    drain(slot.shootFrom().plus(from), lasts, watts);
                    from += lasts;
                    TimeOfDay empty = slot.shootFrom().plus(from);
                    change(new Change(place, slot.shot().name(), empty, true, empty));
                }
                drain(slot.shootFrom().plus(from), slot.shot().shootMin() - from, watts);
                before = watts;
            }
            return new BatteryCourse(battery, spans, changes);
        }

        private void change(Change change) {
            changes.add(change);
            left = full;
        }

        private void drain(TimeOfDay from, double minutes, double watts) {
            if (watts > 0 && minutes > 0) {
                double after = Math.max(0, left - watts * minutes / MINUTES);
                double lasted = (left - after) / watts * MINUTES;
                if (lasted > 0) {
                    spans.add(new Span(from, from.plus(lasted), left / full, after / full));
                }
                left = after;
            }
        }
    }
}
