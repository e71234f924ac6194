package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** What is recorded beside what a mode can be told. */
class ModeLacksSlotsTest {

    @Test
    void aModeThatLacksWhatIsRecordedIsToldWithOneThatHasIt() {
        FixtureValues flickering =
                new FixtureValues(50, 4300.0, 0.004, new Colour(210, 60), null, new Effect(Effect.Kind.FLICKER, 3));
        Conflict conflict = Findings.only(Findings.by(
                new ModeLacksSlots(),
                Truck.unit("Tube", new Patch(1, 1, 6, "8-bit white"), Truck.TUBE_MODES, flickering)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.MODE_LACKS);
        assertThat(conflict.sentence())
                .isEqualTo("Tube has a colour recorded; its mode 8-bit white has no slot for it.");
        assertThat(conflict.proposal().get("tube").mode()).isEqualTo("colour");
    }

    @Test
    void aColourTemperatureThatTheModeCannotBeToldIsSetAtTheHead() {
        Conflict conflict = Findings.only(Findings.by(
                new ModeLacksSlots(),
                Truck.unit("Spot", new Patch(1, 1, 1, "dimmer"), "dimmer: level", Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.MODE_LACKS);
        assertThat(conflict.sentence()).contains("a colour temperature");
        assertThat(conflict.fix()).contains("at the head");
    }

    @Test
    void theColourOfAFilamentIsTheLampsOwnAndNoModeIsMissedForIt() {
        Piece bulb = Truck.piece("Bulb 1", "dimmer: level", 60);
        Lamp lamp = bulb.lamp();
        Piece filament = new Piece(
                "Practical bulb 60 W",
                "Bulb 1",
                0.06,
                1800.0,
                2900.0,
                60,
                Mount.IN_PLACE,
                null,
                new Lamp(lamp.optics(), true, 0.06, LevelCurve.TUNGSTEN, 0, 0, lamp.upkeep()),
                null,
                null);
        Placement placement = new Placement("bulb", "Bulb", PlacementKind.PRACTICAL, Role.PRACTICAL, null, filament);
        assertThat(Findings.by(
                        new ModeLacksSlots(),
                        new PatchedUnit(
                                placement,
                                new Patch(1, 1, 1, "dimmer"),
                                Mode.of(filament),
                                Truck.at(38, 2700),
                                Menu.NOTHING)))
                .isEmpty();
    }
}
