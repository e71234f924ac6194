package org.oblume.core.rebuild;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Stops;

/**
 * What light that goes through something else is, beside what goes through what is recorded. By nominal figures (model).
 *
 * @param stops brighter, + ; darker, −
 * @param mired warmer, + ; cooler, −
 * @param duv greener, + ; more magenta, −
 * @param soft softer, + ; harder, −, as parts of all light
 */
record FilterChange(double stops, double mired, double duv, double soft) {

    private static final double TELLS_STOPS = 0.05;
    private static final double TELLS_MIRED = 1;
    private static final double TELLS_DUV = 0.0005;
    private static final double TELLS_SOFT = 0.05;

    static FilterChange of(Modifiers recorded, Modifiers would) {
        return new FilterChange(
                recorded.effect().stops().value() - would.effect().stops().value(),
                would.effect().mired().value() - recorded.effect().mired().value(),
                would.effect().duv() - recorded.effect().duv(),
                soft(would) - soft(recorded));
    }

    private static double soft(Modifiers stack) {
        return stack.items().stream().mapToDouble(m -> m.soft()).max().orElse(0);
    }

    /** A few words for each part that a meter or an eye tells. */
    List<String> words() {
        List<String> all = new ArrayList<>();
        if (Math.abs(mired) >= TELLS_MIRED) {
            all.add("%d mired %s".formatted(Math.round(Math.abs(mired)), mired > 0 ? "warmer" : "cooler"));
        }
        if (Math.abs(duv) >= TELLS_DUV) {
            all.add("Duv %s more %s".formatted(Duv.print(Math.abs(duv)), duv > 0 ? "green" : "magenta"));
        }
        if (Math.abs(stops) >= TELLS_STOPS) {
            all.add("%s stop %s".formatted(Stops.of(Math.abs(stops)).inTenths(), stops > 0 ? "brighter" : "darker"));
        }
        if (Math.abs(soft) >= TELLS_SOFT) {
            all.add(soft > 0 ? "softer" : "harder");
        }
        return all;
    }
}
