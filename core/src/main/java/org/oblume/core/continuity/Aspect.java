package org.oblume.core.continuity;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Stops;

/** What is compared between a shot and the one it is to match. */
public enum Aspect {
    /** Ratio at the mark in the scene's school, stops. */
    RATIO("lit to shadow", "Ratio", "over", "under"),
    /** Bearing that the key comes from: the side of the world, so that a reverse is right; degrees. */
    KEY_SIDE("key side", "Key", "round to the right", "round to the left"),
    /** The lit cheek above the camera's stop, stops. */
    EXPOSURE("lit cheek", "Lit cheek", "over", "under"),
    /** The lit cheek from the camera's white, as the camera sees it, mired; + is warmer. */
    WHITE("white seen", "White", "warm", "cool"),
    /** The lit cheek's tint from the camera's white (model: a difference of Duv), + is greener. */
    TINT("tint seen", "Tint", "green", "magenta"),
    /** The background above the lit cheek, stops. */
    BACKGROUND("background to face", "Background", "over", "under"),
    /** Size of the key as the mark sees it, degrees; differences are in doublings, + is softer. */
    SOFTNESS("softness", "Key", "softer", "harder");

    private static final double HALF_TURN_DEG = 180;
    private static final double FULL_TURN_DEG = 360;
    private final String label;
    private final String subject;
    private final String more;
    private final String less;

    Aspect(String label, String subject, String more, String less) {
        this.label = label;
        this.subject = subject;
        this.more = more;
        this.less = less;
    }

    public String label() {
        return label;
    }

    /** How far a figure is from the one it is to match, signed. */
    public double difference(double recorded, double now) {
        return switch (this) {
            case KEY_SIDE -> turn(now - recorded);
            case SOFTNESS -> Stops.fromRatio(now / recorded).value();
            default -> now - recorded;
        };
    }

    /** A difference in words: {@code Background is 0.7 over}. */
    public String say(double difference) {
        double size = Math.abs(difference);
        String side = difference < 0 ? less : more;
        return switch (this) {
            case KEY_SIDE -> size > HALF_TURN_DEG / 2 ? "Key comes from the other side of the world"
                    : "%s has come %d° %s".formatted(subject, Math.round(size), side);
            case WHITE -> "%s is %d mired too %s".formatted(subject, Math.round(size), side);
            case TINT -> "%s is Duv %s too %s".formatted(subject, Duv.print(size), side);
            case SOFTNESS -> "%s is seen %s times as %s".formatted(subject, Numbers.fixed(Math.pow(2, size), 1), difference < 0 ? "small: harder" : "large: softer");
            default -> "%s is %s %s".formatted(subject, Stops.of(size).inTenths(), side);
        };
    }

    private static double turn(double degrees) {
        double in = ((degrees % FULL_TURN_DEG) + FULL_TURN_DEG) % FULL_TURN_DEG;
        return in > HALF_TURN_DEG ? in - FULL_TURN_DEG : in;
    }
}
