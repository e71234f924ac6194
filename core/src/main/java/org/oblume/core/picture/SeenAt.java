package org.oblume.core.picture;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.bust.Bust;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.LitSet;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.transport.Skin;

/**
 * What is seen at a place of a frame, with its light as exact as at a mark.
 *
 * @param on name of what it is a part of; of a mark's face, "face"
 * @param placement key of the placement that it is of, or null
 * @param light on it
 * @param reflectance what of it a camera sees, luminance of what is sent on over what falls on it
 */
public record SeenAt(String on, @Nullable String placement, SurfaceLight light, double reflectance) {

    private static final double HALF = 0.5;
    /** A cheek is hidden when something is this much nearer, metres. */
    private static final double BEFORE_M = 0.03;

    /**
     * @param x from the left edge, 0 to 1
     * @param y from the upper edge, 0 to 1
     * @return empty where there is nothing, or only what gives light
     */
    public static Optional<SeenAt> of(FrameView view, ShotLighting lighting, LitSet set, double x, double y) {
        double[] way = new double[3];
        view.rays().into(x * view.width(), y * view.height(), way);
        return from(view.camera().lens(), way, lighting, set);
    }

    /** What is behind the face at a mark, as a lens sees it. */
    public static Optional<SeenAt> behind(CameraFrame camera, ShotLighting lighting, LitSet set, int mark) {
        SpacePoint face = lighting.marks().get(mark).face();
        if (face.coincides(camera.lens())) {
            return Optional.empty();
        }
        Direction way = Direction.between(camera.lens(), face);
        return from(face, new double[] {way.x(), way.y(), way.z()}, lighting, set);
    }

    private static Optional<SeenAt> from(SpacePoint eye, double[] way, ShotLighting lighting, LitSet set) {
        SeenThings things = new SeenThings(set, set.glows(), 0);
        double[] metres = new double[1];
        int what = things.first(eye, way, metres);
        if (what == SeenThings.NOTHING) {
            return Optional.empty();
        }
        if (things.isFacet(what)) {
            BustLight bust = set.busts().get(things.bust(what));
            return Optional.of(new SeenAt(
                    "face",
                    lighting.marks().get(things.bust(what)).key(),
                    bust.on(things.facet(what)),
                    Bust.REFLECTANCE));
        }
        if (what >= things.skins()) {
            return Optional.empty();
        }
        SpacePoint at = new SpacePoint(
                eye.xM() + metres[0] * way[0], eye.yM() + metres[0] * way[1], eye.zM() + metres[0] * way[2]);
        Skin skin = set.skins().get(what);
        double[] normal = skin.normal();
        SurfaceLight light = lighting.falling(at, new Direction(normal[0], normal[1], normal[2]));
        return Optional.of(new SeenAt(
                set.surface(what).name(), set.surface(what).placement(), light, reflectance(light, skin.sends())));
    }

    private static double reflectance(SurfaceLight light, double[] sends) {
        double[] sum = new double[ConeLight.CHANNELS];
        for (double[] one : light.conesOfEach()) {
            for (int c = 0; c < sum.length; c++) {
                sum[c] += one[c];
            }
        }
        double falls = ConeLight.luminance(sum);
        return falls > 0 ? ConeLight.luminance(ConeLight.times(sum, sends)) / falls : sends[1];
    }

    /**
     * Where a cheek of a bust is in a frame.
     *
     * @param x from the left edge, 0 to 1 in the frame
     * @param y from the upper edge
     * @param seen whether it is in the frame, turned to the camera, and nothing stands before it
     */
    public record Spot(double x, double y, boolean seen) {}

    /** Empty when it is behind the lens. */
    public static Optional<Spot> cheek(CameraFrame camera, LitSet set, int bust, boolean left) {
        int facet = Bust.plain().cheek(left);
        SpacePoint[] corners = LitSet.facets(set.busts().get(bust))[facet];
        double x = 0;
        double y = 0;
        double z = 0;
        for (SpacePoint corner : corners) {
            x += corner.xM() / corners.length;
            y += corner.yM() / corners.length;
            z += corner.zM() / corners.length;
        }
        return spot(camera, set, new SpacePoint(x, y, z));
    }

    /** Where a place in the set is in a frame; empty when it is behind the lens. */
    public static Optional<Spot> spot(CameraFrame camera, LitSet set, SpacePoint at) {
        CameraFrame.Seen seen = camera.see(at);
        if (seen == null) {
            return Optional.empty();
        }
        Direction way = Direction.between(camera.lens(), at);
        double[] metres = new double[1];
        new SeenThings(set, set.glows(), 0).first(camera.lens(), new double[] {way.x(), way.y(), way.z()}, metres);
        boolean free = metres[0] > camera.lens().distanceM(at) - BEFORE_M;
        return Optional.of(new Spot(HALF + seen.x() / 2, HALF - seen.y() / 2, seen.inside() && free));
    }
}
