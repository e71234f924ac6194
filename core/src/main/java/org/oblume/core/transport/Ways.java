package org.oblume.core.transport;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;

/** The ways that light takes from a point to another: straight, and by one mirror or two. */
public final class Ways {

    private static final int CHANNELS = ConeLight.CHANNELS;

    private final Obstacles all;
    private final Obstacles withoutGlass;
    private final List<Mirror> mirrors;

    /**
     * @param all what stands in the way of a lamp's light
     * @param withoutGlass the same with open windows
     */
    Ways(List<Obstacle> all, List<Obstacle> withoutGlass, List<Mirror> mirrors) {
        this.all = new Obstacles(all);
        this.withoutGlass = new Obstacles(withoutGlass);
        this.mirrors = mirrors;
    }

    /** What part of a neutral light comes from one point to another. */
    public double clear(SpacePoint from, SpacePoint to) {
        double[] light = {1, 1, 1};
        return pass(from.xM(), from.yM(), from.zM(), to.xM(), to.yM(), to.zM(), 0, 0, true, light)
                ? ConeLight.luminance(light) / ConeLight.luminance(new double[] {1, 1, 1})
                : 0;
    }

    boolean any() {
        return all.any();
    }

    List<Mirror> mirrors() {
        return mirrors;
    }

    /** Takes from a light what stands in its way; false when nothing is left. */
    boolean pass(
            double ax,
            double ay,
            double az,
            double bx,
            double by,
            double bz,
            double ra,
            double rb,
            boolean glass,
            double[] light) {
        return (glass ? all : withoutGlass).pass(ax, ay, az, bx, by, bz, ra, rb, light);
    }

    /** Light that arrives: from a direction, with the sine of its source's radius as seen from there. */
    @FunctionalInterface
    public interface Arrival {

        /**
         * @param dx of the unit vector from the point to where it comes from
         * @param sine of the angular radius of what it comes from
         * @param lux of each channel on a surface turned to it
         * @param squared of the length of its way, m²
         * @param bounces mirrors on its way
         */
        void from(double dx, double dy, double dz, double sine, double[] lux, double squared, int bounces);
    }

    /**
     * All light of an emitter at a point, mirrors included; what sends it on evenly is not.
     *
     * @param facing the way a surface there looks, whose back gets nothing; null for a point
     */
    void light(
            Emitter emitter,
            Emitter.Piece[] pieces,
            double px,
            double py,
            double pz,
            double @Nullable [] facing,
            double[] light,
            Arrival arrival) {
        for (Emitter.Piece piece : pieces) {
            straight(emitter, piece, px, py, pz, facing, light, arrival);
            for (int first = 0; first < mirrors.size(); first++) {
                one(emitter, piece, mirrors.get(first), px, py, pz, light, arrival);
                for (int second = 0; second < mirrors.size(); second++) {
                    if (first != second) {
                        two(emitter, piece, mirrors.get(first), mirrors.get(second), px, py, pz, light, arrival);
                    }
                }
            }
        }
    }

    private void straight(
            Emitter emitter,
            Emitter.Piece piece,
            double px,
            double py,
            double pz,
            double @Nullable [] facing,
            double[] light,
            Arrival arrival) {
        double dx = px - piece.x();
        double dy = py - piece.y();
        double dz = pz - piece.z();
        double squared = dx * dx + dy * dy + dz * dz;
        double d = Math.sqrt(squared);
        if (facing != null && dx * facing[0] + dy * facing[1] + dz * facing[2] >= piece.radius()) {
            return;
        }
        if (d == 0 || !piece.shines().into(dx / d, dy / d, dz / d, light)) {
            return;
        }
        double through = gate(emitter, piece, px, py, pz);
        if (through > 0
                && pass(piece.x(), piece.y(), piece.z(), px, py, pz, piece.radius(), 0, emitter.seesPanes(), light)) {
            arrive(-dx / d, -dy / d, -dz / d, squared, piece.radius(), through, light, 0, arrival);
        }
    }

    private static void arrive(
            double dx,
            double dy,
            double dz,
            double squared,
            double radius,
            double part,
            double[] light,
            int bounces,
            Arrival arrival) {
        double all = squared + radius * radius;
        for (int c = 0; c < CHANNELS; c++) {
            light[c] *= part / all;
        }
        arrival.from(dx, dy, dz, radius / Math.sqrt(all), light, squared, bounces);
    }

    private static double gate(Emitter emitter, Emitter.Piece piece, double px, double py, double pz) {
        Panel gate = emitter.gate();
        return gate == null ? 1 : crossing(gate, piece.x(), piece.y(), piece.z(), px, py, pz, piece.radius(), 0, null);
    }

    /** What part of a bundle goes through a rectangle; where its middle does is put into {@code at}. */
    static double crossing(
            Panel panel,
            double ax,
            double ay,
            double az,
            double bx,
            double by,
            double bz,
            double ra,
            double rb,
            double @Nullable [] at) {
        double nx = panel.normal().x();
        double ny = panel.normal().y();
        double nz = panel.normal().z();
        double before = (ax - panel.middle().xM()) * nx
                + (ay - panel.middle().yM()) * ny
                + (az - panel.middle().zM()) * nz;
        double after = (bx - panel.middle().xM()) * nx
                + (by - panel.middle().yM()) * ny
                + (bz - panel.middle().zM()) * nz;
        if (before * after >= 0) {
            return 0;
        }
        double part = before / (before - after);
        double x = ax + part * (bx - ax);
        double y = ay + part * (by - ay);
        double z = az + part * (bz - az);
        if (at != null) {
            at[0] = x;
            at[1] = y;
            at[2] = z;
            at[3] = part;
        }
        double ox = x - panel.middle().xM();
        double oy = y - panel.middle().yM();
        double oz = z - panel.middle().zM();
        double radius = ra + part * (rb - ra);
        double across = ox * panel.right().x()
                + oy * panel.right().y()
                + oz * panel.right().z();
        double up = ox * panel.up().x() + oy * panel.up().y() + oz * panel.up().z();
        return Sheet.within(across, radius, -panel.widthM() / 2, panel.widthM() / 2)
                * Sheet.within(up, radius, -panel.heightM() / 2, panel.heightM() / 2);
    }

    private void one(
            Emitter emitter,
            Emitter.Piece piece,
            Mirror mirror,
            double px,
            double py,
            double pz,
            double[] light,
            Arrival arrival) {
        double off = mirror.off(piece.x(), piece.y(), piece.z());
        if (off <= Mirror.ON_IT_M || !mirror.faces(px, py, pz)) {
            return;
        }
        double ix = piece.x() - 2 * off * mirror.panel().normal().x();
        double iy = piece.y() - 2 * off * mirror.panel().normal().y();
        double iz = piece.z() - 2 * off * mirror.panel().normal().z();
        double[] at = new double[4];
        double part = crossing(mirror.panel(), ix, iy, iz, px, py, pz, piece.radius(), 0, at);
        if (part == 0) {
            return;
        }
        double dx = at[0] - piece.x();
        double dy = at[1] - piece.y();
        double dz = at[2] - piece.z();
        double leg = Math.sqrt(dx * dx + dy * dy + dz * dz);
        if (leg == 0 || !piece.shines().into(dx / leg, dy / leg, dz / leg, light)) {
            return;
        }
        double open = emitter.gate() == null ? 1 : gate(emitter, piece, at[0], at[1], at[2]);
        double radius = piece.radius() * (1 - at[3]);
        if (open == 0
                || !pass(
                        piece.x(),
                        piece.y(),
                        piece.z(),
                        at[0],
                        at[1],
                        at[2],
                        piece.radius(),
                        radius,
                        emitter.seesPanes(),
                        light)
                || !pass(at[0], at[1], at[2], px, py, pz, radius, 0, emitter.seesPanes(), light)) {
            return;
        }
        reflect(mirror, light);
        arriveFrom(ix, iy, iz, px, py, pz, piece.radius(), part * open, light, 1, arrival);
    }

    private static void reflect(Mirror mirror, double[] light) {
        for (int c = 0; c < CHANNELS; c++) {
            light[c] *= mirror.reflects()[c];
        }
    }

    private static void arriveFrom(
            double ix,
            double iy,
            double iz,
            double px,
            double py,
            double pz,
            double radius,
            double part,
            double[] light,
            int bounces,
            Arrival arrival) {
        double dx = ix - px;
        double dy = iy - py;
        double dz = iz - pz;
        double squared = dx * dx + dy * dy + dz * dz;
        double d = Math.sqrt(squared);
        arrive(dx / d, dy / d, dz / d, squared, radius, part, light, bounces, arrival);
    }

    private void two(
            Emitter emitter,
            Emitter.Piece piece,
            Mirror first,
            Mirror second,
            double px,
            double py,
            double pz,
            double[] light,
            Arrival arrival) {
        double off = first.off(piece.x(), piece.y(), piece.z());
        if (off <= Mirror.ON_IT_M || !second.faces(px, py, pz)) {
            return;
        }
        double ix = piece.x() - 2 * off * first.panel().normal().x();
        double iy = piece.y() - 2 * off * first.panel().normal().y();
        double iz = piece.z() - 2 * off * first.panel().normal().z();
        double behind = second.off(ix, iy, iz);
        if (behind <= Mirror.ON_IT_M) {
            return;
        }
        double jx = ix - 2 * behind * second.panel().normal().x();
        double jy = iy - 2 * behind * second.panel().normal().y();
        double jz = iz - 2 * behind * second.panel().normal().z();
        double[] b = new double[4];
        double partB = crossing(second.panel(), jx, jy, jz, px, py, pz, piece.radius(), 0, b);
        if (partB == 0 || !first.faces(b[0], b[1], b[2])) {
            return;
        }
        double radiusB = piece.radius() * (1 - b[3]);
        double[] a = new double[4];
        double partA = crossing(first.panel(), ix, iy, iz, b[0], b[1], b[2], piece.radius(), radiusB, a);
        if (partA == 0) {
            return;
        }
        double dx = a[0] - piece.x();
        double dy = a[1] - piece.y();
        double dz = a[2] - piece.z();
        double leg = Math.sqrt(dx * dx + dy * dy + dz * dz);
        if (leg == 0 || !piece.shines().into(dx / leg, dy / leg, dz / leg, light)) {
            return;
        }
        double open = emitter.gate() == null ? 1 : gate(emitter, piece, a[0], a[1], a[2]);
        double radiusA = piece.radius() + a[3] * (radiusB - piece.radius());
        if (open == 0
                || !pass(
                        piece.x(),
                        piece.y(),
                        piece.z(),
                        a[0],
                        a[1],
                        a[2],
                        piece.radius(),
                        radiusA,
                        emitter.seesPanes(),
                        light)
                || !pass(a[0], a[1], a[2], b[0], b[1], b[2], radiusA, radiusB, emitter.seesPanes(), light)
                || !pass(b[0], b[1], b[2], px, py, pz, radiusB, 0, emitter.seesPanes(), light)) {
            return;
        }
        reflect(first, light);
        reflect(second, light);
        arriveFrom(jx, jy, jz, px, py, pz, piece.radius(), partA * partB * open, light, 2, arrival);
    }
}
