package org.oblume.core.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;

/**
 * The ratio at a mark in both schools. They answer different questions: which is meant has to be said.
 *
 * @param litToShadow all that falls on the lit cheek to all that falls on the shadow cheek; null while one is dark
 * @param keyToFill the key alone on the lit cheek to the fill alone on the shadow cheek, where ambience is the fill when there is no
 *        other; null while there is no key or no fill
 */
public record Ratio(@Nullable ContrastRatio litToShadow, @Nullable ContrastRatio keyToFill) {

    /** @param sources in the mark's order */
    static Ratio of(MarkLight mark, List<Placement> sources) {
        double key = from(mark.lit(), sources, Role.KEY);
        double fill = from(mark.shadow(), sources, Role.FILL);
        double ambience = from(mark.shadow(), sources, Role.AMBIENCE);
        return new Ratio(ratio(mark.lit().lux(), mark.shadow().lux()), ratio(key, fill > 0 ? fill : ambience));
    }

    private static double from(SurfaceLight cheek, List<Placement> sources, Role role) {
        double lux = 0;
        for (int i = 0; i < sources.size(); i++) {
            if (sources.get(i).role() == role) {
                lux += cheek.luxOfEach().get(i);
            }
        }
        return lux;
    }

    private static @Nullable ContrastRatio ratio(double one, double other) {
        return one > 0 && other > 0 ? ContrastRatio.fromLux(one, other) : null;
    }
}
