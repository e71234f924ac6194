package org.oblume.server.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.BatteryCourse;
import org.oblume.core.day.DayBatteries;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.power.BatteryRun;
import org.oblume.core.power.DayLoad;
import org.oblume.core.power.PowerLoad;
import org.oblume.core.power.PowerNotice;
import org.oblume.core.power.PowerPlan;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayReader.ReadDay;
import org.oblume.server.day.FeedViews.BatteryChange;
import org.oblume.server.day.FeedViews.BatteryOfDay;
import org.oblume.server.day.FeedViews.BatterySpan;
import org.oblume.server.day.FeedViews.CircuitOfDay;
import org.oblume.server.day.FeedViews.FeedsView;
import org.oblume.server.day.FeedViews.FullBatteries;
import org.oblume.server.day.FeedViews.LoadStep;
import org.oblume.server.day.FeedViews.SetLoad;
import org.oblume.server.day.FeedViews.SourceOfDay;
import org.oblume.server.power.PowerService;
import org.oblume.server.shot.RecordedShot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is drawn over a day: when which battery is changed, how many have to be full, and what each circuit carries. */
@Service
@Transactional(readOnly = true)
public class DayFeeds {

    private final DayReader reader;
    private final PowerService power;

    DayFeeds(DayReader reader, PowerService power) {
        this.reader = reader;
        this.power = power;
    }

    /**
     * What is asked of a day.
     *
     * @param order of its shots that is tried, or null for the planned one
     * @param lowerStops how much lower all lights are taken, 0 to {@link PowerLoad#MOST_LOWER_STOPS}
     * @param mains units that are taken to be on the mains instead of on their batteries
     */
    public record WhatIf(@Nullable List<Long> order, double lowerStops, Set<String> mains) {

        /** As it is recorded and planned. */
        public static final WhatIf NOTHING = new WhatIf(null, 0, Set.of());

        public WhatIf {
            PowerLoad.checkLower(lowerStops);
            order = order == null ? null : List.copyOf(order);
            mains = Set.copyOf(mains);
        }
    }

    /** @throws Refusal when the order is none */
    public FeedsView of(long productionId, int number, WhatIf what) {
        ReadDay read = what.order == null
                ? reader.read(productionId, number)
                : reader.tried(productionId, number, what.order).tried();
        List<Integer> order = read.problem().planned();
        List<Planned> shots = order.stream().map(read.planned()::get).toList();
        Schedule schedule = read.problem().schedule(order);
        Map<Long, PowerPlan> plans = plans(shots);
        List<PowerLoad> loads = shots.stream()
                .map(shot -> load(shot.recorded(), plans.getOrDefault(shot.setId(), PowerPlan.NOTHING_SAID), what))
                .toList();
        List<SetLoad> sets = new ArrayList<>();
        List<PowerNotice> notices = new ArrayList<>();
        plans.forEach((setId, plan) -> {
            List<DayLoad.InTime> there = new ArrayList<>();
            for (int i = 0; i < shots.size(); i++) {
                if (shots.get(i).setId() == setId) {
                    there.add(new DayLoad.InTime(schedule.slots().get(i), loads.get(i)));
                }
            }
            TimeOfDay call = read.day().card().frame(null).start();
            DayLoad load = DayLoad.of(plan, there, call);
            notices.addAll(PowerNotice.of(load));
            sets.add(view(setId, nameOf(shots, setId), load));
        });
        Map<String, DayBatteries.Battery> batteries = batteries(loads);
        Schedule drawing = schedule.drawing(loads.stream().map(DayFeeds::watts).toList());
        Double chargeHours = read.day().card().chargeHours();
        List<BatteryOfDay> units = new ArrayList<>();
        Map<Double, Integer> full = new TreeMap<>();
        for (DayBatteries.Battery battery : batteries.values()) {
            BatteryCourse course = BatteryCourse.of(
                    drawing, battery, Boolean.TRUE.equals(read.day().card().offBetween()));
            boolean mains = what.mains.contains(battery.unit());
            if (!mains) {
                notices.addAll(PowerNotice.of(course));
                full.merge(battery.wattHours(), course.needed(chargeHours), Integer::sum);
            }
            units.add(view(course, mains, chargeHours, shots));
        }
        return new FeedsView(
                what.lowerStops,
                units,
                full.entrySet().stream()
                        .map(e -> new FullBatteries(e.getKey(), e.getValue()))
                        .toList(),
                sets,
                unsaid(loads),
                notices.stream()
                        .sorted((a, b) -> Boolean.compare(b.act(), a.act()))
                        .toList());
    }

    /** What feeds the sets of the day, where somebody said it, in the order of the day. */
    private Map<Long, PowerPlan> plans(List<Planned> shots) {
        Map<Long, PowerPlan> all = new LinkedHashMap<>();
        for (Planned shot : shots) {
            PowerPlan said = all.containsKey(shot.setId()) ? null : power.said(shot.setId());
            if (said != null && !said.circuits().isEmpty()) {
                all.put(shot.setId(), said);
            }
        }
        return all;
    }

    private static PowerLoad load(RecordedShot shot, PowerPlan plan, WhatIf what) {
        return PowerLoad.of(plan, shot.record().placements(), shot.state(), what.lowerStops);
    }

    /** By unit, in the order in which they are first used. */
    private static Map<String, DayBatteries.Battery> batteries(List<PowerLoad> loads) {
        Map<String, DayBatteries.Battery> all = new LinkedHashMap<>();
        for (PowerLoad load : loads) {
            for (PowerLoad.OnBattery light : load.batteries()) {
                if (light.wattHours() != null) {
                    all.putIfAbsent(
                            light.unit(),
                            new DayBatteries.Battery(light.unit(), light.wattHours(), BatteryRun.DEFAULT_USABLE));
                }
            }
        }
        return all;
    }

    private static Map<String, Double> watts(PowerLoad load) {
        Map<String, Double> watts = new HashMap<>();
        load.batteries().forEach(light -> watts.merge(light.unit(), light.watts(), Double::sum));
        return watts;
    }

    private static List<String> unsaid(List<PowerLoad> loads) {
        return loads.stream()
                .flatMap(l -> l.batteries().stream())
                .filter(b -> b.wattHours() == null)
                .map(PowerLoad.OnBattery::unit)
                .distinct()
                .toList();
    }

    private static String nameOf(List<Planned> shots, long setId) {
        return shots.stream()
                .filter(s -> s.setId() == setId)
                .map(s -> s.recorded().scene().set().name())
                .findFirst()
                .orElseThrow();
    }

    private static SetLoad view(long setId, String name, DayLoad load) {
        return new SetLoad(
                setId,
                name,
                load.circuits().stream()
                        .map(c -> new CircuitOfDay(
                                c.name(),
                                c.breakerAmps(),
                                c.limitAmps(),
                                c.over(),
                                c.steps().stream()
                                        .map(s -> new LoadStep(
                                                s.from().minutes(),
                                                s.to().minutes(),
                                                s.amps(),
                                                c.isOver(s),
                                                s.shot(),
                                                s.inTakes()))
                                        .toList()))
                        .toList(),
                load.sources().stream()
                        .map(s -> new SourceOfDay(
                                s.name(),
                                s.peakKva(),
                                s.at() == null ? null : Double.valueOf(s.at().minutes()),
                                s.share()))
                        .toList());
    }

    private static BatteryOfDay view(
            BatteryCourse course, boolean mains, @Nullable Double chargeHours, List<Planned> shots) {
        return new BatteryOfDay(
                course.battery().unit(),
                course.battery().wattHours(),
                mains,
                mains ? 0 : course.needed(chargeHours),
                course.spans().stream()
                        .map(s -> new BatterySpan(s.from().minutes(), s.to().minutes(), s.leftFrom(), s.leftTo()))
                        .toList(),
                course.changes().stream()
                        .map(c -> new BatteryChange(
                                shots.get(c.place()).id(),
                                c.shot(),
                                c.at().minutes(),
                                c.inTakes(),
                                c.emptyAt().minutes()))
                        .toList());
    }
}
