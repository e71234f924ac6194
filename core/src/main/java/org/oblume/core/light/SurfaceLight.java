package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.LightMix;

/**
 * The light that falls on one small surface.
 *
 * @param luxOfEach from each source, in the sources' order, 0 or more
 * @param conesOfEach the same by channel, Y is lux
 * @param mix all of it together, or null in the dark
 */
public record SurfaceLight(List<Double> luxOfEach, List<double[]> conesOfEach, @Nullable LightMix mix) {

    public SurfaceLight {
        luxOfEach = List.copyOf(luxOfEach);
        conesOfEach = List.copyOf(conesOfEach);
    }

    /** @param conesOfEach by channel, whose Y is lux */
    static SurfaceLight of(List<double[]> conesOfEach) {
        double[] sum = new double[ConeLight.CHANNELS];
        List<Double> lux = new ArrayList<>();
        for (double[] one : conesOfEach) {
            SurfaceGathering.add(sum, one);
            lux.add(Math.max(0, ConeLight.luminance(one)));
        }
        return new SurfaceLight(lux, conesOfEach, ConeLight.luminance(sum) > 0 ? ConeLight.mix(sum) : null);
    }

    /** All of it together, lux. */
    public double lux() {
        return mix == null ? 0 : mix.lux();
    }
}
