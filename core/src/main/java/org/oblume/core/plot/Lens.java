package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * The camera's lens.
 *
 * @param focalLengthMm millimetres, 2 to 2000
 */
public record Lens(double focalLengthMm) implements AttributeValue {

    private static final double SHORTEST_MM = 2;
    private static final double LONGEST_MM = 2000;
    private static final double MM_PER_M = 1000;

    public Lens {
        Checks.within("Focal length", focalLengthMm, SHORTEST_MM, LONGEST_MM, " mm");
    }

    public static Lens parse(String text) {
        String bare = text.strip().replaceFirst("(?i)\\s*mm$", "");
        try {
            return new Lens(Length.parse(bare + " mm").metres() * MM_PER_M);
        } catch (Refusal notALength) {
            if (bare.matches("[\\d.]+")) {
                throw notALength;
            }
            throw new Refusal("“%s” is not a lens: type its focal length in millimetres, such as 50.".formatted(text));
        }
    }

    /** Horizontal view in degrees on a sensor so many metres wide: {@code 2·atan(w / 2f)}. */
    public double viewDeg(double sensorWidthM) {
        return 2 * Math.toDegrees(Math.atan(sensorWidthM * MM_PER_M / (2 * focalLengthMm)));
    }

    @Override
    public String say() {
        return Format.number(focalLengthMm) + " mm";
    }

    @Override
    public Phrase brief() {
        return Phrase.of(Format.number(focalLengthMm) + "mm");
    }
}
