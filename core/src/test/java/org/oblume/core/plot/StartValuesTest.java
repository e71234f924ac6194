package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is recorded of a thing the moment it is placed, and how values are said and typed. */
class StartValuesTest {

    private static final Place CAMERA = Place.of(1, -3);

    @Test
    void aHeadStartsFullAtDaylightAimedAtTheMark() {
        List<AttributeValue> values = start(PlacementKind.HEAD, Mount.STAND, 2700.0, 6500.0, "mark-1");
        assertThat(values)
                .contains(
                        SetStatus.ON,
                        Place.of(1, 2),
                        new Height(2),
                        AimSetting.atMark("mark-1", 1.5),
                        new Level(100),
                        new ColourTemperature(5600),
                        new Tint(0),
                        new Beam(36),
                        Modifiers.NONE,
                        Patch.BY_HAND);
        assertThat(values).noneMatch(v -> v instanceof Lens);
    }

    @Test
    void withNoMarkItFacesTheCamera() {
        assertThat(start(PlacementKind.HEAD, Mount.STAND, null, null, null))
                .contains(AimSetting.along(180, 0), new ColourTemperature(5600));
        assertThat(start(PlacementKind.MARK, Mount.FLOOR, null, null, null)).contains(AimSetting.along(180, 0));
    }

    @ParameterizedTest
    @CsvSource({"3200, 3200, 3200", "1800, 2900, 2900", "6000, 9000, 6000", "2700, 6500, 5600"})
    void aLampStartsAsNearToDaylightAsItGoes(double lowest, double highest, double dial) {
        assertThat(start(PlacementKind.HEAD, Mount.STAND, lowest, highest, null))
                .contains(new ColourTemperature(dial));
    }

    @ParameterizedTest
    @CsvSource({
        "STAND, 2",
        "WALL_PLATE, 2",
        "FLOOR, 0.4",
        "OVERHEAD, 2.8",
        "IN_PLACE, 1.5",
        "HAND_HELD, 1.5",
        "MAGNET, 1.5"
    })
    void whatHoldsItUpGivesItsHeight(Mount mount, double height) {
        assertThat(start(PlacementKind.HEAD, mount, null, null, null)).contains(new Height(height));
    }

    @Test
    void aCameraStartsWithALensAndAnExposureAtEyeHeight() {
        List<AttributeValue> values = start(PlacementKind.CAMERA, Mount.STAND, null, null, "mark-1");
        assertThat(values)
                .contains(new Height(1.5), new Lens(35), new Speed(800), new Shutter(24, 180), new White(5600, 0));
        assertThat(values).filteredOn(v -> v instanceof Stop).singleElement().satisfies(v -> assertThat(v.say())
                .isEqualTo("T2.8"));
        assertThat(values).noneMatch(v -> v instanceof Level);
        assertThat(start(PlacementKind.MARK, Mount.FLOOR, null, null, null))
                .contains(new Height(1.5))
                .hasSize(4);
    }

    @ParameterizedTest
    @CsvSource({"50, 50", "50 mm, 50", "32.5mm, 32.5", "2000, 2000"})
    void aLensIsTypedInMillimetres(String typed, double millimetres) {
        assertThat(Lens.parse(typed).focalLengthMm()).isCloseTo(millimetres, within(1e-9));
    }

    @Test
    void aLensSeesWhatItsSensorAndFocalLengthGive() {
        assertThat(new Lens(24).viewDeg(0.0249)).isCloseTo(2 * Math.toDegrees(Math.atan(24.9 / 48)), within(1e-9));
        assertThat(new Lens(50).viewDeg(0.036)).isCloseTo(39.5978, within(1e-4));
        assertThatThrownBy(() -> Lens.parse("wide")).hasMessageContaining("focal length in millimetres");
        assertThatThrownBy(() -> Lens.parse("1")).hasMessageContaining("out of range");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1/48 | 0.0208333333 | 1/48 s",
                "1/50 at 25 | 0.02 | 1/50 s",
                "180° | 0.0208333333 | 1/48 s",
                "172.8° at 24 | 0.02 | 1/50 s",
                "90 deg at 48 | 0.0052083333 | 1/192 s"
            })
    void aShutterIsAnAngleAndARateHoweverItIsTyped(String typed, double seconds, String said) {
        assertThat(Shutter.parse(typed).seconds()).isCloseTo(seconds, within(1e-9));
        assertThat(Shutter.parse(typed).say()).isEqualTo(said);
    }

    @Test
    void valuesAreSaidAsACrewSaysThem() {
        assertThat(new Place(-1.5, 2, true).say()).isEqualTo("−1.50 m right, 2.00 m up, outside");
        assertThat(Place.of(3.048, 0.3048).sayImperial()).isEqualTo("10′ 0″ right, 1′ 0″ up");
        assertThat(new Place(0.3048, 0, true).sayImperial()).endsWith(", outside");
        assertThat(AimSetting.along(220, -20).say()).isEqualTo("220°, down 20°");
        assertThat(AimSetting.along(5, 12.4).say()).isEqualTo("005°, up 12°");
        assertThat(AimSetting.along(5, 12.4).sayImperial()).isEqualTo("005°, up 12°");
        assertThat(AimSetting.atMark("Repairer", 1.2192).say()).isEqualTo("at Repairer, 1.22 m up");
        assertThat(AimSetting.atMark("Repairer", 1.2192).sayImperial()).isEqualTo("at Repairer, 4′ 0″ up");
        assertThat(new Tint(-0.004).say()).isEqualTo("−0.004 magenta");
        assertThat(Tint.parse("0.004 green")).isEqualTo(new Tint(0.004));
        assertThat(new White(4300, 0.002).say()).isEqualTo("4300 K, tint +0.002 green");
        assertThat(new Beam(36.5).say()).isEqualTo("36.5°");
        assertThat(new Height(2.1).sayImperial()).isEqualTo("6′ 10 3/4″");
    }

    /** A property: whatever stands in a field when one starts to type is the value that is there, to what a tape and a dial read. */
    @ParameterizedTest
    @MethodSource("typable")
    void whatStandsInAFieldIsReadBackAsTheValueThatItStandsFor(Attribute attribute, AttributeValue value) {
        for (String typed : List.of(value.typed().metric(), value.typed().imperial())) {
            AttributeValue read = attribute.parse(typed);
            assertThat(read.say())
                    .as(typed)
                    .satisfiesAnyOf(
                            said -> assertThat(said).isEqualTo(value.say()),
                            said -> assertThat(read.sayImperial()).isEqualTo(value.sayImperial()));
        }
    }

    static Stream<Arguments> typable() {
        return Stream.of(
                Arguments.of(Attribute.PLACE, Place.of(3.4, 2.1)),
                Arguments.of(Attribute.PLACE, new Place(-1.52, 0.05, true)),
                Arguments.of(Attribute.HEIGHT, new Height(2.07)),
                Arguments.of(Attribute.AIM, AimSetting.along(220, -20)),
                Arguments.of(Attribute.AIM, AimSetting.along(5, 12)),
                Arguments.of(Attribute.LEVEL, new Level(7.8)),
                Arguments.of(Attribute.CCT, new ColourTemperature(4300)),
                Arguments.of(Attribute.TINT, new Tint(-0.004)),
                Arguments.of(Attribute.BEAM, new Beam(36.5)),
                Arguments.of(Attribute.LENS, new Lens(32.5)),
                Arguments.of(Attribute.STOP, Stop.parse("2.8 1/3")),
                Arguments.of(Attribute.SPEED, new Speed(800)),
                Arguments.of(Attribute.SHUTTER, new Shutter(24, 180)),
                Arguments.of(Attribute.WHITE, new White(4300, 0)),
                Arguments.of(Attribute.WHITE, new White(4300, 0.002)),
                Arguments.of(Attribute.WHITE, new White(5600, -0.004)),
                Arguments.of(Attribute.LENS_ND, new LensNd(0.6)),
                Arguments.of(Attribute.EFFECT, Effect.parse("flash 4")),
                Arguments.of(Attribute.COLOUR, Colour.parse("hue 210 60%")));
    }

    @Test
    void besideANameThereIsRoomForFewLettersOnly() {
        assertThat(new Level(42).brief().metric()).isEqualTo("42%");
        assertThat(new ColourTemperature(4299.6).brief().metric()).isEqualTo("4300K");
        assertThat(new Lens(85).brief().imperial()).isEqualTo("85mm");
        assertThat(Modifiers.NONE.brief().metric()).isEmpty();
        assertThat(new Height(2.07).brief()).isEqualTo(new Height(2.07).phrase());
    }

    @Test
    void aDoorLetsATapeThroughAndAWindowDoesNot() {
        SetPlan shop = shop(SetPlan.OpeningKind.DOOR);
        assertThat(shop.tapeWalls()
                        .between(Place.of(2.5, 1).point(), Place.of(2.5, 6).point()))
                .isFalse();
        assertThat(shop(SetPlan.OpeningKind.WINDOW)
                        .tapeWalls()
                        .between(Place.of(2.5, 1).point(), Place.of(2.5, 6).point()))
                .isTrue();
        assertThat(shop.tapeWalls()
                        .between(Place.of(4.5, 1).point(), Place.of(4.5, 6).point()))
                .isTrue();
    }

    private static SetPlan shop(SetPlan.OpeningKind kind) {
        SetPlan room = SetPlan.room(5, 5, 3);
        return new SetPlan(
                3.0,
                0,
                room.walls(),
                List.of(new SetPlan.Opening(
                        "way", kind, Place.of(2, 5).point(), Place.of(3, 5).point(), 0, 2)),
                List.of(),
                room.landmarks());
    }

    private static List<AttributeValue> start(
            PlacementKind kind, Mount mount, @Nullable Double lowest, @Nullable Double highest, @Nullable String mark) {
        Role role = kind == PlacementKind.CAMERA ? Role.CAMERA : kind == PlacementKind.MARK ? Role.SUBJECT : Role.KEY;
        Placement placed = new Placement(
                "one", "One", kind, role, null, new Piece("Thing", null, 0.1, lowest, highest, 10, mount));
        return StartValues.of(placed, Place.of(1, 2), 36, mark, CAMERA, Modifiers.NONE);
    }
}
