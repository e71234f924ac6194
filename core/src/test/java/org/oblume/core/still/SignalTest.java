package org.oblume.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.picture.Isostops;
import org.oblume.core.units.Refusal;

/** What is read off a still. */
class SignalTest {

    private static final int WIDE = 640;
    private static final int HIGH = 360;

    /** Grey, by column and row, 0 to 1. */
    private interface Grey {

        double at(int x, int y);
    }

    private static Signal still(int wide, int high, boolean videoRange, Grey grey) {
        return new Signal(wide, high, videoRange, (row, components) -> {
            for (int x = 0; x < wide; x++) {
                Arrays.fill(components, 3 * x, 3 * x + 3, grey.at(x, row));
            }
        });
    }

    /** Patches of 40 dots in steps of 5 percent. */
    private static double patch(int x) {
        return x / 40 * 0.05;
    }

    @Test
    void knownPatchesReadAsTheyAre() {
        Signal still = still(WIDE, HIGH, false, (x, y) -> patch(x));
        for (int p = 0; p < 16; p++) {
            assertThat(still.percent((40 * p + 20.0) / WIDE, 0.5)).isCloseTo(5.0 * p, within(0.001));
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "1, 1", "0.31, 0.77", "0.999, 0.001"})
    void aPointIsTheMeanOfItsSquareAndOfWhatOfItIsInThePicture(double x, double y) {
        Signal still = still(WIDE, HIGH, false, (column, row) -> (column * 7 + row * 13) % 101 / 100.0);
        double sum = 0;
        int counted = 0;
        double left = Math.min(x * WIDE, WIDE - 0.5);
        double top = Math.min(y * HIGH, HIGH - 0.5);
        for (int column = 0; column < WIDE; column++) {
            for (int row = 0; row < HIGH; row++) {
                if (column >= Math.floor(left - 4.5)
                        && column < Math.floor(left - 4.5) + 10
                        && row >= Math.floor(top - 4.5)
                        && row < Math.floor(top - 4.5) + 10) {
                    sum += (column * 7 + row * 13) % 101 / 100.0;
                    counted++;
                }
            }
        }
        assertThat(still.percent(x, y)).isCloseTo(100 * sum / counted, within(0.001));
    }

    @Test
    void greenWeighsMostAndVideoRangeGoesBelowBlackAndAboveWhite() {
        double[] green = {0, 1, 0};
        Signal one = new Signal(1, 1, false, (row, components) -> System.arraycopy(green, 0, components, 0, 3));
        assertThat(one.percent(0.5, 0.5)).isCloseTo(71.52, within(0.001));
        Signal video = still(64, 36, true, (x, y) -> x < 32 ? 8 / 255.0 : 240 / 255.0);
        assertThat(video.percent(0.2, 0.5)).isCloseTo(100 * (8 - 16) / 219.0, within(0.001));
        assertThat(video.percent(0.8, 0.5)).isCloseTo(100 * (240 - 16) / 219.0, within(0.001));
        assertThat(video.clippedShare()).isEqualTo(0.5);
        assertThat(video.blackShare()).isEqualTo(0.5);
    }

    @Test
    void whatIsAtTheLimitIsNeitherClippedNorBlack() {
        Signal still = still(4, 1, false, (x, y) -> new double[] {254 / 255.0, 1, 0.01, 0.0099}[x]);
        assertThat(still.clippedShare()).isEqualTo(0.25);
        assertThat(still.blackShare()).isEqualTo(0.25);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 7, 103})
    void aReedIsWhatSortingItsColumnsTells(int count) {
        Random dots = new Random(5);
        double[][] grey = new double[HIGH][WIDE];
        for (double[] row : grey) {
            Arrays.setAll(row, x -> dots.nextInt(256) / 255.0);
        }
        List<Signal.Reed> reeds = still(WIDE, HIGH, false, (x, y) -> grey[y][x]).reeds(count);
        assertThat(reeds).hasSize(count);
        for (int reed = 0; reed < count; reed++) {
            int from = reed * WIDE / count;
            int to = (reed + 1) * WIDE / count;
            double[] sorted = Arrays.stream(grey)
                    .flatMapToDouble(row -> Arrays.stream(row, from, to))
                    .sorted()
                    .toArray();
            assertThat(reeds.get(reed).lowest()).isCloseTo(100 * at(sorted, 0.02), within(0.001));
            assertThat(reeds.get(reed).middle()).isCloseTo(100 * at(sorted, 0.5), within(0.001));
            assertThat(reeds.get(reed).high()).isCloseTo(100 * at(sorted, 0.75), within(0.001));
            assertThat(reeds.get(reed).highest()).isCloseTo(100 * at(sorted, 0.98), within(0.001));
        }
    }

    private static double at(double[] sorted, double part) {
        return sorted[(int) Math.ceil(part * sorted.length) - 1];
    }

    @Test
    void theHottestAndTheDarkestAreWhereTheyAre() {
        Signal still = still(
                WIDE,
                HIGH,
                false,
                (x, y) -> Math.hypot(x - 500, y - 90) < 20 ? 0.9 : Math.hypot(x - 100, y - 300) < 20 ? 0.05 : 0.4);
        assertThat(still.hottest().x()).isCloseTo(500.0 / WIDE, within(0.02));
        assertThat(still.hottest().y()).isCloseTo(90.0 / HIGH, within(0.03));
        assertThat(still.hottest().percent()).isCloseTo(90, within(0.01));
        assertThat(still.darkest().x()).isCloseTo(100.0 / WIDE, within(0.02));
        assertThat(still.darkest().percent()).isCloseTo(5, within(0.01));
    }

    /** Twice the light from one column of the ramp to a later one: a line each whole stop, where the stop is. */
    @Test
    void linesOfEqualExposureStandWhereTheLightIsThatMany() {
        Signal still = still(
                WIDE, HIGH, false, (x, y) -> ShippedCurve.BT709.percent(0.18 * Math.pow(2, (x - 320) / 80.0)) / 100);
        List<Isostops.Line> lines = StillLines.of(still, ShippedCurve.BT709, WIDE, 1);
        assertThat(lines).extracting(Isostops.Line::stops).contains(-3.0, -2.0, -1.0, 0.0, 1.0, 2.0);
        lines.stream().filter(line -> line.stops() > -3.5).forEach(line -> line.points()
                .forEach(p -> assertThat(p[0]).isCloseTo(320.5 + 80 * line.stops(), within(3.0))));
        assertThat(StillLines.of(still, ShippedCurve.BT709, WIDE, 2))
                .extracting(Isostops.Line::stops)
                .contains(-2.0, 0.0, 2.0)
                .allMatch(stops -> stops % 2 == 0);
    }

    @Test
    void likePointsAreAsFarApartAsTheLightIs() {
        Signal wide = still(64, 36, false, (x, y) -> 0.47);
        Signal close = still(64, 36, false, (x, y) -> 0.46);
        StillFigure a = StillFigure.of(wide, "lit cheek", 0.5, 0.5, ShippedCurve.BT709);
        StillFigure b = StillFigure.of(close, "lit cheek", 0.5, 0.5, ShippedCurve.BT709);
        assertThat(a.stops()).isCloseTo(0.36, within(0.01));
        assertThat(b.over(a)).isCloseTo(-0.06, within(0.02));
        assertThat(StillFigure.of(still(64, 36, false, (x, y) -> 0), "hole", 0.5, 0.5, ShippedCurve.BT709)
                        .over(a))
                .isNull();
    }

    @Test
    void aPointOutsideThePictureIsRefused() {
        Signal still = still(8, 8, false, (x, y) -> 0.5);
        assertThatThrownBy(() -> still.percent(1.1, 0.5)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> still.percent(0.5, Double.NaN)).isInstanceOf(Refusal.class);
    }

    @Test
    void clippedAndBlackPartsAreToldWithTheirShapeAndWhereTheyLie() {
        Signal still = still(
                200,
                100,
                false,
                (x, y) -> x >= 160 && y < 20 ? 1 : Math.hypot(x - 30, y - 80) < 10 ? 0 : x == 100 && y == 50 ? 1 : 0.5);
        List<StillPart> parts = StillPart.of(still, 200);
        assertThat(parts).extracting(StillPart::clipped).containsExactly(true, false);
        assertThat(parts.get(0).share()).isEqualTo(0.04);
        assertThat(parts.get(0).where()).isEqualTo("upper right");
        assertThat(parts.get(0).runs()).startsWith(0, 160, 200, 1, 160, 200).hasSize(60);
        assertThat(parts.get(1).where()).isEqualTo("lower left");
        assertThat(parts.get(1).share()).isCloseTo(Math.PI * 100 / 20_000, within(0.001));
        int dots = 0;
        for (int i = 0; i < parts.get(1).runs().size(); i += 3) {
            dots += parts.get(1).runs().get(i + 2) - parts.get(1).runs().get(i + 1);
        }
        assertThat(dots / 20_000.0).isEqualTo(parts.get(1).share());
    }

    @Test
    void twoPartsThatDoNotTouchAreTwoAndAnEvenPictureHasNone() {
        Signal still = still(90, 90, false, (x, y) -> x < 10 || x > 80 ? 1 : 0.5);
        assertThat(StillPart.of(still, 90)).extracting(StillPart::where).containsExactlyInAnyOrder("left", "right");
        assertThat(StillPart.of(still(90, 90, false, (x, y) -> 0.5), 90)).isEmpty();
    }

    @Test
    void aClippedPointIsNotSaidToHold() {
        Signal lamp = still(64, 36, false, (x, y) -> 1);
        List<StillFigure> one = List.of(StillFigure.of(lamp, "lamp", 0.5, 0.5, ShippedCurve.BT709));
        StillMatch match = StillMatch.of(one, one, ShippedCurve.BT709, 1 / 3.0);
        assertThat(match.holds(match.points().get(0))).isEmpty();
        assertThat(match.say()).isEqualTo("Lamp tells nothing: it is clipped or black in one of the two.");
    }
}
