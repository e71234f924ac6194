package org.oblume.core.photometry;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * A head moved nearer or farther, and the level that holds the exposure on the mark. Illuminance of a finite source on its
 * axis is {@code E(d) = I / (d² + r²)}, exact for a Lambertian disc.
 *
 * @param change on the mark at unchanged level; negative when moved away
 * @param level that holds the exposure; 100 when it cannot be held
 * @param reachable whether the level is enough
 * @param shortfall stops missing at 100 %, 0 when reachable
 * @param angularSizeFromDeg of the emitter as the mark sees it before, degrees
 * @param angularSizeToDeg and after
 */
public record LevelHold(
        Stops change,
        Percent level,
        boolean reachable,
        Stops shortfall,
        double angularSizeFromDeg,
        double angularSizeToDeg) {

    /**
     * @param fromDistanceM metres, above 0
     * @param toDistanceM metres, above 0
     * @param emitterRadiusM of a disc of the emitter's area, metres, 0 or more
     * @param level before, above 0
     */
    public static LevelHold of(
            double fromDistanceM, double toDistanceM, double emitterRadiusM, Percent level, LevelCurve curve) {
        Checks.above0("fromDistanceM", "The distance", fromDistanceM, " m");
        Checks.above0("toDistanceM", "The distance", toDistanceM, " m");
        Checks.notBelow0("emitterRadiusM", "The emitter's radius", emitterRadiusM, " m");
        if (level.value() == 0) {
            throw new Refusal("levelPercent", "The light is out: there is nothing to hold. Give a level above 0.");
        }
        double farther = onAxis(toDistanceM, emitterRadiusM) / onAxis(fromDistanceM, emitterRadiusM);
        return holding(
                Stops.fromRatio(1 / farther),
                level,
                curve,
                AngularSize.ofDiscDeg(emitterRadiusM, fromDistanceM),
                AngularSize.ofDiscDeg(emitterRadiusM, toDistanceM));
    }

    /**
     * Any change of what a light gives at the same level, held.
     *
     * @param change on the mark at unchanged level
     * @param level before, above 0
     */
    public static LevelHold holding(
            Stops change, Percent level, LevelCurve curve, double angularSizeFromDeg, double angularSizeToDeg) {
        double output = curve.output(level.fraction()) / change.ratio();
        boolean reachable = output <= 1 + Checks.LIMIT_SLACK;
        return new LevelHold(
                change,
                reachable ? Percent.ofFraction(curve.level(Math.min(1, output))) : Percent.FULL,
                reachable,
                reachable ? Stops.NONE : Stops.fromRatio(output),
                angularSizeFromDeg,
                angularSizeToDeg);
    }

    private static double onAxis(double distanceM, double radiusM) {
        return distanceM * distanceM + radiusM * radiusM;
    }
}
