package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvCellTest {

    @ParameterizedTest
    @ValueSource(strings = {"=HYPERLINK(\"x\")", "@SUM(A1)", "+cmd", "-1+1", "\tx", "\rx"})
    void whatASpreadsheetWouldComputeStaysAText(String text) {
        assertThat(CsvCell.of(text)).isEqualTo("'" + text);
        assertThat(CsvCell.read("'" + text)).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Key", "-1.5", "+0,3", "12", "", "'quoted'", "4C=4B"})
    void whatItWouldNotIsLeftAsItIs(String text) {
        assertThat(CsvCell.of(text)).isEqualTo(text);
        assertThat(CsvCell.read(text)).isEqualTo(text);
    }

    @Test
    void whatIsWrittenIsReadBackAsItWas() {
        List<String> texts = List.of("");
        for (int length = 1; length <= 4; length++) {
            texts = texts.stream()
                    .flatMap(t -> Stream.of("'", "=", "-", "5", "a", "\n").map(sign -> sign + t))
                    .toList();
            assertThat(texts)
                    .allSatisfy(t -> assertThat(CsvCell.read(CsvCell.of(t))).isEqualTo(t));
        }
    }
}
