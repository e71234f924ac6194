package org.oblume.core.day;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Which batteries are changed when, each as {@link BatteryCourse} has it.
 *
 * @param swaps by shot, then by battery as listed
 * @param needed full batteries of each unit over the day; 0 for one that draws in no shot
 */
public record DayBatteries(List<Swap> swaps, Map<String, Integer> needed) {

    /**
     * What a unit runs on.
     *
     * @param wattHours on the label, above 0
     * @param usable part of it, above 0 to 1
     */
    public record Battery(String unit, double wattHours, double usable) {

        public Battery {
            Checks.above0("wattHours", "The battery's capacity", wattHours, " Wh");
            Checks.fraction("usable", "The usable part", usable);
        }

        double fullWh() {
            return wattHours * usable;
        }
    }

    /**
     * A battery that is changed.
     *
     * @param before slate of the shot that it would not have lasted
     */
    public record Swap(String unit, String before) {}

    /**
     * @param offBetween whether units are off between shots
     * @throws Refusal when a shot needs more than one full battery
     */
    public static DayBatteries of(Schedule schedule, List<Battery> batteries, boolean offBetween) {
        List<BatteryCourse> courses = batteries.stream()
                .map(b -> BatteryCourse.of(schedule, b, offBetween))
                .toList();
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < schedule.slots().size(); i++) {
            for (BatteryCourse course : courses) {
                for (BatteryCourse.Change change : course.changes()) {
                    if (change.place() == i) {
                        refuseInTakes(change, schedule.slots().get(i).shot(), course.battery());
                        swaps.add(new Swap(course.battery().unit(), change.shot()));
                    }
                }
            }
        }
        Map<String, Integer> needed = new LinkedHashMap<>();
        courses.forEach(c -> needed.put(c.battery().unit(), c.needed()));
        return new DayBatteries(swaps, needed);
    }

    private static void refuseInTakes(BatteryCourse.Change change, DayShot shot, Battery battery) {
        if (change.inTakes()) {
            throw new Refusal(
                    "batteries",
                    "%s needs %.0f Wh in %s and a full battery gives %.0f: shoot it in parts, or feed it from the mains."
                            .formatted(battery.unit(), shot.drawnWh(battery.unit()), shot.name(), battery.fullWh()));
        }
    }
}
