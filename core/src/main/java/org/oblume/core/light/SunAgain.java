package org.oblume.core.light;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A streak of sun made again: what shines stands on the way from where the streak lay to where the sun stood, or a mirror does and the
 * light comes to it from elsewhere. A head is nearer than the sun, so its shadows fan and their edges are softer.
 */
public final class SunAgain {

    private static final double FARTHEST_M = 200;
    private static final double HIGHEST_M = 60;
    /** A mirror that is met flatter than this cannot be turned to it on set (a setting of the model), degrees from its normal. */
    private static final double FLATTEST_DEG = 75;

    private final SetPlan set;
    private final SpacePoint streak;
    private final Direction toSun;
    private final SetHall.@Nullable Passed passed;

    /**
     * Where a head stands for it.
     *
     * @param wayM from the head to where the streak lay, along the light, metres
     * @param fromOpeningM and to the opening that it comes by; to where the streak lay when there is none
     */
    public record Stand(SpacePoint head, double wayM, double fromOpeningM) {}

    /**
     * Where a mirror and a head stand for it.
     *
     * @param normal the way that the mirror looks
     * @param metAtDeg angle of the light from its normal, degrees
     * @param wideM that it has to be to fill the opening, metres; null when there is none. For the middle of the head (model).
     * @param tallM and how tall
     */
    public record Mirrored(
            Stand stand,
            SpacePoint mirror,
            Direction normal,
            double metAtDeg,
            @Nullable Double wideM,
            @Nullable Double tallM) {}

    /**
     * @param streak where it lay
     * @param sun where the sun stood
     * @throws Refusal when the sun was down
     */
    public SunAgain(SetPlan set, SpacePoint streak, SunDirection sun) {
        if (!(sun.elevationDeg() > 0)) {
            throw new Refusal("at", "The sun was down then: choose the time at which it lay there.");
        }
        this.set = set;
        this.streak = streak;
        this.toSun = SunReach.towards(sun, set.northDeg());
        this.passed = SetHall.of(set, List.of())
                .passed(streak, toSun.from(streak, FARTHEST_M))
                .orElse(null);
    }

    /** The way to the sun. */
    public Direction toSun() {
        return toSun;
    }

    /** The opening that it came by, if any. */
    public Optional<SetPlan.Opening> opening() {
        return Optional.ofNullable(passed).map(SetHall.Passed::opening);
    }

    /** From where the streak lay to the opening, along the light, metres; 0 without one. */
    public double toOpeningM() {
        return passed == null ? 0 : streak.distanceM(passed.at());
    }

    /**
     * A head so far off: its height is the streak's and {@code distance · tan(elevation)} of the sun.
     *
     * @param fromOpeningM from the opening, along the light, metres, above 0 to 200; from the streak when there is none
     */
    public Stand straight(double fromOpeningM) {
        far("fromOpeningM", "The head", fromOpeningM);
        return new Stand(onTheWay(fromOpeningM), toOpeningM() + fromOpeningM, fromOpeningM);
    }

    /**
     * A mirror on the way, and a head that shines into it.
     *
     * @param mirrorM of the mirror from the opening, along the light, metres, above 0 to 200
     * @param headM of the head from the mirror, metres, above 0 to 200
     * @param headBearing of the head as the mirror sees it
     * @param headHeightM of the head, metres, 0 to 60
     * @throws Refusal when no head so near to the mirror can be so much lower or higher, or the mirror would be met too flat
     */
    public Mirrored byMirror(double mirrorM, double headM, Bearing headBearing, double headHeightM) {
        far("mirrorM", "The mirror", mirrorM);
        far("headM", "The head", headM);
        Checks.within("headHeightM", "The head’s height", headHeightM, 0, HIGHEST_M, " m");
        SpacePoint mirror = onTheWay(mirrorM);
        double rise = headHeightM - mirror.zM();
        if (Math.abs(rise) >= headM) {
            throw new Refusal(
                    "headM",
                    "The mirror hangs at %.2f m and the head at %.2f m: they are more than %.2f m apart. Take the head farther off."
                            .formatted(mirror.zM(), headHeightM, headM));
        }
        Direction toHead = Direction.of(headBearing, Math.toDegrees(Math.asin(rise / headM)));
        Direction toStreak = toSun.opposite();
        double met = toHead.angleTo(toStreak) / 2;
        if (Math.toDegrees(met) > FLATTEST_DEG) {
            throw new Refusal(
                    "headBearingDeg",
                    "The mirror would be met at %.0f° from its normal: set the head more to the side that the streak lies on."
                            .formatted(Math.toDegrees(met)));
        }
        Direction normal =
                new Direction(toHead.x() + toStreak.x(), toHead.y() + toStreak.y(), toHead.z() + toStreak.z());
        double all = mirrorM + headM;
        Stand stand = new Stand(toHead.from(mirror, headM), toOpeningM() + all, all);
        Double wide = null;
        Double tall = null;
        if (passed != null) {
            // as the way narrows from the opening to the head's picture behind the mirror
            double part = headM / all;
            wide = part * passed.opening().widthM() / Math.cos(met);
            tall = part * (passed.opening().headM() - passed.opening().sillM()) / Math.cos(met);
        }
        return new Mirrored(stand, mirror, normal, Math.toDegrees(met), wide, tall);
    }

    /** The edge that a bar in the opening throws where the streak lay; empty when it comes by no opening. */
    public Optional<Shadow> shadow(Stand stand, double emitterRadiusM) {
        return passed == null
                ? Optional.empty()
                : Optional.of(new Shadow(emitterRadiusM, stand.fromOpeningM(), toOpeningM()));
    }

    /** The beam at which the opening is within half intensity from side to side, as far as a head goes, degrees; at spot without one. */
    public double beamDeg(Stand stand, Optics optics) {
        double fills = passed == null
                ? 0
                : new Shadow(0, stand.fromOpeningM(), toOpeningM())
                        .fanDeg(passed.opening().widthM());
        return Math.max(optics.spotBeamDeg(), Math.min(optics.floodBeamDeg(), fills));
    }

    /** A place on the plan, told to be outside where it is. */
    public Place place(SpacePoint at) {
        return new Place(at.xM(), at.yM(), !set.tapeWalls().encloses(at.onPlan()));
    }

    private SpacePoint onTheWay(double fromOpeningM) {
        return toSun.from(streak, toOpeningM() + fromOpeningM);
    }

    private static void far(String field, String what, double metres) {
        Checks.above0(field, what, metres, " m");
        Checks.within(field, what, metres, 0, FARTHEST_M, " m");
    }
}
