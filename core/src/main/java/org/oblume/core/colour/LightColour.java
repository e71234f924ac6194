package org.oblume.core.colour;

import java.util.List;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/**
 * The colour of a light as it leaves its last filter.
 *
 * @param kelvin correlated colour temperature with all correction filters counted
 * @param duv tint with all tint filters counted
 * @param gels saturated gels on top of that, in order
 */
public record LightColour(Kelvin kelvin, Duv duv, List<GelColour> gels) {

    public LightColour {
        gels = List.copyOf(gels);
    }

    public static LightColour of(Kelvin kelvin, Duv duv) {
        return new LightColour(kelvin, duv, List.of());
    }

    Xyz xyz() {
        Xyz white = PlanckianLocus.at(kelvin, duv).xyz();
        if (gels.isEmpty()) {
            return white;
        }
        double[] rgb = Srgb.FROM_XYZ.times(white.x(), white.y(), white.z());
        for (GelColour gel : gels) {
            rgb[0] *= gel.red();
            rgb[1] *= gel.green();
            rgb[2] *= gel.blue();
        }
        double[] back = Srgb.TO_XYZ.times(rgb[0], rgb[1], rgb[2]);
        return new Xyz(back[0], back[1], back[2]);
    }
}
