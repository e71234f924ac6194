package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;

/** A remedy never makes a worse picture. */
class RemediesTest {

    private static Stage wide() {
        return Stage.outdoors()
                .camera(0, 4)
                .head("key", Role.KEY, 2, 2, 1.5)
                .tie("key", new Level(50))
                .head("fill", Role.FILL, -2, 2, 1.5)
                .tie("fill", new Level(20));
    }

    private static ShotAssessment judged(Stage stage) {
        return new ShotAssessment(
                stage.recording(),
                stage.state(),
                stage.light(),
                List.of(),
                RatioConvention.LIT_TO_SHADOW,
                ShippedCurve.NONE);
    }

    private static Match match(Stage stage) {
        return Match.of(judged(wide()).figures(), judged(stage).figures(), Tolerances.HOLD, Map.of());
    }

    private static Remedies remedies(Stage stage) {
        return new Remedies(judged(stage), match(stage), wide().state(), Map.of());
    }

    private static Stream<String> said(Stage stage) {
        return match(stage).lines().stream()
                .flatMap(line -> remedies(stage).of(line).stream())
                .map(Phrase::metric);
    }

    @Test
    void whatWasAddedIsTakenOutBeforeAnythingElseIsChanged() {
        Stage close = wide().head("eye-light", Role.FILL, -1, 2, 1.5).tie("eye-light", new Level(10));
        assertThat(remedies(close).added()).extracting(Placement::key).containsExactly("eye-light");
        assertThat(said(close)).isNotEmpty().allSatisfy(words -> assertThat(words)
                .contains("Take eye-light out"));
    }

    @Test
    void whatIsNotOffIsLeftAlone() {
        assertThat(said(wide())).isEmpty();
        assertThat(remedies(wide()).added()).isEmpty();
    }

    /** The fill stands 1 stop too high: the ratio comes back by it alone, and the lit cheek hardly moves. */
    @Test
    void theLightThatIsOffIsTheOneThatIsDimmed() {
        Stage off = wide().tie("fill", new Level(40));
        String words = remedies(off)
                .of(match(off).line(Aspect.RATIO))
                .map(Phrase::metric)
                .orElseThrow();
        assertThat(words).startsWith("Fill down 1 stop");
        assertThat(match(off.tie("fill", new Level(20))).line(Aspect.RATIO).difference())
                .isCloseTo(0, within(1e-9));
    }

    /** The key is a stop down and the fill with it: the ratio holds, and the key alone would break it. */
    @Test
    void aLineThatHeldIsNotBrokenToMendAnother() {
        Stage off = wide().tie("key", new Level(25)).tie("fill", new Level(10));
        Match match = match(off);
        assertThat(match.line(Aspect.RATIO).verdict()).isEqualTo(Match.Verdict.HOLDS);
        assertThat(match.line(Aspect.EXPOSURE).verdict()).isEqualTo(Match.Verdict.OUT);
        assertThat(remedies(off).of(match.line(Aspect.EXPOSURE)).map(Phrase::metric))
                .hasValueSatisfying(words -> assertThat(words).contains("put something else out"));
    }
}
