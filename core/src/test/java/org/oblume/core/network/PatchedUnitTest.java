package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;

class PatchedUnitTest {

    private static final Attribution TIED = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
    private static final Placement KEY = new Placement(
            "key", "Key", PlacementKind.HEAD, Role.KEY, null, Truck.piece("Heron 2", Truck.SPOT_MODES, 320));
    private static final Placement FLAG = new Placement(
            "flag",
            "Flag",
            PlacementKind.FLAG,
            Role.NEGATIVE_FILL,
            null,
            new Piece("Flag", null, 1.2, null, null, 0, Mount.STAND));

    private static List<PatchedUnit> lights(AttributeValue... values) {
        List<Knot> knots = Arrays.stream(values)
                .map(v -> new Knot(new Slate("1A"), "key", v, TIED))
                .toList();
        SceneRecord scene = SceneRecord.of(
                SetPlan.room(5, 5, 3),
                List.of(KEY, FLAG),
                CarryBook.of(List.of(new ShotNode(new Slate("1A"), null, ShotStage.PLANNED)), knots));
        ShotState state = scene.book().resolve(new Slate("1A"));
        return PatchedUnit.of(scene, state, Mode::of);
    }

    @Test
    void onlyLightsThatAreOnSetAreOnTheNetwork() {
        assertThat(lights(SetStatus.ON)).extracting(u -> u.placement().name()).containsExactly("Key");
        assertThat(lights(SetStatus.STRUCK)).isEmpty();
        assertThat(lights()).as("of which nothing was said").isEmpty();
    }

    @Test
    void aLightThatIsOffIsSentDarkAndKeepsItsColour() {
        PatchedUnit off = lights(
                        new SetStatus(SetStatus.State.OFF),
                        new Level(45),
                        new ColourTemperature(4300),
                        new Effect(Effect.Kind.FLASH, 4),
                        new Patch(1, 1, 8, "16-bit white"))
                .get(0);
        assertThat(off.values().levelPercent()).isZero();
        assertThat(off.values().kelvin()).isEqualTo(4300);
        assertThat(off.values().effect().runs()).isFalse();
        assertThat(off.values().say()).isEqualTo("off");
    }

    @Test
    void itIsCalledByTheCrewsOwnNameOfTheUnit() {
        assertThat(lights(SetStatus.ON).get(0).unit()).isEqualTo("Heron 2");
        assertThat(Truck.unit(
                                "Bulb",
                                null,
                                Role.PRACTICAL,
                                Patch.BY_HAND,
                                "dimmer: level",
                                Truck.at(10, 2700),
                                Menu.NOTHING)
                        .unit())
                .isEqualTo("Bulb");
    }

    @Test
    void itsFootprintIsItsModesElseAsRecordedElseOneSlot() {
        assertThat(Truck.unit("Key", new Patch(1, 1, 5, "16-bit white"), Truck.SPOT_MODES, Truck.at(1, 4300))
                        .slots())
                .isEqualTo(8);
        assertThat(Truck.unit("Key", new Patch(1, 1, 5, "other"), Truck.SPOT_MODES, Truck.at(1, 4300))
                        .slots())
                .isEqualTo(5);
        assertThat(Truck.unit("Key", new Patch(1, 1, null, null), "", Truck.at(1, 4300))
                        .last())
                .isEqualTo(1);
        assertThat(Truck.unit("Key", Patch.BY_HAND, "", Truck.at(1, 4300)).last())
                .isNull();
    }

    @Test
    void whatAPersonHasToSetIsSaidWithItsValue() {
        FixtureValues green =
                new FixtureValues(45, 4300.0, 0.004, new Colour(120, 50), null, new Effect(Effect.Kind.FLICKER, 3));
        assertThat(Truck.unit("Tube", new Patch(1, 1, 6, "8-bit white"), Truck.TUBE_MODES, green)
                        .atTheHead())
                .containsExactly("hue 120°, saturation 50 %");
        assertThat(Truck.unit("Dimmed", new Patch(1, 1, 1, "dimmer"), "dimmer: level", green)
                        .atTheHead())
                .containsExactly("4300 K", "tint +0.004 green", "hue 120°, saturation 50 %", "flicker, 3 a second");
        assertThat(Truck.unit("Bulb", new Patch(null, null, null, null, ControlPath.APP, "Practicals"), "", green)
                        .atTheHead())
                .containsExactly("45 %, 4300 K, tint +0.004 green, hue 120°, saturation 50 %, flicker, 3 a second");
    }

    @Test
    void theUsualModeIsTheFinestOfThoseThatCarryAllThatIsDialled() {
        assertThat(Truck.unit("Key", Patch.BY_HAND, Truck.SPOT_MODES, Truck.at(45, 4300))
                        .usualMode()
                        .orElseThrow()
                        .name())
                .isEqualTo("16-bit white");
        assertThat(Truck.unit(
                                "Tube",
                                Patch.BY_HAND,
                                Truck.TUBE_MODES,
                                new FixtureValues(45, 4300.0, 0, new Colour(120, 50), null, Effect.NONE))
                        .usualMode()
                        .orElseThrow()
                        .name())
                .isEqualTo("colour");
        assertThat(Truck.unit("Bulb", Patch.BY_HAND, "", Truck.at(45, 2700)).usualMode())
                .isEmpty();
    }
}
