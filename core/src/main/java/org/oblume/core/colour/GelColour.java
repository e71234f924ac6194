package org.oblume.core.colour;

import org.oblume.core.units.Checks;

/**
 * What a saturated gel lets through, as a linear sRGB triple that multiplies the light's linear RGB (model).
 *
 * @param red part of linear red let through, 0 to 1
 * @param green part of linear green let through, 0 to 1
 * @param blue part of linear blue let through, 0 to 1
 */
public record GelColour(double red, double green, double blue) {

    public GelColour {
        Checks.within("Red let through", red, 0, 1, "");
        Checks.within("Green let through", green, 0, 1, "");
        Checks.within("Blue let through", blue, 0, 1, "");
    }
}
