package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.Cases;
import org.oblume.core.units.Refusal;

class TapeTest {

    static Stream<Cases> tapeIn() {
        return Cases.of("tape").filter(c -> c.request().has("side"));
    }

    static Stream<Cases> tapeOut() {
        return Cases.of("tape-out").filter(c -> c.request().has("point"));
    }

    static Stream<PlanPoint> anyPlace() {
        Random random = new Random(7);
        return Stream.generate(() -> PlanPoint.of(random.nextDouble() * 12 - 3, random.nextDouble() * 12 - 3))
                .limit(300);
    }

    @ParameterizedTest
    @MethodSource("tapeIn")
    void twoTapesGiveTheStand(Cases c) {
        JsonNode r = c.request();
        double error = r.path("tapeErrorM").asDouble(TapeFix.DEFAULT_TAPE_ERROR_M);
        Side side = Side.valueOf(r.get("side").asText());
        if (c.problemField() != null) {
            assertThatThrownBy(() -> TapeFix.of(
                            point(r.get("a")),
                            point(r.get("b")),
                            r.get("distanceAM").asDouble(),
                            r.get("distanceBM").asDouble(),
                            side,
                            error))
                    .isInstanceOfSatisfying(
                            Refusal.class, e -> assertThat(e.field()).isEqualTo(c.problemField()));
            return;
        }
        TapeFix fix = TapeFix.of(
                point(r.get("a")),
                point(r.get("b")),
                r.get("distanceAM").asDouble(),
                r.get("distanceBM").asDouble(),
                side,
                error);
        c.assertAnswer("x", fix.point().xM());
        c.assertAnswer("y", fix.point().yM());
        c.assertAnswer("crossingAngleDeg", fix.crossingAngleDeg());
        c.assertAnswer("positionErrorM", fix.positionErrorM());
        assertThat(fix.crossing().name()).isEqualTo(c.answer().get("quality").asText());
    }

    @ParameterizedTest
    @MethodSource("tapeOut")
    void theBestTwoLandmarksAreChosen(Cases c) {
        List<Landmark> landmarks = new ArrayList<>();
        c.request()
                .get("landmarks")
                .forEach(l -> landmarks.add(new Landmark(l.get("name").asText(), point(l))));
        PlanPoint point = point(c.request().get("point"));
        if (c.problemField() != null) {
            assertThatThrownBy(() -> TapePair.choose(point, landmarks, Walls.NONE))
                    .isInstanceOf(Refusal.class);
            return;
        }
        TapePair pair = TapePair.choose(point, landmarks, Walls.NONE);
        assertThat(pair.a().name()).isEqualTo(c.answer().get("a").asText());
        assertThat(pair.b().name()).isEqualTo(c.answer().get("b").asText());
        assertThat(pair.side().name()).isEqualTo(c.answer().get("side").asText());
        assertThat(pair.crossing().name()).isEqualTo(c.answer().get("quality").asText());
        c.assertAnswer("distanceAM", pair.distanceAM());
        c.assertAnswer("distanceBM", pair.distanceBM());
        c.assertAnswer("crossingAngleDeg", pair.crossingAngleDeg());
    }

    @ParameterizedTest
    @MethodSource("anyPlace")
    void tapedOutAndInAgainIsTheSamePlace(PlanPoint place) {
        List<Landmark> room = List.of(mark("a", 0, 0), mark("b", 6, 0), mark("c", 6, 5), mark("d", 0, 5));
        PlanPoint back = TapePair.choose(place, room, Walls.NONE).point();
        assertThat(back.distanceM(place)).isLessThan(1e-6);
    }

    @Test
    void tapesThatMissSayByHowMuch() {
        assertThatThrownBy(() -> TapeFix.of(PlanPoint.of(0, 0), PlanPoint.of(8, 0), 3, 4, Side.LEFT, 0.01))
                .hasMessageContaining("miss by 1.00 m");
    }

    @Test
    void tapesThatOnlyTouchAreRefused() {
        assertThatThrownBy(() -> TapeFix.of(PlanPoint.of(0, 0), PlanPoint.of(7, 0), 3, 4, Side.LEFT, 0.01))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void noTapeRunsThroughAWallButOneMayGoThroughADoor() {
        List<PlanPoint> wall = List.of(PlanPoint.of(0, 2), PlanPoint.of(10, 2));
        Walls closed = new Walls(List.of(wall), List.of());
        Walls withDoor = new Walls(List.of(wall), List.of(new Walls.Opening(PlanPoint.of(4, 2), PlanPoint.of(6, 2))));
        List<Landmark> landmarks = List.of(mark("behind", 5, 0), mark("post", 2, 3), mark("column", 9, 2.2));
        PlanPoint stand = PlanPoint.of(5, 5);

        assertThat(TapePair.choose(stand, landmarks, closed))
                .extracting(p -> p.a().name(), p -> p.b().name())
                .containsExactly("post", "column");
        assertThat(closed.between(PlanPoint.of(5, 0), stand)).isTrue();
        assertThat(withDoor.between(PlanPoint.of(5, 0), stand)).isFalse();
    }

    @ParameterizedTest
    @MethodSource("org.oblume.core.geometry.TapeTest#aims")
    void aHeadIsAimedByBearingAndTilt(Cases c) {
        SpacePoint from = space(c.request().get("from"));
        SpacePoint to = space(c.request().get("to"));
        if (c.problemField() != null) {
            assertThatThrownBy(() -> Aim.between(from, to))
                    .isInstanceOfSatisfying(
                            Refusal.class, e -> assertThat(e.field()).isEqualTo(c.problemField()));
            return;
        }
        Aim aim = Aim.between(from, to);
        c.assertAnswer("bearingDeg", aim.bearing().degrees());
        c.assertAnswer("tiltDeg", aim.tiltDeg());
        c.assertAnswer("distanceM", java.util.Objects.requireNonNull(aim.distanceM()));
    }

    static Stream<Cases> aims() {
        return Cases.of("aim")
                .filter(c -> c.request().has("from") && c.request().path("to").has("z"));
    }

    @Test
    void turningRoundTurnsTheBearingByHalfACircle() {
        SpacePoint a = new SpacePoint(1, 2, 3);
        SpacePoint b = new SpacePoint(-2, 0.5, 1);
        Aim there = Aim.between(a, b);
        Aim back = Aim.between(b, a);
        assertThat(Math.abs(there.bearing().degrees() - back.bearing().degrees()))
                .isCloseTo(180, within(1e-9));
        assertThat(there.tiltDeg()).isCloseTo(-back.tiltDeg(), within(1e-9));
    }

    @Test
    void crossingLimitsAreInside() {
        assertThat(Crossing.ofAngle(45)).isEqualTo(Crossing.GOOD);
        assertThat(Crossing.ofAngle(135)).isEqualTo(Crossing.GOOD);
        assertThat(Crossing.ofAngle(44.9)).isEqualTo(Crossing.FAIR);
        assertThat(Crossing.ofAngle(155)).isEqualTo(Crossing.FAIR);
        assertThat(Crossing.ofAngle(24.9)).isEqualTo(Crossing.POOR);
    }

    private static Landmark mark(String name, double x, double y) {
        return new Landmark(name, PlanPoint.of(x, y));
    }

    private static PlanPoint point(JsonNode node) {
        return PlanPoint.of(node.get("x").asDouble(), node.get("y").asDouble());
    }

    private static SpacePoint space(JsonNode node) {
        return new SpacePoint(
                node.get("x").asDouble(),
                node.get("y").asDouble(),
                node.get("z").asDouble());
    }
}
