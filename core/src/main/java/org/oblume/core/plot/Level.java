package org.oblume.core.plot;

import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;

/**
 * Dimmer level of a light.
 *
 * @param percent 0 to 100, as it stands on the head or the desk
 */
public record Level(double percent) implements AttributeValue {

    public static final Level FULL = new Level(Percent.FULL.value());

    public Level {
        percent = new Percent(percent).value();
    }

    /** As a part of full, 0 to 1. */
    public double fraction() {
        return Percent.of(percent).fraction();
    }

    public static Level parse(String text) {
        return new Level(Percent.parse(text).value());
    }

    @Override
    public String say() {
        return Format.number(percent) + " %";
    }

    @Override
    public Phrase brief() {
        return Phrase.of(Format.number(percent) + "%");
    }
}
