package org.oblume.core.proof;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.LightMix;
import org.oblume.core.geometry.Direction;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.light.Turned;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Bearing;

/**
 * Where a meter is held, and how it is turned.
 *
 * @param mark key of the mark that it is held at
 * @param light key of the one that it is turned to with all of them on; null for other ways
 */
public record Probe(String mark, Way way, @Nullable String light) {

    /** How it is turned. */
    public enum Way {
        /** As the subject's own left cheek, 45° off the way it looks. */
        LEFT,
        RIGHT,
        /** On what the camera sees behind the mark. */
        BACKGROUND,
        /** To what lies behind the subject, 135° off the way it looks: where edges and kickers arrive. */
        BACK_LEFT,
        BACK_RIGHT,
        /** To where the one light stands that is on. */
        TO_LIGHT,
        TO_LENS,
        /** To where one of them is recorded to stand, with all of them on. */
        TO_ONE_OF_ALL
    }

    public Probe {
        if ((way == Way.TO_ONE_OF_ALL) == (light == null)) {
            throw new IllegalArgumentException("A light is named for %s only.".formatted(Way.TO_ONE_OF_ALL));
        }
    }

    /** Turned to no light of all. */
    public Probe(String mark, Way way) {
        this(mark, way, null);
    }

    private static final double BACK_DEG = 135;

    /**
     * What each light brings here, by channel, in the order of {@link ShotLighting#lights()}; darkness where the mark does not stand.
     */
    List<double[]> brought(ShotLighting light) {
        return light.mark(mark)
                .map(at -> brought(light, at))
                .orElse(light.lights().stream().map(l -> dark()).toList());
    }

    private List<double[]> brought(ShotLighting light, MarkLight at) {
        return switch (way) {
            case LEFT -> at.left().conesOfEach();
            case RIGHT -> at.right().conesOfEach();
            case BACKGROUND -> {
                SurfaceLight behind = at.background();
                yield behind == null ? light.lights().stream().map(l -> dark()).toList() : behind.conesOfEach();
            }
            case BACK_LEFT -> turned(light, at, -BACK_DEG);
            case BACK_RIGHT -> turned(light, at, BACK_DEG);
            case TO_LIGHT ->
                at.sources().stream().map(MarkLight.SourceAtMark::toLight).toList();
            case TO_LENS ->
                at.sources().stream()
                        .map(s -> s.toLens() == null ? dark() : s.toLens())
                        .toList();
            case TO_ONE_OF_ALL -> towards(light, at);
        };
    }

    private List<double[]> towards(ShotLighting all, MarkLight at) {
        String key = Objects.requireNonNull(light);
        return all.state()
                .value(key, Place.class)
                .map(place -> place.point()
                        .at(all.state()
                                .value(key, Height.class)
                                .map(Height::heightM)
                                .orElse(at.face().zM())))
                .map(to ->
                        all.falling(at.face(), Direction.between(at.face(), to)).conesOfEach())
                .orElse(all.lights().stream().map(l -> dark()).toList());
    }

    /** What each light gives a meter there, lux, by its key. */
    public Map<String, Double> lux(ShotLighting light) {
        List<double[]> each = brought(light);
        Map<String, Double> lux = new LinkedHashMap<>();
        for (int i = 0; i < each.size(); i++) {
            lux.put(light.lights().get(i).key(), ConeLight.luminance(each.get(i)));
        }
        return lux;
    }

    /** All the light that a meter gets there; nothing where it is dark. */
    public Optional<LightMix> all(ShotLighting light) {
        double[] sum = dark();
        for (double[] one : brought(light)) {
            for (int c = 0; c < sum.length; c++) {
                sum[c] += one[c];
            }
        }
        return ConeLight.luminance(sum) > 0 ? Optional.of(ConeLight.mix(sum)) : Optional.empty();
    }

    private static List<double[]> turned(ShotLighting light, MarkLight at, double byDeg) {
        Bearing way = Bearing.ofDegrees(at.facing().degrees() + byDeg);
        return light.falling(at.face(), Direction.of(way, 0)).conesOfEach();
    }

    private static double[] dark() {
        return new double[ConeLight.CHANNELS];
    }

    /** On the cheek that is the brighter one in this light. */
    static Probe lit(ShotLighting light, String mark) {
        return new Probe(mark, leftIsLit(light, mark) ? Way.LEFT : Way.RIGHT);
    }

    private static Probe shadow(ShotLighting light, String mark) {
        return new Probe(mark, leftIsLit(light, mark) ? Way.RIGHT : Way.LEFT);
    }

    private static boolean leftIsLit(ShotLighting light, String mark) {
        return light.mark(mark).map(MarkLight::leftIsLit).orElse(true);
    }

    /** To the key, all lights on; empty where none is on. */
    static Optional<Probe> toKey(ShotLighting light, String mark) {
        return light.lights().stream()
                .filter(l -> l.role() == Role.KEY)
                .findFirst()
                .map(Placement::key)
                .map(key -> towards(mark, key));
    }

    /** Turned to where a light is recorded to stand, all lights on. */
    public static Probe towards(String mark, String light) {
        return new Probe(mark, Way.TO_ONE_OF_ALL, light);
    }

    /** Of all lights at a place; empty for a place of the crew's own, and to the key where there is none. */
    public static Optional<Probe> at(ShotLighting light, String mark, MeterPlace place) {
        return switch (place) {
            case SHADOW -> Optional.of(shadow(light, mark));
            case BACKGROUND -> Optional.of(new Probe(mark, Way.BACKGROUND));
            case BACK_LEFT -> Optional.of(new Probe(mark, Way.BACK_LEFT));
            case BACK_RIGHT -> Optional.of(new Probe(mark, Way.BACK_RIGHT));
            case KEY -> toKey(light, mark);
            case OWN -> Optional.empty();
        };
    }

    /** Of a light alone. */
    public static Probe alone(String mark, Turned turned) {
        return new Probe(mark, turned == Turned.TO_LIGHT ? Way.TO_LIGHT : Way.TO_LENS);
    }
}
