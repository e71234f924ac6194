package org.oblume.core.plot;

import org.oblume.core.units.Percent;

/**
 * Dimmer level of a light.
 *
 * @param percent 0 to 100, as it stands on the head or the desk
 */
public record Level(double percent) implements AttributeValue {

    public Level {
        percent = new Percent(percent).value();
    }

    public static Level parse(String text) {
        return new Level(Percent.parse(text).value());
    }

    @Override
    public String say() {
        return Format.number(percent) + " %";
    }
}
