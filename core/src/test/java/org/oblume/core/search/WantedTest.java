package org.oblume.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.oblume.core.units.Refusal;

class WantedTest {

    @Test
    void capitalsAndAccentsDoNotMatter() {
        Wanted wanted = Wanted.of("Café half-CTO");
        assertThat(wanted.isAll(wanted.foundIn(Wanted.folded("cafe lamp, Half-cto on it"))))
                .isTrue();
    }

    @Test
    void aWordMayBeFoundInOneTextAndTheNextInAnother() {
        Wanted wanted = Wanted.of("heron, cto");
        int first = wanted.foundIn("heron 2");
        int second = wanted.foundIn("half cto");
        assertThat(wanted.isAll(first)).isFalse();
        assertThat(wanted.isAll(first | second)).isTrue();
    }

    @Test
    void otherScriptsAreFoundAsTheyAreWritten() {
        assertThat(Wanted.of("лампа").foundIn(Wanted.folded("Лампа 3"))).isEqualTo(1);
        assertThat(Wanted.of("灯").foundIn(Wanted.folded("主灯"))).isEqualTo(1);
    }

    @Test
    void nothingToLookForIsRefused() {
        assertThatThrownBy(() -> Wanted.of(" , ")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Wanted.of("a".repeat(201))).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Wanted.of("a b c d e f g h i j k l m")).isInstanceOf(Refusal.class);
    }
}
