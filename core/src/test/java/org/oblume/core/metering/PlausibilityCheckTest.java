package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.units.Refusal;

class PlausibilityCheckTest {

    @ParameterizedTest
    @ValueSource(doubles = {13, 50, 100, 200, 790})
    void whatIsWithinThreeStopsOfThePredictionMayBeSo(double lux) {
        assertThat(doubt(lux, 100, null)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"810,over", "12,under"})
    void whatIsFartherIsAskedBackWithItsSize(double lux, String side) {
        assertThat(doubt(lux, 100, null)).hasValueSatisfying(said -> assertThat(said)
                .contains("stops " + side, "more than a meter could be out", "keep it if it is so"));
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
    void withoutAPredictionOrALightThereIsNothingToDoubt() {
        assertThat(doubt(5000, 0, null)).isEmpty();
        assertThat(PlausibilityCheck.of(
                        new Reading("mark", null, null, null, null, 4300.0, null, Signals.NONE), 100, null))
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
                .hasMessageContaining("leave out cheeks");
        assertThatThrownBy(() -> new Reading("mark", null, -1.0, null, null, null, null, Signals.NONE))
                .hasMessageContaining("above 0");
    }

    private static @Nullable Double at(String where, String here, double percent) {
        return where.equals(here) ? percent : null;
    }

    private static Optional<String> doubt(double lux, double predicted, @Nullable Double all) {
        return PlausibilityCheck.of(
                new Reading("mark", "key", lux, null, null, null, null, Signals.NONE), predicted, all);
    }
}
