package org.oblume.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;

class ShotStateTest {

    private static ShotState flag(AttributeValue... values) {
        Attribution tie = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
        return ShotState.of(
                new Slate("4A"),
                Arrays.stream(values)
                        .map(v -> new Knot(new Slate("4A"), "flag", v, tie))
                        .toList());
    }

    @Test
    void whatIsOffStandsAndDoesNotWork() {
        ShotState off = flag(new SetStatus(SetStatus.State.OFF));
        assertThat(off.isOnSet("flag")).isTrue();
        assertThat(off.isOn("flag")).isFalse();
        assertThat(flag(SetStatus.ON).isOn("flag")).isTrue();
        assertThat(flag(SetStatus.STRUCK).isOnSet("flag")).isFalse();
        assertThat(flag().isOn("flag")).as("of which nothing was said").isFalse();
    }

    @Test
    void aLevelIsAPartOfFull() {
        assertThat(flag(new Level(45)).level("flag")).isCloseTo(0.45, within(1e-12));
        assertThat(flag().level("flag")).isZero();
    }

    @Test
    void whatIsAimedAlongABearingHasNoDistanceToAnything() {
        ShotState along = flag(Place.of(1, 2), new Height(2), AimSetting.along(90, 0));
        assertThat(along.aim("flag"))
                .hasValueSatisfying(aim -> assertThat(aim.distanceM()).isNull());
        assertThat(flag(AimSetting.atMark("mark", 1.5)).aim("flag"))
                .as("the mark has no place")
                .isEmpty();
    }

    @Test
    void aPanelStandsWhereItIsAimedFrom() {
        Placement flag = new Placement(
                "flag",
                "Flag",
                PlacementKind.FLAG,
                Role.NEGATIVE_FILL,
                null,
                new Piece("Flag", null, 1.2, null, null, 0, Mount.STAND));
        assertThat(flag(Place.of(1, 2), new Height(2), AimSetting.along(90, 0)).panel(flag))
                .hasValueSatisfying(panel -> {
                    assertThat(panel.widthM()).isEqualTo(1.2);
                    assertThat(panel.middle().xM()).isEqualTo(1);
                    assertThat(panel.normal().x()).isCloseTo(1, within(1e-12));
                });
        assertThat(flag(Place.of(1, 2)).panel(flag)).isEmpty();
    }

    @Test
    void nobodyChangesAStateThroughWhatItHandsOut() {
        ShotState state = flag(SetStatus.ON);
        assertThatThrownBy(() -> state.placements().clear()).isInstanceOf(UnsupportedOperationException.class);
        assertThatThrownBy(() -> state.knots("flag").clear()).isInstanceOf(UnsupportedOperationException.class);
    }
}
