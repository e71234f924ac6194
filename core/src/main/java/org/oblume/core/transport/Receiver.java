package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.colour.ConeLight;

/**
 * A place, and what surfaces there get of every light.
 *
 * @param weights by surface, channel and patch: what a lux on the patch brings to it
 * @param near patches that are looked at in parts
 */
public record Receiver(
        Standing standing, double x, double y, double z, double[][] normals, double[][][] weights, List<Near> near) {

    private static final int CHANNELS = ConeLight.CHANNELS;
    /** From here on the edge of a beam lies on a patch: all its parts are looked at; below it, in squares of so many. */
    private static final double STEEP = 0.6;

    private static final int COARSE = 2;
    /** What a surface's cosine makes of the harmonics of each order (Ramamoorthi and Hanrahan, 2001), to be divided by π. */
    private static final double[] COSINE = {1, 2.0 / 3, 0.25};

    /**
     * All ways of an emitter's light straight to here and by mirrors.
     *
     * @param each by surface and channel, lux are added
     */
    public void straight(Emitter emitter, double[][] each) {
        each(emitter, (dx, dy, dz, sine, lux, squared, bounces) -> {
            for (int r = 0; r < normals.length; r++) {
                double turned = turned(dx, dy, dz, normals[r], sine);
                for (int c = 0; c < CHANNELS; c++) {
                    each[r][c] += turned * lux[c];
                }
            }
        });
    }

    public void each(Emitter emitter, Ways.Arrival arrival) {
        standing.ways().light(emitter, emitter.pieces(), x, y, z, null, new double[CHANNELS], arrival);
    }

    public static double turned(double dx, double dy, double dz, double[] normal, double sine) {
        return Horizon.factor(Math.max(-1, Math.min(1, dx * normal[0] + dy * normal[1] + dz * normal[2])), sine);
    }

    /**
     * A patch that is near.
     *
     * @param at middle of each of its parts
     * @param weights by surface, channel and part: what the exitance of that part brings
     * @param most of a surface: what the exitance of all of it brings there
     */
    record Near(int patch, double[][] at, double[][][] weights, double most) {}

    /**
     * What has to be added to what comes by way of patches, because a light does not fall evenly on one that is near.
     *
     * @param meets lux on the patches by channel, and how uneven it is
     * @param least lux that an uneven patch has to bring to be worth the look
     * @return by surface and channel
     */
    public double[][] closer(List<Emitter> emitters, double[][] meets, double least) {
        double[][] more = new double[weights.length][CHANNELS];
        Patches patches = standing.patches();
        for (Near one : near) {
            int j = one.patch;
            double most = one.most * patches.sends[j][1] * meets[1][j] * meets[CHANNELS][j];
            if (most >= least && most > 0) {
                inParts(one, emitters, meets, meets[CHANNELS][j] < STEEP ? COARSE : 1, more);
            }
        }
        return more;
    }

    /** @param stride parts across that are looked at as one */
    private void inParts(Near one, List<Emitter> emitters, double[][] meets, int stride, double[][] more) {
        Patches patches = standing.patches();
        int j = one.patch;
        int across = (int) Math.round(Math.sqrt(one.at.length));
        for (int a = 0; a < across; a += stride) {
            for (int b = 0; b < across; b += stride) {
                double[] first = one.at[a * across + b];
                double[] last = one.at[(a + stride - 1) * across + b + stride - 1];
                double[] middle = {(first[0] + last[0]) / 2, (first[1] + last[1]) / 2, (first[2] + last[2]) / 2};
                double[] lux = standing.meets(emitters, j, middle);
                for (int r = 0; r < more.length; r++) {
                    for (int c = 0; c < CHANNELS; c++) {
                        double weight = 0;
                        for (int k = a; k < a + stride; k++) {
                            for (int l = b; l < b + stride; l++) {
                                weight += one.weights[r][c][k * across + l];
                            }
                        }
                        more[r][c] += patches.sends[j][c] * weight * (lux[c] - meets[c][j]);
                    }
                }
            }
        }
    }

    /**
     * What comes by way of patches, told by whose they are.
     *
     * @param row of a surface
     * @param meets lux on the patches, by channel
     * @param owners how many there are beside the set
     * @return by owner and channel; the set's own is the last
     */
    public double[][] byOwner(int row, double[][] meets, int owners) {
        double[][] sums = new double[owners + 1][CHANNELS];
        int[] owner = standing.patches().owner;
        for (int c = 0; c < CHANNELS; c++) {
            double[] weight = weights[row][c];
            double[] lux = meets[c];
            for (int j = 0; j < weight.length; j++) {
                sums[owner[j] < 0 ? owners : owner[j]][c] += weight[j] * lux[j];
            }
        }
        return sums;
    }

    /**
     * What comes by way of patches.
     *
     * @param row of a surface
     * @param meets lux on the patches, by channel
     */
    public double[] sentOn(int row, double[][] meets) {
        double[] sum = new double[CHANNELS];
        for (int c = 0; c < CHANNELS; c++) {
            double[] weight = weights[row][c];
            double[] lux = meets[c];
            double all = 0;
            for (int j = 0; j < weight.length; j++) {
                all += weight[j] * lux[j];
            }
            sum[c] = all;
        }
        return sum;
    }

    /** What comes by way of patches from all around: by harmonic and channel (model: spherical harmonics of two orders). */
    public double[][] sentOn(double[][] meets) {
        double[][] around = new double[weights.length - normals.length][];
        for (int h = 0; h < around.length; h++) {
            around[h] = sentOn(normals.length + h, meets);
        }
        return around;
    }

    /** What a surface that is turned in any way gets of what comes from all around. */
    public double[] shaped(double[] normal, double[][] around) {
        double[] shape = harmonics(normal[0], normal[1], normal[2]);
        double[] sum = new double[CHANNELS];
        for (int h = 0; h < shape.length; h++) {
            double order = COSINE[h == 0 ? 0 : h < 4 ? 1 : 2];
            for (int c = 0; c < CHANNELS; c++) {
                sum[c] += Math.PI * order * shape[h] * around[h][c];
            }
        }
        return sum;
    }

    /** Real spherical harmonics to the second order. */
    static double[] harmonics(double x, double y, double z) {
        return new double[] {
            0.282095,
            0.488603 * y,
            0.488603 * z,
            0.488603 * x,
            1.092548 * x * y,
            1.092548 * y * z,
            0.315392 * (3 * z * z - 1),
            1.092548 * x * z,
            0.546274 * (x * x - y * y)
        };
    }
}
