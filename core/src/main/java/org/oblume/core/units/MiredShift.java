package org.oblume.core.units;

/**
 * What a filter does to colour temperature, in mireds (1e6 / kelvin); + is warmer. Shifts of a stack add.
 *
 * @param value mired, any finite number
 */
public record MiredShift(double value) {

    public static final MiredShift NONE = new MiredShift(0);

    public MiredShift {
        Checks.finite("A mired shift", value);
    }

    public static MiredShift of(double value) {
        return new MiredShift(value);
    }

    /** The shift that takes one colour temperature to another. */
    public static MiredShift between(Kelvin from, Kelvin to) {
        return new MiredShift(to.mired() - from.mired());
    }

    public MiredShift plus(MiredShift other) {
        return new MiredShift(value + other.value);
    }

    /** As on a swatch book: {@code +64}, {@code −137}, {@code 0}. */
    public String print() {
        String number = Numbers.fixed(value, 0);
        return Math.round(value) > 0 ? "+" + number : number;
    }
}
