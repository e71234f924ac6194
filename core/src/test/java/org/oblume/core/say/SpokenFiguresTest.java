package org.oblume.core.say;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpokenFiguresTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lit fifty four, shadow twelve | lit 54, shadow 12",
                "t four and a third | t4 1/3",
                "alone t two point eight, forty three hundred kelvin | alone t2.8, 4300 K",
                "background twenty percent | background 20 %",
                "plus point oh oh two green | plus 0.002 green",
                "T4 1/3, 4300 K +0.002 | T4 1/3, 4300 K +0.002",
                "T2.8, lit 54, shadow 12, background 20 % | T2.8, lit 54, shadow 12, background 20 %"
            })
    void spokenFiguresAreWrittenAndWrittenOnesStay(String said, String written) {
        assertThat(SpokenFigures.written(said)).isEqualTo(written);
    }
}
