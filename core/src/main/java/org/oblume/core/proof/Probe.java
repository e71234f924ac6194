package org.oblume.core.proof;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.light.Turned;
import org.oblume.core.units.Bearing;

/**
 * Where a meter is held, and how it is turned.
 *
 * @param mark key of the mark that it is held at
 */
public record Probe(String mark, Way way) {

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
        TO_LENS
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
        };
    }

    private static List<double[]> turned(ShotLighting light, MarkLight at, double byDeg) {
        Bearing way = Bearing.ofDegrees(at.facing().degrees() + byDeg);
        return light.falling(at.face(), Direction.of(way, 0)).conesOfEach();
    }

    private static double[] dark() {
        return new double[ConeLight.CHANNELS];
    }

    /** Of a light alone. */
    public static Probe alone(String mark, Turned turned) {
        return new Probe(mark, turned == Turned.TO_LIGHT ? Way.TO_LIGHT : Way.TO_LENS);
    }
}
