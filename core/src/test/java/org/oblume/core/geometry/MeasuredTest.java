package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.Cases;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/** Places as they are measured on set: tapes, from a mark, along a wall, on a landmark. */
class MeasuredTest {

    private static final Landmark WINDOW = new Landmark("window post", PlanPoint.of(0, 0));
    private static final Landmark DOOR = new Landmark("door post", PlanPoint.of(4, 0));
    private static final Landmark BENCH = new Landmark("bench leg", PlanPoint.of(1, 4));
    private static final Landmark COLUMN = new Landmark("column", PlanPoint.of(5, 5));
    private static final List<Landmark> ALL = List.of(WINDOW, DOOR, BENCH, COLUMN);
    private static final PlanPoint STAND = PlanPoint.of(2.1, 1.9);
    private static final Walls ROOM = SetPlan.room(6, 6, 3).tapeWalls();

    private static Tape tape(Landmark from, PlanPoint to, double misreadM) {
        return new Tape(from, Math.round(from.point().distanceM(to) * 100) / 100.0 + misreadM);
    }

    private static Taped taped(@Nullable Side side, Tape... tapes) {
        return Taped.of(List.of(tapes), side, ALL, ROOM, null);
    }

    static Stream<Cases> polarCases() {
        return Cases.of("polar").filter(c -> c.request().has("side"));
    }

    static Stream<PlanPoint> anyStand() {
        Random random = new Random(5);
        return Stream.generate(() -> PlanPoint.of(random.nextDouble() * 5 + 0.5, random.nextDouble() * 5 + 0.5))
                .limit(100);
    }

    @ParameterizedTest
    @MethodSource("polarCases")
    void fromAMarkItIsSoFarAndSoManyDegreesOffTheWayToTheCamera(Cases c) {
        JsonNode mark = c.request().get("mark");
        JsonNode camera = c.request().get("camera");
        if (c.problemField() != null) {
            assertThatThrownBy(() -> polar(c, mark, camera))
                    .isInstanceOfSatisfying(
                            Refusal.class, e -> assertThat(e.field()).isEqualTo(c.problemField()));
            return;
        }
        PlanPoint point = polar(c, mark, camera).point();
        c.assertAnswer("x", point.xM());
        c.assertAnswer("y", point.yM());
    }

    private static Polar polar(Cases c, JsonNode mark, JsonNode camera) {
        return new Polar(
                "Mark",
                PlanPoint.of(mark.get("x").asDouble(), mark.get("y").asDouble()),
                PlanPoint.of(camera.get("x").asDouble(), camera.get("y").asDouble()),
                c.number("distanceM"),
                c.number("offDeg"),
                Side.valueOf(c.text("side")));
    }

    @ParameterizedTest
    @MethodSource("anyStand")
    void threeTapesToTheCentimetreGiveTheStandBackToTheCentimetre(PlanPoint stand) {
        Taped taped = taped(null, tape(WINDOW, stand, 0), tape(DOOR, stand, 0), tape(BENCH, stand, 0));
        assertThat(taped.fit().point().distanceM(stand)).isLessThan(0.02);
    }

    @Test
    void threeTapesThatMissByTwoCentimetresAreSettledByLeastSquares() {
        List<Tape> tapes = List.of(tape(WINDOW, STAND, 0.02), tape(DOOR, STAND, 0), tape(BENCH, STAND, -0.01));
        TapeFit fit = TapeFit.of(tapes, Side.LEFT);
        assertThat(fit.agrees()).isTrue();
        // no other point of a fine grid round it has a smaller sum of squares
        double found = sumOfSquares(tapes, fit.point());
        for (int i = -50; i <= 50; i++) {
            for (int j = -50; j <= 50; j++) {
                PlanPoint other =
                        PlanPoint.of(fit.point().xM() + i * 0.001, fit.point().yM() + j * 0.001);
                assertThat(sumOfSquares(tapes, other)).isGreaterThanOrEqualTo(found - 1e-12);
            }
        }
        assertThat(fit.offM()).hasSize(3);
        assertThat(fit.offM().get(0))
                .isEqualTo(tapes.get(0).lengthM() - WINDOW.point().distanceM(fit.point()), within(1e-12));
    }

    private static double sumOfSquares(List<Tape> tapes, PlanPoint at) {
        return tapes.stream()
                .mapToDouble(t -> Math.pow(t.lengthM() - t.from().point().distanceM(at), 2))
                .sum();
    }

    @Test
    void theCheckSaysHowFarItIsOffTheFirstTwo() {
        TapeFit fit =
                TapeFit.of(List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0), tape(BENCH, STAND, 0.04)), Side.LEFT);
        assertThat(fit.checksM().get(0)).isEqualTo(0.04, within(0.01));
        assertThat(fit.agrees()).isTrue();
        assertThat(TapeFit.of(
                                List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0), tape(BENCH, STAND, 0.09)),
                                Side.LEFT)
                        .agrees())
                .isFalse();
    }

    @Test
    void threeTapesThatDisagreeNameNoCulpritButWhatEachWouldHaveToRead() {
        assertThatThrownBy(
                        () -> taped(Side.LEFT, tape(WINDOW, STAND, 0.14), tape(DOOR, STAND, 0), tape(COLUMN, STAND, 0)))
                .isInstanceOfSatisfying(
                        Refusal.class, e -> assertThat(e.phrase().metric())
                                .contains(
                                        "one of them is misread",
                                        "window post would read",
                                        "door post would read",
                                        "column would read"));
    }

    @Test
    void aWholeMetreIsTheLikeliestSlipAndNamedAloneWhenItAloneFits() {
        TapeSlips slips = TapeSlips.of(
                List.of(tape(WINDOW, STAND, 1), tape(DOOR, STAND, 0), tape(COLUMN, STAND, 0)),
                Side.LEFT,
                List.of(WINDOW, DOOR, COLUMN),
                ROOM,
                null);
        assertThat(slips.slips().get(0).tape().from()).isEqualTo(WINDOW);
        assertThat(slips.slips().get(0).kind()).isEqualTo(TapeSlips.Kind.WHOLE_METRE);
        assertThat(slips.alone()).map(s -> s.tape().from()).contains(WINDOW);
        assertThat(slips.slips().get(0).wouldReadM()).isEqualTo(WINDOW.point().distanceM(STAND), within(0.02));
    }

    @Test
    void aTapeThatStartedAtAnotherLandmarkIsKnownByItsLength() {
        Tape wrong = new Tape(BENCH, Math.round(COLUMN.point().distanceM(STAND) * 100) / 100.0);
        TapeSlips slips =
                TapeSlips.of(List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0), wrong), Side.LEFT, ALL, ROOM, null);
        assertThat(slips.slips()).anySatisfy(s -> assertThat(s.landmark()).isEqualTo(COLUMN.name()));
    }

    @Test
    void withFourTapesTheOneThatIsWrongIsNamed() {
        TapeSlips slips = TapeSlips.of(
                List.of(tape(WINDOW, STAND, 0.27), tape(DOOR, STAND, 0), tape(BENCH, STAND, 0), tape(COLUMN, STAND, 0)),
                Side.LEFT,
                ALL,
                ROOM,
                null);
        assertThat(slips.alone()).map(s -> s.tape().from()).contains(WINDOW);
    }

    @Test
    void theThirdTapeTellsTheSideAndElseTheWalls() {
        assertThat(taped(null, tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0)).side())
                .isEqualTo(Side.LEFT);
        assertThat(Taped.of(
                                List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0), tape(BENCH, STAND, 0)),
                                null,
                                ALL,
                                Walls.NONE,
                                null)
                        .side())
                .isEqualTo(Side.LEFT);
        assertThatThrownBy(() ->
                        Taped.of(List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0)), null, ALL, Walls.NONE, null))
                .isInstanceOfSatisfying(
                        Refusal.class, e -> assertThat(e.field()).isEqualTo("side"));
        assertThat(Taped.of(
                                List.of(tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0)),
                                null,
                                ALL,
                                Walls.NONE,
                                PlanPoint.of(2, -2))
                        .side())
                .isEqualTo(Side.RIGHT);
    }

    @Test
    void inLineWithTheFirstTwoLandmarksTheThirdTapeGivesThePlace() {
        PlanPoint onTheLine = PlanPoint.of(5.2, 0.02);
        Taped taped = taped(null, tape(WINDOW, onTheLine, 0), tape(DOOR, onTheLine, 0), tape(BENCH, onTheLine, 0));
        assertThat(taped.fit().point().distanceM(onTheLine)).isLessThan(0.02);
        assertThat(taped.fit().crossing()).isNotEqualTo(Crossing.POOR);
    }

    @Test
    void tapesThatDoNotMeetAreRefusedWithTheGap() {
        assertThatThrownBy(() -> taped(null, new Tape(WINDOW, 1), new Tape(DOOR, 2.5)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("0.50 m");
        assertThatThrownBy(() -> taped(null, new Tape(WINDOW, 1)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("circle");
        assertThatThrownBy(() -> taped(null, new Tape(WINDOW, 1), new Tape(WINDOW, 2)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("same landmark");
    }

    @Test
    void alongAWallGoesIntoTheRoom() {
        AlongWall wall = AlongWall.of(WINDOW, DOOR, 1.2, 0.8, null, ROOM);
        assertThat(wall.point()).isEqualTo(PlanPoint.of(1.2, 0.8));
        assertThat(AlongWall.of(DOOR, WINDOW, 1.2, 0.8, null, ROOM).point().distanceM(PlanPoint.of(2.8, 0.8)))
                .isLessThan(1e-12);
        assertThatThrownBy(() -> AlongWall.of(WINDOW, DOOR, 1, 1, null, Walls.NONE))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void aLandmarkThatIsCorrectedTakesAlongWhatWasTapedFromIt() {
        Measured measured = Measured.by(taped(null, tape(WINDOW, STAND, 0), tape(DOOR, STAND, 0)));
        Landmark corrected = new Landmark("window post", PlanPoint.of(0.1, 0));
        Measured now = measured.from(l -> l.equals(WINDOW) ? corrected : l);
        assertThat(corrected.point().distanceM(now.point()))
                .isEqualTo(WINDOW.point().distanceM(measured.point()), within(1e-9));
        assertThat(measured.standsIn(ALL)).isTrue();
        assertThat(now.standsIn(ALL)).isFalse();
    }

    @Test
    void tapesThatCrossFlatAreKnownToBePoor() {
        PlanPoint flat = PlanPoint.of(2, 0.2);
        assertThat(Measured.by(taped(null, tape(WINDOW, flat, 0), tape(DOOR, flat, 0)))
                        .crossing())
                .isEqualTo(Crossing.POOR);
        assertThat(Measured.on(DOOR).crossing()).isEqualTo(Crossing.GOOD);
    }

    @Test
    void aPlaceIsMeasuredInOneWay() {
        assertThatThrownBy(() -> new Measured(null, null, null, null, null)).isInstanceOf(Refusal.class);
    }
}
