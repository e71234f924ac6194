package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

class ArrangeTest {

    private static final Arrange.Line UP_THE_MIDDLE = new Arrange.Line(PlanPoint.of(3, 0), PlanPoint.of(3, 4));
    private static final SetPlan ROOM = SetPlan.room(6, 5, 2.8);

    @Test
    void mirroredLightStandsAsFarOnTheOtherSide() {
        assertThat(Arrange.mirrored(Place.of(1, 2.5), UP_THE_MIDDLE)).isEqualTo(Place.of(5, 2.5));
    }

    @Test
    void lineThroughAPointRunsAlongItsBearing() {
        assertThat(Arrange.mirrored(Place.of(1, 0), Arrange.Line.through(PlanPoint.of(0, 0), Bearing.ofDegrees(45))))
                .isEqualTo(Place.of(0, 1));
    }

    @Test
    void mirroringTwiceIsWhereItWas() {
        Arrange.Line slanted = new Arrange.Line(PlanPoint.of(0, 1), PlanPoint.of(4, 2));
        Place place = new Place(1.37, 4.02, true);
        Place back = Arrange.mirrored(Arrange.mirrored(place, slanted), slanted);
        assertThat(back.point().distanceM(place.point())).isLessThanOrEqualTo(0.015);
        assertThat(back.outside()).isTrue();
    }

    @Test
    void mirroredLightLooksTheMirroredWayAndKeepsItsTilt() {
        assertThat(Arrange.mirrored(AimSetting.along(30, -20), UP_THE_MIDDLE)).isEqualTo(AimSetting.along(330, -20));
        assertThat(Arrange.mirrored(AimSetting.atMark("mark-1", 1.5), UP_THE_MIDDLE))
                .isEqualTo(AimSetting.atMark("mark-1", 1.5));
    }

    @Test
    void alignedThingComesStraightToTheLine() {
        assertThat(Arrange.aligned(Place.of(1, 2.5), UP_THE_MIDDLE)).isEqualTo(Place.of(3, 2.5));
    }

    @Test
    void thingAtTheWallStandsOffItInsideTheRoom() {
        assertThat(Arrange.atWall(Place.of(5, 2), ROOM, 0.3)).isEqualTo(Place.of(5.7, 2));
    }

    @Test
    void nearestLandmarkIsTaken() {
        assertThat(Arrange.atLandmark(Place.of(5, 4), ROOM)).isEqualTo(Place.of(6, 5));
    }

    @Test
    void whatIsNotThereIsAskedFor() {
        SetPlan bare = new SetPlan(null, 0, List.of(), List.of(), List.of(), List.<Landmark>of());
        assertThatThrownBy(() -> Arrange.atWall(Place.of(1, 1), bare, 0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("draw them first");
        assertThatThrownBy(() -> Arrange.atLandmark(Place.of(1, 1), bare))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("put them on the plan");
        assertThatThrownBy(() -> new Arrange.Line(PlanPoint.of(1, 1), PlanPoint.of(1, 1)))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void firstPlaceInARoomIsInsideItsWallsHoweverItIsShaped() {
        SetPlan angle = new SetPlan(
                null,
                0,
                List.of(Wall.of(Paces.from(PlanPoint.of(0, 0), "6 right, 2 up, 4 left, 4 up, 2 left, close"))),
                List.of(),
                List.of(),
                List.of());
        for (double right = 0; right <= 1; right += 0.25) {
            Place place = angle.roomFor(right, 0.9);
            assertThat(angle.tapeWalls().encloses(place.point())).isTrue();
        }
        assertThat(ROOM.roomFor(0.5, 0.5)).isEqualTo(Place.of(3, 2.5));
    }

    @Test
    void lockedThingIsNotMovedAndStaysDimmable() {
        Placement locked = new Placement(
                "key",
                "Key",
                PlacementKind.HEAD,
                Role.KEY,
                null,
                new Piece("Spot", null, 0.3, null, null, 100, Mount.STAND),
                "left side",
                true);
        assertThatThrownBy(() -> locked.refuseMovingWhenLocked(Attribute.HEIGHT))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("unlock it first");
        locked.refuseMovingWhenLocked(Attribute.LEVEL);
        new Placement("key", "Key", PlacementKind.HEAD, Role.KEY, null, locked.piece(), null, false)
                .refuseMovingWhenLocked(Attribute.PLACE);
    }
}
