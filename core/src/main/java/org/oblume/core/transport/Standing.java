package org.oblume.core.transport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.oblume.core.geometry.Panel;

/**
 * A hall with what stands in it: light is followed through both. What a place gets of each patch's light, by every way and all bounces, is
 * worked out once for the place and holds for all lights.
 */
public final class Standing {

    private static final int CHANNELS = Patches.CHANNELS;
    private static final double SENDER_M = 0.3;
    private static final int MOST_ACROSS = 5;
    private static final int LEAST_STEPS = 2;
    private static final int MOST_STEPS = 5;

    private final Patches patches = new Patches();
    private final Ways ways;
    private final Factors[] factors;

    /**
     * Something that sends light on evenly and stands in the hall.
     *
     * @param sends of what it gets, part of each channel
     * @param front whether it sends out where it gets it; else on the other side
     * @param owner its number
     */
    public record Sender(Panel panel, double[] sends, boolean front, int owner) {}

    public Standing(Hall hall, List<Sheet> sheets, List<Mirror> mirrors, List<Sender> senders) {
        patches.addAll(hall.patches());
        for (Sender sender : senders) {
            Grid.whole(
                    patches,
                    sender.panel(),
                    SENDER_M,
                    MOST_ACROSS,
                    sender.sends(),
                    sender.front() ? 1 : -1,
                    sender.owner());
        }
        this.ways = new Ways(join(hall.obstacles(), sheets), join(hall.withoutGlass(), sheets), mirrors);
        this.factors = factors(hall, new Ways(List.copyOf(sheets), List.copyOf(sheets), mirrors));
    }

    private static List<Obstacle> join(List<Obstacle> hall, List<Sheet> sheets) {
        List<Obstacle> all = new ArrayList<>(hall);
        all.addAll(sheets);
        return all;
    }

    private Factors[] factors(Hall hall, Ways past) {
        int n = patches.size;
        int ofTheSet = hall.patches().size;
        double[][] got = new double[n][n];
        boolean grip = ofTheSet < n || past.any();
        IntStream.range(0, n).parallel().forEach(i -> {
            double[] light = new double[CHANNELS];
            for (int j = i + 1; j < n; j++) {
                if (j < ofTheSet) {
                    double both = hall.seen(i, j);
                    if (both > 0) {
                        double part = grip ? Hall.between(past, patches, i, j, light) : 1;
                        got[i][j] = both * part / patches.area[i];
                        got[j][i] = both * part / patches.area[j];
                    }
                } else {
                    double one = Hall.got(patches, i, j);
                    double other = Hall.got(patches, j, i);
                    if (one > 0 || other > 0) {
                        double part = Hall.between(ways, patches, i, j, light);
                        got[i][j] = one * part;
                        got[j][i] = other * part;
                    }
                }
            }
        });
        for (Mirror mirror : ways.mirrors()) {
            mirrored(got, mirror, new double[CHANNELS]);
        }
        if (patches.grey()) {
            Factors one = new Factors(system(got, 0));
            return new Factors[] {one, one, one};
        }
        return IntStream.range(0, CHANNELS)
                .parallel()
                .mapToObj(c -> new Factors(system(got, c)))
                .toArray(Factors[]::new);
    }

    /** Transpose of {@code 1 − (got)ᵀ · sends}. */
    private double[][] system(double[][] got, int channel) {
        int n = patches.size;
        double[][] system = new double[n][n];
        for (int i = 0; i < n; i++) {
            double sent = patches.sends[i][channel];
            double[] of = got[i];
            for (int j = 0; j < n; j++) {
                system[i][j] = -of[j] * sent;
            }
            system[i][i] += 1;
        }
        return system;
    }

    private void mirrored(double[][] got, Mirror mirror, double[] light) {
        int n = patches.size;
        double[] at = new double[4];
        double reflects = (mirror.reflects()[0] + mirror.reflects()[1] + mirror.reflects()[2]) / CHANNELS;
        for (int i = 0; i < n; i++) {
            double off = mirror.off(patches.x[i], patches.y[i], patches.z[i]);
            if (off <= Mirror.ON_IT_M) {
                continue;
            }
            double ix = patches.x[i] - 2 * off * mirror.panel().normal().x();
            double iy = patches.y[i] - 2 * off * mirror.panel().normal().y();
            double iz = patches.z[i] - 2 * off * mirror.panel().normal().z();
            for (int j = 0; j < n; j++) {
                double part = i == j || !mirror.faces(patches.x[j], patches.y[j], patches.z[j])
                        ? 0
                        : Ways.crossing(
                                mirror.panel(),
                                patches.x[j],
                                patches.y[j],
                                patches.z[j],
                                ix,
                                iy,
                                iz,
                                Math.sqrt(patches.area[j]) / 2,
                                0,
                                at);
                if (part > 0) {
                    double squared = square(patches.x[j] - ix) + square(patches.y[j] - iy) + square(patches.z[j] - iz);
                    double d = Math.sqrt(squared);
                    double toI = Math.sqrt(
                            square(at[0] - patches.x[i]) + square(at[1] - patches.y[i]) + square(at[2] - patches.z[i]));
                    double ci = patches.side[i]
                            * ((at[0] - patches.x[i]) * patches.nx[i]
                                    + (at[1] - patches.y[i]) * patches.ny[i]
                                    + (at[2] - patches.z[i]) * patches.nz[i])
                            / toI;
                    double toJ = d - toI;
                    double cj = ((at[0] - patches.x[j]) * patches.nx[j]
                                    + (at[1] - patches.y[j]) * patches.ny[j]
                                    + (at[2] - patches.z[j]) * patches.nz[j])
                            / toJ;
                    if (ci > 0
                            && cj > 0
                            && clear(patches.x[j], patches.y[j], patches.z[j], at, light)
                            && clear(patches.x[i], patches.y[i], patches.z[i], at, light)) {
                        got[i][j] +=
                                part * reflects * patches.area[j] * ci * cj / (Math.PI * squared + patches.area[j]);
                    }
                }
            }
        }
    }

    private static double square(double a) {
        return a * a;
    }

    private boolean clear(double x, double y, double z, double[] at, double[] light) {
        light[0] = 1;
        light[1] = 1;
        light[2] = 1;
        return ways.pass(x, y, z, at[0], at[1], at[2], 0, 0, true, light) && light[1] > 0.5;
    }

    public Ways ways() {
        return ways;
    }

    Patches patches() {
        return patches;
    }

    /**
     * What surfaces at a point get of the light that patches are met by, all bounces counted.
     *
     * @param normals of those surfaces
     * @param allRound whether what any other surface there gets is wanted too
     */
    public Receiver receiver(double x, double y, double z, double[][] normals, boolean allRound) {
        Gathering gathered = new Gathering(patches, ways, new double[] {x, y, z}, normals, allRound, true);
        double[][][] weights = gathered.weights();
        boolean alike = factors[0] == factors[1]
                && Arrays.stream(weights)
                        .allMatch(row -> Arrays.equals(row[0], row[1]) && Arrays.equals(row[0], row[2]));
        IntStream.range(0, alike ? 1 : CHANNELS).parallel().forEach(c -> solve(c, weights));
        if (alike) {
            for (double[][] row : weights) {
                Arrays.fill(row, row[0]);
            }
        }
        return new Receiver(this, x, y, z, normals, weights, gathered.near());
    }

    private void solve(int channel, double[][][] weights) {
        for (double[][] row : weights) {
            double[] right = row[channel];
            factors[channel].solve(right);
            for (int j = 0; j < patches.size; j++) {
                right[j] *= patches.sends[j][channel];
            }
        }
    }

    /**
     * What of an emitter's light meets each patch, straight or by mirrors: lux by channel and patch, and last how uneven it is there, 0 to 1.
     */
    public double[][] meets(Emitter emitter) {
        int n = patches.size;
        double[][] lux = new double[CHANNELS + 1][n];
        double[] one = new double[CHANNELS];
        for (int i = 0; i < n; i++) {
            int steps = steps(emitter, i);
            Arrays.fill(one, 0);
            double least = Double.MAX_VALUE;
            double most = 0;
            for (int a = 0; a < steps; a++) {
                for (int b = 0; b < steps; b++) {
                    double across = (2 * a + 1.0) / steps - 1;
                    double up = (2 * b + 1.0) / steps - 1;
                    double before = one[1];
                    meets(
                            emitter,
                            i,
                            patches.x[i] + across * patches.ux[i] + up * patches.vx[i],
                            patches.y[i] + across * patches.uy[i] + up * patches.vy[i],
                            patches.z[i] + across * patches.uz[i] + up * patches.vz[i],
                            one);
                    double here = one[1] - before;
                    least = Math.min(least, here);
                    most = Math.max(most, here);
                }
            }
            for (int c = 0; c < CHANNELS; c++) {
                lux[c][i] = one[c] / (steps * steps);
            }
            lux[CHANNELS][i] = most > 0 ? (most - least) / (most + least) : 0;
        }
        return lux;
    }

    /**
     * What each patch sends out in the end, all bounces counted, lux by channel and patch.
     *
     * @param meets lux of lights on the patches, by channel
     */
    public double[][] exitance(double[][] meets) {
        double[][] out = new double[CHANNELS][patches.size];
        for (int c = 0; c < CHANNELS; c++) {
            for (int j = 0; j < patches.size; j++) {
                out[c][j] = patches.sends[j][c] * meets[c][j];
            }
            factors[c].solveTaken(out[c]);
        }
        return out;
    }

    /** What of all emitters meets a place on a patch. */
    double[] meets(List<Emitter> emitters, int patch, double[] at) {
        double[] lux = new double[CHANNELS];
        for (Emitter emitter : emitters) {
            meets(emitter, patch, at[0], at[1], at[2], lux);
        }
        return lux;
    }

    private void meets(Emitter emitter, int i, double x, double y, double z, double[] lux) {
        double[] normal = {
            patches.side[i] * patches.nx[i], patches.side[i] * patches.ny[i], patches.side[i] * patches.nz[i]
        };
        straight(emitter, emitter.from(x, y, z), x, y, z, normal, lux);
    }

    /**
     * Adds what of an emitter comes straight or by mirrors to a small surface.
     *
     * @param normal of length 1
     * @param lux by channel
     */
    public void straight(Emitter emitter, double x, double y, double z, double[] normal, double[] lux) {
        straight(emitter, emitter.lookedAt(x, y, z), x, y, z, normal, lux);
    }

    private void straight(
            Emitter emitter, Emitter.Piece[] pieces, double x, double y, double z, double[] normal, double[] lux) {
        ways.light(
                emitter,
                pieces,
                x,
                y,
                z,
                normal,
                new double[CHANNELS],
                (dx, dy, dz, sine, arriving, squared, bounces) -> {
                    double turned = Receiver.turned(dx, dy, dz, normal, sine);
                    for (int c = 0; c < CHANNELS; c++) {
                        lux[c] += arriving[c] * turned;
                    }
                });
    }

    /** Into how many parts across a patch is cut for an emitter: a beam is not to fall between them. */
    private int steps(Emitter emitter, int i) {
        Emitter.Piece piece = emitter.pieces()[0];
        double away = Math.sqrt(
                square(patches.x[i] - piece.x()) + square(patches.y[i] - piece.y()) + square(patches.z[i] - piece.z()));
        double wide = emitter.gate() != null ? 0 : away * Math.tan(Math.min(1.2, emitter.spreadRad()));
        return Math.max(LEAST_STEPS, Math.min(MOST_STEPS, (int)
                Math.ceil(2.5 * Math.sqrt(patches.area[i]) / Math.max(1e-3, wide))));
    }
}
