package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.OnPurpose;
import org.oblume.core.plot.Role;

/** All rules together: what is to be acted on comes first, and what is meant is marked so. */
class HintsTest {

    private static List<Hint> hints(Stage stage) {
        return Hints.of(stage.set(), stage.placements(), stage.light());
    }

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4).head("key", Role.KEY, 3, 2, 2).head("edge", Role.EDGE, 1, -1, 2.1);
    }

    @Test
    void whatIsMeantIsStillToldButMarkedSo() {
        assertThat(hints(stage().tie("edge", new OnPurpose(Set.of(HintKind.IN_FRAME)))))
                .filteredOn(h -> h.kind() == HintKind.IN_FRAME)
                .singleElement()
                .matches(Hint::onPurpose);
        assertThat(hints(stage()))
                .filteredOn(h -> h.kind() == HintKind.IN_FRAME)
                .singleElement()
                .matches(h -> !h.onPurpose());
    }

    @Test
    void whatIsToBeActedOnComesFirst() {
        List<Hint> hints = hints(stage());
        assertThat(hints).extracting(Hint::kind).contains(HintKind.IN_FRAME, HintKind.NO_HEADROOM);
        int firstToLookAt = (int) hints.stream().takeWhile(Hint::urgent).count();
        assertThat(hints.subList(firstToLookAt, hints.size())).noneMatch(Hint::urgent);
    }

    @Test
    void amongThoseItKeepsTheOrderOfTheScene() {
        Stage both = stage().tie("edge", new Level(100));
        assertThat(hints(both))
                .filteredOn(h -> h.kind() == HintKind.NO_HEADROOM)
                .extracting(Hint::placement)
                .containsExactly("key", "edge");
    }

    @Test
    void lengthsAreToldInFeetAndInchesToo() {
        Hint inFrame = hints(stage()).get(0);
        assertThat(inFrame.kind()).isEqualTo(HintKind.IN_FRAME);
        assertThat(inFrame.title().metric()).contains(" cm ");
        assertThat(inFrame.title().imperial()).contains("″").doesNotContain("cm");
    }

    @Test
    void everyKindHasALabel() {
        assertThat(Arrays.stream(HintKind.values()).map(HintKind::label))
                .doesNotHaveDuplicates()
                .noneMatch(String::isBlank);
    }
}
