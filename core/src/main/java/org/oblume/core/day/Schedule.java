package org.oblume.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * When what is set up and shot: shots in their order, one after the other. A shot's changeover and takes are one block, which a pause is
 * not put into (model). Who waits for the light waits between the two.
 *
 * @param slots one for each shot, in order
 * @param pauses those that are taken
 */
public record Schedule(List<Slot> slots, List<TakenPause> pauses) {

    public Schedule {
        slots = List.copyOf(slots);
        pauses = List.copyOf(pauses);
    }

    /**
     * A shot in time.
     *
     * @param readyAt its light is ready
     * @param shootFrom its takes begin, later when they wait for the light
     * @param late whether it ends after the wrap
     * @param inItsLight whether its takes are in the light that it needs
     */
    public record Slot(
            DayShot shot,
            TimeOfDay setUpFrom,
            TimeOfDay readyAt,
            TimeOfDay shootFrom,
            TimeOfDay shootTo,
            boolean late,
            boolean inItsLight) {

        private Slot of(DayShot same) {
            return new Slot(same, setUpFrom, readyAt, shootFrom, shootTo, late, inItsLight);
        }

        /** Whether its takes are over when somebody leaves. */
        public boolean overInTime() {
            return shot.doneBy() == null || shootTo.compareTo(shot.doneBy()) <= 0;
        }

        /** What it needs and what is in use elsewhere, from its set-up to its last take. */
        public Optional<DayShot.Elsewhere> elsewhere() {
            return shot.elsewhere().stream()
                    .filter(e -> e.from().compareTo(shootTo) < 0 && e.to().compareTo(setUpFrom) > 0)
                    .findFirst();
        }

        /** How many of its own needs it breaks: light, wrap, who leaves, what is elsewhere. */
        int broken() {
            return (inItsLight ? 0 : 1)
                    + (late ? 1 : 0)
                    + (overInTime() ? 0 : 1)
                    + (elsewhere().isPresent() ? 1 : 0);
        }

        /** Minutes that it waits for the light. */
        public double waitsMin() {
            return Math.max(0, shootFrom.minus(readyAt));
        }
    }

    /** The same times, with what units draw in each shot, W. */
    public Schedule drawing(List<Map<String, Double>> watts) {
        List<Slot> drawing = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            drawing.add(slots.get(i).of(slots.get(i).shot.drawing(watts.get(i))));
        }
        return new Schedule(drawing, pauses);
    }

    /** A pause that is taken. */
    public record TakenPause(TimeOfDay from, TimeOfDay to) {}

    public static Schedule of(DayFrame frame, List<DayShot> shots) {
        List<Slot> slots = new ArrayList<>();
        List<TakenPause> taken = new ArrayList<>();
        Clock clock = new Clock(frame.start().minutes(), 0);
        for (DayShot shot : shots) {
            Step step = step(frame, clock, shot, taken);
            slots.add(step.slot());
            clock = step.then();
        }
        return new Schedule(slots, taken);
    }

    /** Where a day has come to: minutes, and which pause is next. */
    record Clock(double minutes, int pause) {}

    record Step(Slot slot, Clock then) {}

    /** The next shot. */
    static Step step(DayFrame frame, Clock clock, DayShot shot, @Nullable List<TakenPause> taken) {
        DayShot.SoFar soFar = shot.soFar();
        if (soFar != null && soFar.shootFrom() != null) {
            return begun(frame, clock, shot, soFar.shootFrom(), soFar.shootTo());
        }
        double setUp = Math.max(frame.leastMin(), shot.changeoverMin());
        double from = clock.minutes();
        int pause = clock.pause();
        while (pause < frame.pauses().size()) {
            Pause next = frame.pauses().get(pause);
            double end = takes(frame, shot, from + setUp).from + shot.shootMin();
            if (from < next.after().minutes() && end <= next.before().minutes()) {
                break;
            }
            double begins = Math.max(from, next.after().minutes());
            if (taken != null) {
                taken.add(new TakenPause(time(begins), time(begins + next.minutes())));
            }
            from = begins + next.minutes();
            pause++;
        }
        Takes takes = takes(frame, shot, from + setUp);
        double to = takes.from + shot.shootMin();
        return new Step(
                new Slot(
                        shot,
                        time(from),
                        time(from + setUp),
                        time(takes.from),
                        time(to),
                        to > frame.wrap().minutes(),
                        takes.inLight),
                new Clock(to, pause));
    }

    private static Step begun(
            DayFrame frame, Clock clock, DayShot shot, TimeOfDay shootFrom, @Nullable TimeOfDay shootTo) {
        double now = frame.now() == null ? 0 : frame.now().minutes();
        double to = shootTo == null ? Math.max(shootFrom.minutes() + shot.shootMin(), now) : shootTo.minutes();
        double from = Math.min(clock.minutes(), shootFrom.minutes());
        int pause = clock.pause();
        while (pause < frame.pauses().size()
                && frame.pauses().get(pause).before().minutes() < shootFrom.minutes()) {
            pause++; // it was taken, or nobody will make up for it
        }
        return new Step(
                new Slot(
                        shot,
                        time(from),
                        shootFrom,
                        shootFrom,
                        time(Math.max(to, shootFrom.minutes())),
                        to > frame.wrap().minutes(),
                        isIn(shot, shootFrom.minutes())),
                new Clock(Math.max(to, shootFrom.minutes()), pause));
    }

    private record Takes(double from, boolean inLight) {}

    private static Takes takes(DayFrame frame, DayShot shot, double ready) {
        double at = frame.now() == null ? ready : Math.max(ready, frame.now().minutes());
        if (!shot.needsLight()) {
            return new Takes(at, true);
        }
        return shot.light().stream()
                .map(span -> span.begin(at, shot.shootMin()))
                .filter(begin -> begin != null && begin < frame.wrap().minutes()) // nobody waits past the wrap
                .min(Double::compare)
                .map(begin -> new Takes(begin, true))
                .orElse(new Takes(at, false));
    }

    private static boolean isIn(DayShot shot, double at) {
        return !shot.needsLight()
                || shot.light().stream().anyMatch(s -> s.from().minutes() <= at && at <= s.to().minutes());
    }

    private static TimeOfDay time(double minutes) {
        return new TimeOfDay(Math.min(TimeOfDay.LATEST_MIN, minutes));
    }
}
