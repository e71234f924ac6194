package org.oblume.core.transport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;

/**
 * What comes to the surfaces of a set by way of all others, looked up at places some tenths of a metre apart (model: even between them). It
 * depends neither on a camera nor on a light.
 */
public final class LightMap {

    private static final int CHANNELS = Patches.CHANNELS;
    private static final double STEP_M = 0.35;
    /** More places than these on all surfaces together only take time; and fewer are enough for a small picture. */
    private static final int FINE = 1600;

    private static final int COARSE = 300;

    private static final int MOST_ACROSS = 24;
    /** What is narrower is even across. */
    private static final double NARROW_M = 0.15;

    /** A place at an edge lies so far inside it. */
    private static final double INSIDE_M = 0.02;

    private final List<Net> nets = new ArrayList<>();
    /** By place, what the exitance of each patch brings: of each channel, or of all. */
    private final float[][][] weights;

    /** The places on one surface. */
    private record Net(Skin skin, int first, int across, int up, boolean[] there) {

        double at(int i, int count, double size) {
            double inside = Math.min(INSIDE_M, size / 8);
            return count == 1 ? 0 : -size / 2 + inside + (size - 2 * inside) * i / (count - 1);
        }

        /** Where a place lies in a row, in steps from the first. */
        double along(double metres, int count, double size) {
            double inside = Math.min(INSIDE_M, size / 8);
            double steps = (metres + size / 2 - inside) / (size - 2 * inside) * (count - 1);
            return Math.max(0, Math.min(count - 1, steps));
        }
    }

    /**
     * @param skins of the set and of what stands in it
     * @param fine whether a large picture is made by it
     */
    public LightMap(Standing standing, List<Skin> skins, boolean fine) {
        double area = skins.stream().mapToDouble(s -> s.panel().areaM2()).sum();
        double step = Math.max(STEP_M, Math.sqrt(area / (fine ? FINE : COARSE)));
        int places = 0;
        for (Skin skin : skins) {
            int across = count(skin.panel().widthM(), step);
            int up = count(skin.panel().heightM(), step);
            Net net = new Net(skin, places, across, up, new boolean[across * up]);
            nets.add(net);
            places += across * up;
        }
        this.weights = new float[places][][];
        nets.parallelStream().forEach(net -> look(standing, net));
    }

    private static int count(double metres, double step) {
        return metres < NARROW_M ? 1 : Math.max(2, Math.min(MOST_ACROSS, (int) Math.ceil(metres / step) + 1));
    }

    private void look(Standing standing, Net net) {
        Panel panel = net.skin.panel();
        double[][] normals = {net.skin.normal()};
        IntStream.range(0, net.across * net.up).parallel().forEach(k -> {
            double across = net.at(k % net.across, net.across, panel.widthM());
            double up = net.at(k / net.across, net.up, panel.heightM());
            net.there[k] = net.skin.has(across, up);
            if (net.there[k]) {
                double[] at = at(panel, across, up);
                weights[net.first + k] = thrifty(
                        new Gathering(standing.patches(), standing.ways(), at, normals, false, false).weights()[0]);
            }
        });
    }

    private static double[] at(Panel panel, double across, double up) {
        Direction r = panel.right();
        Direction u = panel.up();
        return new double[] {
            panel.middle().xM() + across * r.x() + up * u.x(),
            panel.middle().yM() + across * r.y() + up * u.y(),
            panel.middle().zM() + across * r.z() + up * u.z()
        };
    }

    private static float[][] thrifty(double[][] byChannel) {
        boolean alike = Arrays.equals(byChannel[0], byChannel[1]) && Arrays.equals(byChannel[0], byChannel[2]);
        float[][] kept = new float[alike ? 1 : CHANNELS][];
        for (int c = 0; c < kept.length; c++) {
            kept[c] = new float[byChannel[c].length];
            for (int j = 0; j < kept[c].length; j++) {
                kept[c][j] = (float) byChannel[c][j];
            }
        }
        return kept;
    }

    /**
     * What comes to each place.
     *
     * @param exitance of the patches, by channel and patch
     * @return by place and channel, lux
     */
    public double[][] around(double[][] exitance) {
        double[][] lux = new double[weights.length][];
        IntStream.range(0, weights.length)
                .parallel()
                .filter(k -> weights[k] != null)
                .forEach(k -> {
                    lux[k] = new double[CHANNELS];
                    for (int c = 0; c < CHANNELS; c++) {
                        float[] of = weights[k][weights[k].length == 1 ? 0 : c];
                        double sum = 0;
                        for (int j = 0; j < of.length; j++) {
                            sum += of[j] * exitance[c][j];
                        }
                        lux[k][c] = sum;
                    }
                });
        return lux;
    }

    /**
     * Adds what comes to a place between those.
     *
     * @param skin its number
     * @param around what comes to each place
     */
    public void add(int skin, double across, double up, double[][] around, double[] lux) {
        Net net = nets.get(skin);
        Panel panel = net.skin.panel();
        double x = net.along(across, net.across, panel.widthM());
        double y = net.along(up, net.up, panel.heightM());
        int i = Math.max(0, Math.min(net.across - 2, (int) x));
        int j = Math.max(0, Math.min(net.up - 2, (int) y));
        int right = Math.min(1, net.across - 1 - i);
        int above = Math.min(1, net.up - 1 - j) * net.across;
        int here = j * net.across + i;
        int[] corners = {here, here + right, here + above, here + right + above};
        double all = 0;
        for (int k = 0; k < corners.length; k++) {
            all += net.there[corners[k]] ? part(x - i, y - j, k) : 0;
        }
        for (int k = 0; k < corners.length && all > 0; k++) {
            double part = net.there[corners[k]] ? part(x - i, y - j, k) / all : 0;
            for (int c = 0; c < CHANNELS && part > 0; c++) {
                lux[c] += part * around[net.first + corners[k]][c];
            }
        }
    }

    private static double part(double x, double y, int corner) {
        return (corner % 2 == 0 ? 1 - x : x) * (corner / 2 == 0 ? 1 - y : y);
    }
}
