package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/** A streak that the sun laid, made again by a head. */
class SunAgainTest {

    /** Bearing 118° of the plan, 24° up. */
    private static final SunDirection SUN = new SunDirection(Bearing.ofDegrees(118 + 44), 24);

    private static final double EMITTER_RADIUS_M = 0.09;

    /** A pane 0.8 m wide, 3.2 m before the streak along the light. */
    private static final SpacePoint STREAK =
            new SpacePoint(9 - 3.2 * Math.cos(Math.toRadians(24)) * Math.sin(Math.toRadians(118)), 3, 0.95);

    private static SetPlan glasshouse() {
        double at = 3 + 3.2 * Math.cos(Math.toRadians(24)) * Math.cos(Math.toRadians(118));
        SetPlan bare = SetPlan.room(9, 6, 4.2);
        SetPlan.Opening pane = new SetPlan.Opening(
                "end pane", SetPlan.OpeningKind.WINDOW, PlanPoint.of(9, at - 0.4), PlanPoint.of(9, at + 0.4), 0.6, 3.6);
        return new SetPlan(4.2, -44, bare.walls(), List.of(pane), List.of(), List.of());
    }

    private static SunAgain again() {
        return new SunAgain(glasshouse(), STREAK, SUN);
    }

    @Test
    void aHeadOnTheSameWayFansAndByAMirrorItReadsAsParallel() {
        SunAgain again = again();
        assertThat(again.opening().map(SetPlan.Opening::name)).contains("end pane");
        assertThat(again.toOpeningM()).isCloseTo(3.2, within(1e-9));
        assertThat(again.toSun().bearing().degrees()).isCloseTo(118, within(1e-9));

        SunAgain.Stand near = again.straight(6.5);
        Shadow edge = again.shadow(near, EMITTER_RADIUS_M).orElseThrow();
        assertThat(edge.fanDeg(0.8)).isCloseTo(7.0, within(0.05));
        assertThat(edge.penumbraM()).isCloseTo(0.089, within(0.0005));

        SunAgain.Mirrored by = again.byMirror(7, 5, Bearing.ofDegrees(250), 1.4);
        Shadow longer = again.shadow(by.stand(), EMITTER_RADIUS_M).orElseThrow();
        assertThat(longer.fanDeg(0.8)).isCloseTo(3.8, within(0.05)).isLessThan(Shadow.PARALLEL_BELOW_DEG);
        assertThat(longer.penumbraM()).isCloseTo(0.048, within(0.0005));
    }

    @Test
    void itsHeightIsTheStreaksAndTheDistanceTimesTheTangent() {
        SpacePoint head = again().straight(6.5).head();
        double level = Math.hypot(head.xM() - STREAK.xM(), head.yM() - STREAK.yM());
        assertThat(head.zM()).isCloseTo(0.95 + level * Math.tan(Math.toRadians(24)), within(1e-9));
    }

    static Stream<double[]> anywhere() {
        Random random = new Random(4);
        return Stream.generate(() -> new double[] {
                    0.5 + 19.5 * random.nextDouble(),
                    9 + 11 * random.nextDouble(),
                    360 * random.nextDouble(),
                    6 * random.nextDouble()
                })
                .limit(300);
    }

    /** Wherever the head stands: what leaves the mirror goes on where the sun went, and both ways are as long as was said. */
    @ParameterizedTest
    @MethodSource("anywhere")
    void theMirrorSendsTheHeadsLightOnAsTheSunsWas(double[] stands) {
        double mirrorM = stands[0];
        double headM = stands[1];
        double height = stands[3];
        SunAgain again = again();
        SunAgain.Mirrored by;
        try {
            by = again.byMirror(mirrorM, headM, Bearing.ofDegrees(stands[2]), height);
        } catch (Refusal tooFlat) {
            assertThat(tooFlat).hasMessageContaining("from its normal");
            return;
        }
        SpacePoint head = by.stand().head();
        assertThat(head.zM()).isCloseTo(height, within(1e-9));
        assertThat(head.distanceM(by.mirror())).isCloseTo(headM, within(1e-9));
        assertThat(by.mirror().distanceM(STREAK)).isCloseTo(mirrorM + again.toOpeningM(), within(1e-9));
        Direction after = Direction.between(head, by.mirror()).mirrored(by.normal());
        assertThat(after.angleTo(again.toSun().opposite())).isCloseTo(0, within(1e-6));
    }

    /** By similar triangles: from the head's picture behind the mirror to the opening. */
    @Test
    void theMirrorHasToBeAsWideAsTheWayNarrowsToTheHead() {
        SunAgain.Mirrored by = again().byMirror(6, 6, Bearing.ofDegrees(298), 1.4);
        assertThat(by.wideM()).isCloseTo(0.4 / Math.cos(Math.toRadians(by.metAtDeg())), within(1e-9));
    }

    @Test
    void aSunThatIsDownIsNotMadeAgainNorAMirrorMetFlat() {
        assertThatThrownBy(() -> new SunAgain(glasshouse(), STREAK, new SunDirection(Bearing.ofDegrees(100), -1)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("down");
        assertThatThrownBy(() -> again().byMirror(6, 6, Bearing.ofDegrees(118), 5.5))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("from its normal");
        assertThatThrownBy(() -> again().byMirror(6, 2, Bearing.ofDegrees(298), 0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("farther off");
        assertThatThrownBy(() -> again().straight(0)).isInstanceOf(Refusal.class);
    }

    @Test
    void outdoorsTheHeadStandsSoFarFromWhereItLay() {
        SunAgain outdoors = new SunAgain(SetPlan.OPEN, new SpacePoint(0, 0, 1), SUN);
        assertThat(outdoors.opening()).isEmpty();
        assertThat(outdoors.straight(10).wayM()).isEqualTo(10);
        assertThat(outdoors.shadow(outdoors.straight(10), EMITTER_RADIUS_M)).isEqualTo(Optional.empty());
    }

    /** A square curve gives a quarter at 50 %; four times too weak is two stops short; a ballast does not go below 50 %. */
    @Test
    void theLevelGivesWhatTheSunGaveOrSaysHowFarItIsShort() {
        Lamp square = Stage.lamp(LevelCurve.SQUARE);
        assertThat(SunLevel.of(1000, 4000, square)).isEqualTo(new SunLevel(50, Stops.of(0), false));
        assertThat(SunLevel.of(16_000, 4000, square).percent()).isEqualTo(100);
        assertThat(SunLevel.of(16_000, 4000, square).shortfall().value()).isCloseTo(2, within(1e-12));
        SunLevel faint = SunLevel.of(1e-6, 4000, square);
        assertThat(faint.tooStrong()).isEqualTo(square.lowestPercent() > 0);
        assertThat(faint.percent()).isEqualTo(square.lowestPercent());
    }

    @Test
    void theBeamFillsTheOpeningAsFarAsTheHeadGoes() {
        SunAgain again = again();
        Optics wide = new Optics(430_000, 3, 58_000, 50, null);
        assertThat(again.beamDeg(again.straight(6.5), wide)).isCloseTo(7.0, within(0.05));
        assertThat(again.beamDeg(again.straight(0.2), wide)).isEqualTo(50);
        assertThat(again.beamDeg(again.straight(100), wide)).isEqualTo(3);
    }
}
