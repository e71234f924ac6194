package org.oblume.core.plot;

import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Phrase;

/**
 * Colour temperature that a light is dialled to, before its filters.
 *
 * @param kelvin 1000 to 25000
 */
public record ColourTemperature(double kelvin) implements AttributeValue {

    public ColourTemperature {
        kelvin = new Kelvin(kelvin).value();
    }

    public static ColourTemperature parse(String text) {
        return new ColourTemperature(Kelvin.parse(text).value());
    }

    @Override
    public String say() {
        return new Kelvin(kelvin).print();
    }

    @Override
    public Phrase brief() {
        return Phrase.of("%dK".formatted(Math.round(kelvin)));
    }
}
