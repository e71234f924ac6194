package org.oblume.core.plot;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * The light of sky and sun at a window, as it was metered there.
 *
 * @param skyLux on the pane from the sky, meter upright and looking out, sun shaded, lux, 0 to 200000
 * @param sunLux from the sun alone, meter turned to it, lux, 0 to 200000; 0 under cloud or on the shaded side
 * @param meteredAt when it was metered, or null
 * @param at the time that the shot is lit for, or null for the time of metering
 */
public record Daylight(double skyLux, double sunLux, @Nullable Instant meteredAt, @Nullable Instant at)
        implements AttributeValue {

    private static final double BRIGHTEST_LUX = 200_000;

    public Daylight {
        Checks.within("skyLux", "The light of the sky", skyLux, 0, BRIGHTEST_LUX, " lux");
        Checks.within("sunLux", "The light of the sun", sunLux, 0, BRIGHTEST_LUX, " lux");
    }

    @Override
    public String say() {
        return "sky %s lux%s"
                .formatted(Format.number(skyLux), sunLux == 0 ? "" : ", sun %s lux".formatted(Format.number(sunLux)));
    }
}
