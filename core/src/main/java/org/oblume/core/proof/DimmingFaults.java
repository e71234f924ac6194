package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Stops;

/** Off, at another level, or dimming by another curve. */
final class DimmingFaults implements FaultFamily {

    private static final double STEP = 1.0 / 6;
    private static final double LOWEST = -4;
    private static final double HIGHEST = 4;
    /** Nearer than this a level is as recorded, stops. */
    private static final double LEAST = 0.2;

    private static final List<LevelCurve> CURVES = List.of(LevelCurve.LINEAR, LevelCurve.SQUARE, LevelCurve.S_CURVE);

    @Override
    public List<Fault> of(Recorded shot) {
        List<Fault> all = new ArrayList<>();
        for (int i = 0; i < shot.lights().size(); i++) {
            Placement light = shot.lights().get(i);
            all.add(new Fault(Fault.Kind.OFF, light.key(), "%s is off".formatted(light.name()), 1, gain(i, 0)));
            Lamp lamp = light.piece().lamp();
            double level = shot.state().level(light.key());
            if (lamp != null && level > 0) {
                levels(all, i, light, lamp.curve(), level);
                if (level < 1 && lamp.curve() != LevelCurve.TUNGSTEN) {
                    curves(all, i, light, lamp.curve(), level);
                }
            }
        }
        return all;
    }

    private static void levels(List<Fault> all, int index, Placement light, LevelCurve curve, double level) {
        List<Fault> here = new ArrayList<>();
        for (double stops = LOWEST; stops <= HIGHEST; stops += STEP) {
            double output = curve.output(level) * Math.pow(2, stops);
            if (Math.abs(stops) >= LEAST && output <= 1) {
                here.add(new Fault(
                        Fault.Kind.LEVEL,
                        light.key(),
                        "%s stands at about %d %%, recorded %s: %s stop"
                                .formatted(
                                        light.name(),
                                        Math.round(Percent.ofFraction(curve.level(output))
                                                .value()),
                                        new Level(100 * level).say(),
                                        Stops.of(stops).inTenths()),
                        1,
                        gain(index, Math.pow(2, stops))));
            }
        }
        all.addAll(shared(here));
    }

    private static void curves(List<Fault> all, int index, Placement light, LevelCurve curve, double level) {
        List<Fault> here = new ArrayList<>();
        for (LevelCurve other : CURVES) {
            double gain = other.output(level) / curve.output(level);
            if (other != curve && Math.abs(Stops.fromRatio(gain).value()) >= LEAST) {
                here.add(new Fault(
                        Fault.Kind.CURVE,
                        light.key(),
                        "%s is in another mode or curve: it dims %s, recorded %s"
                                .formatted(light.name(), other.label(), curve.label()),
                        1,
                        gain(index, gain)));
            }
        }
        all.addAll(shared(here));
    }

    private static Fault.Effect gain(int light, double gain) {
        return new Fault.Gains(light, new double[] {gain, gain, gain});
    }

    /** The same, so that all of them together weigh as much as one. */
    static List<Fault> shared(List<Fault> faults) {
        double all = faults.stream().mapToDouble(Fault::weight).sum();
        return faults.stream()
                .map(f -> new Fault(f.kind(), f.thing(), f.words(), f.weight() / all, f.effect()))
                .toList();
    }
}
