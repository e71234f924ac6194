package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** A source that shows in glasses. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class GlassesReflectionTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new GlassesReflection(), stage);
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new GlassesReflection(), stage);
    }

    @Test
    void aLightBesideTheCameraShowsInGlasses() {
        Stage stage = reader(true);
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.GLASSES)
                .singleElement()
                .matches(h -> h.placement().equals("fill"));
        assertThat(kinds(stage.tie("fill", new Height(3.5)))).doesNotContain(HintKind.GLASSES);
    }

    @Test
    void whoeverWearsNoneShowsNoneWhateverTheKindIsCalled() {
        assertThat(kinds(reader(null))).doesNotContain(HintKind.GLASSES);
    }

    private static Stage reader(@Nullable Boolean glasses) {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "reader",
                        "Reader",
                        PlacementKind.MARK,
                        Role.SUBJECT,
                        null,
                        new Piece(
                                "Person with glasses",
                                null,
                                0.5,
                                null,
                                null,
                                0,
                                Mount.FLOOR,
                                null,
                                null,
                                null,
                                glasses)),
                0.5,
                0,
                1.5,
                AimSetting.along(0, 0));
        return stage.head("fill", Role.FILL, 1, 4, 1.5);
    }
}
