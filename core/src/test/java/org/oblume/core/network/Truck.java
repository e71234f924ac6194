package org.oblume.core.network;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** Lights off the truck, for the tests of this package. */
final class Truck {

    static final String SPOT_MODES = "8-bit white: level, cct, tint; 16-bit white: level 16, cct 16, tint 16, zoom 16";
    static final String TUBE_MODES =
            "8-bit white: level, cct, tint, effect, rate, unused; colour: level 16, hue 16, saturation 16, cct 16, tint 16, effect, rate; red green blue: level, red, green, blue";

    private Truck() {}

    static Piece piece(String unit, String modes, double watts) {
        Lamp lamp = new Lamp(
                new Optics(51000, 15, 6800, 50, null),
                true,
                0.2,
                LevelCurve.LINEAR,
                1,
                0.02,
                new Lamp.Upkeep(9, null, 3, "fan", Lamp.Burn.ANY, 0.3, modes, "curve", null));
        return new Piece(
                "Bicolour LED spot 150 W", unit, 0.2, 2700.0, 6500.0, watts, Mount.STAND, null, lamp, null, null);
    }

    static PatchedUnit unit(String name, Patch patch, String modes, FixtureValues dialled) {
        return unit(name, name + " 1", Role.KEY, patch, modes, dialled, Menu.NOTHING);
    }

    static PatchedUnit unit(
            String name, String unit, Role role, Patch patch, String modes, FixtureValues dialled, Menu menu) {
        Piece piece = piece(unit, modes, 165);
        return new PatchedUnit(
                new Placement(
                        name.toLowerCase(Locale.ROOT).replace(' ', '-'), name, PlacementKind.HEAD, role, null, piece),
                patch,
                Mode.of(piece),
                dialled,
                menu);
    }

    static PatchedUnit spot(String name, int universe, int address) {
        return unit(name, new Patch(universe, address, 8, "16-bit white"), SPOT_MODES, at(50, 4300));
    }

    static FixtureValues at(double percent, @Nullable Double kelvin) {
        return new FixtureValues(percent, kelvin, 0, Colour.WHITE, 40.0, Effect.NONE);
    }

    static FixtureValues at(double percent, int kelvin) {
        return at(percent, Double.valueOf(kelvin));
    }

    /** What a unit answers when it is all as recorded. */
    static UnitAnswer asRecorded(PatchedUnit unit) {
        return new UnitAnswer(
                unit.unit(),
                true,
                true,
                true,
                unit.mode().orElseThrow().name(),
                unit.patch().universe(),
                unit.patch().address(),
                unit.values(),
                unit.menu(),
                false);
    }

    static List<Conflict> check(PatchedUnit... units) {
        return PatchCheck.of(List.of(units), List.of(), List.of(), null);
    }
}
