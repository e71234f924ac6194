package org.oblume.core.colour;

import java.util.List;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Stops;

/**
 * The colour of a light as it leaves its last filter.
 *
 * @param white with all correction and tint filters counted
 * @param gels saturated gels on top of that, in order
 */
public record LightColour(WhitePoint white, List<GelColour> gels) {

    public LightColour {
        gels = List.copyOf(gels);
    }

    public static LightColour of(Kelvin kelvin, Duv duv) {
        return of(WhitePoint.of(kelvin, duv));
    }

    public static LightColour of(WhitePoint white) {
        return new LightColour(white, List.of());
    }

    /** Light that its gels cost on this very white: the loss of Y (model). */
    public Stops gelLoss() {
        return Stops.fromRatio(1 / xyz().y());
    }

    Xyz xyz() {
        Xyz bare = white.chromaticity().xyz();
        if (gels.isEmpty()) {
            return bare;
        }
        double[] rgb = Srgb.FROM_XYZ.times(bare.x(), bare.y(), bare.z());
        for (GelColour gel : gels) {
            rgb[0] *= gel.red();
            rgb[1] *= gel.green();
            rgb[2] *= gel.blue();
        }
        double[] back = Srgb.TO_XYZ.times(rgb[0], rgb[1], rgb[2]);
        return new Xyz(back[0], back[1], back[2]);
    }
}
