package org.oblume.core.reach;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Tint;

/** A spot in a room of 8 × 6 m under a ceiling of 3 m: it holds its light from 2 % up, and is dialled to a tint of 0.01. */
class ReachTest {

    private static final Slate SHOT = new Slate("1A");
    private static final String WHITE = "8-bit: level, cct, tint";

    private static void require(SetPlan set, @Nullable String modes, AttributeValue value) {
        Lamp lamp = new Lamp(
                new Optics(10_000, 20, 10_000, 20, null),
                true,
                0.2,
                LevelCurve.LINEAR,
                2,
                0.01,
                new Lamp.Upkeep(0, null, 1, "", Lamp.Burn.ANY, 0.3, modes == null ? "" : modes, "", null),
                null,
                null);
        Placement key = new Placement(
                "key",
                "Key",
                PlacementKind.HEAD,
                Role.KEY,
                null,
                new Piece("Spot", null, 0.2, 2700.0, 6500.0, 100, Mount.STAND, null, lamp, null, null));
        List<Knot> knots =
                List.of(new Knot(SHOT, "key", Place.of(4, 3), new Attribution(null, null, "gaffer", Instant.EPOCH, 1)));
        SceneRecord scene = SceneRecord.of(
                set, List.of(key), CarryBook.of(List.of(new ShotNode(SHOT, null, ShotStage.PLANNED)), knots));
        Reach.require(scene, ShotState.of(SHOT, knots), key, value);
    }

    private static void refuses(AttributeValue value, String nearest) {
        assertThatThrownBy(() -> require(SetPlan.room(8, 6, 3), WHITE, value))
                .hasMessageContaining("Key")
                .hasMessageContaining(nearest);
    }

    private static void takes(SetPlan set, @Nullable String modes, AttributeValue value) {
        assertThatCode(() -> require(set, modes, value)).doesNotThrowAnyException();
    }

    @Test
    void belowItsLowestLevelALightIsEitherThereOrOut() {
        refuses(new Level(1.9), "record 2 %, or 0");
        takes(SetPlan.OPEN, WHITE, new Level(2));
        takes(SetPlan.OPEN, WHITE, new Level(0));
    }

    @Test
    void aTintBeyondItsReachIsHungBeforeIt() {
        refuses(new Tint(-0.02), "record -0.01".replace('-', '−'));
        takes(SetPlan.OPEN, WHITE, new Tint(-0.01));
    }

    @Test
    void aHueIsRefusedOnlyWhereTheModesAreKnownToHaveNone() {
        refuses(new Colour(210, 80), "has no hue to dial");
        refuses(Effect.parse("beacon 2 between hue 30 and hue 190"), "has no hue to dial");
        takes(SetPlan.OPEN, WHITE, Effect.parse("beacon 2"));
        takes(SetPlan.OPEN, WHITE, Colour.WHITE);
        takes(SetPlan.OPEN, null, new Colour(210, 80));
        takes(SetPlan.OPEN, "8-bit: 4", new Colour(210, 80));
        takes(SetPlan.OPEN, WHITE + "; colour: level, red, green, blue", new Colour(210, 80));
    }

    @Test
    void aRoomEndsAtItsCeilingAndTheSkyDoesNot() {
        refuses(new Height(3.01), "3.00 m is the highest");
        takes(SetPlan.room(8, 6, 3), WHITE, new Height(3));
        takes(SetPlan.OPEN, WHITE, new Height(9));
    }

    @Test
    void whatStandsInTheRoomIsNotOutside() {
        refuses(new Place(4, 3, true), "take the mark off");
        takes(SetPlan.room(8, 6, 3), WHITE, new Place(9, 3, true));
        takes(SetPlan.OPEN, WHITE, new Place(4, 3, true));
    }

    @Test
    void aCueIsHeldToWhatItsLightsCanDo() {
        refuses(
                new Cue(1, "now", 0, List.of(new Cue.CueStep("key", 0, null, new Level(1), null, null, null, null))),
                "record 2 %");
    }
}
