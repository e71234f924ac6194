package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.oblume.core.bust.Bust;
import org.oblume.core.bust.OwnShadow;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.Swatch;
import org.oblume.core.geometry.Direction;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** What the light at a mark does to the bust there. A face at 1.5 m looks north: its left is to the west. */
class BustLightTest {

    private static final List<Bust.Facet> FACETS = Bust.plain().facets();
    private static final int A_SIDE = 8;

    private static BustLight bust(Stage stage) {
        return stage.light().bust(stage.mark());
    }

    private static double lux(BustLight bust, int facet) {
        return ConeLight.luminance(bust.cones(facet));
    }

    /** The facet of the other side that is this one in a mirror. */
    private static int mirrored(int facet) {
        int inRing = facet % (2 * A_SIDE);
        return facet - inRing + (inRing + A_SIDE) % (2 * A_SIDE);
    }

    /** Facets that look as much to one side as ahead, on the cheek below the eye. */
    private static int[] cheek(int side) {
        return IntStream.range(0, FACETS.size())
                .filter(f -> {
                    Bust.Facet facet = FACETS.get(f);
                    return facet.middle()[2] > -0.045
                            && facet.middle()[2] < -0.012
                            && side * facet.middle()[1] > 0.03
                            && side * facet.middle()[1] < 0.06
                            && facet.middle()[0] > 0.03;
                })
                .toArray();
    }

    private static double mean(BustLight bust, int... facets) {
        return IntStream.of(facets).mapToDouble(f -> lux(bust, f)).average().orElseThrow();
    }

    @Test
    void theBustIsTheSameOnBothSidesAndItsFacetsLookOutwards() {
        for (int f = 0; f < FACETS.size(); f++) {
            Bust.Facet one = FACETS.get(f);
            Bust.Facet other = FACETS.get(mirrored(f));
            assertThat(other.middle()[1]).isCloseTo(-one.middle()[1], within(1e-12));
            assertThat(other.normal()[0]).isCloseTo(one.normal()[0], within(1e-9));
            assertThat(Math.hypot(Math.hypot(one.normal()[0], one.normal()[1]), one.normal()[2]))
                    .isCloseTo(1, within(1e-12));
            if (one.middle()[2] > -0.113) { // of the head; the collar looks up
                double outwards = one.normal()[0] * one.middle()[0] + one.normal()[1] * one.middle()[1];
                assertThat(outwards + one.normal()[2] * one.middle()[2])
                        .as("facet %d", f)
                        .isPositive();
            } else {
                assertThat(one.normal()[2]).as("facet %d", f).isGreaterThan(-0.9);
            }
        }
    }

    @Test
    void aLightFromTheOtherSideMakesTheMirrorPicture() {
        BustLight east = bust(Stage.outdoors().head("key", Role.KEY, 2, 2, 2.2));
        BustLight west = bust(Stage.outdoors().head("key", Role.KEY, -2, 2, 2.2));
        double most = IntStream.range(0, FACETS.size())
                .mapToDouble(f -> lux(east, f))
                .max()
                .orElseThrow();
        for (int f = 0; f < FACETS.size(); f++) {
            // a ninth of a facet is what one dot more in its shadow makes
            assertThat(lux(west, mirrored(f))).isCloseTo(lux(east, f), within(most * 0.24));
        }
        assertThat(mean(west, cheek(1))).isCloseTo(mean(east, cheek(-1)), within(most * 0.02));
    }

    @Test
    void theCheekThatLooksAtTheKeyGetsWhatTheLadderSays() {
        Stage stage = Stage.room(3.0, Surface.grey(0.5), Surface.grey(0.7)).head("key", Role.KEY, 1.8, 1.8, 1.9);
        MarkLight mark = stage.mark();
        BustLight bust = bust(stage);
        int[] facing = IntStream.range(0, FACETS.size())
                .filter(f -> {
                    double[] n = FACETS.get(f).normal();
                    return Math.abs(n[2]) < 0.2
                            && n[0] - n[1] > 2 * 0.67
                            && FACETS.get(f).middle()[2] > -0.05
                            && FACETS.get(f).middle()[2] < 0.1;
                })
                .toArray();
        assertThat(facing).isNotEmpty();
        double stops = Math.log(mean(bust, facing) / mark.right().lux()) / Math.log(2);
        assertThat(stops).isCloseTo(0, within(0.2));
    }

    @Test
    void whatBringsLightToACheekBringsItToItsReferenceAsTheLadderSays() {
        for (double x : new double[] {-2.5, -0.4, 1.1, 2.6}) {
            for (double height : new double[] {0.4, 1.5, 2.8}) {
                Stage stage =
                        Stage.room(3.0, Surface.grey(0.5), Surface.grey(0.7)).head("key", Role.KEY, x, 1.3, height);
                MarkLight mark = stage.mark();
                BustLight bust = bust(stage);
                assertThat(bust.reference(true).lux()).isCloseTo(mark.left().lux(), withinPercentage(3));
                assertThat(bust.reference(false).lux()).isCloseTo(mark.right().lux(), withinPercentage(3));
            }
        }
    }

    @Test
    void theNoseKeepsTheKeyOffTheFarCheekAndFromHighUpLightComesBackBelowTheEye() {
        double[] side = {Math.cos(Math.toRadians(62)), -Math.sin(Math.toRadians(62)), 0};
        double up = Math.toRadians(45);
        double[] raised = {Math.cos(up) * Math.cos(up), -Math.cos(up) * Math.sin(up), Math.sin(up)};
        int besideTheNose = IntStream.range(0, FACETS.size())
                .filter(f -> FACETS.get(f).middle()[1] > 0.008 && FACETS.get(f).middle()[1] < 0.03)
                .filter(f -> FACETS.get(f).middle()[0] > 0.06
                        && Math.abs(FACETS.get(f).middle()[2] + 0.03) < 0.008)
                .findFirst()
                .orElseThrow();
        assertThat(OwnShadow.reached(new double[] {1, 0, 0})[besideTheNose]).isGreaterThan(0.6);
        assertThat(OwnShadow.reached(side)[besideTheNose]).isZero();
        double[] reached = OwnShadow.reached(raised);
        assertThat(IntStream.of(cheek(1)).mapToDouble(f -> reached[f]).max().orElseThrow())
                .as("the triangle")
                .isGreaterThan(0.5);
    }

    @Test
    void lightFromStraightAboveLeavesTheSocketsOfTheEyesDark() {
        double[] reached = OwnShadow.reached(new double[] {0, 0, 1});
        for (int f = 0; f < FACETS.size(); f++) {
            double[] at = FACETS.get(f).middle();
            if (at[2] > 0.10) {
                assertThat(reached[f]).as("the crown").isGreaterThan(0.5);
            }
            if (Math.abs(at[2]) < 0.008 && at[0] > 0.05 && Math.abs(at[1]) > 0.02 && Math.abs(at[1]) < 0.045) {
                assertThat(reached[f]).as("a socket").isLessThan(0.5);
            }
        }
    }

    @Test
    void twoLightsAreTheSumOfEach() {
        Random random = new Random(3);
        for (int run = 0; run < 6; run++) {
            double x = 3 * random.nextDouble() - 1.5;
            double z = 1.2 + 1.5 * random.nextDouble();
            BustLight key = bust(Stage.outdoors().head("key", Role.KEY, x, 2, z));
            BustLight edge = bust(Stage.outdoors().head("edge", Role.EDGE, -x, -2, 2));
            BustLight both =
                    bust(Stage.outdoors().head("key", Role.KEY, x, 2, z).head("edge", Role.EDGE, -x, -2, 2));
            for (int f = 0; f < FACETS.size(); f++) {
                assertThat(lux(both, f)).isCloseTo(lux(key, f) + lux(edge, f), within(1e-9 * Stage.PEAK));
            }
        }
    }

    @Test
    void aCloserLightIsBrighterOnTheSideThatIsNearerToIt() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 0, 0.6, Stage.FACE_M);
        BustLight near = bust(stage);
        int nose = IntStream.range(0, FACETS.size())
                .filter(f -> FACETS.get(f).middle()[0] > 0.1)
                .findFirst()
                .orElseThrow();
        double atTheFace = stage.mark().sources().get(0).facingLux();
        assertThat(IntStream.range(0, FACETS.size())
                        .mapToDouble(f -> lux(near, f))
                        .max()
                        .orElseThrow())
                .as("the forehead is 9 cm nearer than the middle")
                .isBetween(1.2 * atTheFace, 1.6 * atTheFace);
        assertThat(lux(near, nose)).isPositive();
    }

    @Test
    void theShadowOfTheNoseFallsAwayFromTheKey() {
        BustReading fromItsRight = BustReading.of(
                        Stage.outdoors().head("key", Role.KEY, 2, 2, 2.6).mark())
                .orElseThrow();
        assertThat(fromItsRight.source()).isEqualTo("key");
        assertThat(fromItsRight.downDeg()).as("down and to its left").isBetween(40.0, 75.0);
        assertThat(BustReading.of(
                                Stage.outdoors().head("key", Role.KEY, 0, 2, 3).mark())
                        .orElseThrow()
                        .downDeg())
                .isCloseTo(0, within(1e-9));
        assertThat(BustReading.of(
                        Stage.outdoors().head("edge", Role.EDGE, 0, -2, 3).mark()))
                .isEmpty();
    }

    private static MarkLight keyFrom(double aroundDeg, double upDeg) {
        double around = Math.toRadians(aroundDeg);
        double up = 3 * Math.tan(Math.toRadians(upDeg));
        return Stage.outdoors()
                .head("key", Role.KEY, 3 * Math.sin(around), 3 * Math.cos(around), Stage.FACE_M + up)
                .mark();
    }

    @Test
    void aKeyFortyFiveRoundAndUpClosesTheTriangleAndOneFromTheSideLeavesNone() {
        assertThat(BustReading.of(keyFrom(45, 45)).orElseThrow().triangle()).isEqualTo(BustReading.Triangle.CLOSED);
        assertThat(BustReading.of(keyFrom(-45, 45)).orElseThrow().triangle()).isEqualTo(BustReading.Triangle.CLOSED);
        assertThat(BustReading.of(keyFrom(80, 10)).orElseThrow().triangle()).isEqualTo(BustReading.Triangle.NONE);
        assertThat(BustReading.of(keyFrom(16, 10)).orElseThrow().triangle()).isEqualTo(BustReading.Triangle.OPEN);
    }

    @Test
    void aLightIsInTheEyesWhereItIsMirroredToTheCameraAndTheBrowLeavesIt() {
        BustReading.EyeLight key = BustReading.eyeLights(keyFrom(20, 20), null).get(0);
        assertThat(key.source()).isEqualTo("key");
        assertThat(key.inLeft() && key.inRight()).isTrue();
        // half of the way between the light and who looks, by the law of mirrors: from its own right, and from above
        assertThat(key.leftOnIt()).isCloseTo(-Math.sin(Math.toRadians(10)), within(0.01));
        assertThat(key.upOnIt()).isCloseTo(Math.sin(Math.toRadians(10)), within(0.01));
        assertThat(BustReading.eyeLights(keyFrom(10, 80), null)).as("the brow").isEmpty();
        assertThat(BustReading.eyeLights(keyFrom(180, 10), null))
                .as("from behind")
                .isEmpty();
        Direction aside = Direction.of(Bearing.ofDegrees(80), 0);
        assertThat(BustReading.eyeLights(keyFrom(-60, 0), aside))
                .as("mirrored straight ahead")
                .isNotEmpty();
        assertThat(BustReading.eyeLights(keyFrom(60, 0), aside))
                .as("mirrored at its temple")
                .isEmpty();
    }

    /** The ladder's cheeks look 45° aside; in the mean of its facets a cheek looks farther ahead, where the key reaches across the nose. */
    @Test
    void aCheekOfTheBustIsTheMeanOfItsFacets() {
        Stage stage = Stage.room(3.0, Surface.grey(0.3), Surface.grey(0.3)).head("key", Role.KEY, 2.4, 1.6, 2.0);
        MarkLight mark = stage.mark();
        BustLight bust = bust(stage);
        assertThat(mark.leftIsLit()).isFalse();
        assertThat(Math.log(bust.cheekLux(false) / mark.lit().lux()) / Math.log(2))
                .isCloseTo(0, within(0.35));
        assertThat(bust.cheekLux(true))
                .isLessThan(bust.cheekLux(false) / 2)
                .isGreaterThan(mark.shadow().lux());
        assertThat(bust.cheekLux(true)).isCloseTo(mean(bust, Bust.plain().cheekFacets(true)), within(1e-9));
        assertThat(Bust.plain().cheekFacets(true))
                .hasSameSizeAs(Bust.plain().cheekFacets(false))
                .contains(Bust.plain().cheek(true));
    }

    @Test
    void aPictureOfWhiteLightIsGreyAndTwiceAsMuchIsTwiceAsBright() {
        BustLight one = bust(Stage.outdoors().head("key", Role.KEY, 0, 3, 1.6));
        CameraWhite white = CameraWhite.of(Kelvin.of(5600), Duv.of(0));
        double most = IntStream.range(0, FACETS.size())
                .mapToDouble(f -> lux(one, f))
                .max()
                .orElseThrow();
        List<Swatch> picture = one.picture(white, most);
        Swatch brightest = picture.stream()
                .max((a, b) -> Integer.compare(a.green(), b.green()))
                .orElseThrow();
        assertThat(brightest.red()).isCloseTo(brightest.blue(), within(3));
        assertThat(brightest.green()).as("25 % through the sRGB curve").isCloseTo(137, within(2));
        assertThat(one.picture(white, most / 2).stream()
                        .mapToInt(Swatch::green)
                        .max()
                        .orElseThrow())
                .as("50 %")
                .isCloseTo(188, within(2));
    }
}
