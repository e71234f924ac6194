package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.DialCorrection;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.Stage;
import org.oblume.core.light.Turned;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

class MeteringTest {

    static final List<StockItem> STOCK = List.of(
            gel("Quarter CTO", 42, 0.3),
            gel("Half CTO", 81, 0.5),
            gel("Full CTO", 167, 0.85),
            new StockItem("Double net", StockKind.NET, FilterEffect.of(0, 1, 0), 0, null, null, null),
            new StockItem("Single net", StockKind.NET, FilterEffect.of(0, 0.5, 0), 0, null, null, null));
    private final Stage stage = Stage.outdoors()
            .head("key", Role.KEY, 0, 3, 1.5, Modifier.of(STOCK.get(0)), Modifier.of(STOCK.get(3)))
            .tie("key", new Level(60));

    @Test
    void aSoloReadingCalibratesByWhatWasMeasuredOverWhatWasPredicted() {
        SoloCheck check = check(0.5, 0, 0);
        assertThat(check.calibration().stops().value()).isCloseTo(0.5, within(1e-9));
        assertThat(check.calibration().k()).isCloseTo(Math.sqrt(2), within(1e-9));
        assertThat(check.isDoubtful()).isFalse();
    }

    @Test
    void moreThanAStopAndAHalfCannotBeAsRecorded() {
        assertThat(check(1.49, 0, 0).isDoubtful()).isFalse();
        assertThat(check(-1.51, 0, 0).isDoubtful()).isTrue();
    }

    @Test
    void whatAgreesNeedsNoExplanation() {
        assertThat(check(0.1, 2, 0.0005).likely()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "1.0,0,MISSING,Double net is missing",
        "-1.0,0,DOUBLED,Double net is there twice",
        "0.3,-42,MISSING,Quarter CTO is missing",
        "-0.2,39,SWAPPED,Half CTO hangs in place of Quarter CTO",
        "0.5,0,SWAPPED,Single net hangs in place of Double net",
        "-0.74,0,MODE,wrong mode or curve",
        "0,25,DIAL,dialled to about 4900 K",
        "-2.7,0,LEVEL_OR_DISTANCE,level"
    })
    void theLikeliestCauseIsNamed(double stops, double mired, FaultHypothesis.Kind kind, String words) {
        FaultHypothesis first = check(stops, mired, 0.0).likely().get(0);
        assertThat(first.words()).contains(words);
        assertThat(first.kind()).isEqualTo(kind);
    }

    @Test
    void aColourThatWasNotReadIsNotHeldAgainstAGel() {
        assertThat(check(0.5, null, null).likely())
                .extracting(FaultHypothesis::words)
                .contains("Quarter CTO is missing");
    }

    /** Story 2: dialled 4150 K, measures 3950 K, +0.002 through its cloth; the tubes measure 4150 K, +0.009. */
    @Test
    void aPanelThroughItsClothIsDialledSoThatItMeasuresAsTheTubes() {
        DialCurve panel = new DialCurve(List.of(point(4150, 0, 3950, 0.002)));
        DialCorrection dial = panel.toMeasure(white(4150, 0.009), Kelvin.of(2800), Kelvin.of(6500));
        assertThat(dial.dialKelvin()).isCloseTo(4371, within(0.5));
        assertThat(dial.dialDuv()).isCloseTo(0.007, within(1e-9));
        assertThat(dial.reachable()).isTrue();
    }

    /** Story 9. */
    @ParameterizedTest
    @CsvSource({"2900,2900", "3080,2740", "2760,3055"})
    void lampsThatMeasureDifferentlyGetTheirOwnDials(double measures, double dial) {
        DialCurve lamp = new DialCurve(List.of(point(2900, 0, measures, 0)));
        assertThat(lamp.toMeasure(white(2900, 0), Kelvin.of(2000), Kelvin.of(6500))
                        .dialKelvin())
                .isCloseTo(dial, within(1.0));
    }

    @Test
    void dialledAtAMeasuredPointItMeasuresWhatItMeasuredThere() {
        DialCurve unit = new DialCurve(
                List.of(point(5600, 0, 5300, 0.001), point(3200, 0, 3150, 0.003), point(4300, 0, 4100, 0.002)));
        for (DialCurve.Point point : unit.points()) {
            DialCorrection dial = unit.toMeasure(point.measured(), Kelvin.of(2700), Kelvin.of(6500));
            assertThat(dial.dialKelvin()).isCloseTo(point.dialled().kelvin().value(), within(0.5));
            assertThat(dial.dialDuv()).isCloseTo(0, within(1e-6));
        }
    }

    @Test
    void betweenMeasuredPointsAWarmerTargetNeedsAWarmerDial() {
        DialCurve unit = new DialCurve(List.of(point(5600, 0, 5300, 0.001), point(3200, 0, 3150, 0.003)));
        double before = 0;
        for (double target = 3200; target < 5300; target += 100) {
            double dial = unit.toMeasure(white(target, 0), Kelvin.of(2000), Kelvin.of(10000))
                    .dialKelvin();
            assertThat(dial).isGreaterThan(before);
            before = dial;
        }
    }

    @Test
    void outOfRangeSaysByHowMuchItStaysOff() {
        DialCorrection dial = new DialCurve(List.of(point(4000, 0, 3500, 0)))
                .toMeasure(white(6000, 0), Kelvin.of(2700), Kelvin.of(6500));
        assertThat(dial.reachable()).isFalse();
        assertThat(dial.dialKelvin()).isEqualTo(6500);
        assertThat(dial.residual().value()).isPositive();
    }

    @ParameterizedTest
    @CsvSource({
        "0.33,12,0.003,true",
        "-0.33,-12,-0.003,true",
        "0.34,0,0,false",
        "0,12.5,0,false",
        "0,0,0.0035,false",
        "-0.5,0,0,false"
    })
    void aHeadHoldsWhileAllOfWhatWasReadIsWithin(double stops, double mired, double duv, boolean holds) {
        assertThat(check(stops, mired, duv).holds(1.0 / 3, 12, 0.003)).isEqualTo(holds);
    }

    @Test
    void whatWasNotReadIsNotHeldAgainstAHead() {
        Reading onlyColour = new Reading(
                "mark", "key", null, null, null, 1e6 / (Kelvin.of(5600).mired() + 42), 0.0, Signals.NONE);
        SoloCheck check = SoloCheck.of(
                onlyColour,
                stage.placement("key"),
                stage.state(),
                stage.light(),
                STOCK,
                FaultHypothesis.Uncertainty.USUAL);
        assertThat(check.calibration()).isNull();
        assertThat(check.isDoubtful()).isFalse();
        assertThat(check.holds(0.1, 1, 0.001)).isTrue();
        assertThat(check.likely()).isEmpty();
    }

    @Test
    void aLevelOrADistanceIsSaidByWhatWouldGiveTheReading() {
        String words = check(-1, 0.0, 0.0).likely().stream()
                .filter(s -> s.kind() == FaultHypothesis.Kind.LEVEL_OR_DISTANCE)
                .findFirst()
                .orElseThrow()
                .words();
        assertThat(words).contains("a level of about 30 % for 60 %").contains("1.41 times the distance");
        String brighter = check(1, 0.0, 0.0).likely().stream()
                .filter(s -> s.kind() == FaultHypothesis.Kind.LEVEL_OR_DISTANCE)
                .findFirst()
                .orElseThrow()
                .words();
        assertThat(brighter).doesNotContain("a level of").contains("0.71 times the distance");
    }

    @Test
    void aFilterOfAnotherKindIsNotTakenForOneThatHangs() {
        assertThat(FaultHypothesis.of(stage.placement("key"), stage.state(), STOCK))
                .filteredOn(s -> s.kind() == FaultHypothesis.Kind.SWAPPED)
                .extracting(FaultHypothesis::words)
                .containsExactlyInAnyOrder(
                        "Half CTO hangs in place of Quarter CTO",
                        "Full CTO hangs in place of Quarter CTO",
                        "Single net hangs in place of Double net");
    }

    @Test
    void aLightAtFullHasNoCurveToSuspect() {
        assertThat(FaultHypothesis.of(
                        stage.placement("key"), stage.tie("key", new Level(100)).state(), STOCK))
                .noneMatch(s -> s.kind() == FaultHypothesis.Kind.MODE);
    }

    @Test
    void betweenTwoPointsTheShiftGoesOverInMireds() {
        DialCurve unit = new DialCurve(List.of(point(5000, 0, 4900, 0.001), point(2500, 0, 2450, 0.003)));
        double half = 1e6 / 300;
        double first = 1e6 / 4900 - 200;
        double second = 1e6 / 2450 - 400;
        assertThat(unit.measuredMired(Kelvin.of(half))).isCloseTo(300 + (first + second) / 2, within(1e-6));
        assertThat(unit.measuredDuv(white(half, 0))).isCloseTo(0.002, within(1e-9));
        assertThat(unit.measuredMired(Kelvin.of(10000)))
                .as("beyond the end as at the end")
                .isCloseTo(100 + first, within(1e-6));
    }

    @Test
    void onePointTwiceOrNoneIsRefused() {
        assertThatThrownBy(() -> new DialCurve(List.of())).hasMessageContaining("colour meter");
        assertThatThrownBy(() -> new DialCurve(List.of(point(3200, 0, 3100, 0), point(3200, 0, 3000, 0))))
                .hasMessageContaining("newer");
    }

    private SoloCheck check(double stops, @Nullable Double mired, @Nullable Double duv) {
        double lux = stage.light().facingLux("key", "mark") * Math.pow(2, stops);
        ColourReading predicted = stage.light()
                .metered("key", "mark", Turned.TO_LIGHT)
                .orElseThrow()
                .reading();
        assertThat(1e6 / predicted.kelvin()).isCloseTo(Kelvin.of(5600).mired() + 42, within(1e-3));
        assertThat(predicted.duv()).isCloseTo(0, within(1e-6));
        Double kelvin = mired == null ? null : Double.valueOf(1e6 / (1e6 / predicted.kelvin() + mired));
        Double tint = duv == null ? null : Double.valueOf(predicted.duv() + duv);
        Reading reading = new Reading("mark", "key", lux, null, null, kelvin, tint, Signals.NONE);
        return SoloCheck.of(
                reading,
                stage.placement("key"),
                stage.state(),
                stage.light(),
                STOCK,
                FaultHypothesis.Uncertainty.USUAL);
    }

    private SoloCheck check(double stops, double mired, double duv) {
        return check(stops, Double.valueOf(mired), Double.valueOf(duv));
    }

    private static StockItem gel(String name, double mired, double stops) {
        return new StockItem(name, StockKind.CORRECTION, FilterEffect.of(mired, stops, 0), 0, null, null, null);
    }

    private static DialCurve.Point point(double dialled, double duv, double measured, double measuredDuv) {
        return new DialCurve.Point(white(dialled, duv), white(measured, measuredDuv));
    }

    private static WhitePoint white(double kelvin, double duv) {
        return WhitePoint.of(Kelvin.of(kelvin), Duv.of(duv));
    }
}
