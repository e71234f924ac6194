package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.oblume.core.photometry.BeamShape;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Surface;

/** What stands in the way of a light or sends it on, worked out by hand. */
class GripLightTest {

    private static final double R = 0.15;

    @Test
    void aFlagTakesAKeyAwayAndItsEdgeTakesHalf() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 0, 4, 1.5);
        double open = stage.mark().lit().lux();
        stage.grip("flag", PlacementKind.FLAG, 1, 1, null, 0, 2, 1.5, 0, 0);
        assertThat(stage.mark().lit().lux()).isZero();
        double half = stage.tie("flag", new Place(0.5, 2, true)).mark().lit().lux();
        assertThat(half).isBetween(open * 0.3, open * 0.7);
        assertThat(stage.tie("flag", new Place(2, 2, true)).mark().lit().lux()).isEqualTo(open);
        assertThat(stage.tie("flag", new Place(0, 2, true))
                        .tie("flag", SetStatus.STRUCK)
                        .mark()
                        .lit()
                        .lux())
                .isEqualTo(open);
    }

    @Test
    void aNetOnAStandCostsItsStopsAndAGelOnAFrameMovesTheColour() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 0, 4, 1.5);
        double open = stage.mark().lit().lux();
        stage.grip(
                "net",
                PlacementKind.NET,
                2,
                2,
                null,
                0,
                2,
                1.5,
                0,
                0,
                new Modifier("Single net", 0.5, 0, 0, false, null, null, null));
        assertThat(stage.mark().lit().lux()).isCloseTo(open / Math.sqrt(2), within(1e-6));
        stage.grip(
                "gel",
                PlacementKind.FRAME,
                2,
                2,
                null,
                0,
                1,
                1.5,
                0,
                0,
                new Modifier("Half CTO", 0.5, 81, 0, false, null, null, null));
        assertThat(stage.mark().lit().lux()).isCloseTo(open / 2, within(1e-6));
        assertThat(1e6 / stage.mark().lit().mix().reading().kelvin()).isCloseTo(1e6 / 5600 + 81, within(0.1));
    }

    @Test
    void aClothOnAStandSendsOnWhatTheClothOnTheHeadDoes() {
        MarkLight onHead = Stage.outdoors()
                .head("key", Role.KEY, 0, 4, 1.5, new Modifier("Silk", 1, 2, 0, true, 1.2, 1.0, null))
                .mark();
        MarkLight onStand = Stage.outdoors()
                .head("key", Role.KEY, 0, 4, 1.5)
                .grip(
                        "cloth",
                        PlacementKind.FRAME,
                        1.2,
                        1.2,
                        null,
                        0,
                        3,
                        1.5,
                        0,
                        0,
                        new Modifier("Silk", 1, 2, 0, true, null, null, null))
                .mark();
        assertThat(onStand.lit().lux())
                .isCloseTo(onHead.lit().lux(), within(onHead.lit().lux() * 1e-6));
        assertThat(onStand.sources().get(0).angularSizeDeg())
                .isCloseTo(onHead.sources().get(0).angularSizeDeg(), within(1e-9));
    }

    @Test
    void aBoardSendsBackWhatTheFormulaSays() {
        Stage stage = Stage.outdoors()
                .head("fill", Role.FILL, 0, 1, 1.5)
                .grip("board", PlacementKind.BOUNCE, 1, 1, new Surface(0.8, 10, 0), 0, 3, 1.5, 180, 0)
                .tie("fill", AimSetting.along(0, 0));
        double wanted = byHand(new BeamShape(Stage.PEAK, 40), 2, 3, 0.8);
        MarkLight mark = stage.mark();
        assertThat(mark.lit().lux()).isCloseTo(wanted, within(wanted * 0.02));
        assertThat(mark.sources().get(0).straight()).isFalse();
        assertThat(1e6 / mark.lit().mix().reading().kelvin()).isCloseTo(1e6 / 5600 + 10, within(0.1));
    }

    /** Each bit of a board of 1 m: what it gets of a head, and what a cheek, turned 45° from its middle, gets of it; both straight before it. */
    private static double byHand(BeamShape beam, double headM, double faceM, double reflectance) {
        int n = 200;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = (i + 0.5) / n - 0.5;
                double z = (j + 0.5) / n - 0.5;
                double toHead = Math.sqrt(headM * headM + x * x + z * z);
                double lux = beam.candela(Math.acos(headM / toHead)) * headM / Math.pow(toHead, 3);
                double toFace = Math.sqrt(faceM * faceM + x * x + z * z);
                double cheek = (x + faceM) / Math.sqrt(2) / toFace;
                sum += lux * reflectance / Math.PI * faceM / toFace * Math.max(0, cheek) / (toFace * toFace) / (n * n);
            }
        }
        return sum;
    }

    @Test
    void byAMirrorALightComesTheWholeWayRound() {
        Stage stage = Stage.outdoors()
                .head("sun", Role.KEY, 4, 4, 1.5)
                .grip("mirror", PlacementKind.MIRROR, 1, 1, null, 0, 4, 1.5, 135, 0)
                .grip("flag", PlacementKind.FLAG, 1, 1, null, 2, 2, 1.5, 45, 0)
                .tie("sun", AimSetting.along(270, 0));
        MarkLight mark = stage.mark();
        assertThat(mark.sources().get(0).distanceM()).isCloseTo(8, within(0.001));
        double wanted = 0.9 * Stage.PEAK / (64 + R * R);
        assertThat(mark.right().lux()).isCloseTo(wanted * Math.cos(Math.toRadians(45)), within(wanted * 0.01));
        assertThat(stage.tie("mirror", new Place(0, 6, true)).mark().lit().lux())
                .as("out of the beam's way")
                .isLessThan(1);
    }
}
