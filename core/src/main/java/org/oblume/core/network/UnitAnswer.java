package org.oblume.core.network;

import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Menu;

/**
 * What a fixture answers of itself when it is asked over the network.
 *
 * @param unit the crew's own name of it
 * @param powered whether it has power
 * @param linked whether its way to the network stands
 * @param hears whether its universe comes in
 * @param mode that it is in
 * @param universe that it listens to
 * @param address first slot
 * @param dialled what it stands at
 * @param menu what is set in its menu
 * @param warmingUp whether its lamp has not come to its full output yet
 */
public record UnitAnswer(
        String unit,
        boolean powered,
        boolean linked,
        boolean hears,
        String mode,
        int universe,
        int address,
        FixtureValues dialled,
        Menu menu,
        boolean warmingUp) {

    /** Why it cannot be asked, or null when it answers. */
    @Nullable
    String silence() {
        return !powered ? "has no power" : !linked ? "has lost its link" : null;
    }
}
