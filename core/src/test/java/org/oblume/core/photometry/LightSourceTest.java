package org.oblume.core.photometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.colour.LightColour;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Stops;

/** What one source gives a surface, worked out by hand where the geometry is simple. */
class LightSourceTest {

    private static final LightColour DAYLIGHT = LightColour.of(Kelvin.of(5600), Duv.NEUTRAL);
    private static final double PEAK = 9000;

    @ParameterizedTest
    @CsvSource({"0, 0", "90, 0", "137, 0", "45, -30", "300, 50", "10, 90"})
    void onItsAxisAHeadGivesItsPeakOverTheSquaredDistance(double bearing, double tilt) {
        LightSource head = head(new SpacePoint(1, 2, 3), bearing, tilt, 1, 0);
        SpacePoint there = ahead(head, 3);
        double facing = Math.cos(Math.toRadians(tilt)); // the surface is upright, the light comes at its tilt
        assertThat(head.lux(there, level(Bearing.ofDegrees(bearing + 180)))).isCloseTo(PEAK / 9 * facing, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({"0, 20", "75, 20", "210, -20"})
    void halfABeamOffTheAxisItGivesHalf(double bearing, double off) {
        LightSource head = head(new SpacePoint(0, 0, 0), bearing, 0, 1, 0);
        SpacePoint aside = ahead(head(head.at(), bearing + off, 0, 1, 0), 2);
        assertThat(head.lux(aside, level(Bearing.ofDegrees(bearing + off + 180))))
                .isCloseTo(PEAK / 4 / 2, within(1e-6));
    }

    @Test
    void outputAndCalibrationScaleWhatItGives() {
        SpacePoint there = new SpacePoint(0, 2, 0);
        double full = head(new SpacePoint(0, 0, 0), 0, 0, 1, 0).lux(there, level(Bearing.ofDegrees(180)));
        assertThat(head(new SpacePoint(0, 0, 0), 0, 0, 0.25, 0).lux(there, level(Bearing.ofDegrees(180))))
                .isCloseTo(full / 4, within(1e-9));
        LightSource measured = new LightSource(
                new SpacePoint(0, 0, 0),
                Bearing.ofDegrees(0),
                0,
                new BeamShape(PEAK, 40),
                0,
                1,
                DAYLIGHT,
                new Calibration(1.5));
        assertThat(measured.lux(there, level(Bearing.ofDegrees(180)))).isCloseTo(full * 1.5, within(1e-9));
        assertThat(measured.lux(measured.at(), level(Bearing.ofDegrees(0)))).isZero();
    }

    @Test
    void aSurfaceTurnedAwayGetsOnlyWhatALargeSourceSendsRound() {
        SpacePoint there = new SpacePoint(0, 2, 0);
        Bearing away = Bearing.ofDegrees(80); // 100° from the light
        assertThat(head(new SpacePoint(0, 0, 0), 0, 0, 1, 0).lux(there, level(away)))
                .isZero();
        double sine = 1 / Math.hypot(1, 2);
        double factor = (Math.cos(Math.toRadians(100)) + sine) / (1 + sine);
        assertThat(head(new SpacePoint(0, 0, 0), 0, 0, 1, 1).lux(there, level(away)))
                .isCloseTo(PEAK / (4 + 1) * factor, within(1e-6));
    }

    static IntStream seeds() {
        return IntStream.range(0, 30);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aMirrorKeepsTheWayAndTheAngle(int seed) {
        Random random = new Random(seed);
        LightSource lamp = head(
                new SpacePoint(random.nextDouble() * 4, random.nextDouble() * 4, 2),
                random.nextDouble() * 360,
                -20,
                0.6,
                0.1);
        SpacePoint on = new SpacePoint(random.nextDouble() * 4 - 6, random.nextDouble() * 4 - 6, 1);
        Bearing normal = Bearing.ofDegrees(random.nextDouble() * 360);
        LightSource image = lamp.mirrored(on, level(normal), 0.9);
        assertThat(distance(image.at(), on)).isCloseTo(distance(lamp.at(), on), within(1e-9));
        assertThat(image.output()).isCloseTo(0.54, within(1e-12));
        assertThat(image.tiltDeg()).isCloseTo(-20, within(1e-9));
        double before = Math.cos(Math.toRadians(lamp.bearing().degrees() - normal.degrees()));
        double after = Math.cos(Math.toRadians(image.bearing().degrees() - normal.degrees()));
        assertThat(after).isCloseTo(-before, within(1e-9));
        LightSource again = image.mirrored(on, level(normal), 1);
        assertThat(distance(again.at(), lamp.at())).isCloseTo(0, within(1e-9));
        assertThat(Math.cos(Math.toRadians(
                        again.bearing().degrees() - lamp.bearing().degrees())))
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void theFluxOfABeamIsWhatFineSlicesOfItAddUpTo() {
        BeamShape beam = new BeamShape(PEAK, 60);
        double sum = 0;
        int slices = 200_000;
        for (int i = 0; i < slices; i++) {
            double angle = (i + 0.5) * 0.8 / slices;
            sum += 2 * Math.PI * beam.candela(angle) * Math.sin(angle) * 0.8 / slices;
        }
        assertThat(beam.lumenWithin(0.8)).isCloseTo(sum, within(sum * 1e-6));
        assertThat(new BeamShape(PEAK, 110).litRadiusM(2)).isEmpty();
        assertThat(beam.litRadiusM(2).orElseThrow()).isCloseTo(2 * Math.tan(Math.toRadians(1.823 * 30)), within(1e-9));
    }

    @Test
    void aBoardTurnedFromTheHeadCatchesLess() {
        BeamShape beam = new BeamShape(PEAK, 40);
        LambertianDisc square = LambertianDisc.bounced(beam, Math.PI, 4, 0, 0.5);
        assertThat(square.normalCandela()).isCloseTo(0.5 * beam.lumenWithin(Math.atan(0.25)) / Math.PI, within(1e-9));
        LambertianDisc turned = LambertianDisc.bounced(beam, Math.PI, 4, Math.toRadians(60), 0.5);
        assertThat(turned.normalCandela())
                .isCloseTo(0.5 * beam.lumenWithin(Math.atan(Math.sqrt(0.5) / 4)) / Math.PI, within(1e-9));
        assertThat(square.radiusM()).isEqualTo(1);
        assertThat(square.candela(Math.toRadians(60))).isCloseTo(square.normalCandela() / 2, within(1e-9));
        assertThat(square.candela(Math.toRadians(120))).isZero();
        assertThat(LambertianDisc.diffused(beam, Math.PI, 4, Stops.of(2)).normalCandela())
                .isCloseTo(square.normalCandela() / 2, within(1e-9));
        assertThatThrownBy(() -> LambertianDisc.bounced(beam, 1, 1, 0, 1.2)).hasMessageContaining("reflectance");
    }

    @Test
    void aFilamentReddensAndDrawsLessAsItIsDimmed() {
        assertThat(LevelCurve.TUNGSTEN.kelvinFactor(0.5)).isCloseTo(Math.pow(0.5, 0.42), within(1e-12));
        assertThat(LevelCurve.LINEAR.kelvinFactor(0.5)).isEqualTo(1);
        assertThat(LevelCurve.TUNGSTEN.drawWatts(1000, 50, 0.5)).isCloseTo(1000 * Math.pow(0.5, 1.54), within(1e-9));
        assertThat(LevelCurve.SQUARE.drawWatts(100, 20, 0.5)).isCloseTo(40, within(1e-12));
    }

    private static Direction level(Bearing bearing) {
        return Direction.of(bearing, 0);
    }

    private static LightSource head(SpacePoint at, double bearing, double tilt, double output, double radiusM) {
        return new LightSource(
                at,
                Bearing.ofDegrees(bearing),
                tilt,
                new BeamShape(PEAK, 40),
                radiusM,
                output,
                DAYLIGHT,
                Calibration.NONE);
    }

    private static SpacePoint ahead(LightSource head, double metres) {
        double turn = Math.toRadians(head.bearing().degrees());
        double tilt = Math.toRadians(head.tiltDeg());
        return new SpacePoint(
                head.at().xM() + metres * Math.sin(turn) * Math.cos(tilt),
                head.at().yM() + metres * Math.cos(turn) * Math.cos(tilt),
                head.at().zM() + metres * Math.sin(tilt));
    }

    private static double distance(SpacePoint a, SpacePoint b) {
        return Math.sqrt(Math.pow(a.xM() - b.xM(), 2) + Math.pow(a.yM() - b.yM(), 2) + Math.pow(a.zM() - b.zM(), 2));
    }
}
