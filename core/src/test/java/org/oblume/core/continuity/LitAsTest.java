package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class LitAsTest {

    private static final LitAs WIDE = new LitAs(12.0, 2.3, 50.0);

    @Test
    void aShotIsLitLikeItselfAndAsFarFromAnotherAsThatFromIt() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            LitAs one = drawn(random);
            LitAs other = drawn(random);
            assertThat(one.off(one)).hasValue(0);
            assertThat(one.off(other)).isEqualTo(other.off(one));
        }
    }

    private static LitAs drawn(Random random) {
        return new LitAs(random.nextDouble() * 40 - 20, random.nextDouble() * 2, (random.nextDouble() - 0.5) * 360);
    }

    @Test
    void aKeyOnTheOtherSideIsNotAlikeHoweverMuchTheRestAgrees() {
        assertThat(WIDE.off(new LitAs(12.0, 2.3, -50.0))).isEmpty();
        assertThat(WIDE.off(new LitAs(12.0, 2.3, 70.0))).isPresent();
    }

    @Test
    void behindTheFaceBothSidesMeet() {
        assertThat(new LitAs(null, 2.0, 175.0).off(new LitAs(null, 2.0, -175.0)))
                .isPresent();
    }

    @Test
    void halfAStopAndTwentyMiredAreTheLimit() {
        assertThat(WIDE.off(new LitAs(12.0, 2.85, 50.0))).isEmpty();
        assertThat(WIDE.off(new LitAs(33.0, 2.3, 50.0))).isEmpty();
        assertThat(WIDE.off(new LitAs(31.0, 2.7, 50.0))).isPresent();
    }

    @Test
    void oneFigureAloneSaysNothing() {
        assertThat(new LitAs(null, 2.3, 50.0).off(new LitAs(12.0, null, 50.0))).isEmpty();
    }

    @Test
    void itIsSaidInWords() {
        assertThat(WIDE.say()).isEqualTo("2.3 stops between the cheeks, key 50° to the right, 12 mired warm");
        assertThat(new LitAs(-8.0, null, -4.0).say()).isEqualTo("key beside the camera, 8 mired cool");
    }
}
