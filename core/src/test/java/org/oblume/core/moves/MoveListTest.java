package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.caution.Caution;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

class MoveListTest {

    private final Shop shop = new Shop();

    static IntStream seeds() {
        return IntStream.range(0, 200);
    }

    @Test
    void nothingToDoTakesNoTime() {
        assertThat(shop.moves().moves()).isEmpty();
        assertThat(shop.moves().minutes()).isZero();
    }

    @Test
    void theKeyComesCloserThroughAnotherClothAndEachDepartmentHasItsPart() {
        shop.put("B", "key", Place.of(5.7, 3), new Level(45), new Modifiers(List.of(Shop.MUSLIN, Shop.CTO)))
                .put("B", "edge", new Level(25));
        assertThat(said())
                .containsExactly(
                        "ELECTRIC Key to 3.78 m from near right corner, 3.78 m from far right corner",
                                "ELECTRIC Key: Quarter CTO on",
                        "GRIP Key: Half grid off, Muslin on 1.2 m frame, 0.7 m before the lens on",
                                "ELECTRIC Edge 25 %, 3200 K, at the head",
                        "CONTROL Recall B: Key 45 %, 5250 K", "TOGETHER Meter Repairer");
    }

    @Test
    void aFlagWaitsUntilTheHeadHasBeenCarriedThroughWhereItWillStand() {
        shop.put("B", "key", Place.of(4, 5)).put("B", "flag", Place.of(5.2, 4), AimSetting.along(51, 0));
        Move flag = move("flag/shift");
        assertThat(flag.after()).extracting(MoveKey::print).contains("key/shift");
        assertThat(flag.startMin()).isGreaterThanOrEqualTo(move("key/shift").endMin());
    }

    @Test
    void aStandPastAFlagThatStaysIsToldSo() {
        shop.put("A", "flag", Place.of(5.2, 4), AimSetting.along(51, 0)).put("B", "key", Place.of(4, 5));
        assertThat(move("key/shift").cautions())
                .extracting(Caution::sentence)
                .contains("The way crosses Flag: lift it clear, or go round.");
    }

    @Test
    void aLightThatGoesOutComesFirstAndTheCameraIsSetAfterItHasMoved() {
        shop.put("B", "edge", SetStatus.STRUCK)
                .put("B", "camera", new Lens(50), Place.of(4, 1.5))
                .put("B", "key", new Height(2));
        List<Job> jobs = shop.moves().moves().stream().map(Move::job).toList();
        assertThat(jobs).startsWith(Job.STRIKE).endsWith(Job.METER);
        assertThat(move("camera/lens").after()).extracting(MoveKey::print).contains("camera/camera_move");
        assertThat(move("key/raise").after()).extracting(MoveKey::print).contains("edge/strike");
    }

    @Test
    void powerComesBeforeThePatchAndBothBeforeTheLevel() {
        shop.put("A", "key", SetStatus.STRUCK).put("B", "key", SetStatus.ON);
        assertThat(move("key/power").startMin())
                .isGreaterThanOrEqualTo(move("key/bring").endMin());
        assertThat(move("key/patch").startMin())
                .isGreaterThanOrEqualTo(move("key/power").endMin());
        assertThat(move("all/recall").startMin())
                .isGreaterThanOrEqualTo(move("key/patch").endMin());
    }

    @Test
    void moreHandsAreFasterWhileThereIsWorkForThem() {
        shop.put("B", "key", new Height(2)).put("B", "edge", new Height(2));
        assertThat(MoveList.between(shop.side("A"), shop.side("B"), crew(1)).minutes())
                .isCloseTo(4, within(1e-9));
        assertThat(MoveList.between(shop.side("A"), shop.side("B"), crew(2)).minutes())
                .isCloseTo(3, within(1e-9));
        assertThat(MoveList.between(shop.side("A"), shop.side("B"), crew(5)).minutes())
                .isCloseTo(3, within(1e-9));
    }

    @Test
    void theCrewsOwnTableIsUsedAndChecked() {
        shop.put("B", "key", new Height(2));
        JobTimes slow = new JobTimes(Map.of(Job.RAISE, 4.5), Map.of());
        assertThat(MoveList.between(shop.side("A"), shop.side("B"), slow).minutes())
                .isCloseTo(6.5, within(1e-9));
        assertThatThrownBy(() -> new JobTimes(Map.of(Job.RAISE, -1.0), Map.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("change a height");
        assertThatThrownBy(() -> new JobTimes(Map.of(), Map.of(Department.GRIP, 0)))
                .isInstanceOf(Refusal.class);
    }

    /** Whatever changes: nothing begins before what it waits for is done, and no department has more at work than it has people. */
    @ParameterizedTest
    @MethodSource("seeds")
    void everyOrderHolds(int seed) {
        Random random = new Random(seed);
        for (String key : List.of("key", "edge", "flag", "camera", "mark")) {
            if (random.nextBoolean()) {
                shop.put("B", key, Place.of(0.5 + 7 * random.nextDouble(), 0.5 + 5 * random.nextDouble()));
            }
            if (random.nextInt(3) == 0) {
                shop.put("B", key, new Height(0.5 + 2 * random.nextDouble()));
            }
        }
        if (random.nextBoolean()) {
            shop.put(
                    "B",
                    "key",
                    new Modifiers(List.of(Shop.CTO)),
                    new Level(random.nextInt(100)),
                    new ColourTemperature(4000),
                    new Patch(2, 20, 4, null));
        }
        if (random.nextInt(3) == 0) {
            shop.put("B", "edge", SetStatus.STRUCK);
        }
        List<Move> moves = shop.moves().moves();
        Set<MoveKey> done = new HashSet<>();
        for (Move move : moves) {
            assertThat(done).as("before %s", move).containsAll(move.after());
            done.add(move.key());
            assertThat(moves)
                    .filteredOn(m -> move.after().contains(m.key()))
                    .allMatch(m -> m.endMin() <= move.startMin() + 1e-9);
            assertThat(moves.stream()
                            .filter(m -> m.department() == move.department()
                                    && m.startMin() <= move.startMin()
                                    && m.endMin() > move.startMin())
                            .mapToInt(Move::people)
                            .sum())
                    .isLessThanOrEqualTo(move.department().usualPeople());
        }
        assertThat(done).hasSameSizeAs(moves);
    }

    private static JobTimes crew(int electrics) {
        return new JobTimes(Map.of(), Map.of(Department.ELECTRIC, electrics));
    }

    private Move move(String key) {
        return shop.moves().moves().stream()
                .filter(m -> m.key().print().equals(key))
                .findFirst()
                .orElseThrow(() -> new AssertionError(said().toString()));
    }

    private List<String> said() {
        return shop.moves().moves().stream()
                .map(m -> m.department() + " " + m.words().metric())
                .toList();
    }
}
