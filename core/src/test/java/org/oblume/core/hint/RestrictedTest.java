package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Restriction;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;

/** What the place does not allow. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class RestrictedTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new Restricted(), stage);
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new Restricted(), stage);
    }

    private static Stage with(Restriction.Kind kind, String note, PlanPoint... outline) {
        return stage().head("key", Role.KEY, 3, 3, 2).at(null, new Restriction(kind, note, List.of(outline)));
    }

    private static final PlanPoint[] AROUND = {
        PlanPoint.of(2, 2), PlanPoint.of(6, 2), PlanPoint.of(6, 6), PlanPoint.of(2, 6)
    };

    @Test
    void weightOnAFloorWithALimitIsForALicensedPerson() {
        assertThat(hints(with(Restriction.Kind.LOAD_LIMIT, "250 kg per m²", AROUND)))
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric())
                        .contains("250 kg per m²", "5 kg without its stand (estimate)", "licensed person"));
    }

    @Test
    void aFanWhereItHasToBeQuietIsHeardWhileItIsOn() {
        Stage stage = with(Restriction.Kind.QUIET, "recording next door", AROUND);
        assertThat(hints(stage))
                .singleElement()
                .satisfies(h -> assertThat(h.title().metric()).isEqualTo("key is heard where it has to be quiet"));
        assertThat(hints(stage.tie("key", new SetStatus(SetStatus.State.OFF)))).isEmpty();
    }

    @Test
    void noHazeAndAnyOtherRuleAreSaidOnce() {
        assertThat(hints(with(Restriction.Kind.NO_HAZE, "smoke alarms")))
                .singleElement()
                .satisfies(h -> assertThat(h.title().metric()).isEqualTo("No haze or smoke here"));
        assertThat(hints(with(Restriction.Kind.OTHER, "shoes off").head("fill", Role.FILL, 1, 1, 1)))
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).isEqualTo("The place says: shoes off."));
    }

    @Test
    void aStandWhereNoneMayStand() {
        Stage stage = with(Restriction.Kind.NO_STANDS, "taxiway", AROUND);
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.RESTRICTED)
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).contains("taxiway"));
        assertThat(kinds(stage.tie("key", new Place(1, 3, true)))).doesNotContain(HintKind.RESTRICTED);
    }
}
