package org.oblume.rig;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Mode;
import org.oblume.core.network.Ranges;
import org.oblume.core.plot.Menu;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A virtual fixture as it is hung.
 *
 * @param unit what the crew calls it, 1 to 80 characters
 * @param modes what its kind has: {@code 8-bit white: level, cct, tint; 16-bit white: level 16}
 * @param mode that it is set to
 * @param universe that it listens to, 1 to 63999
 * @param address first slot, 1 to 512
 * @param ranges between what it can be dialled
 * @param lowestPercent lowest level that it holds, 0 to 100
 * @param warmUpSeconds until its lamp gives all its light after power comes on; 0 for what does not warm up
 * @param menu what is set in its menu
 */
public record UnitSpec(
        String unit,
        String modes,
        String mode,
        int universe,
        int address,
        Ranges ranges,
        double lowestPercent,
        double warmUpSeconds,
        Menu menu) {

    private static final int LONGEST_NAME = 80;

    public UnitSpec {
        unit = Checks.text("The unit's name", unit, LONGEST_NAME);
        Checks.within("universe", "Universe", universe, 1, 63999, "");
        Checks.within("address", "Address", address, 1, 512, "");
        Checks.within("lowestPercent", "The lowest level", lowestPercent, 0, 100, " %");
        Checks.within("warmUpSeconds", "The warm-up", warmUpSeconds, 0, 3600, " s");
    }

    /** @throws Refusal when its kind has no such mode */
    Mode modeNamed(String name) {
        List<Mode> all = Mode.parse(modes);
        return all.stream()
                .filter(m -> m.name().toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "mode",
                        "%s has no mode “%s”: it has %s."
                                .formatted(
                                        unit,
                                        name,
                                        String.join(
                                                ", ",
                                                all.stream().map(Mode::name).toList()))));
    }

    /**
     * What can be set from afar. Null: it stays as it is.
     *
     * @param local whether it stands where its own knob was turned
     */
    public record Settings(
            @Nullable String mode,
            @Nullable Integer universe,
            @Nullable Integer address,
            @Nullable Menu menu,
            @Nullable Boolean local) {}
}
