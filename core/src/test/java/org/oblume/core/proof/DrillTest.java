package org.oblume.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.units.Refusal;

class DrillTest {

    private static Suspects suspects;

    @BeforeAll
    static void theRoomIsLit() {
        suspects = Suspects.of(ProofRooms.recorded(1));
    }

    @ParameterizedTest
    @EnumSource(Drill.Difficulty.class)
    void theSameSeedHidesTheSameAndReadsTheSame(Drill.Difficulty difficulty) {
        Drill one = Drill.of(suspects, 7, difficulty);
        Drill other = Drill.of(suspects, 7, difficulty);
        assertThat(one.hidden()).isEqualTo(other.hidden());
        assertThat(one.hidden()).hasSize(difficulty == Drill.Difficulty.TWO ? 2 : 1);
        assertThat(one.read(one.readable().get(0)))
                .isEqualTo(other.read(other.readable().get(0)));
        assertThat(LongStream.range(0, 8)
                        .mapToObj(seed -> Drill.of(suspects, seed, difficulty).hidden())
                        .distinct()
                        .count())
                .isGreaterThan(4);
    }

    /** Ten spreads off in some reading: with all of them made, the engine finds it each time. */
    @Test
    void whatIsPlainIsFoundByReadingEverything() {
        for (long seed = 0; seed < 2; seed++) {
            Drill drill = Drill.of(suspects, seed, Drill.Difficulty.PLAIN);
            drill.readable().forEach(drill::read);
            Diagnosis.Finding last = Objects.requireNonNull(
                            drill.told().get(drill.readings().size() - 1))
                    .orElseThrow();
            assertThat(last.things())
                    .as("seed %d: %s", seed, drill.hidden())
                    .containsExactly(drill.hidden().get(0).thing());
            assertThat(drill.isFoundBy(Set.copyOf(last.things()))).isTrue();
            assertThat(drill.isFoundBy(Set.of())).isFalse();
        }
    }

    @Test
    void whatCannotBeReadIsRefused() {
        Drill drill = Drill.of(suspects, 1, Drill.Difficulty.ONE);
        assertThatThrownBy(() -> drill.read(new ProofReading.Wanted(new Probe("nowhere", Probe.Way.BACKGROUND), null)))
                .isInstanceOf(Refusal.class);
        assertThat(drill.readings()).isEmpty();
        assertThat(drill.told()).isEqualTo(List.of());
    }
}
