package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Mount;
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

    @Test
    void aCameraHasLegsOfItsOwn() {
        Placement camera = new Placement(
                "camera", "Camera", PlacementKind.CAMERA, Role.CAMERA, null, Things.lamp(Mount.STAND, null, 0));
        assertThat(new StandOnTheFloor().of(camera, ShotState.of(new Slate("4A"), List.of())))
                .isEmpty();
    }
}
