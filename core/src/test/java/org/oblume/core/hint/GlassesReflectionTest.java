package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
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

    /** A lens is curved and turned outwards: its side sees what a flat glass before both eyes would not. */
    @ParameterizedTest
    @CsvSource({"26,true", "-26,true", "40,true", "60,false"})
    void aLightToTheSideOfTheCameraShowsInOneOfTwoLenses(double offDeg, boolean shows) {
        Stage stage = reader(true);
        double turn = Math.toRadians(offDeg);
        stage.tie("fill", new Place(0.5 + 4 * Math.sin(turn), 4 * Math.cos(turn), true));
        assertThat(kinds(stage).contains(HintKind.GLASSES)).isEqualTo(shows);
    }

    /** Glasses sit turned down 8°: what comes from above goes to the floor, whoever wears them sits or stands. */
    @ParameterizedTest
    @ValueSource(doubles = {0.9, 1.2, 1.75})
    void theHeightOfTheLightCountsFromThoseEyes(double eyesM) {
        Stage stage = reader(true).tie("reader", new Height(eyesM)).tie("camera", new Height(eyesM));
        assertThat(kinds(stage.tie("fill", new Height(eyesM)))).contains(HintKind.GLASSES);
        assertThat(kinds(stage.tie("fill", new Height(eyesM + 4 * Math.tan(Math.toRadians(26))))))
                .doesNotContain(HintKind.GLASSES);
    }

    /** Raised by what the hint says, it is gone. */
    @Test
    void itSaysHowFarToRaiseTheLight() {
        String said = hints(reader(true)).get(0).reason().metric();
        Matcher raise = Pattern.compile("Raise it about ([\\d.]+) (c?m)").matcher(said);
        assertThat(raise.find()).as(said).isTrue();
        double up = Double.parseDouble(raise.group(1)) * (raise.group(2).equals("cm") ? 0.01 : 1);
        assertThat(kinds(reader(true).tie("fill", new Height(1.5 + up * 0.8)))).contains(HintKind.GLASSES);
        assertThat(kinds(reader(true).tie("fill", new Height(1.5 + up * 1.2)))).doesNotContain(HintKind.GLASSES);
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
