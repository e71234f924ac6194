package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Phrase;

/** What the report says to do, done: the line that was off is back, or nearly. */
class RemedyTest {

    /** Whatever it does to other lines. */
    static final Remedy.Worth ANY = new Remedy.Worth() {
        @Override
        public boolean dimmed(Placement source, double factor) {
            return true;
        }

        @Override
        public boolean set(Placement source, AttributeValue value) {
            return true;
        }
    };

    @ParameterizedTest
    @ValueSource(doubles = {20, 25, 80})
    void theBackgroundComesBackByTheLightThatIsOnIt(double wrong) {
        Stage off = shot().tie("back", new Level(wrong));
        String says = remedy(Aspect.BACKGROUND, off);
        assertThat(says).startsWith(wrong < 50 ? "Back up" : "Back down");
        Stage mended = off.tie("back", new Level(to(says)));
        assertThat(line(Aspect.BACKGROUND, mended).difference()).isCloseTo(0, within(0.08));
    }

    @ParameterizedTest
    @CsvSource({"71,single", "100,double"})
    void aNetIsOfferedWhereOneWouldTakeAsMuch(double wrong, String net) {
        assertThat(remedy(Aspect.BACKGROUND, shot().tie("back", new Level(wrong))))
                .endsWith("Or hang a %s net before it.".formatted(net));
    }

    @Test
    void noNetBringsLightBack() {
        assertThat(remedy(Aspect.BACKGROUND, shot().tie("back", new Level(25)))).doesNotContain("net");
    }

    @ParameterizedTest
    @CsvSource({"4700", "5000", "6300"})
    void aKeyOfAnotherWhiteIsDialledBack(double kelvin) {
        Stage off = shot().tie("key", new ColourTemperature(kelvin));
        String says = remedy(Aspect.WHITE, off);
        assertThat(says).startsWith("Dial Key to");
        Stage mended = off.tie("key", new ColourTemperature(Double.parseDouble(says.replaceAll("\\D", ""))));
        assertThat(line(Aspect.WHITE, mended).difference()).isCloseTo(0, within(1.5));
    }

    @Test
    void aWhiteOutOfReachIsForAGelOrTheCamera() {
        Stage off = shot().tie("key", new ColourTemperature(2700));
        Match.Line line = Match.of(
                        figures(shot().tie("key", new ColourTemperature(6500))
                                .head("blue", Role.AMBIENCE, 1, 3, 1.5)
                                .tie("blue", new ColourTemperature(25000))),
                        figures(off),
                        Tolerances.HOLD,
                        Map.of())
                .line(Aspect.WHITE);
        String says = Remedy.of(line, off.light(), off.state(), "mark", RatioConvention.LIT_TO_SHADOW, ANY)
                .map(Phrase::metric)
                .orElseThrow();
        assertThat(says)
                .contains("cannot be dialled that far")
                .contains("gel it by −")
                .contains("camera’s white");
    }

    @Test
    void aTintIsDialledBackWhileTheHeadCanDoIt() {
        Stage off = shot().tie("key", new Tint(0.008));
        String says = remedy(Aspect.TINT, off);
        assertThat(says).startsWith("Dial Key’s tint to");
        double tint =
                Double.parseDouble(says.replaceAll(".*to (−?[\\d.]+)\\.$", "$1").replace('−', '-'));
        assertThat(line(Aspect.TINT, off.tie("key", new Tint(tint))).difference())
                .isCloseTo(0, within(0.0006));
    }

    @Test
    void aTintBeyondTheHeadsReachIsForAGel() {
        Stage off = shot(new Modifier("Full plus green", 0.3, 0, 0.03, false, null, null, null))
                .tie("key", new Tint(0.02));
        assertThat(remedy(Aspect.TINT, off)).startsWith("Gel Key by Duv −").contains("camera’s tint");
    }

    @ParameterizedTest
    @CsvSource({"4,closer", "6,closer"})
    void aKeyThatIsSeenTooSmallComesCloser(double away, String way) {
        Stage off = shot().tie("key", new Place(away / Math.sqrt(2), away / Math.sqrt(2), false));
        Match.Line softness = line(Aspect.SOFTNESS, off);
        assertThat(softness.verdict())
                .as("%.0f m", away)
                .isEqualTo(away > 4.5 ? Match.Verdict.OUT : Match.Verdict.HOLDS);
        assertThat(Remedy.of(softness, off.light(), off.state(), "mark", RatioConvention.LIT_TO_SHADOW, ANY)
                        .map(Phrase::metric)
                        .orElseThrow())
                .startsWith("Key " + way)
                .contains("from %.2f m to 2.83 m".formatted(away));
    }

    @Test
    void aLightIsNotSentAcrossTheRoomForItsSoftnessAlone() {
        Stage off = shot().tie("key", new Place(9 / Math.sqrt(2), 9 / Math.sqrt(2), true));
        assertThat(remedy(Aspect.SOFTNESS, off))
                .isEqualTo("Key through a larger frame, or softer cloth on it; then its level.");
    }

    @Test
    void aKeyFromAnotherSideIsBroughtBackToItsBearing() {
        assertThat(remedy(Aspect.KEY_SIDE, shot().tie("key", new Place(-2, -2, false))))
                .isEqualTo("Bring Key back to bearing 045° from the mark, or call the move a cheat.");
    }

    @Test
    void nobodyIsSentToDimByMoreThanAStopAndAHalf() {
        assertThat(remedy(
                        Aspect.EXPOSURE,
                        shot().tie("key", new Place(5, 5, false)).tie("key", new Level(60))))
                .isEqualTo("Key alone cannot give what is missing: look for what is wrong first.");
        assertThat(remedy(Aspect.BACKGROUND, shot().tie("back", new Level(8))))
                .startsWith("No one light brings it back");
    }

    @Test
    void movingAsFarAsItSaysIsAsGoodAsTheLevel() {
        Stage off = shot().tie("key", new Level(25));
        double to = Double.parseDouble(remedy(Aspect.EXPOSURE, off).replaceAll(".* m to ([\\d.]+) m\\..*", "$1"));
        Stage moved = off.tie("key", new Place(to / Math.sqrt(2), to / Math.sqrt(2), false));
        assertThat(line(Aspect.EXPOSURE, moved).difference()).isCloseTo(0, within(0.05));
    }

    @Test
    void keyToFillIsPutRightAtTheFillAlone() {
        Stage off = shot().tie("fill", new Level(40));
        Figures recorded = Figures.predicted(
                shot().light(), shot().placements(), shot().state(), "mark", RatioConvention.KEY_TO_FILL);
        Figures now =
                Figures.predicted(off.light(), off.placements(), off.state(), "mark", RatioConvention.KEY_TO_FILL);
        Match.Line line = Match.of(recorded, now, Tolerances.HOLD, Map.of()).line(Aspect.RATIO);
        assertThat(line.difference()).isCloseTo(-1, within(0.01));
        assertThat(Remedy.of(line, off.light(), off.state(), "mark", RatioConvention.KEY_TO_FILL, ANY)
                        .map(Phrase::metric)
                        .orElseThrow())
                .startsWith("Fill down 1 stop: 40 to 20 %");
    }

    @Test
    void whereNoOneLightCanDoItTheWayRoundIsNamed() {
        Stage off = Stage.outdoors().camera(0, 4).head("key", Role.KEY, 0, 2, 1.5);
        Stage wanted = Stage.outdoors()
                .camera(0, 4)
                .head("key", Role.KEY, 2, 1, 1.5)
                .head("fill", Role.FILL, -2, 1, 1.5)
                .tie("fill", new Level(5));
        Match.Line line = Match.of(figures(wanted), figures(off), Tolerances.HOLD, Map.of())
                .line(Aspect.RATIO);
        assertThat(line.difference()).isNegative();
        assertThat(Remedy.of(line, off.light(), off.state(), "mark", RatioConvention.LIT_TO_SHADOW, ANY)
                        .map(Phrase::metric)
                        .orElseThrow())
                .contains("No one light brings it back")
                .contains("flag");
    }

    @Test
    void aLineThatIsNotKnownOrAMarkThatIsNotThereHasNoRemedy() {
        Match.Line unknown = Match.of(new Figures(Map.of()), figures(shot()), Tolerances.HOLD, Map.of())
                .line(Aspect.RATIO);
        assertThat(unknown.verdict()).isEqualTo(Match.Verdict.UNKNOWN);
        assertThat(Remedy.of(unknown, shot().light(), shot().state(), "mark", RatioConvention.LIT_TO_SHADOW, ANY))
                .isEmpty();
        assertThat(Remedy.of(
                        line(Aspect.RATIO, shot().tie("fill", new Level(40))),
                        shot().light(),
                        shot().state(),
                        "elsewhere",
                        RatioConvention.LIT_TO_SHADOW,
                        ANY))
                .isEmpty();
    }

    @Test
    void lengthsAreSaidInFeetToo() {
        Optional<Phrase> words = Remedy.of(
                line(Aspect.EXPOSURE, shot().tie("key", new Level(25))),
                shot().tie("key", new Level(25)).light(),
                shot().tie("key", new Level(25)).state(),
                "mark",
                RatioConvention.LIT_TO_SHADOW,
                ANY);
        assertThat(words.orElseThrow().imperial()).contains("9′ 3").doesNotContain(" m ");
    }

    private static double to(String says) {
        return Double.parseDouble(says.replaceAll(".*? to (\\d+) %.*", "$1"));
    }

    private static Stage shot(Modifier... onKey) {
        return Stage.blackRoom()
                .camera(0, 4)
                .head("key", Role.KEY, 2, 2, 1.5, onKey)
                .tie("key", new Place(2, 2, false))
                .tie("key", new Level(50))
                .head("fill", Role.FILL, -2, 2, 1.5)
                .tie("fill", new Level(20))
                .head("back", Role.BACKGROUND, 1.5, -2, 1.5)
                .tie("back", new Level(50))
                .tie("back", AimSetting.along(200, 0));
    }

    private static Figures figures(Stage stage) {
        return Figures.predicted(
                stage.light(), stage.placements(), stage.state(), "mark", RatioConvention.LIT_TO_SHADOW);
    }

    private static Match.Line line(Aspect aspect, Stage stage) {
        return Match.of(figures(shot()), figures(stage), Tolerances.HOLD, Map.of())
                .line(aspect);
    }

    private static String remedy(Aspect aspect, Stage stage) {
        return Remedy.of(line(aspect, stage), stage.light(), stage.state(), "mark", RatioConvention.LIT_TO_SHADOW, ANY)
                .map(Phrase::metric)
                .orElseThrow();
    }
}
