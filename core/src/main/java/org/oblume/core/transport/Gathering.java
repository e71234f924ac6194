package org.oblume.core.transport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.oblume.core.colour.ConeLight;

/** What surfaces at one point get of the exitance of each patch: straight, past what stands in the way, and by a mirror. */
final class Gathering {

    private static final int CHANNELS = ConeLight.CHANNELS;
    /** A patch is looked at in quarters within so many half widths of it, and these again. */
    private static final double NEAR = 5;

    private static final int DEEPEST = 2;
    private static final int PARTS = 8;
    private static final int HARMONICS = 9;

    private final Patches patches;
    private final Ways ways;
    private final double x;
    private final double y;
    private final double z;
    private final double[][] normals;
    private final boolean allRound;
    private final double[][][] weights;
    private final List<Receiver.Near> near = new ArrayList<>();
    private final double[] light = new double[CHANNELS];

    /**
     * @param at the point
     * @param normals of the surfaces there
     * @param allRound whether what any other surface there gets is wanted too
     * @param closely whether patches that are near are wanted in parts
     */
    Gathering(Patches patches, Ways ways, double[] at, double[][] normals, boolean allRound, boolean closely) {
        this.patches = patches;
        this.ways = ways;
        this.x = at[0];
        this.y = at[1];
        this.z = at[2];
        this.normals = normals;
        this.allRound = allRound;
        int rows = normals.length + (allRound ? HARMONICS : 0);
        this.weights = new double[rows][CHANNELS][patches.size];
        for (int j = 0; j < patches.size; j++) {
            look(j);
            if (closely && isNear(j)) {
                near.add(near(j, rows));
            }
        }
    }

    /** By surface, channel and patch. */
    double[][][] weights() {
        return weights;
    }

    /** Patches that are looked at in parts. */
    List<Receiver.Near> near() {
        return near;
    }

    private boolean isNear(int j) {
        return square(patches.x[j] - x) + square(patches.y[j] - y) + square(patches.z[j] - z)
                < square(NEAR) * patches.area[j] / 4;
    }

    /** A patch that is so near that it matters where on it a light falls. */
    private Receiver.Near near(int j, int rows) {
        double[][] at = new double[PARTS * PARTS][];
        double[][][] parts = new double[rows][CHANNELS][PARTS * PARTS];
        for (int a = 0; a < PARTS; a++) {
            for (int b = 0; b < PARTS; b++) {
                double across = (2 * a + 1.0) / PARTS - 1;
                double up = (2 * b + 1.0) / PARTS - 1;
                int part = a * PARTS + b;
                at[part] = new double[] {
                    patches.x[j] + across * patches.ux[j] + up * patches.vx[j],
                    patches.y[j] + across * patches.uy[j] + up * patches.vy[j],
                    patches.z[j] + across * patches.uz[j] + up * patches.vz[j]
                };
                one(parts, part, j, at[part][0], at[part][1], at[part][2], 1.0 / PARTS);
            }
        }
        double most = 0;
        for (int r = 0; r < normals.length; r++) {
            most = Math.max(most, Arrays.stream(parts[r][1]).sum());
        }
        return new Receiver.Near(j, at, parts, most);
    }

    private void look(int j) {
        double reach = Math.max(
                Math.sqrt(square(patches.ux[j]) + square(patches.uy[j]) + square(patches.uz[j])),
                Math.sqrt(square(patches.vx[j]) + square(patches.vy[j]) + square(patches.vz[j])));
        piece(j, patches.x[j], patches.y[j], patches.z[j], 1, reach, 0);
        for (Mirror mirror : ways.mirrors()) {
            inMirror(j, mirror);
        }
    }

    /** A patch or a part of it: {@code share} of its width and height. */
    private void piece(int j, double qx, double qy, double qz, double share, double reach, int depth) {
        double dx = qx - x;
        double dy = qy - y;
        double dz = qz - z;
        double squared = dx * dx + dy * dy + dz * dz;
        if (depth < DEEPEST && squared < square(NEAR * reach)) {
            for (int a = -1; a <= 1; a += 2) {
                for (int b = -1; b <= 1; b += 2) {
                    double half = share / 2;
                    piece(
                            j,
                            qx + half * (a * patches.ux[j] + b * patches.vx[j]),
                            qy + half * (a * patches.uy[j] + b * patches.vy[j]),
                            qz + half * (a * patches.uz[j] + b * patches.vz[j]),
                            half,
                            reach / 2,
                            depth + 1);
                }
            }
            return;
        }
        one(weights, j, j, qx, qy, qz, share);
    }

    /** All of a piece of patch j at once, as number {@code to} of some weights. */
    private void one(double[][][] into, int to, int j, double qx, double qy, double qz, double share) {
        double dx = qx - x;
        double dy = qy - y;
        double dz = qz - z;
        double squared = dx * dx + dy * dy + dz * dz;
        double d = Math.sqrt(squared);
        double leaving = d == 0 ? 0 : -(dx * patches.nx[j] + dy * patches.ny[j] + dz * patches.nz[j]) / d;
        if (leaving <= 0) {
            return;
        }
        double area = patches.area[j] * share * share;
        double radius = Math.sqrt(area / Math.PI);
        neutral();
        if (!ways.pass(qx, qy, qz, x, y, z, radius, 0, true, light)) {
            return;
        }
        double all = Math.PI * squared + area;
        add(into, to, dx / d, dy / d, dz / d, radius / Math.sqrt(squared + radius * radius), leaving * area / all);
    }

    private void add(double[][][] into, int to, double dx, double dy, double dz, double sine, double amount) {
        for (int r = 0; r < normals.length; r++) {
            double turned = Receiver.turned(dx, dy, dz, normals[r], sine);
            if (turned > 0) {
                for (int c = 0; c < CHANNELS; c++) {
                    into[r][c][to] += amount * turned * light[c];
                }
            }
        }
        if (allRound) {
            double[] harmonics = Receiver.harmonics(dx, dy, dz);
            for (int h = 0; h < HARMONICS; h++) {
                double[][] row = into[normals.length + h];
                for (int c = 0; c < CHANNELS; c++) {
                    row[c][to] += amount * harmonics[h] * light[c];
                }
            }
        }
    }

    private void inMirror(int j, Mirror mirror) {
        double off = mirror.off(x, y, z);
        if (off <= Mirror.ON_IT_M || !mirror.faces(patches.x[j], patches.y[j], patches.z[j])) {
            return;
        }
        double ix = x - 2 * off * mirror.panel().normal().x();
        double iy = y - 2 * off * mirror.panel().normal().y();
        double iz = z - 2 * off * mirror.panel().normal().z();
        double[] at = new double[4];
        double radius = Math.sqrt(patches.area[j] / Math.PI);
        double part =
                Ways.crossing(mirror.panel(), patches.x[j], patches.y[j], patches.z[j], ix, iy, iz, radius, 0, at);
        if (part == 0) {
            return;
        }
        double fx = at[0] - patches.x[j];
        double fy = at[1] - patches.y[j];
        double fz = at[2] - patches.z[j];
        double first = Math.sqrt(fx * fx + fy * fy + fz * fz);
        double leaving = first == 0 ? 0 : (fx * patches.nx[j] + fy * patches.ny[j] + fz * patches.nz[j]) / first;
        neutral();
        double rest = radius * (1 - at[3]);
        if (leaving <= 0
                || !ways.pass(patches.x[j], patches.y[j], patches.z[j], at[0], at[1], at[2], radius, rest, true, light)
                || !ways.pass(at[0], at[1], at[2], x, y, z, rest, 0, true, light)) {
            return;
        }
        double wx = at[0] - x;
        double wy = at[1] - y;
        double wz = at[2] - z;
        double second = Math.sqrt(wx * wx + wy * wy + wz * wz);
        double squared = square(first + second);
        for (int c = 0; c < CHANNELS; c++) {
            light[c] *= mirror.reflects()[c] * part;
        }
        add(
                weights,
                j,
                wx / second,
                wy / second,
                wz / second,
                radius / Math.sqrt(squared + radius * radius),
                leaving * patches.area[j] / (Math.PI * squared + patches.area[j]));
    }

    private void neutral() {
        light[0] = 1;
        light[1] = 1;
        light[2] = 1;
    }

    private static double square(double a) {
        return a * a;
    }
}
