package org.oblume.core.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.LightMix;

/**
 * The light that falls on one small surface.
 *
 * @param luxOfEach from each source, in the sources' order, 0 or more
 * @param mix all of it together, or null in the dark
 */
public record SurfaceLight(List<Double> luxOfEach, @Nullable LightMix mix) {

    public SurfaceLight {
        luxOfEach = List.copyOf(luxOfEach);
    }

    /** @param cones of all of it together, whose Y is lux */
    static SurfaceLight of(List<Double> luxOfEach, double[] cones) {
        return new SurfaceLight(luxOfEach, ConeLight.luminance(cones) > 0 ? ConeLight.mix(cones) : null);
    }

    /** All of it together, lux. */
    public double lux() {
        return mix == null ? 0 : mix.lux();
    }
}
