package org.oblume.server.day;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.OrderProblem;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.CompareService;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Component;

/** Reads a shooting day: which shots are on it in which order, what each takes and needs, and what was really so. */
@Component
class DayReader {

    /** A take later than this after the call is of another day. */
    private static final int LONGEST_DAY_H = 20;

    private static final int MOST_SHOTS = 60;

    private final ShootingDayRepository days;
    private final DayShotRepository orders;
    private final ShotPlanRepository plans;
    private final ProductionService productions;
    private final SceneService scenes;
    private final ShotService shots;
    private final StoredScenes records;
    private final NoteService notes;
    private final CompareService moves;
    private final Changeovers changeovers;
    private final DaySun sun;
    private final RecordJson json;
    private final Clock clock;

    DayReader(
            ShootingDayRepository days,
            DayShotRepository orders,
            ShotPlanRepository plans,
            ProductionService productions,
            SceneService scenes,
            ShotService shots,
            StoredScenes records,
            NoteService notes,
            CompareService moves,
            Changeovers changeovers,
            DaySun sun,
            RecordJson json,
            Clock clock) {
        this.days = days;
        this.orders = orders;
        this.plans = plans;
        this.productions = productions;
        this.scenes = scenes;
        this.shots = shots;
        this.records = records;
        this.notes = notes;
        this.moves = moves;
        this.changeovers = changeovers;
        this.sun = sun;
        this.json = json;
        this.clock = clock;
    }

    /** A shot on a day. */
    record OnDay(long shotId, boolean again) {}

    /** A day as it is kept, or as usual. */
    record KeptDay(long productionId, int number, DayCard card, boolean said, long version, long id) {}

    List<Shot> shotsOf(long productionId) {
        List<Long> inOrder =
                scenes.ofProduction(productionId).stream().map(Scene::id).toList();
        return shots.ofScenes(inOrder).stream()
                .sorted(Comparator.comparingInt(s -> inOrder.indexOf(s.sceneId())))
                .toList();
    }

    KeptDay kept(long productionId, int number) {
        Checks.within(
                "day",
                "A day of this production",
                number,
                1,
                productions.get(productionId).days(),
                "");
        return kept(
                productionId,
                number,
                days.findByProductionIdAndNumber(productionId, number).orElse(null));
    }

    private KeptDay kept(long productionId, int number, @Nullable ShootingDayEntity said) {
        return said == null
                ? new KeptDay(productionId, number, DayCard.USUAL, false, 0, 0)
                : new KeptDay(
                        productionId, number, json.read(said.card(), DayCard.class), true, said.version(), said.id());
    }

    /** All days of a production with what is on each. */
    Map<KeptDay, List<OnDay>> all(long productionId, List<Shot> shotsOfIt) {
        Map<Integer, ShootingDayEntity> said = days.findByProductionId(productionId).stream()
                .collect(Collectors.toMap(ShootingDayEntity::number, d -> d));
        Map<Long, List<DayShotEntity>> rows =
                orders
                        .findByDayIdInOrderByPlaceInList(said.values().stream()
                                .map(ShootingDayEntity::id)
                                .toList())
                        .stream()
                        .collect(Collectors.groupingBy(DayShotEntity::dayId));
        Map<KeptDay, List<OnDay>> all = new LinkedHashMap<>();
        for (int number = 1; number <= productions.get(productionId).days(); number++) {
            KeptDay day = kept(productionId, number, said.get(number));
            all.put(day, on(day, rows.getOrDefault(day.id, List.of()), shotsOfIt));
        }
        return all;
    }

    /** Those that were put in order, then those whose card says this day and that nobody has placed yet. */
    List<OnDay> on(KeptDay day, List<Shot> all) {
        return on(day, day.id == 0 ? List.of() : orders.findByDayIdInOrderByPlaceInList(List.of(day.id)), all);
    }

    private static List<OnDay> on(KeptDay day, List<DayShotEntity> rows, List<Shot> all) {
        Map<Long, Shot> byId = all.stream().collect(Collectors.toMap(Shot::id, s -> s));
        List<OnDay> on = new ArrayList<>();
        Set<Long> placed = new HashSet<>();
        for (DayShotEntity row : rows) {
            Shot shot = byId.get(row.shotId());
            if (shot != null && (row.again() || isOf(shot, day.number))) {
                on.add(new OnDay(shot.id(), !isOf(shot, day.number)));
                placed.add(shot.id());
            }
        }
        all.stream()
                .filter(s -> isOf(s, day.number) && !placed.contains(s.id()))
                .forEach(s -> on.add(new OnDay(s.id(), false)));
        return on;
    }

    static boolean isOf(Shot shot, int number) {
        return Objects.equals(shot.card().day(), number);
    }

    /** A day and its shots, ready to be put in order. */
    record ReadDay(KeptDay day, DayOrder order, List<Planned> planned, ZoneId zone, @Nullable TimeOfDay now) {

        OrderProblem problem() {
            return order.problem();
        }

        /** When its last takes end, as it is planned. */
        double end() {
            return end(problem().schedule(problem().planned()));
        }

        static double end(Schedule schedule) {
            return schedule.slots().stream()
                    .mapToDouble(s -> s.shootTo().minutes())
                    .max()
                    .orElse(0);
        }
    }

    ReadDay read(long productionId, int number) {
        KeptDay day = kept(productionId, number);
        List<Shot> all = shotsOf(productionId);
        List<OnDay> on = on(day, all);
        return read(day, all, on);
    }

    ReadDay read(KeptDay day, List<Shot> all, List<OnDay> on) {
        return read(day, all, on, inUse(day, all), Map.of());
    }

    /** A day with another order, and as it is planned. */
    record TriedDay(ReadDay tried, ReadDay planned) {}

    /**
     * A day with another order.
     *
     * @throws Refusal when it has a shot twice, or one that is not of this production
     */
    TriedDay tried(long productionId, int number, List<Long> ids) {
        KeptDay day = kept(productionId, number);
        List<Shot> all = shotsOf(productionId);
        refuseTooMany(ids);
        Set<Long> known = all.stream().map(Shot::id).collect(Collectors.toSet());
        if (new HashSet<>(ids).size() < ids.size() || !known.containsAll(ids)) {
            throw new Refusal("shots", "An order has each shot of this production once.");
        }
        List<OnDay> now = on(day, all);
        Map<Long, OnDay> here = now.stream().collect(Collectors.toMap(OnDay::shotId, o -> o));
        List<InUse> inUse = inUse(day, all);
        ReadDay planned = read(day, all, now, inUse, Map.of());
        List<OnDay> other = ids.stream()
                .map(id -> here.getOrDefault(id, new OnDay(id, false)))
                .toList();
        return new TriedDay(
                read(day, all, other, inUse, planned.planned.stream().collect(Collectors.toMap(Planned::id, p -> p))),
                planned);
    }

    static void refuseTooMany(List<Long> ids) {
        if (ids.size() > MOST_SHOTS) {
            throw new Refusal("shots", "%d shots are put on a day at most.".formatted(MOST_SHOTS));
        }
    }

    /** A unit of the crew's that another day of the date uses. */
    private record InUse(String unit, TimeOfDay from, TimeOfDay to, String where) {

        DayShot.Elsewhere elsewhere() {
            return new DayShot.Elsewhere(from, to, "%s is %s until %s".formatted(unit, where, to.print()));
        }
    }

    /** What other days of the same date use, by this day's clock. */
    private List<InUse> inUse(KeptDay day, List<Shot> all) {
        LocalDate date = day.card.date();
        if (date == null) {
            return List.of();
        }
        List<InUse> used = new ArrayList<>();
        all(day.productionId, all).forEach((other, on) -> {
            if (other.number != day.number && date.equals(other.card.date())) {
                ReadDay there = read(other, all, on, List.of(), Map.of());
                Schedule schedule = there.problem().schedule(there.problem().planned());
                for (int i = 0; i < schedule.slots().size(); i++) {
                    Schedule.Slot slot = schedule.slots().get(i);
                    String where = "with %s in %s, day %d,"
                            .formatted(other.card.unit(), slot.shot().name(), other.number);
                    for (String unit : units(there.planned().get(i).recorded())) {
                        used.add(new InUse(
                                unit,
                                here(slot.setUpFrom(), date, there.zone(), day.card.clock()),
                                here(slot.shootTo(), date, there.zone(), day.card.clock()),
                                where));
                    }
                }
            }
        });
        return used;
    }

    private static TimeOfDay here(TimeOfDay time, LocalDate date, ZoneId zone, ZoneId mine) {
        return zone.equals(mine) ? time : TimeOfDay.of(time.on(date, zone), date, mine);
    }

    /** The crew's own names of what stands in a shot. */
    private static Set<String> units(RecordedShot shot) {
        return shot.record().placements().stream()
                .filter(p -> shot.state().isOnSet(p.key()))
                .flatMap(p -> Stream.ofNullable(p.piece().unit()))
                .collect(Collectors.toCollection(() -> new TreeSet<>(String.CASE_INSENSITIVE_ORDER)));
    }

    /** @param known shots of it that were read already */
    private ReadDay read(KeptDay day, List<Shot> all, List<OnDay> on, List<InUse> inUse, Map<Long, Planned> known) {
        ZoneId zone = day.card.clock();
        TimeOfDay now = now(day, zone);
        List<Long> unknown = on.stream()
                .map(OnDay::shotId)
                .filter(id -> !known.containsKey(id))
                .toList();
        Map<Long, ShotPlanEntity> said = unknown.isEmpty()
                ? Map.of()
                : plans.findByShotIdIn(unknown).stream().collect(Collectors.toMap(ShotPlanEntity::shotId, p -> p));
        Map<Long, Instant> firstTakes = unknown.isEmpty() ? Map.of() : firstTakes(day, zone, unknown);
        List<Planned> planned = new ArrayList<>();
        for (OnDay one : on) {
            Planned before = known.get(one.shotId);
            planned.add(
                    before == null
                            ? planned(day, zone, one, said.get(one.shotId), firstTakes.get(one.shotId), inUse)
                            : before);
        }
        DayOrder order = new DayOrder(
                day.card.frame(now), planned, lastOfTheDayBefore(day, all), changeovers, moves.times(day.productionId));
        return new ReadDay(day, order, planned, zone, now);
    }

    /** Of this day, and of the night after it. */
    private Map<Long, Instant> firstTakes(KeptDay day, ZoneId zone, List<Long> ids) {
        LocalDate date = day.card.date();
        if (date == null) {
            return Map.of();
        }
        Instant call = day.card.frame(null).start().on(date, zone);
        return notes.firstTakes(ids, call, call.plus(Duration.ofHours(LONGEST_DAY_H)));
    }

    private Planned planned(
            KeptDay day,
            ZoneId zone,
            OnDay one,
            @Nullable ShotPlanEntity said,
            @Nullable Instant firstTake,
            List<InUse> inUse) {
        RecordedShot recorded = records.shot(one.shotId);
        ShotPlan plan = said == null ? ShotPlan.NOTHING_SAID : json.read(said.plan(), ShotPlan.class);
        return new Planned(
                recorded,
                one.again,
                plan,
                said == null ? 0 : said.version(),
                sun.spans(recorded, plan.need(), day.card.date(), zone),
                soFar(day, zone, recorded.shot(), firstTake),
                plan.doneBy() == null
                        ? null
                        : TimeOfDay.parse("doneBy", plan.doneBy())
                                .notBefore(day.card.frame(null).start()),
                elsewhere(recorded, inUse));
    }

    private static List<DayShot.Elsewhere> elsewhere(RecordedShot shot, List<InUse> inUse) {
        if (inUse.isEmpty()) {
            return List.of();
        }
        Set<String> mine = units(shot);
        return inUse.stream()
                .filter(u -> mine.contains(u.unit))
                .map(InUse::elsewhere)
                .toList();
    }

    /** What was really so on this day: from its first take, until it was said to be shot. */
    private static DayShot.@Nullable SoFar soFar(KeptDay day, ZoneId zone, Shot shot, @Nullable Instant firstTake) {
        LocalDate date = day.card.date();
        if (date == null) {
            return null;
        }
        TimeOfDay from = time(day, date, zone, firstTake);
        TimeOfDay to = shot.card().stage() == ShotStage.SHOT && shot.shot() != null
                ? time(day, date, zone, shot.shot().at())
                : null;
        if (from == null && to == null) {
            return null;
        }
        return from == null
                ? new DayShot.SoFar(to, to)
                : new DayShot.SoFar(from, to == null || to.compareTo(from) < 0 ? null : to);
    }

    /** A time of this day, or null for one of another. */
    private static @Nullable TimeOfDay time(KeptDay day, LocalDate date, ZoneId zone, @Nullable Instant at) {
        if (at == null) {
            return null;
        }
        Instant call = day.card.frame(null).start().on(date, zone);
        return at.isBefore(call) || at.isAfter(call.plus(Duration.ofHours(LONGEST_DAY_H)))
                ? null
                : TimeOfDay.of(at, date, zone);
    }

    /** Now, from the call until the wrap of the day. */
    private @Nullable TimeOfDay now(KeptDay day, ZoneId zone) {
        LocalDate date = day.card.date();
        TimeOfDay now = date == null ? null : time(day, date, zone, clock.instant());
        return now == null || now.compareTo(day.card.frame(null).wrap()) > 0 ? null : now;
    }

    private @Nullable RecordedShot lastOfTheDayBefore(KeptDay day, List<Shot> all) {
        List<OnDay> before = day.number == 1 ? List.of() : on(kept(day.productionId, day.number - 1), all);
        return before.isEmpty() ? null : records.shot(before.get(before.size() - 1).shotId);
    }

    /** By which a day is known elsewhere too; empty while nothing was said of it. */
    String uid(long productionId, int number) {
        return days.findByProductionIdAndNumber(productionId, number)
                .map(day -> day.uid().toString())
                .orElse("");
    }
}
