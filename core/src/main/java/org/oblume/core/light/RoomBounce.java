package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.LightColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;

/**
 * What a room sends back of a light, once (model): the light is cut into {@value #RINGS} rings around its axis and each of them
 * into {@value #SECTORS} sectors; what is in each lands in one patch of a wall, the ceiling or the floor, and leaves it to all
 * sides, weaker by the surface's reflectance and in its colour.
 */
final class RoomBounce {

    private static final int RINGS = 5;
    private static final int SECTORS = 8;
    private static final double FAR_M = 200;

    private final SetPlan set;
    private final Occlusion occlusion;
    private final Walls rooms;

    /**
     * @param normalCandela along its normal, candela
     * @param radiusM of the patch
     */
    record Patch(SpacePoint at, Direction normal, double normalCandela, double radiusM, Surface surface) {

        /** Lux on a small surface, nothing in the way. */
        double lux(SpacePoint to, Direction facing) {
            double distance = at.distanceM(to);
            if (distance == 0) {
                return 0;
            }
            Direction way = Direction.between(at, to);
            double leaving = way.dot(normal);
            if (leaving <= 0) {
                return 0;
            }
            double softness = radiusM / Math.hypot(distance, radiusM);
            double turned = Math.max(0, (-way.dot(facing) + softness) / (1 + softness));
            return normalCandela * leaving * turned / (distance * distance + radiusM * radiusM);
        }
    }

    private record Hit(double metres, Direction normal, Surface surface) {}

    RoomBounce(SetPlan set, Occlusion occlusion) {
        this.set = set;
        this.occlusion = occlusion;
        this.rooms = set.tapeWalls();
    }

    /** The colour of a light off a surface. */
    static LightColour off(Surface surface, LightColour light) {
        return surface.miredShift() == 0 && surface.duvShift() == 0
                ? light
                : new LightColour(
                        FilterEffect.of(surface.miredShift(), 0, surface.duvShift())
                                .behind(light.white()),
                        light.gels());
    }

    List<Patch> patches(Source.LightPath path) {
        LightSource light = path.light();
        List<Patch> patches = new ArrayList<>();
        Direction axis = light.aim();
        Direction right = axis.aside();
        Direction up = axis.cross(right);
        double extent = light.distribution().extentRad();
        double scale = light.output() * light.calibration().k();
        for (int ring = 0; ring < RINGS; ring++) {
            double inner = extent * ring / RINGS;
            double outer = extent * (ring + 1) / RINGS;
            double middle = (inner + outer) / 2;
            double solid = 2 * Math.PI * (Math.cos(inner) - Math.cos(outer)) / SECTORS;
            double lumen = light.distribution().candela(middle) * solid * scale;
            if (lumen <= 0) {
                continue;
            }
            for (int sector = 0; sector < SECTORS; sector++) {
                double turn = 2 * Math.PI * (sector + 0.5 * (ring % 2)) / SECTORS;
                double side = Math.sin(middle);
                Direction ray = new Direction(
                        axis.x() * Math.cos(middle) + side * (right.x() * Math.cos(turn) + up.x() * Math.sin(turn)),
                        axis.y() * Math.cos(middle) + side * (right.y() * Math.cos(turn) + up.y() * Math.sin(turn)),
                        axis.z() * Math.cos(middle) + side * (right.z() * Math.cos(turn) + up.z() * Math.sin(turn)));
                Patch patch = patch(light.at(), ray, path.ignoring(), lumen, Math.sqrt(solid / Math.PI));
                if (patch != null) {
                    patches.add(patch);
                }
            }
        }
        return patches;
    }

    private @Nullable Patch patch(
            SpacePoint from, Direction ray, @Nullable String past, double lumen, double footprint) {
        Hit hit = first(from, ray);
        if (hit == null) {
            return null;
        }
        SpacePoint there = ray.from(from, hit.metres);
        SpacePoint before = ray.from(from, hit.metres * (1 - 1e-5));
        Occlusion.Transmission clear = occlusion.between(from, before, past);
        double part = clear.part() * hit.surface.reflectance();
        return part == 0
                ? null
                : new Patch(there, hit.normal, lumen * part / Math.PI, hit.metres * footprint, hit.surface);
    }

    private @Nullable Hit first(SpacePoint from, Direction ray) {
        SpacePoint far = ray.from(from, FAR_M);
        @Nullable Hit best = null;
        for (Occlusion.Segment wall : occlusion.walls()) {
            double part = wall.meets(from.xM(), from.yM(), far.xM(), far.yM());
            double metres = part * FAR_M;
            if (part > 1e-6 && (best == null || metres < best.metres)) {
                SpacePoint there = ray.from(from, metres);
                boolean solid = there.zM() <= wall.topM()
                        && there.zM() >= 0
                        && !occlusion.open(there.xM(), there.yM(), there.zM());
                if (solid) {
                    best = new Hit(metres, towards(wall, from), wall.wall().paint());
                }
            }
        }
        best = level(from, ray, 0, floor(), Direction.UP, best);
        return set.ceilingHeightM() == null
                ? best
                : level(from, ray, set.ceilingHeightM(), ceiling(), Direction.DOWN, best);
    }

    /** The floor or the ceiling, when it is nearer than what was found; a ceiling only where there is a room below. */
    private @Nullable Hit level(
            SpacePoint from, Direction ray, double height, Surface surface, Direction normal, @Nullable Hit best) {
        double metres = (height - from.zM()) / ray.z();
        if (!(metres > 1e-6)
                || metres > FAR_M
                || (best != null && best.metres <= metres)
                || ray.z() * normal.z() >= 0) {
            return best;
        }
        SpacePoint there = ray.from(from, metres);
        boolean here = normal.z() > 0 || rooms.encloses(PlanPoint.of(there.xM(), there.yM()));
        return here ? new Hit(metres, normal, surface) : best;
    }

    private static Direction towards(Occlusion.Segment wall, SpacePoint from) {
        double x = -(wall.to().yM() - wall.from().yM());
        double y = wall.to().xM() - wall.from().xM();
        double side =
                (from.xM() - wall.from().xM()) * x + (from.yM() - wall.from().yM()) * y;
        return side >= 0 ? new Direction(x, y, 0) : new Direction(-x, -y, 0);
    }

    private Surface floor() {
        return set.floor() == null ? Surface.FLOOR : set.floor();
    }

    private Surface ceiling() {
        return set.ceiling() == null ? Surface.CEILING : set.ceiling();
    }
}
