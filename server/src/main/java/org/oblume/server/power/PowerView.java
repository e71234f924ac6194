package org.oblume.server.power;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.power.PhaseSpread;
import org.oblume.core.power.PowerNotice;
import org.oblume.core.power.PowerPlan;
import org.oblume.server.shot.PlacedView.TapeView.LengthView;

/**
 * What a shot draws from what feeds its set. Estimates.
 *
 * @param day of the shot, or null
 * @param set its name
 * @param version of the plan, for If-Match; 0 while nothing was said
 * @param lowerStops how much lower all lights are taken
 * @param runs where cables could lie
 * @param spreads how lights could be spread over the phases, for each source of three
 */
record PowerView(
        long productionId,
        @Nullable Integer day,
        long setId,
        String set,
        PowerPlan plan,
        long version,
        double lowerStops,
        List<PoweredCircuit> circuits,
        List<PoweredSource> sources,
        List<PoweredBattery> batteries,
        List<UnfedLight> unfed,
        List<PhaseSpread> spreads,
        List<CableWay> runs,
        List<PowerNotice> notices) {

    /** What was said until somebody said it anew. */
    record EarlierPower(Instant until, String by, PowerPlan plan) {}

    /**
     * Where a cable could lie.
     *
     * @param said that the crew said of it, or null
     * @param tooShort whether that is shorter than the way
     * @param crosses where people walk, in words
     */
    record CableWay(
            String key,
            String name,
            String circuit,
            List<PlanPoint> path,
            LengthView length,
            @Nullable LengthView said,
            boolean tooShort,
            List<String> crosses) {}

    /** @param part of the voltage */
    record CableDrop(double volts, double part) {}

    /**
     * Something that draws.
     *
     * @param key of a light, or null
     * @param watts in the takes; 0 for what draws only between them
     * @param amps the same
     * @param fullAmps with a light at full, or what draws between the takes
     */
    record DrawnLoad(
            @Nullable String key,
            String name,
            double watts,
            double fullWatts,
            double amps,
            double fullAmps,
            PowerPlan.When when,
            @Nullable CableDrop drop) {}

    record PoweredCircuit(
            String name,
            String source,
            @Nullable Integer phase,
            double breakerAmps,
            String where,
            List<DrawnLoad> drawn,
            double takesAmps,
            double peakAmps,
            double fullAmps,
            double limitAmps,
            boolean over,
            boolean overInTakes,
            @Nullable CableDrop drop) {}

    /**
     * @param feederAmps of a distribution, on the phase that carries most; null of any other
     * @param feederLimitAmps that the breaker before it carries for hours, or null
     */
    record PoweredSource(
            String name,
            List<Double> phaseAmps,
            double unbalance,
            double kva,
            @Nullable Double share,
            boolean over,
            @Nullable Double feederAmps,
            @Nullable Double feederLimitAmps,
            @Nullable CableDrop drop) {}

    /** @param minutes that a full one lasts, or null when nobody said its watt hours */
    record PoweredBattery(
            String key,
            String name,
            @Nullable String tag,
            @Nullable Double wattHours,
            double watts,
            @Nullable Double minutes) {}

    /** @param circuit that it hangs on and that the set does not have, or null */
    record UnfedLight(String key, String name, double watts, @Nullable String circuit) {}
}
