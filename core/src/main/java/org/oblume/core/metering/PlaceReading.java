package org.oblume.core.metering;

import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * What was read at one place under all lights, besides the lit cheek.
 *
 * @param name of a place of the crew's own, 1 to 40 characters; null for the others
 * @param lux above 0 to 200,000, or null
 * @param kelvin 1000 to 25000, or null
 * @param duv −0.05 to 0.05, + is green; given with the kelvin, or null
 * @param percent on the monitor, of the video range, −7 to 109, or null
 */
public record PlaceReading(
        MeterPlace place,
        @Nullable String name,
        @Nullable Double lux,
        @Nullable Double kelvin,
        @Nullable Double duv,
        @Nullable Double percent) {

    private static final int LONGEST_NAME = 40;

    public PlaceReading {
        if ((place == MeterPlace.OWN) == (name == null)) {
            throw new Refusal("line", "A place of your own has a name, such as on the papers; others have none.");
        }
        if (name != null) {
            name = Checks.text("The name of the place", name, LONGEST_NAME);
        }
        Reading.check("The reading of the " + label(place, name), lux);
        Signals.check(label(place, name), percent);
        if (kelvin != null) {
            new ColourReading(new Kelvin(kelvin).value(), duv == null ? 0 : new Duv(duv).value());
        } else if (duv != null) {
            throw Reading.tintAlone();
        }
        if (lux == null && kelvin == null && percent == null) {
            throw new Refusal(
                    "line", "Nothing is read for %s: type a stop, a light or a colour.".formatted(label(place, name)));
        }
    }

    private static String label(MeterPlace place, @Nullable String name) {
        return name == null ? place.label() : "%s %s".formatted(place.label(), name);
    }

    /** Where it was: {@code back left}, {@code on the papers}. */
    public String label() {
        return label(place, name);
    }
}
