package org.oblume.core.day;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Which batteries are changed when. An estimate: age and cold take from them. A unit draws what its shot asks for during the takes and,
 * unless it is off between shots, through the next changeover; never in a pause, in a wait, or after the last shot.
 *
 * @param swaps by shot, then by battery as listed
 * @param needed full batteries of each unit over the day; 0 for one that draws in no shot
 */
public record DayBatteries(List<Swap> swaps, Map<String, Integer> needed) {

    private static final double MINUTES = 60;
    private static final double NEARLY_WH = 1e-9;

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
     * How often a unit's battery is changed between the takes of a shot: 0 where one full battery lasts through them.
     *
     * @param battery of the unit
     */
    public static int changesInTakes(DayShot shot, Battery battery) {
        double own = draw(shot, battery.unit()) * shot.shootMin() / MINUTES;
        return Math.max(0, (int) Math.ceil(own / battery.fullWh() - NEARLY_WH) - 1);
    }

    /**
     * @param offBetween whether units are off between shots
     * @throws Refusal when a shot needs more than one full battery
     */
    public static DayBatteries of(Schedule schedule, List<Battery> batteries, boolean offBetween) {
        List<Swap> swaps = new ArrayList<>();
        Map<String, Double> left = new LinkedHashMap<>();
        for (Battery battery : batteries) {
            left.put(battery.unit(), battery.fullWh());
        }
        DayShot before = null;
        for (Schedule.Slot slot : schedule.slots()) {
            for (Battery battery : batteries) {
                String unit = battery.unit();
                double own = draw(slot.shot(), unit) * slot.shot().shootMin() / MINUTES;
                if (own > battery.fullWh() + NEARLY_WH) {
                    throw new Refusal(
                            "batteries",
                            "%s needs %.0f Wh in %s and a full battery gives %.0f: shoot it in parts, or feed it from the mains."
                                    .formatted(unit, own, slot.shot().name(), battery.fullWh()));
                }
                double now = left.getOrDefault(unit, 0.0);
                if (before != null && !offBetween) {
                    now = Math.max(0, now - draw(before, unit) * slot.readyAt().minus(slot.setUpFrom()) / MINUTES);
                }
                if (now < own - NEARLY_WH) {
                    swaps.add(new Swap(unit, slot.shot().name()));
                    now = battery.fullWh();
                }
                left.put(unit, now - own);
            }
            before = slot.shot();
        }
        Map<String, Integer> needed = new LinkedHashMap<>();
        for (Battery battery : batteries) {
            boolean draws = schedule.slots().stream().anyMatch(s -> draw(s.shot(), battery.unit()) > 0);
            needed.put(battery.unit(), draws ? swapsOf(swaps, battery.unit()) + 1 : 0);
        }
        return new DayBatteries(swaps, needed);
    }

    private static int swapsOf(List<Swap> swaps, String unit) {
        return (int) swaps.stream().filter(s -> s.unit().equals(unit)).count();
    }

    private static double draw(DayShot shot, String unit) {
        return shot.watts().getOrDefault(unit, 0.0);
    }
}
