package org.oblume.core.filter;

import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * One thing of the stock: a filter, a cloth, a bounce. Its figures are nominal until the crew has measured its own.
 *
 * @param name 1 to 60 characters, one for each item
 * @param effect on light that goes through it, or off it for a bounce
 * @param softness how far it spreads light, 0 (clear) to 1 (an even surface)
 * @param reflectance part of the light that comes back off a bounce, 0 to 1; null for what light goes through
 * @param heat what to mind near a hot lamp, or null
 * @param gel what a saturated colour lets through, or null
 * @param narrowsToDeg beam that a grid leaves at most, full angle, degrees, 1 to 180; null for what is not a grid
 */
public record StockItem(
        String name,
        StockKind kind,
        FilterEffect effect,
        double softness,
        @Nullable Double reflectance,
        @Nullable String heat,
        @Nullable GelColour gel,
        @Nullable Double narrowsToDeg) {

    private static final int LONGEST_NAME = 60;

    public StockItem {
        name = Checks.text("A stock item's name", name, LONGEST_NAME);
        Checks.within("The softness of %s".formatted(name), softness, 0, 1, "");
        if (reflectance != null) {
            Checks.within("The reflectance of %s".formatted(name), reflectance, 0, 1, "");
        }
        if (narrowsToDeg != null) {
            Checks.within("narrowsToDeg", "The beam that %s leaves".formatted(name), narrowsToDeg, 1, 180, "°");
        }
        boolean reflects = kind == StockKind.BOUNCE || kind == StockKind.BLACK;
        if (reflects != (reflectance != null)) {
            throw new Refusal(
                    "reflectance",
                    reflects
                            ? "%s needs a reflectance, 0 to 1.".formatted(name)
                            : "%s is gone through: leave its reflectance empty.".formatted(name));
        }
        if ((kind == StockKind.COLOUR) != (gel != null)) {
            throw new Refusal(
                    "red",
                    kind == StockKind.COLOUR
                            ? "%s needs the red, green and blue it lets through.".formatted(name)
                            : "%s is no colour: leave red, green and blue empty.".formatted(name));
        }
    }

    /** An item that is not a grid. */
    public StockItem(
            String name,
            StockKind kind,
            FilterEffect effect,
            double softness,
            @Nullable Double reflectance,
            @Nullable String heat,
            @Nullable GelColour gel) {
        this(name, kind, effect, softness, reflectance, heat, gel, null);
    }

    /** Whether it can be hung in front of a lamp. */
    public boolean isFilter() {
        return reflectance == null;
    }
}
