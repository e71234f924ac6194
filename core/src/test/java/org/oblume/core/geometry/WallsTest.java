package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class WallsTest {

    private static final List<PlanPoint> L_SHAPED_ROOM = List.of(
            PlanPoint.of(0, 0),
            PlanPoint.of(6, 0),
            PlanPoint.of(6, 2),
            PlanPoint.of(3, 2),
            PlanPoint.of(3, 5),
            PlanPoint.of(0, 5),
            PlanPoint.of(0, 0));
    private final Walls walls = new Walls(List.of(L_SHAPED_ROOM), List.of());

    @Test
    void aPlaceInTheNookOfARoomIsOutside() {
        assertThat(walls.encloses(PlanPoint.of(1, 4))).isTrue();
        assertThat(walls.encloses(PlanPoint.of(5, 1))).isTrue();
        assertThat(walls.encloses(PlanPoint.of(5, 4))).isFalse();
    }

    @Test
    void aStandAgainstTheWallIsInside() {
        assertThat(walls.encloses(PlanPoint.of(0, 3))).isTrue();
        assertThat(walls.encloses(PlanPoint.of(6, 2))).isTrue();
    }

    @Test
    void anOpenWallEnclosesNothingSoEverythingIsAllowed() {
        Walls open = new Walls(List.of(List.of(PlanPoint.of(0, 0), PlanPoint.of(5, 0))), List.of());
        assertThat(open.encloses(PlanPoint.of(50, 50))).isTrue();
    }

    @Test
    void theDistanceToTheNearestWallIsTold() {
        assertThat(walls.distanceM(PlanPoint.of(5, 4))).isCloseTo(2, within(1e-12));
        assertThat(Walls.NONE.distanceM(PlanPoint.of(1, 1))).isZero();
    }

    @Test
    void aSlantedWallIsAsNearAsItsNearestPoint() {
        Walls slanted = new Walls(List.of(List.of(PlanPoint.of(1, 1), PlanPoint.of(4, 5))), List.of());
        assertThat(slanted.distanceM(PlanPoint.of(1 + 1.5 - 0.8, 1 + 2 + 0.6))).isCloseTo(1, within(1e-12));
        assertThat(slanted.distanceM(PlanPoint.of(1, 0))).isCloseTo(1, within(1e-12));
        assertThat(slanted.distanceM(PlanPoint.of(4, 7))).isCloseTo(2, within(1e-12));
    }

    @Test
    void aSlantedWallStandsBetweenItsTwoSidesAndNowhereElse() {
        Walls slanted = new Walls(List.of(List.of(PlanPoint.of(1, 1), PlanPoint.of(4, 5))), List.of());
        assertThat(slanted.between(PlanPoint.of(1, 4), PlanPoint.of(4, 2))).isTrue();
        assertThat(slanted.between(PlanPoint.of(4, 2), PlanPoint.of(1, 4))).isTrue();
        assertThat(slanted.between(PlanPoint.of(1, 4), PlanPoint.of(2, 4))).isFalse();
        assertThat(slanted.between(PlanPoint.of(0, 0), PlanPoint.of(3, -1))).isFalse();
        assertThat(slanted.between(PlanPoint.of(4, 2), PlanPoint.of(7, 9))).isFalse();
        assertThat(slanted.between(PlanPoint.of(2.5, 3), PlanPoint.of(4, 2)))
                .as("a tape that starts at the wall")
                .isFalse();
        assertThat(slanted.between(PlanPoint.of(2, 2), PlanPoint.of(2, 2)))
                .as("no way at all")
                .isFalse();
    }
}
