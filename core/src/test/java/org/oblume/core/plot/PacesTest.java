package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Refusal;

class PacesTest {

    private static final PlanPoint START = PlanPoint.of(1, 1);

    @Test
    void roomIsPacedOutAndClosed() {
        assertThat(Paces.from(START, "6 right, 4.5 m up, 6 left, close"))
                .containsExactly(START, PlanPoint.of(7, 1), PlanPoint.of(7, 5.5), PlanPoint.of(1, 5.5), START);
    }

    @Test
    void slantedWallGoesByItsBearing() {
        assertThat(Paces.from(START, "2 90°, 1.4142 45").get(2)).isEqualTo(PlanPoint.of(4, 2));
    }

    @Test
    void feetAndInchesArePacesToo() {
        assertThat(Paces.from(PlanPoint.of(0, 0), "10' right").get(1)).isEqualTo(PlanPoint.of(3.048, 0));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "close | two walls before",
                "6 sideways | sideways",
                "6 | a length and a way",
                "'' | Type lengths and ways"
            })
    void whatIsNotUnderstoodIsNamed(String text, String sentence) {
        assertThatThrownBy(() -> Paces.from(START, text))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining(sentence);
    }
}
