package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Patch;

class UniverseFrameTest {

    private static UniverseFrame frame(PatchedUnit... units) {
        return UniverseFrame.of(List.of(units)).values().iterator().next();
    }

    private static int slot(UniverseFrame frame, int address) {
        return frame.slots()[address - 1] & 255;
    }

    @Test
    void sixteenBitsAreCoarseThenFineAndKelvinIsLinearOverTheFixturesRange() {
        UniverseFrame frame =
                frame(Truck.unit("Key", new Patch(1, 101, 8, "16-bit white"), Truck.SPOT_MODES, Truck.at(45, 4300)));
        assertThat(slot(frame, 101) * 256 + slot(frame, 102))
                .as("round(65535 · 0.45)")
                .isEqualTo(29491);
        assertThat(slot(frame, 103) * 256 + slot(frame, 104))
                .as("round(65535 · 1600/3800)")
                .isEqualTo(27594);
        assertThat(slot(frame, 105) * 256 + slot(frame, 106))
                .as("tint 0 is the middle of its reach")
                .isEqualTo(32768);
        assertThat(slot(frame, 109)).isZero();
    }

    @Test
    void eightBitsAreRounded() {
        UniverseFrame frame =
                frame(Truck.unit("Key", new Patch(1, 1, 3, "8-bit white"), Truck.SPOT_MODES, Truck.at(50, 6500)));
        assertThat(slot(frame, 1)).as("round(255 · 0.5)").isEqualTo(128);
        assertThat(slot(frame, 2)).isEqualTo(255);
    }

    @Test
    void inACueEachLightFadesInItsOwnTimeAfterTheWait() {
        PatchedUnit key = Truck.unit("Key", new Patch(1, 1, 3, "8-bit white"), Truck.SPOT_MODES, Truck.at(100, 2700));
        PatchedUnit dome =
                Truck.unit("Dome", new Patch(1, 11, 3, "8-bit white"), Truck.SPOT_MODES, Truck.at(100, 2700));
        UniverseFrame from = frame(
                Truck.unit("Key", new Patch(1, 1, 3, "8-bit white"), Truck.SPOT_MODES, Truck.at(0, 2700)),
                Truck.unit("Dome", new Patch(1, 11, 3, "8-bit white"), Truck.SPOT_MODES, Truck.at(0, 2700)));
        UniverseFrame to = UniverseFrame.of(
                        List.of(key, dome),
                        light -> light.equals(key.key())
                                ? new UniverseFrame.Timing(0.5, 0.5)
                                : new UniverseFrame.Timing(0.5, 0))
                .get(1);
        byte[] out = new byte[UniverseFrame.SLOTS];
        to.writeTo(from, 0.49, out, 0);
        assertThat(out[0] & 255).as("it waits").isZero();
        assertThat(out[10] & 255).isZero();
        to.writeTo(from, 0.75, out, 0);
        assertThat(out[0] & 255).as("half way").isEqualTo(128);
        assertThat(out[10] & 255).as("at once").isEqualTo(255);
        to.writeTo(from, 1, out, 0);
        assertThat(out[0] & 255).isEqualTo(255);
    }

    @Test
    void aFootprintThatRunsPast512IsCutThereAndTheRestIsNotTouched() {
        UniverseFrame frame = frame(
                Truck.unit("Key", new Patch(1, 511, null, "16-bit white"), Truck.SPOT_MODES, Truck.at(100, 4300)));
        assertThat(slot(frame, 511)).isEqualTo(255);
        assertThat(slot(frame, 1)).isZero();
    }

    @Test
    void aFadeGoesEvenlyThroughSixteenBitsAndDoesNotRunThroughOtherEffects() {
        Patch patch = new Patch(1, 1, null, "colour");
        UniverseFrame from = frame(Truck.unit("Tube", patch, Truck.TUBE_MODES, Truck.at(0, 2700)));
        UniverseFrame to = frame(Truck.unit(
                "Tube",
                patch,
                Truck.TUBE_MODES,
                new FixtureValues(100, 2700.0, 0, Colour.WHITE, null, new Effect(Effect.Kind.PULSE, 2))));
        byte[] half = new byte[512];
        to.writeTo(from, 0.5, half, 0);
        assertThat(((half[0] & 255) << 8) + (half[1] & 255)).isCloseTo(32768, within(1));
        assertThat(half[10] & 255).as("the effect is there at once").isEqualTo(Effect.Kind.PULSE.code() * 10);
    }

    @Test
    void aFadeThatIsCutShortGoesOnFromWhereItIs() {
        Patch patch = new Patch(1, 1, 8, "16-bit white");
        UniverseFrame dark = frame(Truck.unit("Key", patch, Truck.SPOT_MODES, Truck.at(0, 4300)));
        UniverseFrame full = frame(Truck.unit("Key", patch, Truck.SPOT_MODES, Truck.at(100, 4300)));
        UniverseFrame stopped = full.between(dark, 0.25);
        byte[] out = new byte[512];
        dark.writeTo(stopped, 0, out, 0);
        assertThat(((out[0] & 255) << 8) + (out[1] & 255)).isCloseTo(16384, within(1));
    }

    @Test
    void aLightThatComesFromNothingOrGoesFadesByItsLevelAndKeepsItsColour() {
        UniverseFrame key =
                frame(Truck.unit("Key", new Patch(1, 1, 8, "16-bit white"), Truck.SPOT_MODES, Truck.at(80, 5600)));
        UniverseFrame nothing = UniverseFrame.blackout(1);
        byte[] in = new byte[512];
        key.writeTo(nothing, 0.5, in, 0);
        assertThat(((in[0] & 255) << 8) + (in[1] & 255)).as("half way to 80 %").isCloseTo(26214, within(1));
        assertThat(in[2]).as("its colour is there at once").isEqualTo(key.slots()[2]);
        byte[] out = new byte[512];
        nothing.writeTo(key, 0.75, out, 0);
        assertThat(((out[0] & 255) << 8) + (out[1] & 255))
                .as("a quarter of 80 % is left")
                .isCloseTo(13107, within(1));
        assertThat(out[2]).isEqualTo(key.slots()[2]);
        nothing.writeTo(key, 1, out, 0);
        assertThat(out).containsOnly(0);
    }

    @ParameterizedTest
    @MethodSource("dialled")
    void whatIsSentIsHeardToAStepOfTheMode(FixtureValues sent) {
        Mode mode = Mode.parse(Truck.TUBE_MODES).get(1);
        PatchedUnit tube = Truck.unit("Tube", new Patch(3, 40, null, mode.name()), Truck.TUBE_MODES, sent);
        FixtureValues heard = FixtureValues.from(
                UniverseFrame.decode(frame(tube).slots(), 40, mode),
                Ranges.of(tube.placement().piece()));
        assertThat(heard.levelPercent()).isCloseTo(sent.levelPercent(), within(100.0 / 65535));
        assertThat(heard.kelvin()).isCloseTo(sent.kelvin(), within(3800.0 / 65535));
        assertThat(heard.duv()).isCloseTo(sent.duv(), within(0.04 / 65535));
        assertThat(heard.colour().hueDeg()).isCloseTo(sent.colour().hueDeg(), within(360.0 / 65535));
        assertThat(heard.effect().kind()).isEqualTo(sent.effect().kind());
        assertThat(heard.effect().rateHz()).isCloseTo(sent.effect().rateHz(), within(30.0 / 255));
    }

    static Stream<FixtureValues> dialled() {
        Random random = new Random(3);
        return Stream.generate(() -> new FixtureValues(
                        100 * random.nextDouble(),
                        2700 + 3800 * random.nextDouble(),
                        0.04 * random.nextDouble() - 0.02,
                        new Colour(360 * random.nextDouble(), 100 * random.nextDouble()),
                        null,
                        new Effect(
                                Effect.Kind.values()[1 + random.nextInt(Effect.Kind.values().length - 1)],
                                0.5 + 20 * random.nextDouble())))
                .limit(40);
    }

    @Test
    void aColourGoesThroughRedGreenAndBlueAndComesBack() {
        Mode mode = Mode.parse(Truck.TUBE_MODES).get(2);
        PatchedUnit tube = Truck.unit(
                "Tube",
                new Patch(1, 1, null, mode.name()),
                Truck.TUBE_MODES,
                new FixtureValues(100, null, 0, new Colour(210, 80), null, Effect.NONE));
        Map<Parameter, Double> heard = UniverseFrame.decode(frame(tube).slots(), 1, mode);
        assertThat(heard.get(Parameter.BLUE)).isEqualTo(1);
        Colour back =
                FixtureValues.from(heard, Ranges.of(tube.placement().piece())).colour();
        assertThat(back.hueDeg()).isCloseTo(210, within(0.5));
        assertThat(back.saturationPercent()).isCloseTo(80, within(0.5));
    }

    @Test
    void unitsWithoutAnAddressOrAKnownModeSendNothing() {
        assertThat(UniverseFrame.of(List.of(Truck.unit("Lamp", Patch.BY_HAND, "dimmer: level", Truck.at(100, 2700)))))
                .isEmpty();
        assertThat(frame(Truck.unit("Lamp", new Patch(1, 1, 4, "old"), "old: 4", Truck.at(100, 2700)))
                        .slots())
                .containsOnly(0);
    }
}
