package org.oblume.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class PhraseTest {

    @Test
    void lengthsAreToldInEachSystemAndTheRestInBoth() {
        Phrase phrase = Phrase.format("%s is %s from the wall, %d of %d", "Key 100 %", Phrase.metres(2.14), 1, 3);
        assertThat(phrase.metric()).isEqualTo("Key 100 % is 2.14 m from the wall, 1 of 3");
        assertThat(phrase.imperial()).isEqualTo("Key 100 % is 7′ 0 1/4″ from the wall, 1 of 3");
    }

    @Test
    void partsAreJoinedSystemBySystem() {
        assertThat(Phrase.joined(", ", List.of(Phrase.metres(1), Phrase.of("high"))))
                .isEqualTo(new Phrase("1.00 m, high", "3′ 3 1/4″, high"));
        assertThat(Phrase.joined(", ", List.of())).isEqualTo(Phrase.of(""));
    }

    @Test
    void smallLengthsAreWholeCentimetresUpToAMetre() {
        assertThat(Length.ofMetres(0.074).small().metric()).isEqualTo("7 cm");
        assertThat(Length.ofMetres(0.074).small().imperial()).isEqualTo("0′ 3″");
        assertThat(Length.ofMetres(1.2).small().metric()).isEqualTo("1.20 m");
    }

    @Test
    void aRefusalOfALengthSaysItInFeetToo() {
        assertThatThrownBy(() -> Checks.within("ceiling", "Ceiling", 70, 1, 60, " m"))
                .isInstanceOfSatisfying(Refusal.class, refusal -> {
                    assertThat(refusal).hasMessage("Ceiling 70 m is out of range: give 1 to 60 m.");
                    assertThat(refusal.phrase().imperial())
                            .isEqualTo("Ceiling 229′ 8″ is out of range: give 3′ 3 1/4″ to 196′ 10 1/4″.");
                    assertThat(refusal.at("height").field()).isEqualTo("height");
                    assertThat(refusal.at("height").phrase()).isEqualTo(refusal.phrase());
                });
        assertThatThrownBy(() -> Checks.within("Level", 120, 0, 100, " %"))
                .isInstanceOfSatisfying(Refusal.class, refusal -> assertThat(refusal.phrase())
                        .isEqualTo(Phrase.of("Level 120 % is out of range: give 0 to 100 %.")));
    }
}
