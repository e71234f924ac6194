package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.units.Refusal;

class PlausibilityCheckTest {

    @ParameterizedTest
    @ValueSource(doubles = {13, 50, 100, 200, 790})
    void allLightsWithinThreeStopsOfThePredictionMayBeSo(double lux) {
        assertThat(doubtOfAll(lux, 100)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"810,over", "12,under"})
    void allLightsFartherOffAreAskedBackWithTheSize(double lux, String side) {
        assertThat(doubtOfAll(lux, 100)).hasValueSatisfying(said -> assertThat(said)
                .contains("stops " + side, "No meter is out by that", "say that it is so"));
    }

    @ParameterizedTest
    @ValueSource(doubles = {36, 50, 100, 200, 282})
    void oneLightWithinAStopAndAHalfOfItsPredictionMayBeSo(double lux) {
        assertThat(doubt(lux, 100, null)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"284,over,1.5", "35,under,1.5", "12,under,3.1"})
    void oneLightFartherOffIsAskedBackWithItsSize(double lux, String side, String stops) {
        assertThat(doubt(lux, 100, null)).hasValueSatisfying(said -> assertThat(said)
                .contains("%s stops %s".formatted(stops, side), "Something is not as recorded", "say that it is so"));
    }

    @Test
    void theLikelyFaultsAreNamedWithTheQuestion() {
        FaultHypothesis missing =
                new FaultHypothesis(FaultHypothesis.Kind.MISSING, "Double net is missing", 2, 0, 0, false);
        SoloCheck check = new SoloCheck(100, null, new Calibration(4), null, null, List.of(missing));
        assertThat(PlausibilityCheck.alone(read(400), check, null)).hasValueSatisfying(said -> assertThat(said)
                .contains("2.0 stops over", "Likely: Double net is missing."));
    }

    @Test
    void footCandlesTakenForLuxAndTheOtherWayRoundAreSuspected() {
        assertThat(doubt(1076, 100, null))
                .hasValueSatisfying(said -> assertThat(said).contains("was fc typed for lux"));
        assertThat(doubt(9.3, 100, null))
                .hasValueSatisfying(said -> assertThat(said).contains("was it fc"));
        assertThat(doubt(5000, 100, null))
                .hasValueSatisfying(said -> assertThat(said).doesNotContain("fc"));
    }

    @Test
    void oneLightCannotGiveMoreThanAllOfThem() {
        assertThat(doubt(150, 150, 100.0))
                .hasValueSatisfying(said -> assertThat(said).contains("more than all of them together"));
        assertThat(doubt(130, 130, 100.0))
                .as("half a stop is what two readings may be apart")
                .isEmpty();
    }

    @Test
    void aLightThatWasLeftOnIsNamed() {
        Map<String, Double> others = Map.of("Edge", 80.0, "Fill", 30.0);
        assertThat(PlausibilityCheck.leftOn(185, 100, others))
                .hasValueSatisfying(said -> assertThat(said).contains("was Edge left on"));
        assertThat(PlausibilityCheck.leftOn(130, 100, others))
                .as("a third of a stop is a level that is off")
                .isEmpty();
        assertThat(PlausibilityCheck.leftOn(600, 100, others))
                .as("no other light is as bright")
                .isEmpty();
    }

    @Test
    void aPlaceThatReadAsPredictedAndNowDoesNotIsAskedBack() {
        assertThat(PlausibilityCheck.again(60, 100.0, 100))
                .hasValueSatisfying(said -> assertThat(said).contains("0.7 stops less", "another meter"));
        assertThat(PlausibilityCheck.again(100, 60.0, 100)).as("it was mended").isEmpty();
        assertThat(PlausibilityCheck.again(90, 100.0, 100)).isEmpty();
        assertThat(PlausibilityCheck.again(60, null, 100)).isEmpty();
    }

    @Test
    void withoutAPredictionOrALightThereIsNothingToDoubt() {
        assertThat(doubt(5000, 0, null)).isEmpty();
        assertThat(doubtOfAll(5000, 0)).isEmpty();
        assertThat(PlausibilityCheck.all(new Reading("mark", null, null, null, null, 4300.0, null, Signals.NONE), 100))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"lit,120", "shadow,-20", "background,200", "window,110", "hottest,-8"})
    void aSignalIsWithinTheVideoRange(String where, double percent) {
        assertThatThrownBy(() -> new Signals(
                        at(where, "lit", percent),
                        at(where, "shadow", percent),
                        at(where, "background", percent),
                        at(where, "window", percent),
                        at(where, "hottest", percent)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("−7 to 109");
    }

    @Test
    void aReadingIsOfSomethingAndATintHasItsWhite() {
        assertThatThrownBy(() -> new Reading("mark", null, null, null, null, null, null, Signals.NONE))
                .hasMessageContaining("no reading yet");
        assertThatThrownBy(() -> new Reading("mark", null, 100.0, null, null, null, 0.002, Signals.NONE))
                .hasMessageContaining("add the kelvin");
        assertThatThrownBy(() -> new Reading("mark", "key", 100.0, 20.0, null, null, null, Signals.NONE))
                .hasMessageContaining("leave out other places");
        assertThatThrownBy(() -> new Reading("mark", null, -1.0, null, null, null, null, Signals.NONE))
                .hasMessageContaining("above 0");
    }

    private static @Nullable Double at(String where, String here, double percent) {
        return where.equals(here) ? percent : null;
    }

    private static Reading read(double lux) {
        return new Reading("mark", "key", lux, null, null, null, null, Signals.NONE);
    }

    private static Optional<String> doubt(double lux, double predicted, @Nullable Double all) {
        Calibration found = predicted > 0 ? new Calibration(lux / predicted) : null;
        return PlausibilityCheck.alone(read(lux), new SoloCheck(predicted, null, found, null, null, List.of()), all);
    }

    private static Optional<String> doubtOfAll(double lux, double predicted) {
        return PlausibilityCheck.all(new Reading("mark", null, lux, null, null, null, null, Signals.NONE), predicted);
    }
}
