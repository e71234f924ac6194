package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * Neutral density before the camera's lens or in it.
 *
 * @param density D, 0 to 4: 0.3 costs a stop
 */
public record LensNd(double density) implements AttributeValue {

    private static final double DENSEST = 4;

    public LensNd {
        Checks.within("ND", density, 0, DENSEST, "");
    }

    /** Reads {@code 0.6}, {@code ND 0.6} or {@code clear}. */
    public static LensNd parse(String text) {
        String bare = text.strip().replaceFirst("(?i)^nd\\s*", "");
        if (bare.equalsIgnoreCase("clear") || bare.equalsIgnoreCase("none")) {
            return new LensNd(0);
        }
        return new LensNd(Numbers.read(bare)
                .orElseThrow(() ->
                        new Refusal("“%s” is not an ND: type its density such as 0.6, or clear.".formatted(text))));
    }

    public Stops stops() {
        return Stops.fromDensity(density);
    }

    @Override
    public String say() {
        return density == 0 ? "clear" : "ND " + Format.number(density);
    }
}
