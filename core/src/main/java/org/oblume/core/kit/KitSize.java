package org.oblume.core.kit;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;

/**
 * How large something of the kit is, as far as that matters of it.
 *
 * @param widthM metres, above 0 to 100, or null
 * @param lengthM height of a sheet or cloth, what is left on a roll, length of a cable, metres, above 0 to 1000, or null
 * @param areaMm2 of one conductor of a cable, mm², 0.5 to 240, or null
 * @param wattHours of a battery, above 0 to 100 000, or null
 */
public record KitSize(
        @Nullable Double widthM, @Nullable Double lengthM, @Nullable Double areaMm2, @Nullable Double wattHours) {

    /** Of what has no size that matters. */
    public static final KitSize NONE = new KitSize(null, null, null, null);

    private static final double WIDEST_M = 100;
    private static final double LONGEST_M = 1000;
    private static final double THINNEST_MM2 = 0.5;
    private static final double THICKEST_MM2 = 240;
    private static final double MOST_WH = 100_000;
    private static final double HEM_M = 0.05;
    /** How many times its area a cloth may be for a piece. */
    private static final double MOST_WASTE = 4;

    public KitSize {
        if (widthM != null) {
            Checks.above0("widthM", "The width", widthM, " m");
            Checks.within("widthM", "The width", widthM, 0, WIDEST_M, " m");
        }
        if (lengthM != null) {
            Checks.above0("lengthM", "The length", lengthM, " m");
            Checks.within("lengthM", "The length", lengthM, 0, LONGEST_M, " m");
        }
        if (areaMm2 != null) {
            Checks.within("areaMm2", "The cable's section", areaMm2, THINNEST_MM2, THICKEST_MM2, " mm²");
        }
        if (wattHours != null) {
            Checks.above0("wattHours", "The battery", wattHours, " Wh");
            Checks.within("wattHours", "The battery", wattHours, 0, MOST_WH, " Wh");
        }
    }

    /** Of something flat, metres. */
    public static KitSize flat(double widthM, double heightM) {
        return new KitSize(widthM, heightM, null, null);
    }

    /** Whether it is flat and covers another, either way round. */
    public boolean covers(KitSize other) {
        return fits(other, 0);
    }

    /** Whether it covers another and is no waste for it: at most twice as wide and as high, or about that. */
    public boolean suits(KitSize other) {
        return covers(other) && areaM2() <= MOST_WASTE * other.areaM2();
    }

    /** Whether both are flat and of one size, either way round, as near as hems are. */
    public boolean isAbout(KitSize other) {
        return fits(other, HEM_M) && other.fits(this, HEM_M);
    }

    private boolean fits(KitSize other, double slackM) {
        if (widthM == null || lengthM == null || other.widthM == null || other.lengthM == null) {
            return false;
        }
        double slack = slackM + Checks.LIMIT_SLACK;
        return Math.max(widthM, lengthM) + slack >= Math.max(other.widthM, other.lengthM)
                && Math.min(widthM, lengthM) + slack >= Math.min(other.widthM, other.lengthM);
    }

    /** Square metres; 0 of what is not flat. */
    public double areaM2() {
        return widthM == null || lengthM == null ? 0 : widthM * lengthM;
    }

    /** As it is called: {@code 2.4 × 2.4 m}, {@code 98 Wh}, {@code 10 m of 2.5 mm²}; empty when there is nothing to say. */
    public Phrase phrase() {
        List<Phrase> parts = new ArrayList<>();
        if (widthM != null && lengthM != null) {
            parts.add(new Phrase(
                    "%s × %s m".formatted(Numbers.plain(widthM), Numbers.plain(lengthM)),
                    "%s × %s"
                            .formatted(
                                    Length.ofMetres(widthM).printImperial(),
                                    Length.ofMetres(lengthM).printImperial())));
        } else if (lengthM != null) {
            parts.add(new Phrase(
                    Numbers.plain(lengthM) + " m", Length.ofMetres(lengthM).printImperial()));
        }
        if (areaMm2 != null) {
            parts.add(Phrase.of("of %s mm²".formatted(Numbers.plain(areaMm2))));
        }
        if (wattHours != null) {
            parts.add(Phrase.of("%s Wh".formatted(Numbers.plain(wattHours))));
        }
        return Phrase.joined(" ", parts);
    }
}
