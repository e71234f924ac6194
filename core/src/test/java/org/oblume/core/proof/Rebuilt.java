package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Kelvin;

/** A rebuild as it really stands: every light a little off, and perhaps something wrong; and the meter that reads it. */
final class Rebuilt {

    private final Stage room;
    private final Spread spread;
    private final Random random;
    private final double[][] off;
    private final ShotLighting light;
    private final double @Nullable [] stray;

    /**
     * @param wrong what is otherwise, on purpose
     * @param stray light that nobody recorded, channels, or null
     */
    Rebuilt(Stage room, Spread spread, Random random, List<Change> wrong, double @Nullable [] stray) {
        this.room = room;
        this.spread = spread;
        this.random = random;
        this.stray = stray;
        List<Change> values = new ArrayList<>(Recorded.values(room.state()));
        values.addAll(wrong);
        List<Placement> lights = room.light().lights();
        LookState there = new LookState("there", values);
        for (Placement one : lights) {
            Place place = there.value(one.key(), Place.class).orElseThrow();
            double up = there.value(one.key(), Height.class).orElseThrow().heightM();
            values.add(new Change(
                    one.key(),
                    new Place(
                            place.xM() + spread.metres() * random.nextGaussian(),
                            place.yM() + spread.metres() * random.nextGaussian(),
                            place.outside())));
            values.add(new Change(one.key(), new Height(up + spread.metres() * random.nextGaussian())));
        }
        this.off = lights.stream()
                .map(l -> new double[] {
                    spread.stops() * random.nextGaussian(),
                    spread.mired() * random.nextGaussian(),
                    spread.duv() * random.nextGaussian()
                })
                .toArray(double[][]::new);
        this.light = ShotLighting.of(room.set(), room.placements(), new LookState("there", values), Set.of(), Map.of());
    }

    /** Reads a probe with a colour meter. */
    ProofReading read(Probe probe, @Nullable String alone) {
        List<double[]> brought = probe.brought(light);
        double[] sum = new double[ConeLight.CHANNELS];
        List<String> keys = room.light().lights().stream().map(Placement::key).toList();
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
        double lux = ConeLight.luminance(sum) * Math.pow(2, spread.meterStops() * random.nextGaussian());
        if (lux < 0.1) {
            return new ProofReading(probe, alone, 0.1, null, null);
        }
        ColourReading white = ConeLight.mix(sum).reading();
        return new ProofReading(
                probe,
                alone,
                lux,
                Kelvin.MIRED_PRODUCT
                        / (Kelvin.MIRED_PRODUCT / white.kelvin() + spread.meterMired() * random.nextGaussian()),
                white.duv() + spread.meterDuv() * random.nextGaussian());
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
