package org.oblume.server.recall;

import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Mode;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.network.Ranges;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Menu;

/** A unit as the simulated rig hangs it (docs/rig.md). */
record RigUnitSpec(
        String unit,
        String modes,
        String mode,
        int universe,
        int address,
        Ranges ranges,
        double lowestPercent,
        double warmUpSeconds,
        Menu menu) {

    /**
     * What can be set from afar; null stays.
     *
     * @param local whether it stands where its own knob was turned
     */
    record Settings(
            @Nullable String mode,
            @Nullable Integer universe,
            @Nullable Integer address,
            @Nullable Menu menu,
            @Nullable Boolean local) {

        static Settings of(PatchedUnit unit) {
            return new Settings(
                    unit.patch().mode(),
                    unit.patch().universe(),
                    unit.patch().address(),
                    unit.menu().equals(Menu.NOTHING) ? null : unit.menu(),
                    false);
        }
    }

    /** A unit that is patched in a mode of which the slots are known. */
    static RigUnitSpec of(PatchedUnit unit, Mode mode) {
        Lamp lamp = unit.placement().piece().lamp();
        double lowest = lamp == null ? 0 : lamp.lowestPercent();
        Menu menu = unit.menu();
        LevelCurve curve = menu.curve() != null ? menu.curve() : lamp == null ? LevelCurve.LINEAR : lamp.curve();
        return new RigUnitSpec(
                unit.unit(),
                unit.modes().stream()
                        .filter(Mode::isKnown)
                        .map(m -> m.name() + ": " + m.say())
                        .collect(Collectors.joining("; ")),
                mode.name(),
                unit.patch().universe() == null ? 1 : unit.patch().universe(),
                unit.patch().address() == null ? 1 : unit.patch().address(),
                Ranges.of(unit.placement().piece()),
                lowest,
                lamp == null || lamp.upkeep().warmUpS() == null
                        ? 0
                        : lamp.upkeep().warmUpS(),
                new Menu(
                        curve,
                        menu.smoothing(),
                        menu.fan(),
                        menu.output(),
                        menu.frequencyHz(),
                        menu.onLoss() == null ? Menu.OnLoss.HOLD : menu.onLoss(),
                        menu.display(),
                        menu.channel()));
    }
}
