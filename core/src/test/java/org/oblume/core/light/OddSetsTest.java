package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;

/** Sets and lights as nobody means them: there is light or there is none, and it is a number. */
class OddSetsTest {

    private static final Surface PAINT = Surface.grey(0.6);
    private static final Modifier SILK = new Modifier("Half silk", 1.2, 1, 0, true, null, null, null).softAs(0.6);

    static Stream<Arguments> odd() {
        return Stream.of(
                one("at level 0", () -> lit().tie("key", new Level(0))),
                one("5 cm off", () -> lit().tie("key", new Place(0.05, 0, true))),
                one("at the very mark", () -> lit().tie("key", new Place(0, 0, true))
                        .tie("key", AimSetting.along(0, 0))),
                one("in the wall", () -> lit().tie("key", new Place(5, 0, true))),
                one("in the ceiling", () -> lit().tie("key", new Height(3))),
                one("in the floor", () -> lit().tie("key", new Height(0))),
                one("above the ceiling", () -> lit().tie("key", new Height(4))),
                one("behind twelve filters", () -> lit().tie(
                                "key",
                                new Modifiers(IntStream.range(0, 12)
                                        .mapToObj(i ->
                                                new Modifier("Full CTO " + i, 0.85, 167, 0.02, false, null, null, null))
                                        .toList()))),
                one("behind all the grids", () -> lit().tie(
                                "key",
                                new Modifiers(IntStream.range(0, 12)
                                        .mapToObj(i ->
                                                new Modifier("Grid " + i, 1, 0, 0, false, null, null, null, 5.0, null))
                                        .toList()))),
                one("two mirrors that face each other", () -> lit().grip(
                                "a", PlacementKind.MIRROR, 2, 2, null, -2, 0, 1.5, 90, 0)
                        .grip("b", PlacementKind.MIRROR, 2, 2, null, 2, 0, 1.5, 270, 0)),
                one("a mirror at the mark", () -> lit().grip("a", PlacementKind.MIRROR, 2, 2, null, 0, 0, 1.5, 90, 0)),
                one("a frame in a wall", () -> lit().grip(
                                "silk", PlacementKind.FRAME, 2, 2, null, 5, 0, 1.5, 270, 0, SILK)),
                one("a frame at the head", () -> lit().grip(
                                "silk", PlacementKind.FRAME, 2, 2, null, 2, 2, 1.5, 225, 0, SILK)),
                one("a frame of no size", () -> lit().grip(
                                "silk", PlacementKind.FRAME, 0, 0, null, 1, 1, 1.5, 225, 0, SILK)),
                one("a frame larger than the room", () -> lit().grip(
                                "silk", PlacementKind.FRAME, 40, 40, null, 1, 1, 1.5, 225, 0, SILK)),
                one("a room that is not closed", () -> lit().with(walls(
                        List.of(PlanPoint.of(-5, -5), PlanPoint.of(5, -5), PlanPoint.of(5, 5), PlanPoint.of(-5, 5))))),
                one("walls that cross", () -> lit().with(walls(List.of(
                        PlanPoint.of(-5, -5),
                        PlanPoint.of(5, 5),
                        PlanPoint.of(5, -5),
                        PlanPoint.of(-5, 5),
                        PlanPoint.of(-5, -5))))),
                one("a room of no width", () -> lit().with(walls(List.of(
                        PlanPoint.of(0, -5),
                        PlanPoint.of(0, 5),
                        PlanPoint.of(0, 5),
                        PlanPoint.of(0, -5),
                        PlanPoint.of(0, -5))))),
                one("walls that send everything back", () -> Stage.room(3.0, Surface.grey(1), Surface.grey(1))
                        .withFloor(Surface.grey(1))
                        .head("key", Role.KEY, 2, 2, 1.5)),
                one("no camera", () -> lit().tie("camera", SetStatus.STRUCK)),
                one("nobody on the mark", () -> lit().tie("mark", SetStatus.STRUCK)));
    }

    private static Arguments one(String name, Supplier<Stage> stage) {
        return Arguments.of(name, stage);
    }

    private static Stage lit() {
        return Stage.room(3.0, PAINT, PAINT).camera(0, 3).head("key", Role.KEY, 2, 2, 1.5);
    }

    private static SetPlan walls(List<PlanPoint> points) {
        return new SetPlan(
                3.0,
                0,
                List.of(new Wall(points, null, PAINT)),
                List.of(),
                List.of(),
                List.of(),
                PAINT,
                PAINT,
                null,
                null,
                null);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("odd")
    void thereIsLightOrThereIsNoneAndItIsANumber(String name, Supplier<Stage> stage) {
        ShotLighting light = stage.get().light();
        for (MarkLight mark : light.marks()) {
            number(mark.left());
            number(mark.right());
            if (mark.background() != null) {
                number(mark.background());
            }
            mark.sources().forEach(s -> {
                assertThat(s.facingLux()).isFinite().isNotNegative();
                assertThat(s.roomLux()).isFinite().isNotNegative();
            });
        }
        assertThat(light.marks()).hasSize(name.startsWith("nobody") ? 0 : 1);
    }

    private static void number(SurfaceLight surface) {
        assertThat(surface.lux()).isFinite().isNotNegative();
        surface.luxOfEach().forEach(lux -> assertThat(lux).isFinite().isNotNegative());
        if (surface.mix() != null) {
            assertThat(surface.mix().reading().kelvin()).isFinite();
        }
    }

    static IntStream seeds() {
        return IntStream.range(0, 12);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aBlackFlagOrANetNeverMakesAnythingBrighter(int seed) {
        Random random = new Random(seed);
        double x = random.nextDouble() * 4 - 2;
        double y = random.nextDouble() * 4 - 2;
        double bearing = random.nextDouble() * 360;
        MarkLight before = lit().mark();
        MarkLight flagged = lit().grip("flag", PlacementKind.FLAG, 0.6, 0.9, null, x, y, 1.5, bearing, 0)
                .mark();
        MarkLight netted = lit().grip(
                        "net",
                        PlacementKind.NET,
                        0.6,
                        0.9,
                        null,
                        x,
                        y,
                        1.5,
                        bearing,
                        0,
                        new Modifier("Double net", 1, 0, 0, false, null, null, null))
                .mark();
        for (MarkLight after : List.of(flagged, netted)) {
            assertThat(after.left().lux()).isLessThanOrEqualTo(before.left().lux() * 1.001);
            assertThat(after.right().lux()).isLessThanOrEqualTo(before.right().lux() * 1.001);
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aRoomSeenInAMirrorHasItsCheeksExchanged(int seed) {
        Random random = new Random(seed);
        double x = random.nextDouble() * 8 - 4;
        double y = random.nextDouble() * 8 - 4;
        MarkLight here =
                Stage.room(3.0, PAINT, PAINT).head("key", Role.KEY, x, y, 2).mark();
        MarkLight there =
                Stage.room(3.0, PAINT, PAINT).head("key", Role.KEY, -x, y, 2).mark();
        assertThat(there.left().lux())
                .isCloseTo(here.right().lux(), within(here.right().lux() * 0.007));
        assertThat(there.right().lux())
                .isCloseTo(here.left().lux(), within(here.left().lux() * 0.007));
    }
}
