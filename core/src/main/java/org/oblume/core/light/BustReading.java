package org.oblume.core.light;

import java.util.Comparator;
import java.util.Optional;
import org.oblume.core.units.Bearing;

/**
 * What is read off the bust: where the shadow of the nose falls.
 *
 * @param source key of the light that throws it
 * @param downDeg where it falls on the face as one looks at it: 0 straight down, + to the subject's own left, above −180 to 180
 */
public record BustReading(String source, double downDeg) {

    /** From nearer to straight ahead the nose throws no shadow that is seen, degrees. */
    private static final double AHEAD_DEG = 12;

    private static final double QUARTER_TURN_DEG = 90;

    /** Of the light that brings most to the face straight; empty when it comes from all around, from ahead or from behind. */
    public static Optional<BustReading> of(MarkLight mark) {
        return mark.sources().stream()
                .filter(s -> s.hasDirection() && !s.allAround())
                .filter(s -> Math.abs(turnDeg(mark.facing(), s)) < QUARTER_TURN_DEG)
                .max(Comparator.comparingDouble(MarkLight.SourceAtMark::wayLux))
                .flatMap(s -> of(mark.facing(), s));
    }

    private static double turnDeg(Bearing facing, MarkLight.SourceAtMark source) {
        return source.from().minus(facing);
    }

    private static Optional<BustReading> of(Bearing facing, MarkLight.SourceAtMark source) {
        double turn = Math.toRadians(turnDeg(facing, source));
        double up = Math.toRadians(source.elevationDeg());
        double ahead = Math.cos(up) * Math.cos(turn);
        double fromRight = Math.cos(up) * Math.sin(turn);
        if (Math.toDegrees(Math.acos(Math.min(1, ahead))) < AHEAD_DEG) {
            return Optional.empty();
        }
        return Optional.of(new BustReading(source.source(), Math.toDegrees(Math.atan2(fromRight, Math.sin(up)))));
    }
}
