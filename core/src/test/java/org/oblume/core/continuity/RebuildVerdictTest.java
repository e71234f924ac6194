package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.oblume.core.continuity.Figures.Figure;
import org.oblume.core.continuity.RebuildVerdict.Standing;
import org.oblume.core.units.Refusal;

class RebuildVerdictTest {

    private static final List<String> UNREAD = List.of("All lights at Repairer, lit cheek and shadow cheek");

    private static Match exposure(double now, boolean metered) {
        return Match.of(
                new Figures(Map.of(Aspect.EXPOSURE, new Figure(0, true))),
                new Figures(Map.of(Aspect.EXPOSURE, new Figure(now, metered))),
                Tolerances.HOLD,
                Map.of());
    }

    private static RebuildVerdict verdict(Match match, List<String> unread) {
        return RebuildVerdict.of(match, unread, "Holds.");
    }

    @Test
    void whatIsOnlyPredictedProvesNothing() {
        RebuildVerdict verdict = verdict(exposure(0, false), UNREAD);
        assertThat(verdict.standing()).isEqualTo(Standing.NOT_PROVED);
        assertThat(verdict.say())
                .isEqualTo(
                        "Not proved. Nobody read in this rebuild: all lights at Repairer, lit cheek and shadow cheek.");
        assertThat(verdict(exposure(2, false), UNREAD).standing())
                .as("a prediction that is off proves nothing either")
                .isEqualTo(Standing.NOT_PROVED);
    }

    @Test
    void itHoldsWhenEachMarkWasReadAndNothingIsOff() {
        assertThat(verdict(exposure(0, true), List.of())).isEqualTo(new RebuildVerdict(Standing.HOLDS, "Holds."));
    }

    @Test
    void whatReadsOffDoesNotHoldHoweverMuchIsStillToBeRead() {
        for (List<String> unread : List.of(UNREAD, List.<String>of())) {
            RebuildVerdict verdict = verdict(exposure(2, true), unread);
            assertThat(verdict.standing()).isEqualTo(Standing.DOES_NOT_HOLD);
            assertThat(verdict.say()).startsWith("Does not hold. ");
        }
    }

    @Test
    void itDoesNotHoldWhereAPredictionIsOffBesideReadingsThatHold() {
        assertThat(verdict(exposure(2, false), List.of()).standing()).isEqualTo(Standing.DOES_NOT_HOLD);
    }

    @Test
    void whatIsNotProvedIsSignedOnlyByEyeWithAReason() {
        RebuildVerdict verdict = verdict(exposure(0, false), UNREAD);
        for (String nothing : new String[] {null, "", "  ", "ok"}) {
            assertThatThrownBy(() -> verdict.signed(Standing.NOT_PROVED, nothing))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("Not proved. Nobody read")
                    .hasMessageContaining("say in a few words why it is signed by eye");
        }
        assertThat(verdict.signed(Standing.NOT_PROVED, " Sun is gone, looked at it together "))
                .isEqualTo("Not proved, by eye: Sun is gone, looked at it together");
    }

    @Test
    void whatWasReadIsSignedAsItWasRead() {
        RebuildVerdict holds = verdict(exposure(0, true), List.of());
        assertThat(holds.signed(null, null)).isEqualTo("Holds.");
        assertThatThrownBy(() -> holds.signed(null, "looks right")).hasMessageContaining("stands on readings");
    }

    @Test
    void nobodySignsOtherThanWhatTheySaw() {
        assertThatThrownBy(() -> verdict(exposure(2, true), List.of()).signed(Standing.HOLDS, null))
                .isInstanceOf(Refusal.class)
                .hasMessageStartingWith("It stands otherwise by now. Does not hold. ");
    }
}
