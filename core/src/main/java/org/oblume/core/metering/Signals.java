package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Numbers;

/**
 * Levels on the monitor, percent of the video range, −7 to 109; null for what was not read.
 *
 * @param lit the lit cheek
 * @param shadow the shadow cheek
 * @param background behind the subject
 * @param window the brightest window in the picture
 * @param hottest the brightest spot of all
 */
public record Signals(
        @Nullable Double lit,
        @Nullable Double shadow,
        @Nullable Double background,
        @Nullable Double window,
        @Nullable Double hottest) {

    public static final Signals NONE = new Signals(null, null, null, null, null);
    private static final double LOWEST = -7;
    private static final double HIGHEST = 109;

    public Signals {
        check("lit cheek", lit);
        check("shadow cheek", shadow);
        check("background", background);
        check("window", window);
        check("hottest spot", hottest);
    }

    static void check(String where, @Nullable Double percent) {
        if (percent != null) {
            Checks.within("line", "The signal of the %s".formatted(where), percent, LOWEST, HIGHEST, " %");
        }
    }

    boolean none() {
        return equals(NONE);
    }

    /** {@code lit 54 %}, one for each that was read. */
    List<String> say() {
        List<String> said = new ArrayList<>();
        say(said, "lit", lit);
        say(said, "shadow", shadow);
        say(said, "background", background);
        say(said, "window", window);
        say(said, "hottest", hottest);
        return said;
    }

    private static void say(List<String> said, String where, @Nullable Double percent) {
        if (percent != null) {
            said.add("%s %s %%".formatted(where, Numbers.plain(percent)));
        }
    }
}
