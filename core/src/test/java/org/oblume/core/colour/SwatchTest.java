package org.oblume.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.Cases;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

class SwatchTest {

    @Test
    void aGreyCardAtTheCamerasStopIsShownAtEighteenPercent() {
        Swatch white = new Swatch(255, 255, 255);
        assertThat(white.onGreyCard(0)).isEqualTo(new Swatch(118, 118, 118));
        assertThat(white.onGreyCard(5)).isEqualTo(white);
        assertThat(white.onGreyCard(-3).red()).isLessThan(60);
    }

    static Stream<Cases> singleLights() {
        return Cases.of("mix")
                .filter(c ->
                        c.problemField() == null && c.request().get("lights").size() == 1);
    }

    @ParameterizedTest
    @MethodSource("singleLights")
    void aLightLooksAsTheCameraSeesIt(Cases c) {
        JsonNode light = c.request().get("lights").get(0);
        CameraWhite camera = CameraWhite.of(
                Kelvin.of(c.request().get("whiteBalanceKelvin").asDouble()),
                Duv.of(c.request().path("whiteBalanceDuv").asDouble(0)));
        Swatch seen = camera.swatch(LightColour.of(
                Kelvin.of(light.get("kelvin").asDouble()),
                Duv.of(light.path("duv").asDouble(0))));
        assertLooksLike(seen, c);
    }

    static void assertLooksLike(Swatch seen, Cases c) {
        int expected = Integer.parseInt(c.answer().get("swatch").asText().substring(1), 16);
        int allowed = c.tolerance().get("swatch").asInt();
        assertThat(seen.red()).isCloseTo(expected >> 16, within(allowed));
        assertThat(seen.green()).isCloseTo(expected >> 8 & 255, within(allowed));
        assertThat(seen.blue()).isCloseTo(expected & 255, within(allowed));
    }

    @Test
    void aLightAtTheCamerasWhiteIsWhite() {
        for (double kelvin : new double[] {2000, 3200, 4300, 5600, 10000}) {
            CameraWhite camera = CameraWhite.of(Kelvin.of(kelvin), Duv.of(0.003));
            assertThat(camera.swatch(LightColour.of(Kelvin.of(kelvin), Duv.of(0.003)))
                            .hex())
                    .isEqualTo("#ffffff");
        }
    }

    @Test
    void aGelThatLetsOnlyGreenThroughLooksGreen() {
        GelColour kelp = new GelColour(0, 0.8, 0.3);
        Swatch seen = CameraWhite.of(Kelvin.of(4300), Duv.NEUTRAL)
                .swatch(new LightColour(WhitePoint.of(Kelvin.of(5600), Duv.NEUTRAL), List.of(kelp)));
        assertThat(seen.green()).isEqualTo(255);
        assertThat(seen.red()).isLessThan(60);
    }

    @Test
    void aGelCostsTheLightItKeepsBack() {
        WhitePoint d65 = WhitePoint.of(Kelvin.of(6500), Duv.of(0.003));
        LightColour half = new LightColour(d65, List.of(new GelColour(0.5, 0.5, 0.5)));
        assertThat(half.gelLoss().value()).isCloseTo(1, within(1e-9));
        assertThat(new LightColour(d65, List.of(new GelColour(0.1, 0.1, 1)))
                        .gelLoss()
                        .value())
                .isGreaterThan(2);
        assertThat(LightColour.of(d65).gelLoss().value()).isCloseTo(0, within(1e-9));
    }

    @Test
    void aClearGelChangesNothing() {
        LightColour bare = LightColour.of(Kelvin.of(3200), Duv.of(0.002));
        LightColour clear = new LightColour(bare.white(), List.of(new GelColour(1, 1, 1)));
        CameraWhite camera = CameraWhite.of(Kelvin.of(4300), Duv.NEUTRAL);
        assertThat(camera.swatch(clear)).isEqualTo(camera.swatch(bare));
    }

    @Test
    void aCameraWhiteThatIsNoRealColourIsRefused() {
        assertThatThrownBy(() -> CameraWhite.of(Kelvin.of(1000), Duv.of(0.05)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("not a real colour");
    }
}
