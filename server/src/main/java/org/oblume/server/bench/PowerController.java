package org.oblume.server.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.power.BatteryRun;
import org.oblume.core.power.Circuit;
import org.oblume.core.power.Load;
import org.oblume.core.power.LoadPlan;
import org.oblume.core.units.Percent;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Load and batteries. Estimates: a qualified electrician and the local code decide. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class PowerController {

    record LoadPart(@Nullable Double watts, @Nullable Double powerFactor) {

        Load load() {
            return new Load(RequestValues.number("watts", watts), RequestValues.number("powerFactor", powerFactor, 1));
        }
    }

    record CircuitPart(
            @Nullable String name,
            @Nullable Double breakerAmps,
            @Nullable Double phase,
            @Nullable List<@Nullable LoadPart> loads) {

        Circuit circuit() {
            return new Circuit(
                    RequestValues.required("name", name),
                    RequestValues.number("breakerAmps", breakerAmps),
                    phase == null ? null : RequestValues.whole("phase", phase),
                    RequestValues.list("loads", loads).stream()
                            .map(LoadPart::load)
                            .toList());
        }
    }

    record Circuits(
            @Nullable Double volts,
            @Nullable Double continuousFraction,
            @Nullable List<@Nullable CircuitPart> circuits) {}

    /** @param phaseAmps by phase, "1" to "3" */
    record Loaded(List<LoadPlan.LoadedCircuit> circuits, Map<String, Double> phaseAmps, double unbalance) {}

    @PostMapping("/power")
    Loaded power(@RequestBody Circuits asked) {
        LoadPlan plan = LoadPlan.of(
                RequestValues.number("volts", asked.volts()),
                RequestValues.number(
                        "continuousFraction", asked.continuousFraction(), LoadPlan.DEFAULT_CONTINUOUS_FRACTION),
                RequestValues.list("circuits", asked.circuits()).stream()
                        .map(CircuitPart::circuit)
                        .toList());
        Map<String, Double> phases = new LinkedHashMap<>();
        plan.phaseAmps().forEach(amps -> phases.put(String.valueOf(phases.size() + 1), amps));
        return new Loaded(plan.circuits(), phases, plan.unbalance());
    }

    record Battery(
            @Nullable Double wattHours,
            @Nullable Double usable,
            @Nullable Double watts,
            @Nullable Double idleWatts,
            @Nullable Double levelPercent,
            @Nullable LevelCurve curve) {}

    @PostMapping("/battery")
    BatteryRun battery(@RequestBody Battery asked) {
        return BatteryRun.of(
                RequestValues.number("wattHours", asked.wattHours()),
                RequestValues.number("usable", asked.usable(), BatteryRun.DEFAULT_USABLE),
                RequestValues.number("watts", asked.watts()),
                RequestValues.number("idleWatts", asked.idleWatts(), 0),
                RequestValues.value("levelPercent", asked.levelPercent(), Percent::of),
                RequestValues.required("curve", asked.curve()));
    }
}
