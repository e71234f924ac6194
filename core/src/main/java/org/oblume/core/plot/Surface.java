package org.oblume.core.plot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * What light comes back off: a painted wall, a ceiling, a board.
 *
 * @param reflectance part of the light that comes back, 0 to 1
 * @param miredShift what it does to the colour, −500 to 500 mired, + is warmer
 * @param duvShift what it does to the tint, −0.05 to 0.05, + is green
 * @param softness what part of what comes back leaves evenly, 0 (a mirror) to 1, or null when it goes by the kind of thing
 */
public record Surface(double reflectance, double miredShift, double duvShift, @Nullable Double softness) {

    /** A wall of no known colour. */
    public static final Surface WALL = grey(0.5);

    public static final Surface CEILING = grey(0.7);
    public static final Surface FLOOR = grey(0.2);
    private static final double MOST_MIRED = 500;
    private static final double MOST_DUV = 0.05;

    public Surface {
        Checks.within("reflectance", "The reflectance", reflectance, 0, 1, "");
        Checks.within("miredShift", "The shift of a surface", miredShift, -MOST_MIRED, MOST_MIRED, " mired");
        Checks.within("duvShift", "The tint shift of a surface", duvShift, -MOST_DUV, MOST_DUV, " Duv");
        if (softness != null) {
            Checks.within("softness", "The softness of a surface", softness, 0, 1, "");
        }
    }

    public Surface(double reflectance, double miredShift, double duvShift) {
        this(reflectance, miredShift, duvShift, null);
    }

    /**
     * A surface that leaves the colour as it is.
     *
     * @param reflectance 0 to 1
     */
    public static Surface grey(double reflectance) {
        return new Surface(reflectance, 0, 0);
    }
}
