package org.oblume.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.Cases;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

class MeteredColourTest {

    @TestFactory
    Stream<DynamicTest> severalLightsOnOnePlace() {
        return Cases.answered("mix", c -> {
            LightMix mix =
                    LightMix.of(StreamSupport.stream(c.request().get("lights").spliterator(), false)
                            .map(l -> part(
                                    l.get("lux").asDouble(),
                                    l.get("kelvin").asDouble(),
                                    l.path("duv").asDouble(0)))
                            .toList());
            c.assertAnswer("lux", mix.lux());
            c.assertAnswer("kelvin", mix.reading().kelvin());
            c.assertAnswer("duv", mix.reading().duv());
            Swatch seen = mix.seenBy(CameraWhite.of(c.white("whiteBalanceKelvin", "whiteBalanceDuv")));
            SwatchTest.assertLooksLike(seen, c);
        });
    }

    @TestFactory
    Stream<DynamicTest> whatToDialSoThatItMeasures() {
        return Cases.answered("dial", c -> {
            DialCorrection dial = DialCorrection.of(
                    c.white("dialledKelvin", "dialledDuv"),
                    c.white("measuredKelvin", "measuredDuv"),
                    c.white("targetKelvin", "targetDuv"),
                    c.kelvin("minKelvin"),
                    c.kelvin("maxKelvin"));
            c.assertAnswer("dialKelvin", dial.dialKelvin());
            c.assertAnswer("dialDuv", dial.dialDuv());
            c.assertAnswer("reachable", dial.reachable());
            c.assertAnswer("residualMired", dial.residual().value());
        });
    }

    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aLightReadsAsItWasMade(int seed) {
        Random random = new Random(seed);
        double kelvin = 1e6 / (40 + random.nextDouble() * 960);
        double duv = (random.nextDouble() - 0.5) * 0.04;
        ColourReading read = PlanckianLocus.reading(
                WhitePoint.of(Kelvin.of(kelvin), Duv.of(duv)).chromaticity());
        assertThat(1e6 / read.kelvin()).isCloseTo(1e6 / kelvin, within(2e-3));
        assertThat(read.duv()).isCloseTo(duv, within(1e-7));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theOrderOfTheLightsDoesNotMatter(int seed) {
        Random random = new Random(seed);
        List<LightMix.Part> parts = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            parts.add(part(random.nextDouble() * 900, 2000 + random.nextInt(8000), (random.nextDouble() - 0.5) / 50));
        }
        LightMix one = LightMix.of(parts);
        Collections.shuffle(parts, random);
        LightMix other = LightMix.of(parts);
        assertThat(other.lux()).isCloseTo(one.lux(), within(1e-9));
        assertThat(other.reading().kelvin()).isCloseTo(one.reading().kelvin(), within(1e-4));
        assertThat(other.reading().duv()).isCloseTo(one.reading().duv(), within(1e-10));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void moreLightNeverLowersTheReading(int seed) {
        Random random = new Random(seed);
        LightMix.Part some = part(random.nextDouble() * 100, 3200, 0);
        assertThat(LightMix.of(List.of(some, part(1, 2000 + random.nextInt(20000), 0.02)))
                        .lux())
                .isGreaterThan(some.lux());
    }

    @Test
    void aLightBeyondTheEndOfTheLocusReadsAsThatEnd() {
        ColourReading blue = PlanckianLocus.reading(new Chromaticity(0.17, 0.24));
        assertThat(blue.kelvin()).isCloseTo(25000, within(0.01));
        ColourReading red = PlanckianLocus.reading(new Chromaticity(0.5, 0.40));
        assertThat(red.kelvin()).isCloseTo(1000, within(0.01));
        assertThat(red.duv()).isPositive();
    }

    @Test
    void dialsThatAgreeNeedNoCorrection() {
        WhitePoint as = WhitePoint.of(Kelvin.of(4300), Duv.of(0.002));
        DialCorrection dial = DialCorrection.of(as, as, as, Kelvin.of(4300), Kelvin.of(4300));
        assertThat(dial.dialKelvin()).isCloseTo(4300, within(1e-9));
        assertThat(dial.reachable()).isTrue();
    }

    @Test
    void gelledLightCountsAsItIsMeteredBehindItsGel() {
        LightColour kelp =
                new LightColour(WhitePoint.of(Kelvin.of(5600), Duv.of(0)), List.of(new GelColour(0.2, 0.62, 0.3)));
        assertThat(LightMix.of(List.of(new LightMix.Part(30, kelp), part(70, 3200, 0)))
                        .lux())
                .isCloseTo(100, within(1e-9));
    }

    @Test
    void gelThatLetsNothingThroughLeavesNoColour() {
        LightColour black = new LightColour(WhitePoint.of(Kelvin.of(5600), Duv.of(0)), List.of(new GelColour(0, 0, 0)));
        assertThat(LightMix.of(List.of(new LightMix.Part(30, black), part(70, 3200, 0)))
                        .lux())
                .isCloseTo(70, within(1e-9));
    }

    @Test
    void darknessHasNoColour() {
        assertThatThrownBy(() -> LightMix.of(List.of(part(0, 5600, 0)))).hasMessageContaining("no light");
    }

    private static LightMix.Part part(double lux, double kelvin, double duv) {
        return new LightMix.Part(lux, LightColour.of(Kelvin.of(kelvin), Duv.of(duv)));
    }
}
