package org.oblume.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class ChecksTest {

    @Test
    void aNameIsOneLineWithoutSignsThatNobodySees() {
        assertThat(Checks.text("The name", " Window\r\nnet\u2028left\u0007 ", 60))
                .isEqualTo("Window net left");
        assertThatThrownBy(() -> Checks.text("The name", "\u0007\n", 60))
                .hasMessage("The name is empty: type a few words.");
    }

    @Test
    void aNoteKeepsItsLines() {
        assertThat(Checks.prose("The note", "Net slipped\nat take 2\u0000", 60)).isEqualTo("Net slipped\nat take 2");
    }
}
