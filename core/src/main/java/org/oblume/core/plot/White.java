package org.oblume.core.plot;

import org.oblume.core.colour.CameraWhite;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Phrase;

/**
 * What the camera takes for white.
 *
 * @param kelvin 1000 to 25000
 * @param duv tint, −0.05 to 0.05
 */
public record White(double kelvin, double duv) implements AttributeValue {

    public White {
        kelvin = new Kelvin(kelvin).value();
        duv = new Duv(duv).value();
        CameraWhite.of(new Kelvin(kelvin), new Duv(duv));
    }

    /** Reads {@code 4300} or {@code 4300 +0.002}. */
    public static White parse(String text) {
        String[] parts = text.strip().split("[,;\\s]+(?=[+−-])", 2);
        return new White(
                Kelvin.parse(parts[0]).value(),
                parts.length < 2 ? 0 : Duv.parse(parts[1]).value());
    }

    public CameraWhite camera() {
        return CameraWhite.of(new Kelvin(kelvin), new Duv(duv));
    }

    @Override
    public String say() {
        return new Kelvin(kelvin).print() + (duv == 0 ? "" : ", tint " + new Tint(duv).say());
    }

    @Override
    public Phrase typed() {
        String white = "%d".formatted(Math.round(kelvin));
        return Phrase.of(duv == 0 ? white : "%s %+.4f".formatted(white, duv).replaceFirst("0+$", ""));
    }
}
