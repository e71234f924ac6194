package org.oblume.server.day;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.OrderCost;
import org.oblume.core.day.OrderProblem;
import org.oblume.core.day.SaidOrder;
import org.oblume.core.day.Schedule;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayReader.KeptDay;
import org.oblume.server.day.DayReader.OnDay;
import org.oblume.server.day.DayReader.ReadDay;
import org.oblume.server.day.DayViews.DayCost;
import org.oblume.server.day.DayViews.DayHead;
import org.oblume.server.day.DayViews.DaySlot;
import org.oblume.server.day.DayViews.DayView;
import org.oblume.server.day.DayViews.DepartmentMinutes;
import org.oblume.server.day.DayViews.EarlierDay;
import org.oblume.server.day.DayViews.MinuteSpan;
import org.oblume.server.day.DayViews.SunOfSet;
import org.oblume.server.day.DayViews.TriedOrder;
import org.oblume.server.earlier.EarlierVersions;
import org.oblume.server.earlier.Said;
import org.oblume.server.production.ProductionService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shooting days of a production: shots are on the day that their card says, in the order that was put there, and again on later ones. */
@Service
@Transactional
public class DayService {

    private static final double NEARLY = 1e-6;
    private final ShootingDayRepository days;
    private final DayShotRepository orders;
    private final ProductionService productions;
    private final ShotService shots;
    private final DayReader reader;
    private final DaySun sun;
    private final EarlierVersions earlier;
    private final RecordJson json;

    DayService(
            ShootingDayRepository days,
            DayShotRepository orders,
            ProductionService productions,
            ShotService shots,
            DayReader reader,
            DaySun sun,
            EarlierVersions earlier,
            RecordJson json) {
        this.days = days;
        this.orders = orders;
        this.productions = productions;
        this.shots = shots;
        this.reader = reader;
        this.sun = sun;
        this.earlier = earlier;
        this.json = json;
    }

    @Transactional(readOnly = true)
    List<DayHead> ofProduction(long productionId) {
        List<Shot> all = reader.shotsOf(productionId);
        return reader.all(productionId, all).entrySet().stream()
                .map(day -> new DayHead(
                        day.getKey().number(),
                        day.getKey().card().date(),
                        day.getKey().card().unit(),
                        day.getKey().card().place(),
                        day.getKey().card().call(),
                        day.getValue().size()))
                .toList();
    }

    @Transactional(readOnly = true)
    public DayView view(long productionId, int number) {
        return view(reader.read(productionId, number));
    }

    private DayView view(ReadDay read) {
        KeptDay day = read.day();
        OrderProblem problem = read.problem();
        List<Integer> order = problem.planned();
        Schedule schedule = problem.schedule(order);
        DayFrame frame = day.card().frame(read.now());
        List<SunOfSet> suns = suns(read);
        return new DayView(
                day.productionId(),
                day.number(),
                productions.get(day.productionId()).days(),
                day.card(),
                day.said(),
                day.version(),
                frame.start().minutes(),
                frame.wrap().minutes(),
                read.now() == null ? null : Double.valueOf(read.now().minutes()),
                slots(read, order, schedule),
                pauses(schedule),
                suns,
                DayNotices.of(read, schedule),
                cost(problem, order, savable(problem)));
    }

    private List<SunOfSet> suns(ReadDay read) {
        Map<Long, RecordedShot> bySet = new LinkedHashMap<>();
        read.planned().forEach(p -> bySet.putIfAbsent(p.setId(), p.recorded()));
        return bySet.values().stream()
                .flatMap(shot -> sun.of(shot.scene(), read.day().card().date(), read.zone()).stream())
                .toList();
    }

    private static List<DaySlot> slots(ReadDay read, List<Integer> order, Schedule schedule) {
        List<DaySlot> all = new ArrayList<>();
        int from = OrderProblem.START;
        for (int i = 0; i < order.size(); i++) {
            int place = order.get(i);
            Planned shot = read.planned().get(place);
            Changeovers.Changeover changeover = read.order().changeover(from, place);
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

    /** @param savable minutes that the best order would save at most; asked of the planned order only, for it is the same of all */
    private static DayCost cost(OrderProblem problem, List<Integer> order, @Nullable Double savable) {
        OrderCost cost = problem.cost(order);
        return new DayCost(
                cost.changeoverMin(),
                cost.waitMin(),
                cost.setChanges(),
                cost.broken(),
                cost.total(),
                savable,
                problem.size() <= OrderProblem.TRIED_THROUGH);
    }

    private static double savable(OrderProblem problem) {
        double savable = problem.total(problem.planned()) - problem.bound();
        return savable < NEARLY ? 0 : savable;
    }

    /** @throws EditConflict when somebody else changed the day since that version */
    DayView keep(long productionId, int number, DayCard card, long version, String author) {
        KeptDay day = reader.kept(productionId, number);
        refuseStale(day, version);
        keepEarlier(day, author);
        ShootingDayEntity entity = days.findByProductionIdAndNumber(productionId, number)
                .orElseGet(() -> new ShootingDayEntity(productionId, number, ""));
        entity.say(json.write(card));
        days.saveAndFlush(entity);
        return view(productionId, number);
    }

    /** What a day was, as it is kept for who wants it back. */
    private record DayWas(DayCard card, List<Long> shots) {}

    private void keepEarlier(KeptDay day, String author) {
        if (day.said()) {
            List<Long> shots = reader.on(day, reader.shotsOf(day.productionId())).stream()
                    .map(OnDay::shotId)
                    .toList();
            earlier.keep(Said.DAY, day.id(), new DayWas(day.card(), shots), author);
        }
    }

    /** What was said of a day before, the latest first. */
    @Transactional(readOnly = true)
    List<EarlierDay> earlier(long productionId, int number) {
        KeptDay day = reader.kept(productionId, number);
        Map<Long, Slate> slates = reader.shotsOf(productionId).stream()
                .collect(Collectors.toMap(Shot::id, s -> s.card().slate()));
        return earlier.of(Said.DAY, day.id(), DayWas.class).stream()
                .map(e -> {
                    List<Long> shots =
                            e.was().shots.stream().filter(slates::containsKey).toList();
                    return new EarlierDay(
                            e.until(),
                            e.by(),
                            e.was().card,
                            shots,
                            shots.stream()
                                    .flatMap(id -> Stream.ofNullable(slates.get(id)))
                                    .toList());
                })
                .toList();
    }

    private void refuseStale(KeptDay day, long version) {
        if (day.version() != version) {
            throw new EditConflict(
                    "Someone changed this day since you opened it. Nothing of yours was kept yet.", day.version());
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
        KeptDay day = reader.kept(productionId, number);
        refuseStale(day, version);
        DayReader.refuseTooMany(ids);
        if (new HashSet<>(ids).size() < ids.size()) {
            throw new Refusal("shots", "A shot stands twice on this day: keep one, or put it on another day again.");
        }
        keepEarlier(day, author);
        List<Shot> all = reader.shotsOf(productionId);
        Map<Long, Shot> byId = all.stream().collect(Collectors.toMap(Shot::id, s -> s));
        List<DayShotEntity> rows = new ArrayList<>();
        ShootingDayEntity entity = days.findByProductionIdAndNumber(productionId, number)
                .orElseGet(
                        () -> days.saveAndFlush(new ShootingDayEntity(productionId, number, json.write(day.card()))));
        for (long id : ids) {
            Shot shot = Optional.ofNullable(byId.get(id))
                    .orElseThrow(() -> new Refusal("shots", "A shot of the order is not in this production any more."));
            boolean again = !DayReader.isOf(shot, number)
                    && shot.card().day() != null
                    && shot.card().stage() == ShotStage.SHOT;
            if (!again && !DayReader.isOf(shot, number)) {
                move(shot, number, author);
            }
            rows.add(new DayShotEntity(entity.id(), rows.size(), id, again));
        }
        for (OnDay was : reader.on(day, all)) {
            if (!ids.contains(was.shotId()) && !was.again()) {
                move(Objects.requireNonNull(byId.get(was.shotId())), null, author);
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
        DayReader.TriedDay tried = reader.tried(productionId, number, ids);
        return told(
                tried.tried(),
                tried.tried().problem().planned(),
                tried.planned().end());
    }

    /**
     * An order as it is said, on the one that is tried.
     *
     * @param ids of the order that it is said on
     * @throws Refusal when it is not understood
     */
    @Transactional(readOnly = true)
    TriedOrder said(long productionId, int number, List<Long> ids, String text) {
        TriedOrder now = tried(productionId, number, ids);
        List<Integer> order = SaidOrder.of(
                text,
                now.slots().stream().map(s -> s.slate().toString()).toList(),
                now.pauses().stream()
                        .map(p -> (int) now.slots().stream()
                                .filter(s -> s.shootFrom() < p.to())
                                .count())
                        .toList());
        return tried(productionId, number, order.stream().map(now.shots()::get).toList());
    }

    private static TriedOrder told(ReadDay read, List<Integer> order, double plannedEnd) {
        Schedule schedule = read.problem().schedule(order);
        return new TriedOrder(
                order.stream().map(i -> read.planned().get(i).id()).toList(),
                slots(read, order, schedule),
                pauses(schedule),
                cost(read.problem(), order, null),
                plannedEnd - ReadDay.end(schedule));
    }

    /** What is searched for a better order. */
    record Search(ReadDay read) {

        OrderProblem problem() {
            return read.problem();
        }

        TriedOrder told(List<Integer> order) {
            return DayService.told(read, order, read.end());
        }
    }

    @Transactional(readOnly = true)
    Search search(long productionId, int number) {
        return new Search(reader.read(productionId, number));
    }
}
