package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.units.Refusal;

class TapeCheckTest {

    private static final Landmark DOOR = new Landmark("door post", PlanPoint.of(0, 0));
    private static final Landmark WINDOW = new Landmark("window post", PlanPoint.of(4, 0));
    private static final Landmark BENCH = new Landmark("bench leg", PlanPoint.of(2, 5));
    private static final List<Landmark> ALL = List.of(DOOR, WINDOW, BENCH);
    private static final PlanPoint STAND = PlanPoint.of(1.5, 2.5);

    @Test
    void threeTapesThatMeetSayThatItStandsWhereItShould() {
        TapeCheck check = check(0, 0, 0);
        assertThat(check.offM()).isLessThan(1e-9);
        assertThat(check.sentence().metric()).contains("stands where it should");
    }

    @ParameterizedTest
    @CsvSource({"0.12,0,0,door post,longer", "0,-0.12,0,window post,shorter", "0,0,0.2,bench leg,longer"})
    void theTapeThatWasReadWrongIsNamedByTheThird(double a, double b, double c, String wrong, String how) {
        TapeCheck check = check(a, b, c);
        assertThat(check.wrong()).isEqualTo(wrong);
        assertThat(check.sentence().metric()).contains("misses by", wrong, how);
    }

    @Test
    void twoTapesCannotTellWhichIsWrongAndAskForAThird() {
        TapeCheck check = TapeCheck.of(tapes(0.12, 0, 0).subList(0, 2), STAND, ALL, Walls.NONE);
        assertThat(check.missM()).isNull();
        assertThat(check.sentence().metric()).contains("third tape");
    }

    @Test
    void aStandThatIsElsewhereIsToldByThreeTapesThatAgree() {
        PlanPoint there = PlanPoint.of(1.9, 2.5);
        List<Tape> tapes =
                ALL.stream().map(l -> new Tape(l, l.point().distanceM(there))).toList();
        TapeCheck check = TapeCheck.of(tapes, STAND, ALL, Walls.NONE);
        assertThat(check.offM()).isCloseTo(0.4, within(1e-9));
        assertThat(check.wrong()).isNull();
        assertThat(check.sentence().metric()).contains("All three tapes agree").contains("0.40 m too far right");
    }

    @Test
    void tapesThatDoNotMeetSayByHowMuch() {
        List<Tape> tapes = List.of(new Tape(DOOR, 1.5), new Tape(WINDOW, 2.2));
        assertThatThrownBy(() -> TapeCheck.of(tapes, STAND, ALL, Walls.NONE))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("miss by 0.30 m");
    }

    @Test
    void tapesThatCrossTooFlatNameABetterLandmark() {
        PlanPoint low = PlanPoint.of(2, 0.2);
        List<Tape> tapes = List.of(new Tape(DOOR, 2.01), new Tape(WINDOW, 2.01));
        assertThatThrownBy(() -> TapeCheck.of(tapes, low, ALL, Walls.NONE))
                .hasMessageContaining("too flat")
                .hasMessageContaining("Use bench leg");
    }

    @Test
    void theThirdLandmarkIsOneThatIsNotUsedYet() {
        TapePair pair = TapePair.between(DOOR, WINDOW, STAND).orElseThrow();
        assertThat(TapeCheck.third(pair, STAND, ALL, Walls.NONE)).contains(BENCH);
        assertThat(TapeCheck.third(pair, STAND, List.of(DOOR, WINDOW), Walls.NONE))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.5,0,right on the plan", "-0.5,0,left on the plan", "0,0.5,up the plan", "0,-0.5,down the plan"})
    void whereItStandsInsteadIsToldByThePlan(double right, double up, String where) {
        PlanPoint there = PlanPoint.of(STAND.xM() + right, STAND.yM() + up);
        List<Tape> tapes =
                ALL.stream().map(l -> new Tape(l, l.point().distanceM(there))).toList();
        assertThat(TapeCheck.of(tapes, STAND, ALL, Walls.NONE).sentence().metric())
                .contains("0.50 m too far " + where);
        assertThat(TapeCheck.of(tapes.subList(0, 2), STAND, ALL, Walls.NONE)
                        .sentence()
                        .metric())
                .contains("too far " + where)
                .contains("third tape");
    }

    @Test
    void whenMoreThanOneTapeIsOffNoneIsBlamed() {
        TapeCheck check = check(0.3, 0, 0.4);
        assertThat(check.wrong()).isNull();
        assertThat(check.sentence().metric()).contains("Pull all three again");
    }

    @Test
    void oneTapeIsNoPlace() {
        assertThatThrownBy(() -> TapeCheck.of(tapes(0), STAND, ALL, Walls.NONE))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("two landmarks");
    }

    @Test
    void ofSeveralThirdLandmarksTheOneThatCrossesBestIsTaken() {
        Landmark inLine = new Landmark("in line", PlanPoint.of(-1.5, -2.5));
        TapePair pair = TapePair.between(DOOR, WINDOW, STAND).orElseThrow();
        assertThat(TapeCheck.third(pair, STAND, List.of(DOOR, WINDOW, inLine, BENCH), Walls.NONE))
                .contains(BENCH);
    }

    private static TapeCheck check(double a, double b, double c) {
        return TapeCheck.of(tapes(a, b, c), STAND, ALL, Walls.NONE);
    }

    private static List<Tape> tapes(double... errors) {
        List<Tape> tapes = new ArrayList<>();
        for (int i = 0; i < errors.length; i++) {
            tapes.add(new Tape(ALL.get(i), ALL.get(i).point().distanceM(STAND) + errors[i]));
        }
        return tapes;
    }
}
