package org.oblume.server.day;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.day.DayBatteries;
import org.oblume.core.day.Schedule;
import org.oblume.core.power.BatteryRun;
import org.oblume.core.power.PowerLoad;
import org.oblume.server.day.DayOrder.Planned;
import org.oblume.server.day.DayViews.BatteryOfDay;

/** The batteries of a day: when each is changed, and how many have to be full in the morning. */
final class BatteryDay {

    private BatteryDay() {}

    /** In the order in which they are first used; a light of whose battery nobody said the watt hours is left out. */
    static List<BatteryOfDay> of(List<Planned> shots, Schedule schedule) {
        Map<String, DayBatteries.Battery> all = new LinkedHashMap<>();
        for (Planned shot : shots) {
            for (PowerLoad.OnBattery light : shot.batteries()) {
                if (light.wattHours() != null) {
                    all.putIfAbsent(
                            light.unit(),
                            new DayBatteries.Battery(light.unit(), light.wattHours(), BatteryRun.DEFAULT_USABLE));
                }
            }
        }
        Map<String, List<String>> inTakes = new HashMap<>();
        all.forEach((unit, battery) -> inTakes.put(unit, changedIn(schedule, battery)));
        DayBatteries day = DayBatteries.of(
                schedule,
                all.values().stream()
                        .filter(b -> inTakes.getOrDefault(b.unit(), List.of()).isEmpty())
                        .toList(),
                false);
        return all.values().stream()
                .map(battery -> new BatteryOfDay(
                        battery.unit(),
                        battery.wattHours(),
                        day.needed().get(battery.unit()),
                        day.swaps().stream()
                                .filter(s -> s.unit().equals(battery.unit()))
                                .map(DayBatteries.Swap::before)
                                .toList(),
                        inTakes.getOrDefault(battery.unit(), List.of())))
                .toList();
    }

    private static List<String> changedIn(Schedule schedule, DayBatteries.Battery battery) {
        return schedule.slots().stream()
                .map(Schedule.Slot::shot)
                .filter(shot -> DayBatteries.changesInTakes(shot, battery) > 0)
                .map(shot -> "%s %d".formatted(shot.name(), DayBatteries.changesInTakes(shot, battery)))
                .toList();
    }
}
