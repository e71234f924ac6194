package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * The camera's exposure index.
 *
 * @param iso ISO number, 6 to 204800
 */
public record Speed(double iso) implements AttributeValue {

    private static final double LOWEST = 6;
    private static final double HIGHEST = 204_800;

    public Speed {
        Checks.within("ISO", iso, LOWEST, HIGHEST, "");
    }

    public static Speed parse(String text) {
        String bare = text.strip().replaceFirst("(?i)^(iso|ei)\\s*", "");
        if (!bare.matches("\\d{1,6}")) {
            throw new Refusal("“%s” is not an ISO number: type one such as 800.".formatted(text));
        }
        return new Speed(Double.parseDouble(bare));
    }

    @Override
    public boolean namesItself() {
        return true;
    }

    @Override
    public String say() {
        return "ISO " + Format.number(iso);
    }
}
