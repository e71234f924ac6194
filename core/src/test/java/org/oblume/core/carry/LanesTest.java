package org.oblume.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LanesTest {

    static IntStream seeds() {
        return IntStream.range(0, 50);
    }

    @Test
    void shotsThatFollowEachOtherShareALaneAndABranchTakesTheNext() {
        assertThat(lanes("4A", null, "4B", "4A", "4C", "4B", "4D", "4C", "4E", "4D", "4F", "4C"))
                .isEqualTo(Map.of("4A", 0, "4B", 0, "4C", 0, "4D", 0, "4E", 0, "4F", 1));
    }

    @Test
    void aLaneIsUsedAgainOnceItsLastShotIsPast() {
        assertThat(lanes("A", null, "B", "A", "C", "A", "D", "B", "E", "D", "F", "D"))
                .containsEntry("C", 1)
                .containsEntry("E", 0)
                .containsEntry("F", 1);
    }

    /** Two shots in one lane are never passed by a thread of another branch: from its base to itself a lane is one thread. */
    @ParameterizedTest
    @MethodSource("seeds")
    void noTwoThreadsEverLieOnEachOther(int seed) {
        Random random = new Random(seed);
        List<ShotNode> shots = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            shots.add(new ShotNode(
                    new Slate("S" + i),
                    i == 0 || random.nextInt(8) == 0 ? null : new Slate("S" + random.nextInt(i)),
                    ShotStage.PLANNED));
        }
        CarryBook book = CarryBook.of(shots, List.of());
        Map<Slate, Integer> lanes = Lanes.of(book);
        List<Slate> slates = book.slates();
        for (ShotNode shot : shots) {
            if (shot.basedOn() != null) {
                for (int between = slates.indexOf(shot.basedOn()) + 1;
                        between < slates.indexOf(shot.slate());
                        between++) {
                    assertThat(lanes.get(slates.get(between)))
                            .as("%s passes under %s", shot.slate(), slates.get(between))
                            .isNotEqualTo(lanes.get(shot.slate()));
                }
            }
        }
    }

    private static Map<String, Integer> lanes(@Nullable String... slateAndBase) {
        List<ShotNode> shots = new ArrayList<>();
        for (int i = 0; i < slateAndBase.length; i += 2) {
            String base = slateAndBase[i + 1];
            shots.add(
                    new ShotNode(new Slate(slateAndBase[i]), base == null ? null : new Slate(base), ShotStage.PLANNED));
        }
        Map<String, Integer> lanes = new HashMap<>();
        Lanes.of(CarryBook.of(shots, List.of())).forEach((slate, lane) -> lanes.put(slate.text(), lane));
        return lanes;
    }
}
