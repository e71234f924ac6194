package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Condition.Sort;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Mount;

class ConditionCautionsTest {

    private static String says(CautionRule rule, Sort sort, String who) {
        return Things.says(rule, Things.lamp(Mount.IN_PLACE, null, 0), new Condition(sort, "so", who))
                .map(Caution::sentence)
                .orElse("");
    }

    @ParameterizedTest
    @EnumSource(
            value = Sort.class,
            names = {"HAZE", "SMOKE"})
    void hazeAndSmokeMindAirAndAlarmsAndAskWhoWasTold(Sort sort) {
        assertThat(says(new InTheAir(), sort, null)).contains("air the set", "Nobody is recorded");
        assertThat(says(new InTheAir(), sort, "the harbour office")).contains("the harbour office knows");
    }

    @ParameterizedTest
    @EnumSource(
            value = Sort.class,
            names = {"VEHICLE", "ROAD", "AIRCRAFT"})
    void vehiclesRoadsAndAircraftAreTheirOwnSafetyOfficersToDecide(Sort sort) {
        assertThat(says(new OfThePlace(), sort, null)).contains("safety officer", "not recorded yet");
        assertThat(says(new OfThePlace(), sort, "the slip master")).contains("decides (the slip master)");
        assertThat(says(new InTheAir(), sort, null)).isEmpty();
    }

    @Test
    void aDoorBearsNoRisk() {
        assertThat(says(new InTheAir(), Sort.DOOR, null) + says(new OfThePlace(), Sort.DOOR, null))
                .isEmpty();
    }

    @Test
    void whatFlashesWarnsByItselfAndAtACue() {
        Effect fast = new Effect(Effect.Kind.FLASH, 4);
        Effect slow = new Effect(Effect.Kind.FLASH, 2);
        assertThat(Things.says(new Flashes(), Things.lamp(Mount.STAND, null, 0), fast))
                .hasValueSatisfying(c -> assertThat(c.sentence()).startsWith("4 flashes a second"));
        assertThat(Things.says(new Flashes(), Things.lamp(Mount.STAND, null, 0), slow))
                .isEmpty();
        assertThat(Things.says(
                        new Flashes(),
                        Things.lamp(Mount.IN_PLACE, null, 0),
                        new Cue(1, "now", 0, List.of(new Cue.CueStep("key", 0, null, null, null, null, null, fast)))))
                .isPresent();
    }
}
