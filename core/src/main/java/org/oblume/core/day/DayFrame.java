package org.oblume.core.day;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What a day's work lies in.
 *
 * @param start when the crew begins
 * @param wrap when work stops, after the start
 * @param leastMin that a changeover takes at least, minutes, 0 or more
 * @param pauses in their order, none before the last has to have begun
 * @param now while it runs: nothing that has not begun is shot before; null for a plan
 */
public record DayFrame(TimeOfDay start, TimeOfDay wrap, double leastMin, List<Pause> pauses, @Nullable TimeOfDay now) {

    /** Minutes that a changeover takes at least, unless the crew says otherwise. */
    public static final double USUAL_LEAST_MIN = 5;

    private static final double LONGEST_LEAST_MIN = 240;

    public DayFrame {
        if (wrap.compareTo(start) <= 0) {
            throw new Refusal(
                    "wrap", "A day that wraps when it begins, at %s, has no time in it.".formatted(start.print()));
        }
        Checks.within("leastMinutes", "The shortest changeover", leastMin, 0, LONGEST_LEAST_MIN, " min");
        pauses = List.copyOf(pauses);
        for (int i = 1; i < pauses.size(); i++) {
            if (pauses.get(i).after().compareTo(pauses.get(i - 1).before()) < 0) {
                throw new Refusal(
                        "afterTime",
                        "The pause after %s would begin before the one before it has to have begun, by %s."
                                .formatted(
                                        pauses.get(i).after().print(),
                                        pauses.get(i - 1).before().print()));
            }
        }
    }
}
