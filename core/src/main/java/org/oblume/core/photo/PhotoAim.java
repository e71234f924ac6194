package org.oblume.core.photo;

import java.util.Optional;
import org.oblume.core.geometry.Aim;
import org.oblume.core.units.Bearing;

/**
 * Which way something points, by two points that photographs tell: its own place and the spot that it lights, or the end of a stick held
 * along it. How sure is to first order, both points independent of each other (model: they are seen from the same cameras).
 *
 * @param aim with the distance to the spot
 * @param sigmaDeg one standard deviation of the bearing, degrees
 */
public record PhotoAim(Aim aim, double sigmaDeg) {

    /** A bearing that strays more is asked for as without photographs, degrees. */
    private static final double MOST_SIGMA_DEG = 5;

    private static final double ELSEWHERE_SIGMAS = 3;
    /** A head is turned by hand, and never nearer than this, degrees. */
    private static final double SAME_DEG = 2;

    private static final double LEAST_WAY_M = 0.05;
    private static final double QUARTER_TURN_DEG = 90;

    /** Empty while both are the same place on the floor. */
    public static Optional<PhotoAim> of(PhotoPoint from, PhotoPoint to) {
        double wayM = from.place().onPlan().distanceM(to.place().onPlan());
        if (wayM < LEAST_WAY_M) {
            return Optional.empty();
        }
        Aim aim = Aim.between(from.place(), to.place());
        double across = aim.bearing().degrees() + QUARTER_TURN_DEG;
        double sigmaM = Math.hypot(from.floor().along(across), to.floor().along(across));
        return Optional.of(new PhotoAim(aim, Math.toDegrees(Math.atan2(sigmaM, wayM))));
    }

    public boolean isSure() {
        return sigmaDeg <= MOST_SIGMA_DEG;
    }

    /** Whether it differs from a bearing that was recorded by more than three standard deviations, and by 2° at the least. */
    public boolean isElsewhereThan(Bearing recorded) {
        return Math.abs(aim.bearing().minus(recorded)) > Math.max(SAME_DEG, ELSEWHERE_SIGMAS * sigmaDeg);
    }
}
