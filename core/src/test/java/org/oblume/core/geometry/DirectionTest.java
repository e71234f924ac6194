package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

class DirectionTest {

    @Test
    void whatHasNoLengthHasNoDirection() {
        assertThatThrownBy(() -> new Direction(0, 0, 0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("very same place");
        assertThatThrownBy(() -> new Direction(Double.NaN, 0, 0)).isInstanceOf(Refusal.class);
        SpacePoint point = new SpacePoint(1, 2, 3);
        assertThatThrownBy(() -> Direction.between(point, point)).isInstanceOf(Refusal.class);
    }

    @Test
    void pointsAMicrometreApartAreOne() {
        SpacePoint point = new SpacePoint(1, 2, 3);
        assertThat(point.coincides(new SpacePoint(1 + 1e-9, 2, 3))).isTrue();
        assertThat(point.coincides(new SpacePoint(1.001, 2, 3))).isFalse();
    }

    @Test
    void theAngleBetweenTwoDirectionsIsThatOfTheirBearings() {
        Direction north = Direction.of(Bearing.ofDegrees(0), 0);
        assertThat(north.angleTo(north)).isZero();
        assertThat(Math.toDegrees(north.angleTo(Direction.of(Bearing.ofDegrees(270), 0))))
                .isCloseTo(90, within(1e-9));
        assertThat(north.angleTo(north.opposite())).isCloseTo(Math.PI, within(1e-12));
    }

    @Test
    void aPanelIsAsFarAsItsNearestPoint() {
        Panel panel = Panel.facing(new SpacePoint(0, 0, 1), Direction.of(Bearing.ofDegrees(0), 0), 2, 1);
        assertThat(panel.distanceM(new SpacePoint(0.5, 3, 1.2)))
                .as("straight before it")
                .isCloseTo(3, within(1e-9));
        assertThat(panel.distanceM(new SpacePoint(4, 0, 1))).as("beside it").isCloseTo(3, within(1e-9));
        assertThat(panel.distanceM(new SpacePoint(4, 4, 1))).as("off its edge").isCloseTo(5, within(1e-9));
        assertThat(panel.distanceM(new SpacePoint(0, 0, 2.5))).as("above it").isCloseTo(1, within(1e-9));
    }
}
