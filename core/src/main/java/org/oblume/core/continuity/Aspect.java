package org.oblume.core.continuity;

import org.oblume.core.units.Bearing;
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
    private static final int TINT_DECIMALS = 4;
    private static final int THIRDS = 3;
    private static final double NEARLY = 0.01;
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

    /** A figure with its unit behind a space: {@code 2.4 stops}, {@code 040°}, {@code +4 mired}. */
    public String print(double value) {
        return switch (this) {
            case RATIO -> Stops.of(value).inTenths() + " stops";
            case EXPOSURE, BACKGROUND -> signed(value, 1) + " stops";
            case KEY_SIDE -> Bearing.ofDegrees(value).print();
            case WHITE -> signed(value, 0) + " mired";
            case TINT -> signed(value, TINT_DECIMALS);
            case SOFTNESS -> Numbers.fixed(value, 1) + "°";
        };
    }

    /** A difference with its sign: {@code +0.7}, {@code −12°}; of softness how many times as large. */
    public String printDifference(double difference) {
        return switch (this) {
            case RATIO, EXPOSURE, BACKGROUND -> signed(difference, 1);
            case KEY_SIDE -> signed(difference, 0) + "°";
            case WHITE -> signed(difference, 0);
            case TINT -> signed(difference, TINT_DECIMALS);
            case SOFTNESS -> Numbers.fixed(Math.pow(2, difference), 1) + " times";
        };
    }

    /** A tolerance to either side: {@code ±1/3 stop}, {@code ±12 mired}, {@code 1.5 times}. */
    public String printTolerance(double tolerance) {
        return switch (this) {
            case RATIO, EXPOSURE, BACKGROUND ->
                "±%s stop"
                        .formatted(
                                Math.abs(tolerance * THIRDS - Math.round(tolerance * THIRDS)) < NEARLY
                                        ? Stops.of(tolerance).inThirds()
                                        : Stops.of(tolerance).inTenths());
            case KEY_SIDE -> "±%s°".formatted(Numbers.fixed(tolerance, 0));
            case WHITE -> "±%s mired".formatted(Numbers.fixed(tolerance, 0));
            case TINT -> "±" + Duv.print(tolerance);
            case SOFTNESS -> printDifference(tolerance);
        };
    }

    private static String signed(double value, int decimals) {
        String figure = Numbers.fixed(value, decimals);
        return figure.startsWith("−") || figure.matches("[0.]+") ? figure : "+" + figure;
    }

    /** A difference in words: {@code Background is 0.7 over}. */
    public String say(double difference) {
        double size = Math.abs(difference);
        String side = difference < 0 ? less : more;
        return switch (this) {
            case KEY_SIDE ->
                size > HALF_TURN_DEG / 2
                        ? "Key comes from the other side of the world"
                        : "%s has come %d° %s".formatted(subject, Math.round(size), side);
            case WHITE -> "%s is %d mired too %s".formatted(subject, Math.round(size), side);
            case TINT -> "%s is Duv %s too %s".formatted(subject, Duv.print(size), side);
            case SOFTNESS ->
                "%s is seen %s times as %s"
                        .formatted(
                                subject,
                                Numbers.fixed(Math.pow(2, size), 1),
                                difference < 0 ? "small: harder" : "large: softer");
            default -> "%s is %s %s".formatted(subject, Stops.of(size).inTenths(), side);
        };
    }

    private static double turn(double degrees) {
        double in = ((degrees % FULL_TURN_DEG) + FULL_TURN_DEG) % FULL_TURN_DEG;
        return in > HALF_TURN_DEG ? in - FULL_TURN_DEG : in;
    }
}
