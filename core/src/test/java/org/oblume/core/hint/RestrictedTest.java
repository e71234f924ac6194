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
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;

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

    @Test
    void aStandWhereNoneMayStand() {
        Restriction taxiway = new Restriction(
                Restriction.Kind.NO_STANDS,
                "taxiway",
                List.of(PlanPoint.of(2, 2), PlanPoint.of(6, 2), PlanPoint.of(6, 6), PlanPoint.of(2, 6)));
        Stage stage = stage().head("key", Role.KEY, 3, 3, 2)
                .with(new SetPlan(
                        null,
                        0,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        null,
                        Surface.grey(0),
                        List.of(taxiway),
                        null,
                        null));
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.RESTRICTED)
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).contains("taxiway"));
        assertThat(kinds(stage.tie("key", new Place(1, 3, true)))).doesNotContain(HintKind.RESTRICTED);
    }
}
