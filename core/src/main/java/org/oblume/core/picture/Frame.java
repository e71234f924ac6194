package org.oblume.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.bust.Bust;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.Swatch;
import org.oblume.core.geometry.Direction;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.Glow;
import org.oblume.core.light.Kept;
import org.oblume.core.light.LitSet;

/**
 * The predicted picture of a set: what its camera shows of it in its light (model: a plain picture of a plan; surfaces are even and matt,
 * nothing is out of focus, no film stock). Source: picture, "The picture".
 */
public final class Frame {

    private static final int CHANNELS = ConeLight.CHANNELS;
    private static final double GREY_CARD = 0.18;
    /** What was worked out is kept for so many layers of large pictures, and of small ones. */
    private static final int LARGE = 48;

    private static final int SMALL = 300;
    private static final int SMALL_DOTS = 200;
    private static final int VIEWS = 8;
    private static final double[] FACE = {Bust.REFLECTANCE, Bust.REFLECTANCE, Bust.REFLECTANCE};
    /** Luminance of linear sRGB (IEC 61966-2-1). */
    private static final double RED = 0.2126;

    private static final double GREEN = 0.7152;
    private static final double BLUE = 0.0722;
    private static final Kept<List<Object>, Hits> SEEN = new Kept<>(VIEWS);
    private static final Kept<List<Object>, float[][]> LARGE_LAYERS = new Kept<>(LARGE);
    private static final Kept<List<Object>, float[][]> SMALL_LAYERS = new Kept<>(SMALL);

    private final Hits hits;
    /** Numbers of what gives light in the frame. */
    private final List<Integer> glowing;

    private final double required;
    /** Light on each dot, lux; NaN where there is nothing that light falls on. */
    private final float[] lux;
    /** Linear sRGB, an 18 % card at the camera's stop is 0.18. */
    private final float[][] rgb = new float[CHANNELS][];

    /** Whoever waits for a picture. */
    @FunctionalInterface
    public interface Waiting {

        /** So much of the work is done, 0 to 1. What it throws ends the work: nobody waits any more. */
        void done(double part);
    }

    /** Of what exposure a line of equal exposure tells. */
    public enum Of {
        /** Of the light on each surface, over what the camera's stop needs. */
        LIGHT,
        /** Of the picture itself, over 18 %. */
        PICTURE
    }

    private Frame(
            Hits hits,
            LitSet set,
            List<Integer> glowing,
            CameraWhite white,
            double requiredLux,
            List<float[][]> layers) {
        this.hits = hits;
        this.glowing = glowing;
        this.required = requiredLux;
        int dots = hits.width * hits.height;
        this.lux = new float[dots];
        for (int c = 0; c < CHANNELS; c++) {
            rgb[c] = new float[dots];
        }
        double[][] gains =
                IntStream.range(0, set.sources()).mapToObj(set::gains).toArray(double[][]::new);
        double[][][] facets = set.busts().stream().map(Frame::facets).toArray(double[][][]::new);
        IntStream.range(0, hits.height).parallel().forEach(y -> {
            double[] cones = new double[CHANNELS];
            for (int dot = y * hits.width; dot < (y + 1) * hits.width; dot++) {
                double[] sends = light(set, layers, gains, facets, dot, cones);
                lux[dot] = sends == null ? Float.NaN : (float) Math.max(0, ConeLight.luminance(cones));
                for (int c = 0; c < CHANNELS; c++) {
                    cones[c] *= sends == null ? 1 : sends[c];
                }
                double[] shown = white.linear(cones);
                for (int c = 0; c < CHANNELS; c++) {
                    rgb[c][dot] = (float) Math.max(0, shown[c] / requiredLux);
                }
            }
        });
        hits.smoothEdges(rgb);
    }

    private static double[][] facets(BustLight bust) {
        return IntStream.range(0, Bust.plain().facets().size())
                .mapToObj(bust::cones)
                .toArray(double[][]::new);
    }

    /**
     * The light on a dot.
     *
     * @param cones is filled: the light, or what is as bright as what gives light there
     * @return what of it is sent on; null where it does not fall on anything
     */
    private double @Nullable [] light(
            LitSet set, List<float[][]> layers, double[][] gains, double[][][] facets, int dot, double[] cones) {
        SeenThings things = hits.things;
        int what = hits.what(dot);
        Arrays.fill(cones, 0);
        if (what == SeenThings.NOTHING) {
            return null;
        }
        if (things.isFacet(what)) {
            System.arraycopy(facets[things.bust(what)][things.facet(what)], 0, cones, 0, CHANNELS);
            return FACE;
        }
        if (what >= things.skins()) {
            int glow = glowing.get(things.glow(what));
            double[] way = hits.way(dot);
            double[] full = set.glows().get(glow).asLux(new Direction(way[0], way[1], way[2]));
            System.arraycopy(ConeLight.times(full, gains[set.sourceOf(glow)]), 0, cones, 0, CHANNELS);
            return null;
        }
        for (int s = 0; s < gains.length; s++) {
            for (int c = 0; c < CHANNELS; c++) {
                cones[c] += gains[s][c] * layers.get(s)[c][dot];
            }
        }
        return set.skins().get(what).sends();
    }

    /**
     * A picture; what was worked out before of the same view and the same light is used again.
     *
     * @param requiredLux on an 18 % card for the camera's stop, above 0
     */
    public static Frame of(FrameView view, LitSet set, CameraWhite white, double requiredLux, Waiting waiting) {
        List<Integer> glowing = IntStream.range(0, set.glows().size())
                .filter(g -> set.glows().get(g).isIn(view.camera()))
                .boxed()
                .toList();
        List<Glow> glows = glowing.stream().map(set.glows()::get).toList();
        Hits hits = SEEN.get(
                List.of(view, set.surfacesKey(), glows.stream().map(Glow::form).toList()),
                () -> new Hits(view, set, glows));
        Kept<List<Object>, float[][]> kept = view.width() > SMALL_DOTS ? LARGE_LAYERS : SMALL_LAYERS;
        List<float[][]> layers = new ArrayList<>();
        for (int i = 0; i < set.sources(); i++) {
            int source = i;
            layers.add(kept.get(
                    List.of(view, set.layerKey(source)),
                    () -> new LayerDots(hits, set.layer(source, view.width() > SMALL_DOTS)).lux()));
            waiting.done((i + 1.0) / (set.sources() + 1));
        }
        return new Frame(hits, set, glowing, white, requiredLux, layers);
    }

    public int width() {
        return hits.width;
    }

    public int height() {
        return hits.height;
    }

    /** Its dots, row by row, 0xRRGGBB. */
    public int[] dots() {
        return IntStream.range(0, lux.length)
                .parallel()
                .map(dot -> {
                    Swatch shown = Swatch.shown(new double[] {rgb[0][dot], rgb[1][dot], rgb[2][dot]}, 1);
                    return shown.red() << 16 | shown.green() << 8 | shown.blue();
                })
                .toArray();
    }

    /** Stops over the camera's stop by dot, row by row; NaN where nothing is, and in the dark. */
    public float[] stops(Of of) {
        float[] stops = new float[lux.length];
        for (int dot = 0; dot < stops.length; dot++) {
            double part = of == Of.LIGHT ? lux[dot] / required : luminance(dot) / GREY_CARD;
            stops[dot] = part > 0 ? (float) (Math.log(part) / Math.log(2)) : Float.NaN;
        }
        return stops;
    }

    /** Of the picture, 1 is full; what is brighter is more. */
    private double luminance(int dot) {
        return RED * rgb[0][dot] + GREEN * rgb[1][dot] + BLUE * rgb[2][dot];
    }

    /** By dot, number of the surface that it shows, all of a bust being one; −1 for none. */
    public int[] surfaces() {
        return hits.surfaces().clone();
    }
}
