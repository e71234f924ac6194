package org.oblume.core.colour;

import java.util.List;
import org.oblume.core.units.Refusal;

/**
 * Several lights on one place: tristimulus values add, with Y = lux (CIE 1931). The sum stays linear, so the order of the
 * lights does not matter; negatives are clipped only in a swatch.
 *
 * @param lux of all lights together, above 0
 * @param reading what a colour meter reads there
 */
public record LightMix(double lux, ColourReading reading, Xyz sum) {

    /** @param lux from this light alone, behind its gels, 0 or more */
    public record Part(double lux, LightColour colour) {

        public Part {
            if (!(lux >= 0) || !Double.isFinite(lux)) {
                throw new Refusal("lux", "The lux of a light has to be 0 or more.");
            }
        }
    }

    /** @throws Refusal when there is no light at all */
    public static LightMix of(List<Part> parts) {
        double x = 0;
        double y = 0;
        double z = 0;
        for (Part part : parts) {
            Xyz colour = part.colour().xyz();
            if (colour.y() > 0) {
                Xyz one = colour.scaled(part.lux() / colour.y());
                x += one.x();
                y += one.y();
                z += one.z();
            }
        }
        if (!(y > 0)) {
            throw new Refusal("lights", "There is no light here: give one light of more than 0 lux.");
        }
        Xyz sum = new Xyz(x, y, z);
        return new LightMix(y, PlanckianLocus.reading(sum.chromaticity()), sum);
    }

    /** How all of it together looks to a camera. */
    public Swatch seenBy(CameraWhite camera) {
        return camera.swatch(sum);
    }
}
