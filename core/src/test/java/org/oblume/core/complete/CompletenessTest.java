package org.oblume.core.complete;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Confirmation;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.Tape;
import org.oblume.core.geometry.Taped;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.rebuild.BuildOrder;

/** Each rule by itself: a key light that has everything, but for one thing. */
class CompletenessTest {

    private static final Slate WIDE = new Slate("1A");
    private static final Slate CLOSE = new Slate("1B");
    private static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");
    private static final SetPlan ROOM = SetPlan.room(6, 6, 3);
    private static final Landmark LEFT = ROOM.landmarks().get(0);
    private static final Landmark RIGHT = ROOM.landmarks().get(1);
    private static final Place TAPED =
            Place.of(Measured.by(new Taped(List.of(new Tape(LEFT, 4), new Tape(RIGHT, 4)), Side.LEFT)), false);
    private static final List<AttributeValue> WHOLE = List.of(
            SetStatus.ON,
            TAPED,
            new Height(2),
            AimSetting.along(180, -20),
            Modifiers.NONE,
            new Level(40),
            new ColourTemperature(5600),
            Patch.BY_HAND);

    private static Placement key(String what) {
        return new Placement(
                "key",
                "Key",
                PlacementKind.HEAD,
                Role.KEY,
                null,
                new Piece(what, null, 0.3, null, null, 300, Mount.STAND));
    }

    private static CarryBook book(ShotStage stage, List<AttributeValue> values) {
        return CarryBook.of(
                List.of(new ShotNode(WIDE, null, stage), new ShotNode(CLOSE, WIDE, stage)),
                values.stream()
                        .map(v -> new Knot(WIDE, "key", v, new Attribution(null, null, "gaffer", NOON, 1)))
                        .toList());
    }

    private static Completeness of(CarryBook book, Slate slate, SetPlan set, Confirmations looked, String what) {
        SceneRecord scene = SceneRecord.of(set, List.of(key(what)), book);
        return Completeness.of(scene, book.resolve(slate), looked, BuildOrder.KEY_FIRST);
    }

    private static Completeness of(List<AttributeValue> values) {
        return of(book(ShotStage.LIT, values), WIDE, ROOM, Confirmations.NONE, "Spot");
    }

    private static List<AttributeValue> without(Class<?> type, AttributeValue... instead) {
        List<AttributeValue> all = new ArrayList<>(WHOLE);
        all.removeIf(type::isInstance);
        all.addAll(Arrays.asList(instead));
        return all;
    }

    private static List<Gap> gaps(Completeness shot) {
        return shot.things().get(0).findings().stream().map(Finding::gap).toList();
    }

    @Test
    void aLightOfWhichEverythingIsSaidCanBeRebuilt() {
        Completeness shot = of(WHOLE);
        assertThat(gaps(shot)).isEmpty();
        assertThat(shot.couldBeRebuilt()).isEqualTo(1);
        assertThat(shot.things()).hasSize(1);
    }

    static Stream<Arguments> oneThingMissing() {
        return Stream.of(
                Arguments.of(Place.class, Gap.PLACE),
                Arguments.of(Height.class, Gap.HEIGHT),
                Arguments.of(AimSetting.class, Gap.AIM),
                Arguments.of(Modifiers.class, Gap.THROUGH),
                Arguments.of(Level.class, Gap.LEVEL),
                Arguments.of(ColourTemperature.class, Gap.WHITE));
    }

    @ParameterizedTest
    @MethodSource("oneThingMissing")
    void whatIsNotSaidHasToBeGuessed(Class<?> type, Gap gap) {
        Completeness shot = of(without(type));
        assertThat(gaps(shot)).containsExactly(gap);
        assertThat(shot.couldBeRebuilt()).isZero();
    }

    @Test
    void whatThatIsOffNeedsNoLevelAndNoWhite() {
        List<AttributeValue> values = without(SetStatus.class, new SetStatus(SetStatus.State.OFF));
        values.removeIf(v -> v instanceof Level || v instanceof ColourTemperature);
        assertThat(gaps(of(values))).isEmpty();
    }

    @Test
    void aPlaceThatWasOnlyDraggedIsPlannedAndOneOfALitShotIsNotSaid() {
        List<AttributeValue> dragged = without(Place.class, Place.of(3, 3));
        assertThat(of(book(ShotStage.PLANNED, dragged), WIDE, ROOM, Confirmations.NONE, "Spot")
                        .things()
                        .get(0)
                        .findings()
                        .get(0)
                        .sentence()
                        .metric())
                .isEqualTo("Planned, not measured: nobody has said that it stood there.");
        assertThat(of(dragged).things().get(0).findings().get(0).sentence().metric())
                .isEqualTo("How its place was measured is not said.");
    }

    @Test
    void whoWalkedTheSetAndLookedSaysThatItStoodThereInThatShotAndInThoseThatCarryIt() {
        CarryBook book = book(ShotStage.LIT, without(Place.class, Place.of(3, 3)));
        Confirmations inTheWide =
                Confirmations.of(List.of(new Confirmation(WIDE, "key", Place.of(3, 3), "grip", NOON)));
        assertThat(gaps(of(book, WIDE, ROOM, inTheWide, "Spot"))).isEmpty();
        assertThat(gaps(of(book, CLOSE, ROOM, inTheWide, "Spot"))).isEmpty();
        Confirmations inTheCloseShot =
                Confirmations.of(List.of(new Confirmation(CLOSE, "key", Place.of(3, 3), "grip", NOON)));
        assertThat(gaps(of(book, CLOSE, ROOM, inTheCloseShot, "Spot"))).isEmpty();
        assertThat(gaps(of(book, WIDE, ROOM, inTheCloseShot, "Spot"))).containsExactly(Gap.PLACE);
        Confirmations ofAnother =
                Confirmations.of(List.of(new Confirmation(WIDE, "key", Place.of(3, 2), "grip", NOON)));
        assertThat(gaps(of(book, WIDE, ROOM, ofAnother, "Spot"))).containsExactly(Gap.PLACE);
        assertThat(ofAnother.here(book.resolve(WIDE), "key", Attribute.PLACE)).isEmpty();
    }

    @Test
    void tapesThatCrossTooFlatDoNotCountAndFairOnesCouldDoWithAThird() {
        Place flat = Place.of(
                Measured.by(new Taped(List.of(new Tape(LEFT, 3.02), new Tape(RIGHT, 3.02)), Side.LEFT)), false);
        assertThat(of(without(Place.class, flat)).couldBeRebuilt()).isZero();
        Place fair =
                Place.of(Measured.by(new Taped(List.of(new Tape(LEFT, 3.2), new Tape(RIGHT, 3.2)), Side.LEFT)), false);
        Completeness shot = of(without(Place.class, fair));
        assertThat(shot.couldBeRebuilt()).isEqualTo(1);
        assertThat(gaps(shot)).containsExactly(Gap.PLACE);
    }

    @Test
    void aLandmarkThatIsDrawnElsewhereNowGivesNoPlace() {
        SetPlan redrawn = SetPlan.room(7, 6, 3);
        assertThat(gaps(of(book(ShotStage.LIT, WHOLE), WIDE, redrawn, Confirmations.NONE, "Spot")))
                .containsExactly(Gap.PLACE);
    }

    @Test
    void aNetworkedLightNeedsItsAddressAndItsMode() {
        assertThat(gaps(of(without(Patch.class, new Patch(1, 101, null, null)))))
                .containsExactly(Gap.CONTROL);
        assertThat(gaps(of(without(Patch.class, new Patch(1, 101, null, "16-bit white")))))
                .isEmpty();
        assertThat(gaps(of(without(Patch.class, new Patch(null, null, null, null, ControlPath.WIRELESS, null)))))
                .containsExactly(Gap.CONTROL);
    }

    @Test
    void aKindThatNobodySaidIsMissing() {
        assertThat(gaps(of(book(ShotStage.LIT, WHOLE), WIDE, ROOM, Confirmations.NONE, Piece.KIND_NOT_SAID)))
                .containsExactly(Gap.KIND);
    }

    @Test
    void whatIsStruckIsNotCounted() {
        assertThat(of(without(SetStatus.class, SetStatus.STRUCK)).things()).isEmpty();
    }

    /** Feeds are asked for where the crew records them: of one light, what feeds the other is worth saying, and no guess. */
    @Test
    void whereOneLightIsFedTheFeedOfTheOtherIsWorthSaying() {
        Placement other = new Placement(
                "fill",
                "Fill",
                PlacementKind.HEAD,
                Role.FILL,
                null,
                new Piece("Small head", null, 0.3, null, null, 200, Mount.STAND));
        List<Knot> knots = new ArrayList<>();
        for (String key : List.of("key", "fill")) {
            WHOLE.forEach(v -> knots.add(new Knot(WIDE, key, v, new Attribution(null, null, "gaffer", NOON, 1))));
        }
        assertThat(feedGaps(other, knots)).isEmpty();
        knots.add(new Knot(WIDE, "key", Feed.circuit("B1"), new Attribution(null, null, "gaffer", NOON, 1)));
        assertThat(feedGaps(other, knots)).containsExactly("Fill");
    }

    private static List<String> feedGaps(Placement other, List<Knot> knots) {
        CarryBook book = CarryBook.of(List.of(new ShotNode(WIDE, null, ShotStage.LIT)), knots);
        SceneRecord scene = SceneRecord.of(ROOM, List.of(key("Head"), other), book);
        Completeness looked =
                Completeness.of(scene, book.resolve(WIDE), Confirmations.of(List.of()), BuildOrder.KEY_FIRST);
        return looked.things().stream()
                .filter(t -> t.findings().stream().anyMatch(f -> f.gap() == Gap.FEED && !f.guess()))
                .map(t -> t.placement().name())
                .toList();
    }
}
