package org.oblume.core.plot;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * Sun that lay on a mark: when, and so where it stood.
 *
 * @param at when it lay there
 * @param sunLux of the sun alone, meter turned to it, lux, above 0 to 200000; null when nobody metered it
 */
public record Streak(Instant at, @Nullable Double sunLux) implements AttributeValue {

    private static final double BRIGHTEST_LUX = 200_000;

    public Streak {
        if (sunLux != null) {
            Checks.above0("sunLux", "The light of the sun", sunLux, " lux");
            Checks.within("sunLux", "The light of the sun", sunLux, 0, BRIGHTEST_LUX, " lux");
        }
    }

    @Override
    public String say() {
        String when = String.format(Locale.UK, "%1$te %1$tb %1$tY, %1$tH:%1$tM UTC", at.atOffset(ZoneOffset.UTC));
        return sunLux == null ? when : "%s, %s lux".formatted(when, Format.number(sunLux));
    }
}
