package org.oblume.core.plot;

import org.oblume.core.units.Checks;
import org.oblume.core.units.TStop;

/**
 * The camera's exposure stop.
 *
 * @param tStop plain T number, 0.5 to 128
 */
public record Stop(double tStop) implements AttributeValue {

    private static final double WIDEST = 0.5;
    private static final double NARROWEST = 128;

    public Stop {
        Checks.within("T-stop", tStop, WIDEST, NARROWEST, "");
    }

    public static Stop parse(String text) {
        return new Stop(TStop.parse(text).number());
    }

    @Override
    public String say() {
        return TStop.of(tStop).label();
    }
}
