package org.oblume.server.day;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.power.PowerNotice;

/** What crosses the wire of batteries and circuits over a day. Times are minutes after the midnight before the call. Estimates. */
public final class FeedViews {

    private FeedViews() {}

    /**
     * What is drawn over a day.
     *
     * @param lowerStops how much lower all lights are taken
     * @param batteries in the order in which they are first used
     * @param full how many have to be full in the morning, by what they hold
     * @param sets of the day of which it was said what feeds them
     * @param unsaid units on batteries of which nobody said the watt hours: they are not counted
     */
    public record FeedsView(
            double lowerStops,
            List<BatteryOfDay> batteries,
            List<FullBatteries> full,
            List<SetLoad> sets,
            List<String> unsaid,
            List<PowerNotice> notices) {}

    /**
     * A unit on a battery.
     *
     * @param mains whether it is taken to be on the mains: then nothing is told of its battery
     * @param needed that have to be full in the morning
     */
    public record BatteryOfDay(
            String unit,
            double wattHours,
            boolean mains,
            int needed,
            List<BatterySpan> spans,
            List<BatteryChange> changes) {}

    /** A time in which one battery runs down, from a part of it to a part, 0 to 1. */
    public record BatterySpan(double from, double to, double leftFrom, double leftTo) {}

    /**
     * @param shot slate of the shot that it would not have lasted
     * @param inTakes whether between its takes; else in its set-up
     * @param emptyAt when the one that is taken out would be empty
     */
    public record BatteryChange(long shotId, String shot, double at, boolean inTakes, double emptyAt) {}

    public record FullBatteries(double wattHours, int count) {}

    public record SetLoad(long setId, String set, List<CircuitOfDay> circuits, List<SourceOfDay> sources) {}

    public record CircuitOfDay(String name, double breakerAmps, double limitAmps, boolean over, List<LoadStep> steps) {}

    /**
     * @param over whether that is more than the circuit's continuous limit
     * @param shot slate of the shot that is set up or taken, or null
     */
    public record LoadStep(double from, double to, double amps, boolean over, @Nullable String shot, boolean inTakes) {}

    /** @param share of the rating of a generator, or null */
    public record SourceOfDay(String name, double peakKva, @Nullable Double at, @Nullable Double share) {}
}
