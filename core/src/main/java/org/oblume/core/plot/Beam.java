package org.oblume.core.plot;

import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;

/**
 * Full beam angle at half intensity, as zoomed or focused, before any frame.
 *
 * @param beamDeg degrees, 1 to 180
 */
public record Beam(double beamDeg) implements AttributeValue {

    private static final double NARROWEST_DEG = 1;
    private static final double WIDEST_DEG = 180;

    public Beam {
        Checks.within("Beam", beamDeg, NARROWEST_DEG, WIDEST_DEG, "°");
    }

    public static Beam parse(String text) {
        return new Beam(Bearing.parse(text).degrees());
    }

    @Override
    public String say() {
        return Format.number(beamDeg) + "°";
    }
}
