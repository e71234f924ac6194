package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

class StandOnTheFloorTest {

    @Test
    void aStandIsBaggedAndNothingElseIs() {
        assertThat(Things.says(new StandOnTheFloor(), Things.lamp(Mount.STAND, 6500.0, 300)))
                .hasValueSatisfying(c -> assertThat(c.kind()).isEqualTo(Caution.Kind.STAND))
                .hasValueSatisfying(c -> assertThat(c.sentence()).contains("Bag the high leg"));
        assertThat(Things.says(new StandOnTheFloor(), Things.lamp(Mount.OVERHEAD, 6500.0, 300)))
                .isEmpty();
    }

    /**
     * A cloth of 1.2 m square with its middle at 2.8 m: indoors 3.0 Nm tip it, one bag by practice; at 8 m/s 0.613 · 64 · 1.2 · 1.44 · 2.8 =
     * 189.8 Nm, 1.5 times that over 7 · 9.80665 · 0.225 = 15.45 Nm a bag are 19. One of 2 m square is for no stand there.
     */
    @Test
    void howManyBagsIsToldWhereTheHeightIsKnown() {
        assertThat(said(1.2, false)).contains(": 1 sandbag of 7 kg (estimate");
        assertThat(said(1.2, true)).contains("in a wind of 8 m/s 19 sandbags of 7 kg");
        assertThat(said(2, true)).contains("no sandbags hold it");
        assertThat(Things.says(new StandOnTheFloor(), Things.lamp(Mount.STAND, 6500.0, 300), new Height(0)))
                .hasValueSatisfying(c -> assertThat(c.sentence()).endsWith("under the load."));
    }

    private static String said(double sideM, boolean outside) {
        Placement frame = new Placement(
                "head",
                "Frame",
                PlacementKind.FRAME,
                Role.NEGATIVE_FILL,
                null,
                new Piece("Frame", null, sideM, null, null, 0, Mount.STAND));
        Attribution tie = new Attribution(null, null, "key grip", Instant.EPOCH, 1);
        return new StandOnTheFloor()
                .of(
                        frame,
                        ShotState.of(
                                new Slate("4A"),
                                List.of(
                                        new Knot(new Slate("4A"), "head", new Height(2.8), tie),
                                        new Knot(new Slate("4A"), "head", new Place(0, 0, outside), tie))))
                .orElseThrow()
                .sentence();
    }

    @Test
    void aCameraHasLegsOfItsOwn() {
        Placement camera = new Placement(
                "camera", "Camera", PlacementKind.CAMERA, Role.CAMERA, null, Things.lamp(Mount.STAND, null, 0));
        assertThat(new StandOnTheFloor().of(camera, ShotState.of(new Slate("4A"), List.of())))
                .isEmpty();
    }
}
