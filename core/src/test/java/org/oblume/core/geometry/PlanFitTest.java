package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

class PlanFitTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 50).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aPlanThatWasTurnedShiftedAndMirroredIsFoundAgain(Random random) {
        PlanFit truth = new PlanFit(
                random.nextBoolean(),
                random.nextDouble() * 360,
                random.nextDouble() * 40 - 20,
                random.nextDouble() * 40 - 20,
                List.of());
        List<PlanFit.Pair> pairs = Stream.generate(() -> PlanPoint.of(random.nextDouble() * 8, random.nextDouble() * 6))
                .limit(3)
                .map(p -> new PlanFit.Pair("post", p, truth.point(p)))
                .toList();
        PlanFit found = PlanFit.of(pairs, truth.mirrored());
        PlanPoint stand = PlanPoint.of(3.3, 4.4);
        assertThat(found.point(stand).distanceM(truth.point(stand))).isLessThan(1e-9);
        assertThat(found.worstM()).isLessThan(1e-9);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void distancesStayAndABearingStaysTheWayBetweenItsTwoPoints(Random random) {
        PlanFit fit = new PlanFit(random.nextBoolean(), random.nextDouble() * 360, 3, -2, List.of());
        PlanPoint a = PlanPoint.of(random.nextDouble(), random.nextDouble());
        PlanPoint b = PlanPoint.of(2 + random.nextDouble(), random.nextDouble());
        assertThat(fit.point(a).distanceM(fit.point(b))).isCloseTo(a.distanceM(b), within(1e-9));
        double turned = fit.bearing(Bearing.fromOffset(b.xM() - a.xM(), b.yM() - a.yM()))
                .degrees();
        double between = Bearing.fromOffset(
                        fit.point(b).xM() - fit.point(a).xM(),
                        fit.point(b).yM() - fit.point(a).yM())
                .degrees();
        assertThat(Math.cos(Math.toRadians(turned - between))).isCloseTo(1, within(1e-9));
    }

    @Test
    void aWallThatIsLongerHereIsToldAndSharedOut() {
        PlanFit fit = PlanFit.of(List.of(pair("door post", 0, 0, 0, 0), pair("window post", 4, 0, 4.2, 0)), false);
        assertThat(fit.missM()).allSatisfy(miss -> assertThat(miss).isCloseTo(0.1, within(1e-9)));
        assertThat(fit.shiftXM()).isCloseTo(0.1, within(1e-9));
        assertThat(fit.turnDeg()).isZero();
    }

    @Test
    void threePairsOfAMirroredPlaceFitOnlyWhenMirroringIsAskedFor() {
        List<PlanFit.Pair> pairs = List.of(pair("a", 0, 0, 10, 0), pair("b", 4, 0, 6, 0), pair("c", 0, 3, 10, 3));
        assertThat(PlanFit.of(pairs, true).worstM()).isLessThan(1e-9);
        assertThat(PlanFit.of(pairs, false).worstM()).isGreaterThan(1);
    }

    @Test
    void onePairOrTwoInOnePlaceGiveNoTurn() {
        assertThatThrownBy(() -> PlanFit.of(List.of(pair("post", 0, 0, 1, 1)), false))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("two landmarks");
        assertThatThrownBy(() -> PlanFit.of(List.of(pair("post", 0, 0, 1, 1), pair("leg", 0, 0, 3, 1)), false))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("post and leg");
    }

    private static PlanFit.Pair pair(String name, double x, double y, double hereX, double hereY) {
        return new PlanFit.Pair(name, PlanPoint.of(x, y), PlanPoint.of(hereX, hereY));
    }
}
