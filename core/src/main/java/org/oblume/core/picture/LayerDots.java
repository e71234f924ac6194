package org.oblume.core.picture;

import java.util.stream.IntStream;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.light.LitSet;

/**
 * The light of one source on what a frame shows, at full: looked up where it changes, and evened out between places where it does not
 * (model: a shadow narrower than four dots between even places is missed).
 */
final class LayerDots {

    private static final int CHANNELS = ConeLight.CHANNELS;
    /** Dots between the places that are looked up at least. */
    private static final int STEP = 4;
    /** Places differ when their lights do by more than this part. */
    private static final double DIFFERS = 0.05;
    /** Less than this part of the brightest is no difference. */
    private static final double NO_MATTER = 2e-4;

    private final float[][] lux;
    private final Hits hits;
    private final LitSet.Layer layer;
    private final boolean[] known;
    private double noMatter;

    LayerDots(Hits hits, LitSet.Layer layer) {
        this.hits = hits;
        this.layer = layer;
        int dots = hits.width * hits.height;
        this.lux = new float[CHANNELS][dots];
        this.known = new boolean[dots];
        int rows = (hits.height + STEP - 1) / STEP;
        IntStream.rangeClosed(0, rows).parallel().forEach(this::corners);
        double brightest = 0;
        for (int dot = 0; dot < dots; dot++) {
            brightest = Math.max(brightest, known[dot] ? luminance(dot) : 0);
        }
        noMatter = NO_MATTER * brightest;
        IntStream.range(0, rows).parallel().forEach(this::row);
    }

    /** By channel and dot. */
    float[][] lux() {
        return lux;
    }

    private void corners(int row) {
        int y = Math.min(row * STEP, hits.height - 1);
        for (int x = 0; x < hits.width + STEP - 1; x += STEP) {
            look(y * hits.width + Math.min(x, hits.width - 1));
        }
    }

    private void row(int row) {
        for (int x = 0; x < hits.width; x += STEP) {
            block(x, row * STEP, STEP);
        }
    }

    /** The dots from a corner on, those on the next block's edge not. */
    private void block(int x, int y, int size) {
        if (x >= hits.width || y >= hits.height) {
            return;
        }
        if (size == 1) {
            look(y * hits.width + x);
            return;
        }
        int right = Math.min(x + size, hits.width - 1);
        int below = Math.min(y + size, hits.height - 1);
        int[] corners = {y * hits.width + x, y * hits.width + right, below * hits.width + x, below * hits.width + right
        };
        if (sameSurface(x, y, right, below) && even(corners)) {
            between(x, y, size, corners);
            return;
        }
        int half = size / 2;
        for (int k = 0; k < 4; k++) {
            block(x + k % 2 * half, y + k / 2 * half, half);
        }
    }

    private boolean sameSurface(int x, int y, int right, int below) {
        int what = hits.what(y * hits.width + x);
        for (int j = y; j <= below; j++) {
            for (int i = x; i <= right; i++) {
                if (hits.what(j * hits.width + i) != what) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean even(int[] corners) {
        double least = Double.MAX_VALUE;
        double most = 0;
        for (int corner : corners) {
            look(corner);
            double here = luminance(corner);
            least = Math.min(least, here);
            most = Math.max(most, here);
        }
        return most - least <= DIFFERS * most + noMatter;
    }

    private double luminance(int dot) {
        return ConeLight.luminance(new double[] {lux[0][dot], lux[1][dot], lux[2][dot]});
    }

    private void between(int x, int y, int size, int[] corners) {
        int right = Math.min(x + size, hits.width - 1);
        int below = Math.min(y + size, hits.height - 1);
        for (int j = y; j < Math.min(y + size, hits.height); j++) {
            for (int i = x; i < Math.min(x + size, hits.width); i++) {
                double a = right == x ? 0 : (i - x) / (double) (right - x);
                double b = below == y ? 0 : (j - y) / (double) (below - y);
                for (int c = 0; c < CHANNELS; c++) {
                    float[] of = lux[c];
                    of[j * hits.width + i] = (float) ((1 - b) * ((1 - a) * of[corners[0]] + a * of[corners[1]])
                            + b * ((1 - a) * of[corners[2]] + a * of[corners[3]]));
                }
            }
        }
    }

    private void look(int dot) {
        int what = hits.what(dot);
        if (known[dot] || what < 0 || what >= hits.things.skins()) {
            return;
        }
        double[] at = hits.at(dot);
        double[] here = layer.lux(
                what,
                at[0],
                at[1],
                at[2],
                hits.things.across(what, at[0], at[1], at[2]),
                hits.things.up(what, at[0], at[1], at[2]));
        for (int c = 0; c < CHANNELS; c++) {
            lux[c][dot] = (float) here[c];
        }
        known[dot] = true;
    }
}
