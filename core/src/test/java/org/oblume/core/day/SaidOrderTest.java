package org.oblume.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.units.Refusal;

/** An order as it is said. The day has 11A and 11B before lunch, 4C, 4D and 4E after it. */
class SaidOrderTest {

    private static final List<String> DAY = List.of("11A", "11B", "4C", "4D", "4E");

    private static String said(String text) {
        return SaidOrder.of(text, DAY, List.of(2)).stream().map(DAY::get).collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4D after lunch|11A 11B 4D 4C 4E",
                "11A after lunch|11B 11A 4C 4D 4E",
                "4D before lunch|11A 11B 4D 4C 4E",
                "put 4e before 4c|11A 11B 4E 4C 4D",
                "11B before 11A|11B 11A 4C 4D 4E",
                "4E first|4E 11A 11B 4C 4D",
                "move 11A to the end of the day|11B 4C 4D 4E 11A",
                "swap 4C and 4D|11A 11B 4D 4C 4E",
                "11B first, 4E after 11B|11B 4E 11A 4C 4D",
                "11A right after the 11B then 4D last|11B 11A 4C 4E 4D",
            })
    void theOrderIsAsItIsSaid(String text, String order) {
        assertThat(said(text)).isEqualTo(order);
    }

    @Test
    void whatIsNotUnderstoodIsToldWithWhatCanBeSaid() {
        assertThatThrownBy(() -> said("4D somewhere"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("4D after lunch");
        assertThatThrownBy(() -> said("9Z after 4C"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("it has 11A, 11B");
        assertThatThrownBy(() -> said("4D after supper"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no supper");
        assertThatThrownBy(() -> said("4D after 4D")).isInstanceOf(Refusal.class);
    }
}
