package org.oblume.core.plot;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.LightColour;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;

/**
 * Colour that a full-colour light is dialled to, on top of its white. Saturation 0 is white.
 *
 * @param hueDeg 0 to 360: 0 red, 120 green, 240 blue
 * @param saturationPercent 0 to 100
 */
public record Colour(double hueDeg, double saturationPercent) implements AttributeValue {

    public static final Colour WHITE = new Colour(0, 0);
    private static final double CIRCLE = 360;
    /** Width of one of the six sides of the colour circle, degrees. */
    private static final double SIDE_DEG = 60;

    private static final double RED_WEIGHT = 0.2126;
    private static final double GREEN_WEIGHT = 0.7152;
    private static final double BLUE_WEIGHT = 0.0722;
    private static final Pattern TYPED =
            Pattern.compile("(?:hue )?(\\d+(?:\\.\\d+)?) ?°?(?:,? (?:saturation |sat )?(\\d+(?:\\.\\d+)?) ?%?)?");

    public Colour {
        Checks.within("Hue", hueDeg, 0, CIRCLE, "°");
        Checks.within("Saturation", saturationPercent, 0, Percent.FULL.value(), " %");
    }

    /** Reads {@code hue 210, saturation 80}, {@code 210 80}, {@code white}; a hue alone is fully saturated. */
    public static Colour parse(String text) {
        String tidy = text.strip().toLowerCase(Locale.ROOT);
        if (tidy.equals("white")) {
            return WHITE;
        }
        Matcher m = TYPED.matcher(tidy);
        if (!m.matches()) {
            throw new Refusal("“%s” is not a colour: type hue 210, saturation 80, or white.".formatted(text));
        }
        return new Colour(
                Double.parseDouble(m.group(1)),
                m.group(2) == null ? Percent.FULL.value() : Double.parseDouble(m.group(2)));
    }

    public boolean plain() {
        return saturationPercent == 0;
    }

    /**
     * What it leaves of linear red, green and blue, the largest being 1 (model: a full-colour head takes away from its white
     * as a saturated gel does). From hue and saturation by the hexagon of the colour circle.
     */
    public GelColour leaves() {
        return new GelColour(channel(0), channel(2 * SIDE_DEG), channel(4 * SIDE_DEG));
    }

    /** What is left of its light, 0 to 1: the luminance of {@link #leaves} by the weights of linear sRGB (model). */
    public double transmission() {
        GelColour left = leaves();
        return RED_WEIGHT * left.red() + GREEN_WEIGHT * left.green() + BLUE_WEIGHT * left.blue();
    }

    /** A light of this hue: it takes away from its white before its gels do. */
    public LightColour on(LightColour light) {
        if (plain()) {
            return light;
        }
        return new LightColour(
                light.white(),
                Stream.concat(Stream.of(leaves()), light.gels().stream()).toList());
    }

    private double channel(double atDeg) {
        double away = Math.abs((hueDeg - atDeg + CIRCLE + CIRCLE / 2) % CIRCLE - CIRCLE / 2);
        double part = Math.max(0, Math.min(1, 2 - away / SIDE_DEG));
        return 1 - Percent.of(saturationPercent).fraction() * (1 - part);
    }

    @Override
    public boolean namesItself() {
        return true;
    }

    @Override
    public String say() {
        return plain()
                ? "white"
                : "hue %s°, saturation %s %%".formatted(Format.number(hueDeg), Format.number(saturationPercent));
    }
}
