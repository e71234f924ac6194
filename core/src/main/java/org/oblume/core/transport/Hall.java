package org.oblume.core.transport;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;

/**
 * A set as light meets it, empty of what stands in it: what stops light, and patches of what sends it on, with how they see each other.
 */
public final class Hall {

    /** Patches that are aimed at: more is slower than it is truer. */
    private static final int PATCHES = 220;

    private static final double SMALLEST_M = 0.25;
    private static final double LARGEST_M = 1.5;
    /** Of rays around and of rings of them, by which is found what of a patch's view is open. */
    private static final int AROUND = 12;

    private static final int RINGS = 5;
    private static final int BALANCED = 12;
    private static final double FAR_M = 120;

    private final List<Obstacle> obstacles;
    private final List<Obstacle> withoutGlass;
    private final Patches patches = new Patches();
    private final double[][] seen;

    /**
     * @param faces that send light on
     * @param levels that do
     * @param walls what stops light, as it passes windows
     * @param openWalls the same without their panes
     * @param tops level areas that stop light
     */
    public Hall(
            List<Face> faces,
            List<Level> levels,
            List<? extends Sheet> walls,
            List<? extends Sheet> openWalls,
            List<Top> tops) {
        this.obstacles = join(walls, tops);
        this.withoutGlass = join(openWalls, tops);
        double area = 0;
        for (Face face : faces) {
            area += face.panel().areaM2();
        }
        for (Level level : levels) {
            area += area(level);
        }
        double size = Math.max(SMALLEST_M, Math.min(LARGEST_M, Math.sqrt(area / PATCHES)));
        faces.forEach(face -> face.into(patches, size));
        levels.forEach(level -> level.into(patches, size));
        this.seen = seen();
        balance();
    }

    /** A level area that stops light, one of its pieces each. */
    public record Top(double heightM, List<List<PlanPoint>> outlines) {}

    private static List<Obstacle> join(List<? extends Sheet> walls, List<Top> tops) {
        return Stream.<Obstacle>concat(walls.stream(), tops.stream().map(t -> new Slab(t.heightM(), t.outlines())))
                .toList();
    }

    private static double area(Level level) {
        double twice = 0;
        int n = level.outline().size();
        for (int i = 0; i < n; i++) {
            PlanPoint a = level.outline().get(i);
            PlanPoint b = level.outline().get((i + 1) % n);
            twice += a.xM() * b.yM() - b.xM() * a.yM();
        }
        return Math.abs(twice) / 2;
    }

    /** Whether the set itself stands between two points. */
    public boolean between(SpacePoint from, SpacePoint to) {
        return new Ways(obstacles, withoutGlass, List.of()).clear(from, to) == 0;
    }

    List<Obstacle> obstacles() {
        return obstacles;
    }

    List<Obstacle> withoutGlass() {
        return withoutGlass;
    }

    Patches patches() {
        return patches;
    }

    /** What a patch and another exchange: area of the one times what it gets of the other's exitance. The upper half is enough. */
    double seen(int i, int j) {
        return i < j ? seen[i][j] : seen[j][i];
    }

    private double[][] seen() {
        int n = patches.size;
        Ways ways = new Ways(obstacles, withoutGlass, List.of());
        double[][] all = new double[n][n];
        IntStream.range(0, n).parallel().forEach(i -> {
            double[] light = new double[Patches.CHANNELS];
            for (int j = i + 1; j < n; j++) {
                double facing = exchange(patches, i, j);
                if (facing > 0) {
                    all[i][j] = facing * between(ways, patches, i, j, light);
                }
            }
        });
        return all;
    }

    /** Nothing in the way: {@code A_i · A_j · cos · cos / (π d² + A)}, for patches that get light where they send it out. */
    static double exchange(Patches p, int i, int j) {
        return p.area[i] * got(p, i, j);
    }

    /** What patch i gets of the exitance of j, nothing in the way. */
    static double got(Patches p, int i, int j) {
        double dx = p.x[j] - p.x[i];
        double dy = p.y[j] - p.y[i];
        double dz = p.z[j] - p.z[i];
        double ci = p.side[i] * (dx * p.nx[i] + dy * p.ny[i] + dz * p.nz[i]);
        double cj = -(dx * p.nx[j] + dy * p.ny[j] + dz * p.nz[j]);
        if (ci <= 0 || cj <= 0) {
            return 0;
        }
        double squared = dx * dx + dy * dy + dz * dz;
        return p.area[j] * ci * cj / (squared * (Math.PI * squared + (p.area[i] + p.area[j]) / 2));
    }

    /** What of a light comes from patch to patch, in the mean of the channels. */
    static double between(Ways ways, Patches p, int i, int j, double[] light) {
        light[0] = 1;
        light[1] = 1;
        light[2] = 1;
        double radius = Math.sqrt(p.area[j]) / 4;
        double other = Math.sqrt(p.area[i]) / 4;
        return ways.pass(p.x[i], p.y[i], p.z[i], p.x[j], p.y[j], p.z[j], other, radius, true, light)
                ? (light[0] + light[1] + light[2]) / 3
                : 0;
    }

    /**
     * In a closed room what leaves a patch arrives somewhere: the exchange is scaled so that each patch sees as much of others as its view
     * is not open, and both of two still see the same of each other.
     */
    private void balance() {
        int n = patches.size;
        double[] wanted = new double[n];
        boolean any = false;
        Ways ways = new Ways(obstacles, withoutGlass, List.of());
        for (int i = 0; i < n; i++) {
            if (patches.enclosed[i]) {
                wanted[i] = patches.area[i] * (1 - open(ways, i));
                any = true;
            }
        }
        if (!any) {
            return;
        }
        double[] scale = new double[n];
        Arrays.fill(scale, 1);
        for (int round = 0; round < BALANCED; round++) {
            double[] sums = new double[n];
            for (int i = 0; i < n; i++) {
                for (int j = i + 1; j < n; j++) {
                    double one = seen[i][j];
                    if (one > 0) {
                        double scaled = one * scale[i] * scale[j];
                        sums[i] += scaled;
                        sums[j] += scaled;
                    }
                }
            }
            for (int i = 0; i < n; i++) {
                if (patches.enclosed[i] && sums[i] > 0) {
                    scale[i] *= Math.sqrt(wanted[i] / sums[i]);
                }
            }
        }
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                seen[i][j] *= scale[i] * scale[j];
            }
        }
    }

    /** What part of a patch's view, weighed by its cosine, leads out of the set. */
    private double open(Ways ways, int i) {
        double[] u = unit(patches.ux[i], patches.uy[i], patches.uz[i]);
        double[] v = unit(patches.vx[i], patches.vy[i], patches.vz[i]);
        double sum = 0;
        double[] light = new double[Patches.CHANNELS];
        for (int ring = 0; ring < RINGS; ring++) {
            double sine = Math.sqrt((ring + 0.5) / RINGS);
            double cosine = Math.sqrt(1 - sine * sine);
            for (int k = 0; k < AROUND; k++) {
                double turn = 2 * Math.PI * (k + 0.5) / AROUND;
                double a = sine * Math.cos(turn);
                double b = sine * Math.sin(turn);
                double dx = a * u[0] + b * v[0] + cosine * patches.nx[i];
                double dy = a * u[1] + b * v[1] + cosine * patches.ny[i];
                double dz = a * u[2] + b * v[2] + cosine * patches.nz[i];
                double far = dz < 0 ? Math.min(FAR_M, patches.z[i] / -dz) : FAR_M;
                light[0] = 1;
                light[1] = 1;
                light[2] = 1;
                boolean out = far > 1e-6
                        && ways.pass(
                                patches.x[i],
                                patches.y[i],
                                patches.z[i],
                                patches.x[i] + far * dx,
                                patches.y[i] + far * dy,
                                patches.z[i] + far * dz,
                                0,
                                0,
                                true,
                                light);
                if (out && !(dz < 0 && far < FAR_M && onFloor(patches.x[i] + far * dx, patches.y[i] + far * dy))) {
                    sum += light[0];
                }
            }
        }
        return sum / (RINGS * AROUND);
    }

    private boolean onFloor(double x, double y) {
        for (int i = 0; i < patches.size; i++) {
            if (patches.nz[i] == 1 && patches.z[i] == 0) {
                double dx = x - patches.x[i];
                double dy = y - patches.y[i];
                double u = Math.hypot(patches.ux[i], patches.uy[i]);
                double v = Math.hypot(patches.vx[i], patches.vy[i]);
                if (Math.abs(dx * patches.ux[i] + dy * patches.uy[i]) <= u * u * 1.01
                        && Math.abs(dx * patches.vx[i] + dy * patches.vy[i]) <= v * v * 1.01) {
                    return true;
                }
            }
        }
        return false;
    }

    private static double[] unit(double x, double y, double z) {
        double length = Math.sqrt(x * x + y * y + z * z);
        return new double[] {x / length, y / length, z / length};
    }
}
