package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.light.Stage;
import org.oblume.core.metering.FaultHypothesis;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.White;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

class FiguresTest {

    private final Stage stage = Stage.blackRoom()
            .camera(0, 4)
            .head("key", Role.KEY, 2, 2, 1.5)
            .tie("key", new Place(2, 2, false))
            .head("edge", Role.EDGE, -2, -2, 2);

    @Test
    void theKeyIsTheStrongestOfThatRoleAndNotTheStrongestLight() {
        assertThat(value(predicted(stage.tie("key", new Level(5))), Aspect.KEY_SIDE))
                .isCloseTo(45, within(0.5));
    }

    @Test
    void withoutAKeyTheStrongestOnTheLitCheekStandsForIt() {
        Stage other = Stage.blackRoom()
                .camera(0, 4)
                .head("lamp", Role.PRACTICAL, -1, 2, 1.5)
                .head("weak", Role.AMBIENCE, 3, 3, 1.5);
        assertThat(value(predicted(other), Aspect.KEY_SIDE)).isCloseTo(333.4, within(0.5));
    }

    @Test
    void whiteAndTintAreFromTheCamerasWhite() {
        double against5600 = value(predicted(stage.tie("key", new ColourTemperature(4300))), Aspect.WHITE);
        double against4300 = value(predicted(stage.tie("camera", new White(4300, 0.004))), Aspect.WHITE);
        assertThat(against5600 - against4300)
                .isCloseTo(Kelvin.of(4300).mired() - Kelvin.of(5600).mired(), within(1e-6));
        assertThat(value(predicted(stage), Aspect.TINT)).isCloseTo(-0.004, within(0.0005));
    }

    @Test
    void exposureFollowsTheCamerasStopAndTheBackgroundTheFace() {
        Figures open = predicted(stage);
        Figures closed = predicted(stage.tie("camera", new Stop(4)));
        assertThat(value(open, Aspect.EXPOSURE) - value(closed, Aspect.EXPOSURE))
                .isCloseTo(1, within(1e-6));
        assertThat(value(open, Aspect.RATIO)).isCloseTo(value(closed, Aspect.RATIO), within(1e-9));
    }

    @Test
    void aMarkThatIsNotOnSetHasNoFigures() {
        assertThat(Figures.predicted(
                                stage.light(),
                                stage.placements(),
                                stage.state(),
                                "mark-9",
                                RatioConvention.LIT_TO_SHADOW)
                        .of())
                .isEmpty();
    }

    @Test
    void whatWasReadTakesThePlaceOfThePredictionAndTheRestStays() {
        Figures read = metered(new Reading("mark", null, 200.0, 50.0, 25.0, 4300.0, 0.003, Signals.NONE));
        assertThat(value(read, Aspect.RATIO)).isCloseTo(2, within(1e-9));
        assertThat(value(read, Aspect.BACKGROUND)).isCloseTo(-3, within(1e-9));
        assertThat(value(read, Aspect.WHITE))
                .isCloseTo(Kelvin.of(4300).mired() - Kelvin.of(5600).mired(), within(1e-9));
        assertThat(value(read, Aspect.TINT)).isCloseTo(0.003, within(1e-9));
        assertThat(read.of().get(Aspect.KEY_SIDE).metered()).isFalse();
        assertThat(read.anyMetered()).isTrue();
        assertThat(predicted(stage).anyMetered()).isFalse();
    }

    @Test
    void lightIsTrustedBeforeTheMonitor() {
        Figures read = metered(
                new Reading("mark", null, 200.0, 50.0, null, null, null, new Signals(54.0, 12.0, 20.0, null, null)));
        assertThat(value(read, Aspect.RATIO)).isCloseTo(2, within(1e-9));
        assertThat(read.of().get(Aspect.BACKGROUND).metered())
                .as("the background is read on the monitor")
                .isTrue();
    }

    @Test
    void aSignalThatTheCurveHasNoLightForIsLeftOut() {
        Figures read = metered(
                new Reading("mark", null, null, null, null, null, null, new Signals(54.0, 0.0, null, null, null)));
        assertThat(read.of().get(Aspect.RATIO).metered()).isFalse();
    }

    @Test
    void aTintThatWasNotReadStaysPredicted() {
        Figures read = metered(new Reading("mark", null, null, null, null, 4300.0, null, Signals.NONE));
        assertThat(read.of().get(Aspect.WHITE).metered()).isTrue();
        assertThat(read.of().get(Aspect.TINT).metered()).isFalse();
    }

    @Test
    void keyToFillNeedsBothAlone() {
        Reading key = new Reading("mark", "key", 400.0, null, null, null, null, Signals.NONE);
        Figures read = predicted(stage)
                .metered(
                        List.of(key),
                        stage.light(),
                        stage.placements(),
                        stage.state(),
                        "mark",
                        RatioConvention.KEY_TO_FILL,
                        ShippedCurve.NONE);
        assertThat(read.anyMetered()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"2.3,true", "2.5,false", "-0.59,true", "-0.61,false"})
    void aSofterKeyMayGoFourTimesAsFarAsAHarderOne(double doublings, boolean holds) {
        assertThat(Tolerances.HOLD.holds(Aspect.SOFTNESS, doublings)).isEqualTo(holds);
    }

    @ParameterizedTest
    @CsvSource({
        "RATIO,0.3333333333,true",
        "RATIO,-0.34,false",
        "WHITE,12,true",
        "WHITE,12.1,false",
        "KEY_SIDE,-45,true",
        "KEY_SIDE,46,false",
        "EXPOSURE,0.35,false",
        "TINT,-0.003,true"
    })
    void aDifferenceAtTheToleranceIsInside(Aspect aspect, double difference, boolean holds) {
        assertThat(Tolerances.HOLD.holds(aspect, difference)).isEqualTo(holds);
    }

    @Test
    void everyAspectHasAToleranceAboveNothing() {
        Map<Aspect, Double> some = new EnumMap<>(Tolerances.HOLD.of());
        some.remove(Aspect.TINT);
        assertThatThrownBy(() -> new Tolerances(some))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("tint seen");
        assertThatThrownBy(() -> Tolerances.HOLD.with(Map.of(Aspect.RATIO, -1.0)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("above 0");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "RATIO|0.66|Ratio is 0.7 over",
                "EXPOSURE|-1.2|Lit cheek is 1.2 under",
                "WHITE|18|White is 18 mired too warm",
                "WHITE|-18|White is 18 mired too cool",
                "TINT|-0.004|Tint is Duv 0.004 too magenta",
                "BACKGROUND|0.7|Background is 0.7 over",
                "SOFTNESS|-1|Key is seen 2.0 times as small: harder",
                "SOFTNESS|2|Key is seen 4.0 times as large: softer",
                "KEY_SIDE|50|Key has come 50° round to the right",
                "KEY_SIDE|-60|Key has come 60° round to the left",
                "KEY_SIDE|91|Key comes from the other side of the world"
            })
    void aDifferenceIsSaidInTheCrewsWords(Aspect aspect, double difference, String words) {
        assertThat(aspect.say(difference)).isEqualTo(words);
    }

    @Test
    void figuresAreSaidWithAPointWhateverTheMachinesLocale() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.GERMANY);
            assertThat(Aspect.SOFTNESS.say(1)).contains("2.0 times");
            Reading half = new Reading(
                    "mark", "key", stage.light().facingLux("key", "mark") / 2, null, null, null, null, Signals.NONE);
            assertThat(SoloCheck.of(
                                    half,
                                    stage.placement("key"),
                                    stage.state(),
                                    stage.light(),
                                    List.of(),
                                    FaultHypothesis.Uncertainty.USUAL)
                            .likely())
                    .first()
                    .satisfies(s -> assertThat(s.words()).contains("1.41"));
        } finally {
            Locale.setDefault(before);
        }
    }

    private Figures metered(Reading reading) {
        return predicted(stage)
                .metered(
                        List.of(reading),
                        stage.light(),
                        stage.placements(),
                        stage.state(),
                        "mark",
                        RatioConvention.LIT_TO_SHADOW,
                        ShippedCurve.NONE);
    }

    private static Figures predicted(Stage of) {
        return Figures.predicted(of.light(), of.placements(), of.state(), "mark", RatioConvention.LIT_TO_SHADOW);
    }

    private static double value(Figures figures, Aspect aspect) {
        return figures.of().get(aspect).value();
    }
}
