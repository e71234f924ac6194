package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.continuity.Match.Verdict;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.light.Stage;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;

class MatchTest {

    @Test
    void aShotMatchesItself() {
        Match match = Match.of(figures(shot()), figures(shot()), Tolerances.HOLD, Map.of());
        assertThat(match.lines()).allSatisfy(line -> assertThat(line.verdict()).isEqualTo(Verdict.HOLDS));
        assertThat(match.holds()).isTrue();
    }

    @Test
    void aStopMoreOfFillIsOutAndTheRemedyPutsItRight() {
        Stage off = shot().tie("fill", new Level(40));
        Match.Line ratio = match(off).line(Aspect.RATIO);
        assertThat(ratio.verdict()).isEqualTo(Verdict.OUT);
        assertThat(ratio.say()).startsWith("Ratio is").endsWith("under");
        assertThat(remedy(ratio, off))
                .startsWith("Fill down 1 stop")
                .contains("40 to 20 %")
                .contains("move it from");
    }

    @ParameterizedTest
    @CsvSource({"10", "14", "30", "45"})
    void whatIsSaidOfTheFillBringsTheRatioBack(double wrong) {
        Stage off = shot().tie("fill", new Level(wrong));
        String says = remedy(match(off).line(Aspect.RATIO), off);
        double to = Double.parseDouble(says.replaceAll(".* to (\\d+) %.*", "$1"));
        Stage mended = shot().tie("fill", new Level(to));
        assertThat(match(mended).line(Aspect.RATIO).difference()).isCloseTo(0, within(0.06));
    }

    @Test
    void aFillThatOutshinesTheKeyComesDownFirst() {
        Stage off = shot().tie("fill", new Level(90));
        assertThat(remedy(match(off).line(Aspect.RATIO), off)).startsWith("Fill outshines the key");
    }

    @Test
    void aKeyThatIsHalfAStopDownIsBroughtUp() {
        Stage off = shot().tie("key", new Level(35));
        assertThat(remedy(match(off).line(Aspect.EXPOSURE), off))
                .startsWith("Key up")
                .contains("35 to 50 %");
    }

    @Test
    void aWarmerKeyIsDialledBack() {
        Stage off = shot().tie("key", new ColourTemperature(4800));
        Match.Line white = match(off).line(Aspect.WHITE);
        assertThat(white.verdict()).isEqualTo(Verdict.OUT);
        assertThat(white.say()).contains("mired too warm");
        int dial = Integer.parseInt(remedy(white, off).replaceAll("\\D", ""));
        assertThat(dial).isBetween(5450, 5750);
    }

    @Test
    void aReverseWithTheKeyOnTheSameSideOfTheWorldHolds() {
        Stage reverse = shot().camera(0, -4);
        assertThat(match(reverse).line(Aspect.KEY_SIDE).verdict()).isEqualTo(Verdict.HOLDS);
    }

    @Test
    void aKeyThatJumpsTheLineIsOutUntilItIsCalledACheat() {
        Stage jumped = shot().tie("key", new Place(-2, -2, true));
        Match.Line side = match(jumped).line(Aspect.KEY_SIDE);
        assertThat(side.verdict()).isEqualTo(Verdict.OUT);
        assertThat(side.say()).isEqualTo("Key comes from the other side of the world");
        Match stilled = Match.of(
                figures(shot()),
                figures(jumped),
                Tolerances.HOLD,
                Map.of(Aspect.KEY_SIDE, new Waiver(Waiver.Cause.CHEAT, "It would stand in the picture.", "gaffer")));
        assertThat(stilled.line(Aspect.KEY_SIDE).verdict()).isEqualTo(Verdict.WAIVED);
    }

    @Test
    void sweeteningLeavesRoomThatHoldingDoesNot() {
        assertThat(Tolerances.SWEETEN.holds(Aspect.RATIO, 0.5)).isTrue();
        assertThat(Tolerances.HOLD.holds(Aspect.RATIO, 0.5)).isFalse();
        assertThat(Tolerances.HOLD.with(Map.of(Aspect.RATIO, 0.5)).holds(Aspect.RATIO, -0.5))
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(Aspect.class)
    void aDifferenceTurnsItsSignWhenTheShotsChangePlaces(Aspect aspect) {
        assertThat(aspect.difference(3, 5)).isCloseTo(-aspect.difference(5, 3), within(1e-9));
        assertThat(aspect.difference(4, 4)).isZero();
    }

    @Test
    void theShortWayRoundIsTakenBetweenTwoBearings() {
        assertThat(Aspect.KEY_SIDE.difference(350, 20)).isEqualTo(30);
        assertThat(Aspect.KEY_SIDE.difference(20, 350)).isEqualTo(-30);
    }

    /** Story 10: 54 and 12 are 2.2 stops when divided, 3.4 through BT.709. */
    @ParameterizedTest
    @CsvSource({"NONE,2.17", "BT709,3.43"})
    void theMonitorsRatioGoesThroughTheCurveOfTheScene(ShippedCurve curve, double stops) {
        Figures read = metered(
                curve,
                RatioConvention.LIT_TO_SHADOW,
                new Reading("mark", null, null, null, null, null, null, new Signals(54.0, 12.0, null, null, null)));
        assertThat(read.of().get(Aspect.RATIO).value()).isCloseTo(stops, within(0.01));
        assertThat(read.of().get(Aspect.RATIO).metered()).isTrue();
        assertThat(read.of().get(Aspect.EXPOSURE).metered()).isFalse();
    }

    @Test
    void theNewestReadingHoldsAndOneAtAnotherMarkDoesNotCount() {
        Figures read = metered(
                ShippedCurve.NONE,
                RatioConvention.LIT_TO_SHADOW,
                reading("mark", 100, 50),
                reading("mark", 100, 25),
                reading("elsewhere", 100, 10));
        assertThat(read.of().get(Aspect.RATIO).value()).isCloseTo(2, within(1e-9));
    }

    @Test
    void keyToFillIsMeteredFromEachAlone() {
        Figures read = metered(
                ShippedCurve.NONE,
                RatioConvention.KEY_TO_FILL,
                alone("key", 800),
                alone("fill", 100),
                reading("mark", 900, 300));
        assertThat(read.of().get(Aspect.RATIO).value()).isCloseTo(3, within(1e-9));
    }

    private static Reading reading(String mark, double lit, double shadow) {
        return new Reading(mark, null, lit, shadow, null, null, null, Signals.NONE);
    }

    private static Reading alone(String light, double lux) {
        return new Reading("mark", light, lux, null, null, null, null, Signals.NONE);
    }

    private static Figures metered(SignalCurve curve, RatioConvention school, Reading... readings) {
        Stage stage = shot();
        return figures(stage)
                .metered(List.of(readings), stage.light(), stage.placements(), stage.state(), "mark", school, curve);
    }

    private static Stage shot() {
        Stage stage = Stage.blackRoom();
        SetPlan set = stage.set();
        return stage.with(new SetPlan(
                        null, 0, set.walls(), List.of(), List.of(), List.of(), null, Surface.grey(0), null, null, null))
                .camera(0, 4)
                .head("key", Role.KEY, 2, 2, 1.5)
                .tie("key", new Level(50))
                .head("fill", Role.FILL, -2, 2, 1.5)
                .tie("fill", new Level(20))
                .head("back", Role.BACKGROUND, 1, -3, 1.5);
    }

    private static Figures figures(Stage stage) {
        return Figures.predicted(
                stage.light(), stage.placements(), stage.state(), "mark", RatioConvention.LIT_TO_SHADOW);
    }

    private static Match match(Stage stage) {
        return Match.of(figures(shot()), figures(stage), Tolerances.HOLD, Map.of());
    }

    private static String remedy(Match.Line line, Stage stage) {
        return Remedy.of(line, stage.light(), stage.state(), "mark", RatioConvention.LIT_TO_SHADOW, RemedyTest.ANY)
                .orElseThrow()
                .metric();
    }
}
