package org.oblume.core.hint;

import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.MarkLight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/**
 * The camera sees a source in one of two lenses before the eyes (model: pieces of a sphere, turned a little outwards and down as glasses
 * sit; the head is held level).
 */
final class GlassesReflection implements HintRule {

    /** Between the middles of the lenses, metres. */
    private static final double APART_M = 0.064;
    /** A lens is a piece of a sphere of this radius, metres: six dioptres in front. */
    private static final double RADIUS_M = 0.088;

    private static final double WIDE_M = 0.050;
    private static final double HIGH_M = 0.038;
    private static final double DOWN_DEG = 8;
    private static final double OUTWARDS_DEG = 5;
    /** A head is not held still, degrees. */
    private static final double SWAY_DEG = 2;

    private static final double HALF_WIDE_DEG = Math.toDegrees(Math.asin(WIDE_M / 2 / RADIUS_M));
    private static final double HALF_HIGH_DEG = Math.toDegrees(Math.asin(HIGH_M / 2 / RADIUS_M));

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.light().marks().stream()
                .filter(mark -> shot.placement(mark.key()).piece().wearsGlasses())
                .forEach(mark -> shot.lit(mark)
                        .filter(lit -> lit.at().hasDirection() && !lit.at().allAround())
                        .filter(lit -> shows(frame.lens(), mark, lit, -1) || shows(frame.lens(), mark, lit, 1))
                        .forEach(lit -> report(shot, frame.lens(), lit))));
    }

    /** @param side −1 for the lens at the subject's own left, 1 for the right one */
    private static boolean shows(SpacePoint camera, MarkLight mark, HintContext.Lit lit, int side) {
        SpacePoint glass =
                Direction.of(Bearing.ofDegrees(mark.facing().degrees() + 90), 0).from(mark.face(), side * APART_M / 2);
        SpacePoint source = lit.at().direction().from(mark.face(), lit.at().throwM());
        if (glass.coincides(camera) || glass.coincides(source)) {
            return false;
        }
        Direction toCamera = Direction.between(glass, camera);
        Direction toSource = Direction.between(glass, source);
        double x = toCamera.x() + toSource.x();
        double y = toCamera.y() + toSource.y();
        double z = toCamera.z() + toSource.z();
        if (Math.sqrt(x * x + y * y + z * z) < 1e-6) {
            return false;
        }
        Direction normal = new Direction(x, y, z);
        Direction facing = Direction.of(mark.facing(), 0);
        if (normal.dot(facing) <= 0 || toCamera.dot(facing) <= 0) {
            return false;
        }
        double aside = normal.bearing().minus(Bearing.ofDegrees(mark.facing().degrees() + side * OUTWARDS_DEG));
        double slack = SWAY_DEG + lit.at().angularSizeDeg() / 4;
        return Math.abs(aside) < HALF_WIDE_DEG + slack && Math.abs(normal.tiltDeg() + DOWN_DEG) < HALF_HIGH_DEG + slack;
    }

    private static void report(HintContext shot, SpacePoint camera, HintContext.Lit lit) {
        Placement person = shot.placement(lit.mark().key());
        double toCameraDeg = Direction.between(lit.mark().face(), camera).tiltDeg();
        double clearDeg = 2 * (HALF_HIGH_DEG - DOWN_DEG + SWAY_DEG) + lit.at().angularSizeDeg() / 2 - toCameraDeg;
        double level = lit.at().throwM() * Math.cos(Math.toRadians(lit.at().elevationDeg()));
        double up = level
                * (Math.tan(Math.toRadians(Math.min(80, clearDeg)))
                        - Math.tan(Math.toRadians(lit.at().elevationDeg())));
        shot.report(
                HintKind.GLASSES,
                lit.source(),
                false,
                Phrase.of("%s shows in the glasses of %s".formatted(lit.source().name(), person.name())),
                up > 0
                        ? Phrase.format(
                                "The camera sees it in a lens, the head held level (model). Raise it about %s, or turn the glasses down a little.",
                                Length.ofMetres(up).small())
                        : Phrase.of(
                                "The camera sees it in a lens, the head held level (model). Move it to the side, or turn the glasses down a little."),
                null);
    }
}
