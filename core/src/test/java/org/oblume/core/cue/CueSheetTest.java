package org.oblume.core.cue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.network.UniverseFrame.Timing;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

/** The cabin light is on when the hatch opens, and goes out four seconds after it shuts. */
class CueSheetTest {

    private static final Slate SHOT = new Slate("22A");
    private final List<Knot> knots = new ArrayList<>();
    private final List<Placement> placements = new ArrayList<>();

    @BeforeEach
    void cabinLightAndTwoCuesToldInTheOtherOrder() {
        light("dome", new Level(40));
        light("moon", new Level(70));
        cue("shuts", new Cue(2, "the hatch shuts", 4, List.of(level("dome", 1, 0), level("moon", 3, 50))));
        cue("opens", new Cue(1, "the hatch opens", 0, List.of(level("dome", 0, 90))));
    }

    private static Cue.CueStep level(String key, double fadeS, double percent) {
        return new Cue.CueStep(key, fadeS, null, new Level(percent), null, null, null, null);
    }

    private void light(String key, AttributeValue... values) {
        place(key, PlacementKind.HEAD, Role.PRACTICAL, values);
    }

    private void cue(String key, Cue cue) {
        place(key, PlacementKind.CUE, Role.CUE, cue);
    }

    private void place(String key, PlacementKind kind, Role role, AttributeValue... values) {
        placements.add(
                new Placement(key, key, kind, role, null, new Piece(key, null, 0, null, null, 0, Mount.IN_PLACE)));
        Attribution tie = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
        knots.add(new Knot(SHOT, key, SetStatus.ON, tie));
        for (AttributeValue value : values) {
            knots.add(new Knot(SHOT, key, value, tie));
        }
    }

    private CueSheet sheet() {
        return CueSheet.of(placements, ShotState.of(SHOT, knots));
    }

    private double level(int done, String key) {
        return sheet().after(done).level(key);
    }

    @Test
    void cuesComeInTheirOrderAndALightStaysAsTheLastOneLeftIt() {
        assertThat(sheet().cues()).extracting(c -> c.placement().key()).containsExactly("opens", "shuts");
        assertThat(level(0, "dome")).isEqualTo(0.4);
        assertThat(level(1, "dome")).isEqualTo(0.9);
        assertThat(level(1, "moon")).as("not changed by it").isEqualTo(0.7);
        assertThat(level(2, "dome")).isZero();
        assertThat(level(2, "moon")).isEqualTo(0.5);
    }

    @Test
    void whatTheShotBeginsWithIsLeftAsItIs() {
        ShotState state = ShotState.of(SHOT, knots);
        CueSheet.of(placements, state).after(2);
        assertThat(state.level("dome")).isEqualTo(0.4);
    }

    @Test
    void moreCuesThanThereAreCannotRun() {
        assertThatThrownBy(() -> sheet().after(3)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> sheet().after(-1)).isInstanceOf(Refusal.class);
    }

    @Test
    void aCueThatIsStruckDoesNotRun() {
        knots.removeIf(k -> k.placement().equals("opens") && k.value() instanceof SetStatus);
        assertThat(sheet().cues()).hasSize(1);
    }

    @Test
    void eachLightHasItsOwnFadeWithinTheWholeAfterTheWait() {
        CueSheet.Called shuts = sheet().cues().get(1);
        assertThat(shuts.lastsS()).isEqualTo(7);
        assertThat(shuts.timing("dome")).isEqualTo(new Timing(4 / 7.0, 1 / 7.0));
        assertThat(shuts.timing("moon")).isEqualTo(new Timing(4 / 7.0, 3 / 7.0));
        assertThat(sheet().cues().get(0).timing("dome")).isEqualTo(Timing.WHOLE);
    }

    @Test
    void aCueThatFlashesWarnsAsAnEffectDoes() {
        assertThat(sheet().cues().get(0).caution()).isEmpty();
        cue(
                "storm",
                new Cue(
                        3,
                        "lightning",
                        0,
                        List.of(new Cue.CueStep(
                                "moon", 0, null, null, null, null, null, new Effect(Effect.Kind.LIGHTNING, 5)))));
        assertThat(sheet().cues().get(2).caution())
                .hasValueSatisfying(c -> assertThat(c).contains("seizures"));
    }

    @Test
    void aCueSaysItsMomentAndWhatChanges() {
        assertThat(sheet().cues().get(1).cue().say())
                .isEqualTo("2. the hatch shuts, 4 s later: dome 0 % in 1 s; moon 50 % in 3 s");
        assertThatThrownBy(() -> new Cue(1, "it", 0, List.of(level("dome", 1, 0), level("dome", 2, 5))))
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> new Cue.CueStep("dome", 1, SetStatus.STRUCK, null, null, null, null, null))
                .hasMessageContaining("turn it off");
        assertThatThrownBy(() -> new Cue.CueStep("dome", 1, null, null, null, null, null, null))
                .isInstanceOf(Refusal.class);
    }
}
