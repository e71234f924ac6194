package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;

/**
 * Height above the floor datum: of a head's lens, a flag's middle, a camera's lens, a person's eyes.
 *
 * @param heightM metres, −10 to 60
 */
public record Height(double heightM) implements AttributeValue {

    private static final double LOWEST_M = -10;
    private static final double HIGHEST_M = 60;

    public Height {
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
