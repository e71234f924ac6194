package org.oblume.core.photometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.Cases;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Percent;

class PhotometryTest {

    @TestFactory
    Stream<DynamicTest> theLevelThatHoldsAMove() {
        return Cases.answered("move", c -> {
            LevelHold move = LevelHold.of(
                    c.number("fromDistanceM"),
                    c.number("toDistanceM"),
                    c.number("emitterRadiusM", 0),
                    Percent.of(c.number("levelPercent")),
                    LevelCurve.valueOf(c.text("curve")));
            c.assertAnswer("stopsChange", move.change().value());
            c.assertAnswer("levelPercent", move.level().value());
            c.assertAnswer("reachable", move.reachable());
            c.assertAnswer("shortfallStops", move.shortfall().value());
            c.assertAnswer("angularSizeFromDeg", move.angularSizeFromDeg());
            c.assertAnswer("angularSizeToDeg", move.angularSizeToDeg());
        });
    }

    @TestFactory
    Stream<DynamicTest> theEdgeOfAShadow() {
        return Cases.answered("shadow", c -> {
            Shadow shadow =
                    new Shadow(c.number("sourceRadiusM"), c.number("sourceToEdgeM"), c.number("edgeToSurfaceM"));
            c.assertAnswer("angularSizeDeg", shadow.angularSizeDeg());
            c.assertAnswer("penumbraM", shadow.penumbraM());
            if (c.request().has("openingWidthM")) {
                c.assertAnswer("fanDeg", shadow.fanDeg(c.number("openingWidthM")));
            }
        });
    }

    @Test
    void closerKeyIsDimmedToHoldExposure() {
        LevelHold in = LevelHold.of(2.90, 1.70, 0.15, Percent.of(70), LevelCurve.LINEAR);
        assertThat(in.change().value()).isCloseTo(1.53, within(0.01));
        assertThat(in.level().value()).isCloseTo(24, within(0.5));
        assertThat(in.angularSizeFromDeg()).isCloseTo(5.9, within(0.05));
        assertThat(in.angularSizeToDeg()).isCloseTo(10.1, within(0.05));
    }

    @ParameterizedTest
    @EnumSource(LevelCurve.class)
    void movingAwayAndBackRestoresTheLevel(LevelCurve curve) {
        Random random = new Random(curve.ordinal());
        for (int i = 0; i < 50; i++) {
            double near = 1 + random.nextDouble() * 3;
            double far = near + random.nextDouble();
            Percent level = Percent.of(1 + random.nextDouble() * 30);
            LevelHold away = LevelHold.of(near, far, 0.2, level, curve);
            LevelHold back = LevelHold.of(far, near, 0.2, away.level(), curve);
            assertThat(back.level().value()).isCloseTo(level.value(), within(1e-6));
            assertThat(back.change().value()).isCloseTo(-away.change().value(), within(1e-12));
        }
    }

    @ParameterizedTest
    @EnumSource(LevelCurve.class)
    void aLevelAndItsOutputLeadToEachOtherAndRiseTogether(LevelCurve curve) {
        for (double level = 0; level <= 1; level += 0.01) {
            assertThat(curve.level(curve.output(level))).isCloseTo(level, within(1e-7));
            assertThat(curve.output(level + 0.01)).isGreaterThan(curve.output(level));
        }
    }

    @Test
    void aBeamIsHalfAsBrightAtHalfItsAngle() {
        BeamShape beam = new BeamShape(20000, 36);
        assertThat(beam.candela(0)).isEqualTo(20000);
        assertThat(beam.candela(Math.toRadians(18))).isCloseTo(10000, within(1e-6));
        BeamShape middle = BeamShape.zoomed(new BeamShape(40000, 10), new BeamShape(2500, 50), 0.5);
        assertThat(middle.peakCandela()).isCloseTo(10000, within(1e-6));
        assertThat(middle.beamDeg()).isEqualTo(30);
    }

    @Test
    void aWideBeamIsASurfacesMoreThanALenss() {
        BeamShape panel = new BeamShape(1000, 120);
        assertThat(panel.candela(Math.toRadians(60))).isCloseTo(500, within(1e-9));
        assertThat(panel.candela(Math.toRadians(30))).isCloseTo(1000 * Math.cos(Math.toRadians(30)), within(1e-9));
        assertThat(panel.candela(Math.toRadians(91))).isZero();
        assertThat(new BeamShape(1000, 180).candela(Math.toRadians(80))).isCloseTo(1000, within(50.0));
    }

    @Test
    void aReadingFarFromThePredictionIsDoubted() {
        Calibration low = Calibration.of(Illuminance.ofLux(400), Illuminance.ofLux(100));
        assertThat(low.stops().value()).isCloseTo(-2, within(1e-12));
        assertThat(low.isDoubtful()).isTrue();
        assertThat(Calibration.NONE.isDoubtful()).isFalse();
    }

    @Test
    void theStreaksPenumbraIsNarrowerFromTheMirror() {
        double radius = Math.tan(Math.toRadians(1)) * 1;
        assertThat(new Shadow(radius, 6.5, 3.2).penumbraM()).isGreaterThan(new Shadow(radius, 12, 3.2).penumbraM());
        assertThat(new Shadow(radius, 6.5, 3.2).fanDeg(0.8)).isCloseTo(7.0, within(0.05));
        assertThat(new Shadow(radius, 12, 3.2).fanDeg(0.8))
                .isCloseTo(3.8, within(0.05))
                .isLessThan(Shadow.PARALLEL_BELOW_DEG);
    }

    @Test
    void headroomIsWhatIsLeftToFull() {
        assertThat(LevelCurve.LINEAR.headroom(0.25).value()).isCloseTo(2, within(1e-12));
        assertThat(LevelCurve.SQUARE.headroom(0.5).value()).isCloseTo(2, within(1e-12));
        for (LevelCurve curve : LevelCurve.values()) {
            assertThat(curve.headroom(1).value()).isCloseTo(0, within(1e-12));
        }
    }
}
