package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Stop;

/** A window with daylight south of the face, in the picture of a camera that looks south. */
class DaylightHintsTest {

    private static final Instant NOON = Instant.parse("2026-03-20T12:07:00Z");

    /** What T2.8, 1/48 s and ISO 800 need: 120 lux; a grey card sends back 18 % of it. */
    private static final double CARD_LUX = 250 * 8 / (1.0 / 48 * 800) * 0.18;

    private static Stage window(double skyLux, double sunLux) {
        Stage stage = Stage.outdoors().camera(0, 4).window("window", Role.AMBIENCE, 0, -4, 1.5, 0);
        return stage.tie("window", new Daylight(skyLux, sunLux, NOON, null))
                .tie("window", new ColourTemperature(6500))
                .tie("camera", new Lens(35));
    }

    private static List<Hint> inFrame(Stage stage) {
        return Found.by(new WindowInFrame(), stage);
    }

    @Test
    void aWindowInFrameIsToldAgainstTheCamerasStopWithWhatHoldsIt() {
        Stage stage = window(CARD_LUX * 32, 0).head("key", Role.KEY, 1, 3, 2);
        assertThat(inFrame(stage)).singleElement().satisfies(h -> {
            assertThat(h.kind()).isEqualTo(HintKind.WINDOW_IN_FRAME);
            assertThat(h.title().metric()).isEqualTo("Window is 5.0 stops over in frame");
            // two stops too many: ND 0.6 is 1.99, so three sheets of 0.3 hold it; or T5.6 and four times the light
            assertThat(h.reason().metric())
                    .contains("ND 0.9 on the pane", "T5.6", "4 times the light", "about 400 W where it is 100 W");
        });
        assertThat(inFrame(stage.tie("camera", new Stop(Math.pow(2, 2.5)))))
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).contains("It holds up to 3 over"));
    }

    @Test
    void sheetsOnThePaneAreCounted() {
        Modifier nd = new Modifier("ND 0.9", 3, 0, 0, false, null, null, null);
        assertThat(inFrame(window(CARD_LUX * 32, 0).tie("window", new Modifiers(List.of(nd)))))
                .singleElement()
                .satisfies(h -> assertThat(h.title().metric()).isEqualTo("Window is 2.0 stops over in frame"));
    }

    @Test
    void aWindowOutOfThePictureOrSeenFromOutsideIsNoMatter() {
        assertThat(inFrame(window(CARD_LUX * 32, 0).tie("camera", AimSetting.along(0, 0))))
                .isEmpty();
        assertThat(inFrame(window(CARD_LUX * 32, 0).tie("window", AimSetting.along(180, 0))))
                .isEmpty();
    }

    @Test
    void sunOfWhichNobodyKnowsWhereItStandsIsSaid() {
        assertThat(Found.by(new SunUnknown(), window(1000, 50_000)))
                .singleElement()
                .satisfies(h -> {
                    assertThat(h.kind()).isEqualTo(HintKind.SUN_UNKNOWN);
                    assertThat(h.reason().metric()).contains("Give the set its place");
                });
        assertThat(Found.by(new SunUnknown(), window(1000, 0))).isEmpty();
    }
}
