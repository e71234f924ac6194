package org.oblume.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

class CarryBookTest {

    private static final List<ShotNode> SCENE_4 =
            List.of(shot("4A", null), shot("4B", "4A"), shot("4C", "4A"), shot("4D", "4C"));

    static IntStream seeds() {
        return IntStream.range(0, 50);
    }

    @Test
    void aChangeInTheCloseUpCarriesToTheReverseAndLeavesTheWideAlone() {
        CarryBook book =
                CarryBook.of(SCENE_4, List.of(knot("4A", "key", new Level(70)), knot("4C", "key", new Level(24))));
        assertThat(level(book, "4A")).isEqualTo(70);
        assertThat(level(book, "4B")).isEqualTo(70);
        assertThat(level(book, "4C")).isEqualTo(24);
        assertThat(level(book, "4D")).isEqualTo(24);
    }

    @Test
    void aSceneWhoseShotsAreBasedOnEachOtherIsRefusedWhereverTheRingIs() {
        List<ShotNode> ring =
                List.of(shot("4A", null), shot("4E", "4D"), shot("4B", "4D"), shot("4C", "4B"), shot("4D", "4C"));
        assertThatThrownBy(() -> CarryBook.of(ring, List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("base it on itself");
        assertThatThrownBy(() -> CarryBook.of(List.of(shot("4A", "4A")), List.of()))
                .hasMessageContaining("4A from 4A");
    }

    @Test
    void aShotThatWasShotOrIsRestedOnByOneKeepsItsBase() {
        List<ShotNode> shots = List.of(
                shot("4A", null),
                shot("4B", "4A"),
                shot("4C", "4A"),
                new ShotNode(new Slate("4D"), new Slate("4C"), ShotStage.SHOT),
                new ShotNode(new Slate("4E"), new Slate("4D"), ShotStage.SHOT));
        CarryBook book = CarryBook.of(shots, List.of());
        assertThatCode(() -> book.refuseRebasing(new Slate("4B"), new Slate("4C")))
                .doesNotThrowAnyException();
        assertThatCode(() -> book.refuseRebasing(new Slate("4B"), null)).doesNotThrowAnyException();
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4C"), new Slate("4B")))
                .hasMessage("4D and 4E have been shot: what 4C is based on stays. Make a new shot instead.");
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4E"), new Slate("4A")))
                .hasMessageStartingWith("4E has been shot");
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4B"), new Slate("9Z")))
                .hasMessageContaining("which the scene does not have");
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4A"), new Slate("4B")))
                .hasMessageContaining("base it on itself");
        assertThatThrownBy(() -> CarryBook.of(List.of(shot("4A", "4Z")), List.of()))
                .hasMessageContaining("4Z, which the scene does not have");
    }

    @Test
    void aValueKnowsTheShotItWasTiedIn() {
        CarryBook book =
                CarryBook.of(SCENE_4, List.of(knot("4A", "key", new Level(70)), knot("4C", "key", new Height(1.9))));
        ShotState closeUp = book.resolve(new Slate("4C"));
        Knot level = closeUp.knot("key", Attribute.LEVEL).orElseThrow();
        assertThat(level.slate()).isEqualTo(new Slate("4A"));
        assertThat(closeUp.tiedHere(level)).isFalse();
        assertThat(closeUp.tiedHere(closeUp.knot("key", Attribute.HEIGHT).orElseThrow()))
                .isTrue();
    }

    @Test
    void whatWasNeverRecordedIsAbsent() {
        ShotState state = CarryBook.of(SCENE_4, List.of()).resolve(new Slate("4D"));
        assertThat(state.placements()).isEmpty();
        assertThat(state.isOnSet("key")).isFalse();
        assertThat(state.aim("key")).isEmpty();
    }

    /** The resolved value is the nearest knot up the chain, whatever the tree: checked against a walk by hand. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theNearestKnotUpTheChainHolds(int seed) {
        Random random = new Random(seed);
        List<ShotNode> shots = new ArrayList<>();
        List<Knot> knots = new ArrayList<>();
        Map<String, Double> levels = new HashMap<>();
        for (int i = 0; i < 40; i++) {
            shots.add(shot("S" + i, i == 0 ? null : "S" + random.nextInt(i)));
            if (i == 0 || random.nextInt(3) == 0) {
                double level = random.nextInt(101);
                levels.put("S" + i, level);
                knots.add(knot("S" + i, "key", new Level(level)));
            }
        }
        CarryBook book = CarryBook.of(shots, knots);
        for (ShotNode shot : shots) {
            ShotNode at = shot;
            while (!levels.containsKey(at.slate().text())) {
                at = book.node(at.basedOn());
            }
            assertThat(level(book, shot.slate().text()))
                    .isEqualTo(levels.get(at.slate().text()));
            assertThat(book.resolveAll()
                            .get(shot.slate())
                            .value("key", Level.class)
                            .map(Level::percent))
                    .contains(levels.get(at.slate().text()));
        }
    }

    @Test
    void aRevisionSparesTheFirstShotOnEachWayThatWasShotAndCarries() {
        CarryBook book = CarryBook.of(
                List.of(
                        new ShotNode(new Slate("4A"), null, ShotStage.LIT),
                        new ShotNode(new Slate("4B"), new Slate("4A"), ShotStage.SHOT),
                        new ShotNode(new Slate("4C"), new Slate("4B"), ShotStage.SHOT),
                        new ShotNode(new Slate("4D"), new Slate("4A"), ShotStage.PLANNED),
                        new ShotNode(new Slate("4E"), new Slate("4D"), ShotStage.SHOT),
                        new ShotNode(new Slate("4F"), new Slate("4A"), ShotStage.SHOT)),
                List.of(knot("4A", "key", new Level(70)), knot("4F", "key", new Level(20))));
        assertThat(book.lockedFollowers(new Slate("4A"), new ValueKey("key", Attribute.LEVEL)))
                .containsExactly(new Slate("4B"), new Slate("4E"));
        assertThat(book.lockedFollowers(new Slate("4D"), new ValueKey("key", Attribute.LEVEL)))
                .containsExactly(new Slate("4E"));
        assertThat(book.lockedFollowers(new Slate("4F"), new ValueKey("key", Attribute.LEVEL)))
                .isEmpty();
    }

    @Test
    void aRebasedShotCarriesFromItsNewBaseAndKeepsItsOwn() {
        CarryBook book = CarryBook.of(
                SCENE_4,
                List.of(
                        knot("4A", "key", new Level(70)),
                        knot("4C", "key", new Level(24)),
                        knot("4D", "edge", new Level(5))));
        CarryBook rebased = book.rebased(new Slate("4D"), new Slate("4B"));
        assertThat(level(rebased, "4D")).isEqualTo(70);
        assertThat(rebased.resolve(new Slate("4D")).value("edge", Level.class).map(Level::percent))
                .contains(5.0);
        assertThat(level(book, "4D")).isEqualTo(24);
        assertThatThrownBy(() -> book.rebased(new Slate("4A"), new Slate("4D"))).isInstanceOf(Refusal.class);
    }

    @Test
    void aShotIsNeverBasedOnItself() {
        CarryBook book = CarryBook.of(SCENE_4, List.of());
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4A"), new Slate("4D")))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("4A from 4D from 4C from 4A");
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4C"), new Slate("4C")))
                .isInstanceOf(Refusal.class);
        assertThatCode(() -> book.refuseRebasing(new Slate("4D"), new Slate("4B")))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> CarryBook.of(List.of(shot("1", "2"), shot("2", "1")), List.of()))
                .hasMessageContaining("cannot be based on");
    }

    @Test
    void aShotThatOthersAreBasedOnIsNotDeleted() {
        CarryBook book = CarryBook.of(SCENE_4, List.of());
        assertThatThrownBy(() -> book.refuseDeleting(new Slate("4A")))
                .hasMessage("4A cannot be deleted: 4B and 4C are based on it. Base them on another shot first.");
        assertThatCode(() -> book.refuseDeleting(new Slate("4D"))).doesNotThrowAnyException();
    }

    @Test
    void whatWasShotStaysAsItWasShot() {
        List<ShotNode> shots = List.of(
                shot("4A", null), new ShotNode(new Slate("4B"), new Slate("4A"), ShotStage.SHOT), shot("4C", "4B"));
        CarryBook book = CarryBook.of(
                shots,
                List.of(
                        knot("4A", "key", new Level(70)),
                        knot("4A", "key", new Height(2)),
                        knot("4B", "key", new Height(1.9))));
        assertThatThrownBy(() -> book.refuseChangingWhatWasShot(new Slate("4B"), new ValueKey("key", Attribute.LEVEL)))
                .hasMessageContaining("locked");
        assertThatThrownBy(() -> book.refuseChangingWhatWasShot(new Slate("4A"), new ValueKey("key", Attribute.LEVEL)))
                .hasMessageContaining("4B has been shot and carries this value from 4A");
        // 4B has its own height, and 4C is still planned
        assertThatCode(() -> book.refuseChangingWhatWasShot(new Slate("4A"), new ValueKey("key", Attribute.HEIGHT)))
                .doesNotThrowAnyException();
        assertThatCode(() -> book.refuseChangingWhatWasShot(new Slate("4C"), new ValueKey("key", Attribute.LEVEL)))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> book.refuseRebasing(new Slate("4B"), null)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> book.refuseDeleting(new Slate("4B"))).isInstanceOf(Refusal.class);
    }

    @Test
    void onlyAShotThatIsBasedOnAnotherNeedsAReason() {
        CarryBook book = CarryBook.of(SCENE_4, List.of());
        assertThatCode(() -> book.requireReason(new Slate("4A"), null)).doesNotThrowAnyException();
        assertThatThrownBy(() -> book.requireReason(new Slate("4C"), null))
                .hasMessageContaining("match, cheat, fix or look");
    }

    @Test
    void twoShotsOrTwoKnotsInOnePlaceAreRefused() {
        assertThatThrownBy(() -> CarryBook.of(List.of(shot("4A", null), shot("4A", null)), List.of()))
                .hasMessageContaining("each its own slate");
        assertThatThrownBy(() -> CarryBook.of(
                        SCENE_4, List.of(knot("4A", "key", new Level(1)), knot("4A", "key", new Level(2)))))
                .hasMessageContaining("two values for the level");
    }

    @Test
    void aHeadAimedAtAMarkFollowsIt() {
        CarryBook book = CarryBook.of(
                SCENE_4,
                List.of(
                        knot("4A", "key", Place.of(0, 0)),
                        knot("4A", "key", new Height(2)),
                        knot("4A", "key", AimSetting.atMark("mark-1", 1)),
                        knot("4A", "mark-1", Place.of(0, 3)),
                        knot("4C", "mark-1", Place.of(3, 0))));
        assertThat(book.resolve(new Slate("4A"))
                        .aim("key")
                        .orElseThrow()
                        .bearing()
                        .degrees())
                .isZero();
        assertThat(book.resolve(new Slate("4D"))
                        .aim("key")
                        .orElseThrow()
                        .bearing()
                        .degrees())
                .isEqualTo(90);
        assertThat(book.resolve(new Slate("4D")).aim("key").orElseThrow().tiltDeg())
                .isCloseTo(-18.4349, within(1e-4));
    }

    @Test
    void allProblemsOfARecordAreTold() {
        Placement key = new Placement(
                "key",
                "Key",
                PlacementKind.HEAD,
                Role.KEY,
                null,
                new Piece("Bicolour LED spot 300 W", null, 0.15, 2700.0, 6500.0, 320, Mount.STAND));
        List<Knot> knots = List.of(
                knot("4A", "key", Place.of(9, 9)),
                knot("4A", "key", new ColourTemperature(9000)),
                knot("4B", "lamp", new Level(3)),
                knot("4B", "key", AimSetting.atMark("key", 1)));
        SceneRecord scene = SceneRecord.of(SetPlan.room(5, 5, 3), List.of(key), CarryBook.of(SCENE_4, knots));
        assertThat(scene.problems(knots)).hasSize(4);
    }

    @Test
    void aStackThatLeavesTheColourScaleIsAColourAndNotRefused() {
        Placement lamp = new Placement(
                "lamp",
                "Bench lamp",
                PlacementKind.PRACTICAL,
                Role.PRACTICAL,
                null,
                new Piece("Bulb", null, 0.06, null, null, 60, Mount.IN_PLACE));
        Modifiers warm = new Modifiers(List.of(new Modifier("Double straw", 1, 400, 0.04, false, null, null, null)));
        List<Knot> hot = List.of(knot("4A", "lamp", new ColourTemperature(1500)), knot("4C", "lamp", warm));
        SceneRecord scene = SceneRecord.of(SetPlan.room(5, 5, 3), List.of(lamp), CarryBook.of(SCENE_4, hot));
        assertThat(scene.problems(hot)).isEmpty();
    }

    private static double level(CarryBook book, String slate) {
        return book.resolve(new Slate(slate))
                .value("key", Level.class)
                .orElseThrow()
                .percent();
    }

    private static ShotNode shot(String slate, String basedOn) {
        return new ShotNode(new Slate(slate), basedOn == null ? null : new Slate(basedOn), ShotStage.PLANNED);
    }

    private static Knot knot(String slate, String placement, AttributeValue value) {
        return new Knot(
                new Slate(slate), placement, value, new Attribution(Reason.MATCH, null, "gaffer", Instant.EPOCH, 1));
    }
}
