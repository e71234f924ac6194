package org.oblume.server.day;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.OrderCost;
import org.oblume.core.day.OrderProblem;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.CompareService;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayViews.DayCost;
import org.oblume.server.day.DayViews.DayFileRead;
import org.oblume.server.day.DayViews.DayHead;
import org.oblume.server.day.DayViews.DayNotice;
import org.oblume.server.day.DayViews.DaySlot;
import org.oblume.server.day.DayViews.DayView;
import org.oblume.server.day.DayViews.DepartmentMinutes;
import org.oblume.server.day.DayViews.MinuteSpan;
import org.oblume.server.day.DayViews.SunOfSet;
import org.oblume.server.day.DayViews.TriedOrder;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shooting days of a production: shots are on the day that their card says, in the order that was put there, and again on later ones. */
@Service
@Transactional
public class DayService {

    private static final int MOST_SHOTS = 60;
    private static final double NEARLY = 1e-6;
    /** A take later than this after the call is of another day. */
    private static final int LONGEST_DAY_H = 20;

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

    DayService(
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
    private record OnDay(long shotId, boolean again) {}

    /** A day as it is kept, or as usual. */
    private record Kept(long productionId, int number, DayCard card, boolean said, long version, long id) {}

    @Transactional(readOnly = true)
    List<DayHead> ofProduction(long productionId) {
        int count = productions.get(productionId).days();
        List<Shot> all = shotsOf(productionId);
        List<DayHead> heads = new ArrayList<>();
        for (int number = 1; number <= count; number++) {
            Kept day = kept(productionId, number);
            heads.add(new DayHead(
                    number,
                    day.card.date(),
                    day.card.unit(),
                    day.card.place(),
                    day.card.call(),
                    on(day, all).size()));
        }
        return heads;
    }

    private List<Shot> shotsOf(long productionId) {
        List<Long> inOrder =
                scenes.ofProduction(productionId).stream().map(Scene::id).toList();
        return shots.ofScenes(inOrder).stream()
                .sorted(Comparator.comparingInt(s -> inOrder.indexOf(s.sceneId())))
                .toList();
    }

    private Kept kept(long productionId, int number) {
        Checks.within(
                "day",
                "A day of this production",
                number,
                1,
                productions.get(productionId).days(),
                "");
        return days.findByProductionIdAndNumber(productionId, number)
                .map(d -> new Kept(productionId, number, json.read(d.card(), DayCard.class), true, d.version(), d.id()))
                .orElseGet(() -> new Kept(productionId, number, DayCard.USUAL, false, 0, 0));
    }

    /** Those that were put in order, then those whose card says this day and that nobody has placed yet. */
    private List<OnDay> on(Kept day, List<Shot> all) {
        Map<Long, Shot> byId = all.stream().collect(Collectors.toMap(Shot::id, s -> s));
        List<OnDay> on = new ArrayList<>();
        Set<Long> placed = new HashSet<>();
        for (DayShotEntity row :
                day.id == 0 ? List.<DayShotEntity>of() : orders.findByDayIdInOrderByPlaceInList(List.of(day.id))) {
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

    private static boolean isOf(Shot shot, int number) {
        return Objects.equals(shot.card().day(), number);
    }

    /** A day and its shots, ready to be put in order. */
    record Read(Kept day, DayOrder order, List<Planned> planned, ZoneId zone, @Nullable TimeOfDay now) {}

    private Read read(long productionId, int number) {
        Kept day = kept(productionId, number);
        List<Shot> all = shotsOf(productionId);
        List<OnDay> on = on(day, all);
        return read(day, all, on);
    }

    private Read read(Kept day, List<Shot> all, List<OnDay> on) {
        ZoneId zone = day.card.clock();
        TimeOfDay now = now(day, zone);
        Map<Long, ShotPlanEntity> said = plans
                .findByShotIdIn(on.stream().map(OnDay::shotId).toList())
                .stream()
                .collect(Collectors.toMap(ShotPlanEntity::shotId, p -> p));
        Map<Long, Instant> firstTakes =
                firstTakes(day, zone, on.stream().map(OnDay::shotId).toList());
        List<Planned> planned = on.stream()
                .map(one -> planned(day, zone, one, said.get(one.shotId), firstTakes.get(one.shotId)))
                .toList();
        DayOrder order = new DayOrder(
                day.card.frame(now), planned, lastOfTheDayBefore(day, all), changeovers, moves.times(day.productionId));
        return new Read(day, order, planned, zone, now);
    }

    /** Of this day, and of the night after it. */
    private Map<Long, Instant> firstTakes(Kept day, ZoneId zone, List<Long> ids) {
        LocalDate date = day.card.date();
        if (date == null) {
            return Map.of();
        }
        Instant call = day.card.frame(null).start().on(date, zone);
        return notes.firstTakes(ids, call, call.plus(Duration.ofHours(LONGEST_DAY_H)));
    }

    private Planned planned(
            Kept day, ZoneId zone, OnDay one, @Nullable ShotPlanEntity said, @Nullable Instant firstTake) {
        RecordedShot recorded = records.shot(one.shotId);
        ShotPlan plan = said == null ? ShotPlan.NOTHING_SAID : json.read(said.plan(), ShotPlan.class);
        return new Planned(
                recorded,
                one.again,
                plan,
                said == null ? 0 : said.version(),
                sun.spans(recorded, plan.need(), day.card.date(), zone),
                soFar(day, zone, recorded.shot(), firstTake));
    }

    /** What was really so on this day: from its first take, until it was said to be shot. */
    private static DayShot.@Nullable SoFar soFar(Kept day, ZoneId zone, Shot shot, @Nullable Instant firstTake) {
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
    private static @Nullable TimeOfDay time(Kept day, LocalDate date, ZoneId zone, @Nullable Instant at) {
        if (at == null) {
            return null;
        }
        Instant call = day.card.frame(null).start().on(date, zone);
        return at.isBefore(call) || at.isAfter(call.plus(Duration.ofHours(LONGEST_DAY_H)))
                ? null
                : TimeOfDay.of(at, date, zone);
    }

    /** Now, from the call until the wrap of the day. */
    private @Nullable TimeOfDay now(Kept day, ZoneId zone) {
        LocalDate date = day.card.date();
        TimeOfDay now = date == null ? null : time(day, date, zone, clock.instant());
        return now == null || now.compareTo(day.card.frame(null).wrap()) > 0 ? null : now;
    }

    private @Nullable RecordedShot lastOfTheDayBefore(Kept day, List<Shot> all) {
        List<OnDay> before = day.number == 1 ? List.of() : on(kept(day.productionId, day.number - 1), all);
        return before.isEmpty() ? null : records.shot(before.get(before.size() - 1).shotId);
    }

    @Transactional(readOnly = true)
    public DayView view(long productionId, int number) {
        return view(read(productionId, number));
    }

    private DayView view(Read read) {
        Kept day = read.day;
        OrderProblem problem = read.order.problem();
        List<Integer> order = problem.planned();
        Schedule schedule = problem.schedule(order);
        DayFrame frame = day.card.frame(read.now);
        List<SunOfSet> suns = suns(read);
        return new DayView(
                day.productionId,
                day.number,
                productions.get(day.productionId).days(),
                day.card,
                day.said,
                day.version,
                frame.start().minutes(),
                frame.wrap().minutes(),
                read.now == null ? null : Double.valueOf(read.now.minutes()),
                slots(read, order, schedule),
                pauses(schedule),
                suns,
                notices(read, schedule),
                cost(problem, order));
    }

    private List<SunOfSet> suns(Read read) {
        Map<Long, RecordedShot> bySet = new LinkedHashMap<>();
        read.planned.forEach(p -> bySet.putIfAbsent(p.setId(), p.recorded()));
        return bySet.values().stream()
                .flatMap(shot -> sun.of(shot.scene(), read.day.card.date(), read.zone).stream())
                .toList();
    }

    private static List<DaySlot> slots(Read read, List<Integer> order, Schedule schedule) {
        List<DaySlot> all = new ArrayList<>();
        int from = OrderProblem.START;
        for (int i = 0; i < order.size(); i++) {
            int place = order.get(i);
            Planned shot = read.planned.get(place);
            Changeovers.Changeover changeover = read.order.changeover(from, place);
            Schedule.Slot slot = schedule.slots().get(i);
            all.add(new DaySlot(
                    shot.id(),
                    shot.recorded().slate(),
                    shot.recorded().shot().card().description(),
                    shot.recorded().shot().card().stage(),
                    shot.recorded().scene().scene().id(),
                    shot.recorded().scene().scene().heading(),
                    shot.setId(),
                    shot.again(),
                    shot.plan(),
                    shot.planVersion(),
                    changeover.minutes(),
                    changeover.byDepartment().entrySet().stream()
                            .sorted(Map.Entry.comparingByKey())
                            .map(e -> new DepartmentMinutes(e.getKey(), e.getValue()))
                            .toList(),
                    slot.setUpFrom().minutes(),
                    slot.readyAt().minutes(),
                    slot.shootFrom().minutes(),
                    slot.shootTo().minutes(),
                    shot.soFar() != null,
                    slot.late(),
                    slot.inItsLight(),
                    shot.light().stream()
                            .map(s -> new MinuteSpan(s.from().minutes(), s.to().minutes()))
                            .toList()));
            from = place;
        }
        return all;
    }

    private static List<MinuteSpan> pauses(Schedule schedule) {
        return schedule.pauses().stream()
                .map(p -> new MinuteSpan(p.from().minutes(), p.to().minutes()))
                .toList();
    }

    private static DayCost cost(OrderProblem problem, List<Integer> order) {
        OrderCost cost = problem.cost(order);
        double savable = Math.max(0, cost.total() - problem.bound());
        return new DayCost(
                cost.changeoverMin(),
                cost.waitMin(),
                cost.setChanges(),
                cost.broken(),
                cost.total(),
                savable < NEARLY ? 0 : savable,
                problem.size() <= OrderProblem.TRIED_THROUGH);
    }

    private static List<DayNotice> notices(Read read, Schedule schedule) {
        List<DayNotice> all = new ArrayList<>();
        if (read.day.card.date() == null && !read.planned.isEmpty()) {
            all.add(new DayNotice("No date is said: the sun is not known.", null, false));
        }
        if (read.order.ring() != null) {
            all.add(new DayNotice(String.valueOf(read.order.ring().getMessage()), null, true));
        }
        for (int i = 0; i < read.planned.size(); i++) {
            Planned shot = read.planned.get(i);
            Schedule.Slot slot = schedule.slots().get(i);
            if (slot.late()) {
                all.add(new DayNotice(
                        "%s ends at %s, after the wrap at %s. Put it on another day, or take it sooner."
                                .formatted(shot.slate(), slot.shootTo().print(), read.day.card.wrap()),
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

    private static String outOfLight(Read read, Planned shot, Schedule.Slot slot) {
        if (read.day.card.date() == null) {
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

    /** @throws EditConflict when somebody else changed the day since that version */
    DayView keep(long productionId, int number, DayCard card, long version) {
        Kept day = kept(productionId, number);
        refuseStale(day, version);
        ShootingDayEntity entity = days.findByProductionIdAndNumber(productionId, number)
                .orElseGet(() -> new ShootingDayEntity(productionId, number, ""));
        entity.say(json.write(card));
        days.saveAndFlush(entity);
        return view(productionId, number);
    }

    private void refuseStale(Kept day, long version) {
        if (day.version != version) {
            throw new EditConflict(
                    "Someone changed this day since you opened it. Nothing of yours was kept yet.", day.version);
        }
    }

    /**
     * Puts shots on a day, in an order. One that its card has on no day, or on another that it has not been shot on, moves here; one that
     * was shot on another is on this day again.
     *
     * @param ids each once
     * @throws EditConflict when somebody else changed the day since that version
     */
    DayView order(long productionId, int number, List<Long> ids, long version, String author) {
        Kept day = kept(productionId, number);
        refuseStale(day, version);
        if (ids.size() > MOST_SHOTS) {
            throw new Refusal("shots", "%d shots are put on a day at most.".formatted(MOST_SHOTS));
        }
        if (new HashSet<>(ids).size() < ids.size()) {
            throw new Refusal("shots", "A shot stands twice on this day: keep one, or put it on another day again.");
        }
        List<Shot> all = shotsOf(productionId);
        Map<Long, Shot> byId = all.stream().collect(Collectors.toMap(Shot::id, s -> s));
        List<DayShotEntity> rows = new ArrayList<>();
        ShootingDayEntity entity = days.findByProductionIdAndNumber(productionId, number)
                .orElseGet(() -> days.saveAndFlush(new ShootingDayEntity(productionId, number, json.write(day.card))));
        for (long id : ids) {
            Shot shot = Optional.ofNullable(byId.get(id))
                    .orElseThrow(() -> new Refusal("shots", "A shot of the order is not in this production any more."));
            boolean again = !isOf(shot, number)
                    && shot.card().day() != null
                    && shot.card().stage() == ShotStage.SHOT;
            if (!again && !isOf(shot, number)) {
                move(shot, number, author);
            }
            rows.add(new DayShotEntity(entity.id(), rows.size(), id, again));
        }
        for (OnDay was : on(day, all)) {
            if (!ids.contains(was.shotId) && !was.again) {
                move(Objects.requireNonNull(byId.get(was.shotId)), null, author);
            }
        }
        orders.clear(entity.id());
        orders.saveAllAndFlush(rows);
        days.touch(entity.id());
        return view(productionId, number);
    }

    private void move(Shot shot, @Nullable Integer day, String author) {
        ShotCard card = shot.card();
        if (card.stage() == ShotStage.SHOT && card.day() != null) {
            throw new Refusal("shots", "%s has been shot on its day: it stays there.".formatted(card.slate()));
        }
        shots.update(
                shot.id(),
                new ShotCard(card.slate(), card.description(), day, card.stage(), card.basedOnId()),
                shot.version(),
                author);
    }

    /** An order of a day that nobody has applied. */
    @Transactional(readOnly = true)
    TriedOrder tried(long productionId, int number, List<Long> ids) {
        Kept day = kept(productionId, number);
        List<Shot> all = shotsOf(productionId);
        List<OnDay> now = on(day, all);
        Map<Long, OnDay> here = new HashMap<>();
        now.forEach(o -> here.put(o.shotId, o));
        Set<Long> known = all.stream().map(Shot::id).collect(Collectors.toSet());
        if (new HashSet<>(ids).size() < ids.size() || !known.containsAll(ids)) {
            throw new Refusal("shots", "An order has each shot of this production once.");
        }
        Read tried = read(
                day,
                all,
                ids.stream()
                        .map(id -> here.getOrDefault(id, new OnDay(id, false)))
                        .toList());
        Read planned = read(day, all, now);
        return told(tried, tried.order.problem().planned(), end(planned));
    }

    private static double end(Read read) {
        return read.order.problem().schedule(read.order.problem().planned()).slots().stream()
                .map(s -> s.shootTo().minutes())
                .max(Comparator.naturalOrder())
                .orElse(0.0);
    }

    private static TriedOrder told(Read read, List<Integer> order, double plannedEnd) {
        OrderProblem problem = read.order.problem();
        Schedule schedule = problem.schedule(order);
        double end = schedule.slots().stream()
                .map(s -> s.shootTo().minutes())
                .max(Comparator.naturalOrder())
                .orElse(plannedEnd);
        return new TriedOrder(
                order.stream().map(i -> read.planned.get(i).id()).toList(),
                slots(read, order, schedule),
                pauses(schedule),
                cost(problem, order),
                plannedEnd - end);
    }

    /** What is searched for a better order. */
    record Search(Read read) {

        OrderProblem problem() {
            return read.order.problem();
        }

        TriedOrder told(List<Integer> order) {
            return DayService.told(read, order, end(read));
        }
    }

    @Transactional(readOnly = true)
    Search search(long productionId, int number) {
        return new Search(read(productionId, number));
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void plan(long shotId, ShotPlan plan, long version) {
        Shot shot = shots.get(shotId);
        if (plan.afterId() != null && (plan.afterId() == shotId || !isOfOneProduction(shot, plan.afterId()))) {
            throw new Refusal("afterId", "A shot comes after another of its production.");
        }
        ShotPlanEntity entity = plans.findByShotId(shotId).orElseGet(() -> new ShotPlanEntity(shotId));
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone changed what %s takes since you opened it. Nothing of yours was kept yet."
                            .formatted(shot.card().slate()),
                    json.read(entity.plan(), ShotPlan.class));
        }
        plans.saveAndFlush(entity.say(json.write(plan)));
        if (shot.card().day() != null) {
            Refusal ring = read(
                            scenes.get(shot.sceneId()).productionId(),
                            shot.card().day())
                    .order
                    .ring();
            if (ring != null) {
                throw ring;
            }
        }
    }

    private boolean isOfOneProduction(Shot shot, long otherId) {
        return scenes.get(shot.sceneId()).productionId()
                == scenes.get(shots.get(otherId).sceneId()).productionId();
    }

    /** The day as iCalendar. */
    @Transactional(readOnly = true)
    byte[] calendar(long productionId, int number) {
        Kept day = kept(productionId, number);
        String uid = days.findByProductionIdAndNumber(productionId, number)
                .map(d -> d.uid().toString())
                .orElse("");
        return DayCalendar.write(view(day.productionId, day.number), uid);
    }

    /** What a calendar or a table says is shot on a day; nothing is kept by this. */
    @Transactional(readOnly = true)
    DayFileRead fileRead(long productionId, String text) {
        List<String> lines =
                text.stripLeading().startsWith("BEGIN:VCALENDAR") ? DayCalendar.read(text) : DayTable.read(text);
        List<Shot> all = shotsOf(productionId);
        List<Long> found = new ArrayList<>();
        List<String> said = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        for (String line : lines) {
            Optional<Shot> meant = all.stream()
                    .filter(s -> Arrays.asList(line.split("[^\\p{L}\\p{N}]+"))
                            .contains(s.card().slate().text()))
                    .findFirst();
            if (meant.isEmpty()) {
                unknown.add(line);
            } else if (!found.contains(meant.get().id())) {
                found.add(meant.get().id());
                said.add("%s: %s".formatted(meant.get().card().slate(), line));
            }
        }
        if (found.isEmpty()) {
            throw new Refusal("No shot of this production is named in it: events or rows begin with a slate such as %s."
                    .formatted(all.isEmpty() ? "4A" : all.get(0).card().slate()));
        }
        return new DayFileRead(found, said, unknown);
    }
}
