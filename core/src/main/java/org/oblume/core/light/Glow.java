package org.oblume.core.light;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Emitter;

/** What gives light, as it is seen itself: the front of a head, a bulb, a tube, a pane of a window. Its housing is not drawn (model). */
public final class Glow {

    private static final double GRAZING = 0.05;
    /** What is drawn wider than it is reaches so much of half a frame farther. */
    private static final double WIDER = 0.05;

    private enum Shape {
        FLAT,
        BALL,
        TUBE
    }

    private final Shape shape;
    private final SpacePoint at;
    private final Direction axis;
    private final double radiusM;
    private final double lengthM;
    private final Panel panel;
    private final Emitter.Shining shines;
    private final double areaM2;

    private Glow(
            Shape shape,
            SpacePoint at,
            Direction axis,
            double radiusM,
            double lengthM,
            Panel panel,
            Emitter.Shining shines,
            double areaM2) {
        this.shape = shape;
        this.at = at;
        this.axis = axis;
        this.radiusM = radiusM;
        this.lengthM = lengthM;
        this.panel = panel;
        this.shines = shines;
        this.areaM2 = areaM2;
    }

    /** A disc that faces a way; all of its light by direction. */
    static Glow disc(SpacePoint at, Direction way, double radiusM, Emitter.Shining shines) {
        Panel around = Panel.facing(at, way, 2 * radiusM, 2 * radiusM);
        return new Glow(Shape.FLAT, at, way, radiusM, 0, around, shines, Math.PI * radiusM * radiusM);
    }

    static Glow pane(Panel panel, Emitter.Shining shines) {
        double outside = Math.hypot(panel.widthM(), panel.heightM());
        return new Glow(Shape.FLAT, panel.middle(), panel.normal(), outside, 0, panel, shines, panel.areaM2());
    }

    static Glow ball(SpacePoint at, double radiusM, Emitter.Shining shines) {
        Panel around = Panel.facing(at, Direction.UP, 2 * radiusM, 2 * radiusM);
        return new Glow(Shape.BALL, at, Direction.UP, radiusM, 0, around, shines, Math.PI * radiusM * radiusM);
    }

    /** @param across its thickness, metres */
    static Glow tube(SpacePoint at, Direction axis, double lengthM, double across, Emitter.Shining shines) {
        Panel around = Panel.facing(at, axis, across, across);
        return new Glow(Shape.TUBE, at, axis, across / 2, lengthM, around, shines, lengthM * across);
    }

    /** All that its outline depends on. */
    public Object form() {
        return List.of(shape, at, axis, radiusM, lengthM, panel);
    }

    /** Whether any of it may be in a frame. */
    public boolean isIn(CameraFrame frame) {
        double reach = Math.max(radiusM, lengthM / 2);
        CameraFrame.Seen seen = frame.see(at);
        if (seen == null || seen.depthM() < reach) {
            return frame.lens().distanceM(at) <= 2 * reach;
        }
        double more = 1 + WIDER + reach / (seen.depthM() * frame.widthTan() * CameraFrame.ASPECT);
        return Math.abs(seen.x()) < more && Math.abs(seen.y()) < more;
    }

    /**
     * Where a ray meets it.
     *
     * @param from where the ray starts
     * @param way of length 1
     * @param least sine of the angle that it is drawn as wide as at least, to either side: what is small and bright is seen all the same
     * @return metres along the ray; NaN when it does not
     */
    public double metres(SpacePoint from, Direction way, double least) {
        double drawnM = Math.max(radiusM, least * from.distanceM(at));
        return switch (shape) {
            case FLAT -> flat(from, way, drawnM);
            case BALL -> ball(from, way, drawnM);
            case TUBE -> tube(from, way);
        };
    }

    private double flat(SpacePoint from, Direction way, double drawnM) {
        double falling = way.dot(panel.normal());
        double metres = -panel.offPlane(from) / falling;
        if (!(falling < 0) || !(metres > 0)) {
            return Double.NaN;
        }
        double x = from.xM() + metres * way.x() - at.xM();
        double y = from.yM() + metres * way.y() - at.yM();
        double z = from.zM() + metres * way.z() - at.zM();
        double across = x * panel.right().x()
                + y * panel.right().y()
                + z * panel.right().z();
        double up = x * panel.up().x() + y * panel.up().y() + z * panel.up().z();
        double wider = drawnM / radiusM;
        boolean on = Math.abs(across) <= wider * panel.widthM() / 2
                && Math.abs(up) <= wider * panel.heightM() / 2
                && across * across + up * up <= drawnM * drawnM;
        return on ? metres : Double.NaN;
    }

    private double ball(SpacePoint from, Direction way, double drawnM) {
        double x = at.xM() - from.xM();
        double y = at.yM() - from.yM();
        double z = at.zM() - from.zM();
        double along = x * way.x() + y * way.y() + z * way.z();
        double aside = x * x + y * y + z * z - along * along;
        double rest = drawnM * drawnM - aside;
        return along > 0 && rest >= 0 ? along - Math.sqrt(rest) : Double.NaN;
    }

    /** As thick as the ray passes its axis (a cylinder without ends). */
    private double tube(SpacePoint from, Direction way) {
        double x = from.xM() - at.xM();
        double y = from.yM() - at.yM();
        double z = from.zM() - at.zM();
        double skew = way.dot(axis);
        double alongAxis = x * axis.x() + y * axis.y() + z * axis.z();
        double ox = x - alongAxis * axis.x();
        double oy = y - alongAxis * axis.y();
        double oz = z - alongAxis * axis.z();
        double wx = way.x() - skew * axis.x();
        double wy = way.y() - skew * axis.y();
        double wz = way.z() - skew * axis.z();
        double a = wx * wx + wy * wy + wz * wz;
        double b = ox * wx + oy * wy + oz * wz;
        double rest = b * b - a * (ox * ox + oy * oy + oz * oz - radiusM * radiusM);
        if (a == 0 || rest < 0) {
            return Double.NaN;
        }
        double metres = (-b - Math.sqrt(rest)) / a;
        return metres > 0 && Math.abs(alongAxis + metres * skew) <= lengthM / 2 ? metres : Double.NaN;
    }

    /**
     * What a white surface would have to be lit by to be as bright, at full.
     *
     * @param way from the eye to it, of length 1
     * @return by channel, Y is lux
     */
    public double[] asLux(Direction way) {
        double[] light = new double[ConeLight.CHANNELS];
        if (!shines.into(-way.x(), -way.y(), -way.z(), light)) {
            return new double[ConeLight.CHANNELS];
        }
        double shown =
                switch (shape) {
                    case FLAT -> Math.max(GRAZING, -way.dot(axis));
                    case BALL -> 1;
                    case TUBE -> Math.max(GRAZING, Math.sqrt(1 - Math.pow(way.dot(axis), 2)));
                };
        for (int c = 0; c < light.length; c++) {
            light[c] *= Math.PI / (areaM2 * shown);
        }
        return light;
    }
}
