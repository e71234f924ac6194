package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Kelvin;

/**
 * A rebuild as it really stands: every light a little off, and perhaps something wrong; and the meter that reads it (model: what comes to
 * the meter is predicted, the lights by their calibrations).
 */
public final class SimulatedRebuild {

    /** Darker than this a meter reads nothing, lux. */
    private static final double DARKEST_LUX = 0.1;

    private final List<String> keys;
    private final Spread spread;
    private final Random random;
    private final double[][] off;
    private final ShotLighting light;
    private final double @Nullable [] stray;

    /**
     * @param wrong what is otherwise, on purpose
     * @param stray light that nobody recorded, channels, or null
     */
    public SimulatedRebuild(
            Recorded shot, Spread spread, Random random, List<Change> wrong, double @Nullable [] stray) {
        this.keys = shot.lights().stream().map(Placement::key).toList();
        this.spread = spread;
        this.random = random;
        this.stray = stray;
        List<Change> values = new ArrayList<>(Recorded.values(shot.state()));
        values.addAll(wrong);
        List<Placement> lights = shot.lights();
        LookState there = new LookState("there", values);
        for (Placement one : lights) {
            double x = spread.metres() * random.nextGaussian();
            double y = spread.metres() * random.nextGaussian();
            double up = spread.metres() * random.nextGaussian();
            there.value(one.key(), Place.class)
                    .map(p -> new Place(p.xM() + x, p.yM() + y, p.outside()))
                    .ifPresent(p -> values.add(new Change(one.key(), p)));
            there.value(one.key(), Height.class)
                    .map(h -> new Height(h.heightM() + up))
                    .ifPresent(h -> values.add(new Change(one.key(), h)));
        }
        this.off = lights.stream()
                .map(l -> new double[] {
                    spread.light().stops() * random.nextGaussian(),
                    spread.light().mired() * random.nextGaussian(),
                    spread.light().duv() * random.nextGaussian()
                })
                .toArray(double[][]::new);
        this.light = shot.as(values);
    }

    /** Reads a probe with a colour meter. */
    public ProofReading read(Probe probe, @Nullable String alone) {
        List<double[]> brought = probe.brought(light);
        double[] sum = new double[ConeLight.CHANNELS];
        for (int i = 0; i < brought.size(); i++) {
            String key = light.lights().get(i).key();
            if (alone == null || alone.equals(key)) {
                double[] one = rebuilt(brought.get(i), off[keys.indexOf(key)]);
                for (int c = 0; c < sum.length; c++) {
                    sum[c] += one[c];
                }
            }
        }
        if (stray != null) {
            for (int c = 0; c < sum.length; c++) {
                sum[c] += stray[c];
            }
        }
        double lux = ConeLight.luminance(sum) * Math.pow(2, spread.meter().stops() * random.nextGaussian());
        if (lux < DARKEST_LUX) {
            return new ProofReading(probe, alone, DARKEST_LUX, null, null);
        }
        ColourReading white = ConeLight.mix(sum).reading();
        return new ProofReading(
                probe,
                alone,
                lux,
                Kelvin.MIRED_PRODUCT
                        / (Kelvin.MIRED_PRODUCT / white.kelvin()
                                + spread.meter().mired() * random.nextGaussian()),
                white.duv() + spread.meter().duv() * random.nextGaussian());
    }

    private static double[] rebuilt(double[] cones, double[] off) {
        if (!(ConeLight.luminance(cones) > 0)) {
            return cones;
        }
        ColourReading white = ConeLight.mix(cones).reading();
        double mired = Kelvin.MIRED_PRODUCT / white.kelvin();
        double[] before = ConeLight.white(mired, white.duv());
        double[] after = ConeLight.white(mired + off[1], white.duv() + off[2]);
        double[] now = new double[cones.length];
        for (int c = 0; c < now.length; c++) {
            now[c] = cones[c] * after[c] / before[c] * Math.pow(2, off[0]);
        }
        return now;
    }
}
