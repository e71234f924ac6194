package org.oblume.core.photometry;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;

/**
 * The light on a subject's two cheeks (model): small level surfaces turned 45° to either side of the way the subject faces.
 * Nothing stands between a source and the mark here.
 *
 * @param left cheek, the subject's own left
 * @param right cheek
 */
public record MarkLight(Cheek left, Cheek right) {

    private static final double CHEEK_DEG = 45;

    /**
     * @param lux of all sources together
     * @param luxOfEach in the sources' order
     * @param reading what a colour meter reads there, or null in the dark
     */
    public record Cheek(double lux, List<Double> luxOfEach, @Nullable ColourReading reading) {
    }

    /** @param face height and place of the face. @param facing the way it looks */
    public static MarkLight of(List<LightSource> sources, SpacePoint face, Bearing facing) {
        return new MarkLight(cheek(sources, face, Bearing.ofDegrees(facing.degrees() - CHEEK_DEG)),
                cheek(sources, face, Bearing.ofDegrees(facing.degrees() + CHEEK_DEG)));
    }

    /** The brighter cheek. */
    public Cheek lit() {
        return left.lux() >= right.lux() ? left : right;
    }

    public Cheek shadow() {
        return left.lux() >= right.lux() ? right : left;
    }

    private static Cheek cheek(List<LightSource> sources, SpacePoint face, Bearing normal) {
        List<Double> each = new ArrayList<>(sources.size());
        List<LightMix.Part> parts = new ArrayList<>(sources.size());
        double sum = 0;
        for (LightSource source : sources) {
            double lux = source.lux(face, normal);
            each.add(lux);
            parts.add(new LightMix.Part(lux, source.colour()));
            sum += lux;
        }
        return new Cheek(sum, List.copyOf(each), sum > 0 ? LightMix.of(parts).reading() : null);
    }
}
