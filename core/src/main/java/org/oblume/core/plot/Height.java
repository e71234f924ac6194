package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;

/**
 * Height above the floor datum: of a head's lens, a flag's middle, a camera's lens, a person's eyes.
 *
 * @param heightM metres, −10 to 60
 */
public record Height(double heightM) implements AttributeValue {

    private static final double LOWEST_M = -10;
    private static final double HIGHEST_M = 60;

    public Height {
        check(heightM);
    }

    /**
     * Checks a height that stands in another value.
     *
     * @throws Refusal when nothing on a set is that low or high
     */
    static void check(double heightM) {
        Checks.within("Height", heightM, LOWEST_M, HIGHEST_M, " m");
    }

    public static Height parse(String text) {
        return new Height(Length.parse(text).metres());
    }

    @Override
    public String say() {
        return Length.ofMetres(heightM).printMetric();
    }

    @Override
    public String sayImperial() {
        return Length.ofMetres(heightM).printImperial();
    }
}
