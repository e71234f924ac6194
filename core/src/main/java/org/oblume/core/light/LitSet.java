package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.bust.Bust;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Emitter;
import org.oblume.core.transport.LightMap;
import org.oblume.core.transport.Skin;
import org.oblume.core.transport.Standing;

/**
 * A set as an eye sees it in the light of a shot: its surfaces, busts at the marks, and what gives light (model: surfaces are even and matt;
 * nets, glass and what mirrors show are not drawn).
 */
public final class LitSet {

    private static final int CHANNELS = ConeLight.CHANNELS;

    private final Surfaces surfaces;
    private final StandingGrip inside;
    private final List<SourceEmitters> sources;
    private final List<BustLight> busts;
    private final List<Glowing> glowing = new ArrayList<>();
    private final List<Glow> glows;

    /** Surfaces, and how each sees all others; the same for all lights. */
    static final class Surfaces {

        private static final int SOURCES = 240;

        /** Stands for it in keys: what is kept by them does not keep all of this. */
        private final Object token = new Object();

        private final Standing standing;
        private final List<SeenSurface> seen;
        private final List<Skin> skins;
        private final Kept<Boolean, LightMap> maps = new Kept<>(2);
        private final Kept<Around, double[][]> around = new Kept<>(SOURCES);

        Surfaces(Standing standing, List<SeenSurface> seen) {
            this.standing = standing;
            this.seen = List.copyOf(seen);
            this.skins = seen.stream().map(SeenSurface::skin).toList();
        }

        /** Made when it is first asked for. */
        LightMap map(boolean fine) {
            return maps.get(fine, () -> new LightMap(standing, skins, fine));
        }
    }

    /**
     * Something that gives light.
     *
     * @param source its number
     */
    private record Glowing(int source, Glow glow) {}

    private record Around(boolean fine, SourceEmitters.Key source) {}

    /** All that the light of a source on the surfaces depends on, at full. */
    public record LayerKey(Object surfaces, Object source) {}

    LitSet(StandingGrip inside, List<SourceEmitters> sources, List<Body> bodies, List<BustLight> busts) {
        this.inside = inside;
        this.sources = sources;
        this.busts = busts;
        this.surfaces = inside.surfaces(bodies);
        for (int i = 0; i < sources.size(); i++) {
            for (Glow glow : sources.get(i).glows()) {
                glowing.add(new Glowing(i, glow));
            }
        }
        this.glows = glowing.stream().map(Glowing::glow).toList();
    }

    /** Its flat surfaces, always in this order. */
    public List<Skin> skins() {
        return surfaces.skins;
    }

    /** What each of those is. */
    public SeenSurface surface(int skin) {
        return surfaces.seen.get(skin);
    }

    /** Busts at the marks, in the marks' order. */
    public List<BustLight> busts() {
        return busts;
    }

    /** What gives light. */
    public List<Glow> glows() {
        return glows;
    }

    /** How many sources there are, in the order of the shot's lights. */
    public int sources() {
        return sources.size();
    }

    /** What a source's light is multiplied by, by channel. */
    public double[] gains(int source) {
        return sources.get(source).gains();
    }

    /** Which source a light that is seen is of. */
    public int sourceOf(int glow) {
        return glowing.get(glow).source;
    }

    /** What the surfaces are told apart by from those of another set or state. */
    public Object surfacesKey() {
        return surfaces.token;
    }

    public LayerKey layerKey(int source) {
        return new LayerKey(surfaces.token, sources.get(source).key());
    }

    /** The corners of a bust's facets in the set. */
    public static SpacePoint[][] facets(BustLight bust) {
        return Bust.plain().facets().stream()
                .map(f -> {
                    SpacePoint[] corners = new SpacePoint[f.corners().length];
                    for (int i = 0; i < corners.length; i++) {
                        corners[i] = Body.inSet(bust.face(), bust.facing(), f.corners()[i]);
                    }
                    return corners;
                })
                .toArray(SpacePoint[][]::new);
    }

    /** The light of one source on the surfaces, at full. */
    public final class Layer {

        private final List<Emitter> emitters;
        private final LightMap map;
        private final double[][] around;

        private Layer(SourceEmitters source, boolean fine) {
            this.emitters = source.emitters();
            this.map = surfaces.map(fine);
            this.around = surfaces.around.get(
                    new Around(fine, source.key()), () -> map.around(surfaces.standing.exitance(inside.meets(source))));
        }

        /**
         * What comes to a place on a surface, straight and by way of all others.
         *
         * @param skin number of the surface
         * @param across metres to the right of its panel's middle
         * @param up and above it
         * @return by channel, Y is lux
         */
        public double[] lux(int skin, double x, double y, double z, double across, double up) {
            double[] lux = new double[CHANNELS];
            double[] normal = surfaces.skins.get(skin).normal();
            for (Emitter emitter : emitters) {
                surfaces.standing.straight(emitter, x, y, z, normal, lux);
            }
            map.add(skin, across, up, around, lux);
            return lux;
        }
    }

    /** @param fine whether for a large picture: what comes by way of other surfaces is looked up at more places then */
    public Layer layer(int source, boolean fine) {
        return new Layer(sources.get(source), fine);
    }
}
