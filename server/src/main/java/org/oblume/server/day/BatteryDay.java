package org.oblume.server.day;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.oblume.core.day.DayBatteries;
import org.oblume.core.day.Schedule;
import org.oblume.core.power.BatteryRun;
import org.oblume.core.power.PowerLoad;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayViews.BatteryOfDay;

/** The batteries of a day: when each is changed, and how many have to be full in the morning. */
final class BatteryDay {

    private static final double HOUR_MIN = 60;

    private BatteryDay() {}

    /** In the order in which they are first used; a light of whose battery nobody said the watt hours is left out. */
    static List<BatteryOfDay> of(List<Planned> shots, Schedule schedule) {
        Map<String, Double> wattHours = new LinkedHashMap<>();
        for (Planned shot : shots) {
            for (PowerLoad.OnBattery light : shot.batteries()) {
                if (light.wattHours() != null) {
                    wattHours.putIfAbsent(light.unit(), light.wattHours());
                }
            }
        }
        Map<String, List<String>> inTakes = new LinkedHashMap<>();
        Set<String> lasting = new LinkedHashSet<>(wattHours.keySet());
        for (Schedule.Slot slot : schedule.slots()) {
            wattHours.forEach((unit, full) -> {
                double own = slot.shot().watts().getOrDefault(unit, 0.0)
                        * slot.shot().shootMin()
                        / HOUR_MIN;
                double usable = full * BatteryRun.DEFAULT_USABLE;
                if (own > usable) {
                    lasting.remove(unit);
                    inTakes.computeIfAbsent(unit, u -> new ArrayList<>())
                            .add("%s %d".formatted(slot.shot().name(), (int) Math.ceil(own / usable - 1e-9) - 1));
                }
            });
        }
        DayBatteries day = DayBatteries.of(
                schedule,
                lasting.stream()
                        .map(u ->
                                new DayBatteries.Battery(u, wattHours.getOrDefault(u, 0.0), BatteryRun.DEFAULT_USABLE))
                        .toList(),
                false);
        return wattHours.entrySet().stream()
                .map(e -> new BatteryOfDay(
                        e.getKey(),
                        e.getValue(),
                        lasting.contains(e.getKey()) ? day.needed().get(e.getKey()) : null,
                        day.swaps().stream()
                                .filter(s -> s.unit().equals(e.getKey()))
                                .map(DayBatteries.Swap::before)
                                .toList(),
                        inTakes.getOrDefault(e.getKey(), List.of())))
                .toList();
    }
}
