package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.colour.LightColour;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

class RecordedValuesTest {

    private static final Placement KEY = new Placement(
            "key",
            "Key",
            PlacementKind.HEAD,
            Role.KEY,
            null,
            new Piece("Bicolour LED spot 300 W", "Heron 2", 0.15, 2700.0, 6500.0, 320, Mount.STAND));
    private static final Placement FLAG = new Placement(
            "negative-fill",
            "Negative fill",
            PlacementKind.FLAG,
            Role.NEGATIVE_FILL,
            null,
            new Piece("Flag", null, 1.2, null, null, 0, Mount.STAND));

    @Test
    void aUniverseWithoutAnAddressIsRefused() {
        assertThatThrownBy(() -> new Patch(1, null, 8, "16-bit white"))
                .isInstanceOf(Refusal.class)
                .hasMessage("Universe 1 needs an address: give 1 to 512, or clear the universe.");
        assertThatThrownBy(() -> new Patch(null, 101, 8, null)).isInstanceOf(Refusal.class);
        assertThat(Patch.BY_HAND.say()).isEqualTo("by hand");
    }

    @Test
    void aFootprintMayNotPass512() {
        assertThat(new Patch(1, 505, 8, null).say()).isEqualTo("1 / 505");
        assertThatThrownBy(() -> new Patch(1, 506, 8, null)).hasMessageContaining("start at 505 or lower");
    }

    @ParameterizedTest
    @CsvSource({"0, 1", "64000, 1", "1, 0", "1, 513"})
    void universesAndAddressesHaveTheirRange(int universe, int address) {
        assertThatThrownBy(() -> new Patch(universe, address, null, null)).hasMessageContaining("out of range");
    }

    @Test
    void anAimIsAMarkOrABearingButNotHalfOfEach() {
        assertThat(AimSetting.along(-140, -20).bearingDeg()).isEqualTo(220.0);
        assertThatThrownBy(() -> new AimSetting("mark-1", null, 10.0, null)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> AimSetting.along(10, -91)).isInstanceOf(Refusal.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"220 down 20; 220; -20", "220, -20; 220; -20", "45° up 5°; 45; 5", "90; 90; 0"})
    void anAimIsTypedAsBearingAndTilt(String typed, double bearing, double tilt) {
        AimSetting aim = AimSetting.parse(typed);
        assertThat(aim.bearingDeg()).isEqualTo(bearing);
        assertThat(aim.tiltDeg()).isEqualTo(tilt);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3.4, 2.1 | 3.4 | 2.1 | false",
                "-1.5; 2 | -1.5 | 2 | false",
                "3.40 2.10 | 3.4 | 2.1 | false",
                "11'2\", 6' | 3.4036 | 1.8288 | false",
                "1.2, 6.4 outside | 1.2 | 6.4 | true"
            })
    void aPlaceIsTypedAsRightAndUp(String typed, double right, double up, boolean outside) {
        Place place = Place.parse(typed);
        assertThat(place.xM()).isCloseTo(right, within(1e-9));
        assertThat(place.yM()).isCloseTo(up, within(1e-9));
        assertThat(place.outside()).isEqualTo(outside);
    }

    @ParameterizedTest
    @CsvSource({"1/48, 24, 180", "1/50 at 25, 25, 180", "180°, 24, 180", "172.8° at 24, 24, 172.8"})
    void aShutterIsTypedAsTimeOrAngle(String typed, double fps, double angle) {
        Shutter shutter = Shutter.parse(typed);
        assertThat(shutter.fps()).isEqualTo(fps);
        assertThat(shutter.angleDeg()).isCloseTo(angle, within(1e-9));
    }

    @Test
    void theStackAddsUpFromTheLensOut() {
        Modifiers stack = new Modifiers(List.of(
                new Modifier("Quarter CTO", 0.3, 42, 0, false, null, null, null),
                new Modifier("Muslin, bleached", 2.3, 12, 0.001, true, 1.2, 0.7, null)));
        LightColour out = stack.colour(Kelvin.of(5600), Duv.NEUTRAL);
        assertThat(stack.effect().stops().value()).isCloseTo(2.6, within(1e-12));
        assertThat(out.white().kelvin().value()).isCloseTo(1e6 / (1e6 / 5600 + 54), within(1e-9));
        assertThat(out.white().duv().value()).isEqualTo(0.001);
        assertThat(stack.soften()).isTrue();
        assertThat(stack.say()).isEqualTo("Quarter CTO; Muslin, bleached on 1.2 m frame, 0.7 m before the lens");
    }

    @Test
    void aFrameNeedsItsDistance() {
        assertThatThrownBy(() -> new Modifier("Muslin", 2, 0, 0, true, 1.2, null, null))
                .hasMessageContaining("distance");
    }

    @Test
    void aLampIsNotDialledOutsideItsOwnRange() {
        KEY.check(new ColourTemperature(6500));
        assertThatThrownBy(() -> KEY.check(new ColourTemperature(7000)))
                .hasMessage("Key: colour temperature 7000 K is out of range: give 2700 to 6500 K.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "fire; fire, 1 a second",
                "television 2; screen, 2 a second",
                "emergency 2 between hue 30 and hue 190, saturation 60; beacon, 2 a second between hue 30°, saturation 100 % and hue 190°, saturation 60 %",
                "beacon 2, hue 30 and white; beacon, 2 a second between hue 30°, saturation 100 % and white",
                "lightning 4 hz; lightning, 4 a second",
                "off; none"
            })
    void anEffectIsTypedByNameRateAndTwoColours(String typed, String said) {
        assertThat(Effect.parse(typed).say()).isEqualTo(said);
        assertThat(Effect.parse(Effect.parse(typed).say())).isEqualTo(Effect.parse(typed));
    }

    @Test
    void anEffectGoesBetweenTwoColoursOrNone() {
        assertThatThrownBy(() -> new Effect(Effect.Kind.FIRE, 1, Colour.WHITE, null))
                .hasMessageContaining("two colours");
        assertThat(new Effect(Effect.Kind.BEACON, 3).canTriggerSeizures()).isTrue();
        assertThat(new Effect(Effect.Kind.FIRE, 5).canTriggerSeizures()).isFalse();
    }

    @Test
    void aFlagHasNoLevelAndIsNeverJustOff() {
        assertThatThrownBy(() -> FLAG.check(new Level(20))).hasMessage("Negative fill has no level to record.");
        assertThatThrownBy(() -> FLAG.check(new SetStatus(SetStatus.State.OFF))).isInstanceOf(Refusal.class);
    }

    @Test
    void aHeadOutsideTheWallsHasToBeMarkedSo() {
        SetPlan shop = SetPlan.room(7.2, 5.4, 2.9);
        shop.check(KEY, Place.of(7.2, 5.4));
        shop.check(KEY, new Place(1.8, 6.1, true));
        assertThatThrownBy(() -> shop.check(KEY, Place.of(1.8, 6.1)))
                .hasMessageStartingWith("Key would stand 0.70 m outside the walls.");
    }

    @ParameterizedTest
    @EnumSource(Attribute.class)
    void everyAttributeKnowsItsOwnValues(Attribute attribute) {
        AttributeValue example =
                switch (attribute) {
                    case STANDING -> SetStatus.ON;
                    case UNIT -> new Exchanged(KEY.piece());
                    case PLACE -> Place.of(1, 2);
                    case HEIGHT -> new Height(1.95);
                    case AIM -> AimSetting.atMark("mark-1", 1.4);
                    case LEVEL -> new Level(45);
                    case CCT -> new ColourTemperature(5600);
                    case TINT -> new Tint(0);
                    case COLOUR -> new Colour(210, 80);
                    case BEAM -> new Beam(36);
                    case EFFECT -> new Effect(Effect.Kind.FLICKER, 3);
                    case MODIFIERS -> Modifiers.NONE;
                    case PATCH -> Patch.BY_HAND;
                    case MENU -> Menu.parse("hold");
                    case FEED -> Feed.circuit("B1");
                    case RIG -> Rig.parse("beam 2, 4 points, bond");
                    case LENS -> new Lens(50);
                    case STOP -> new Stop(2.8);
                    case SPEED -> new Speed(800);
                    case SHUTTER -> new Shutter(24, 180);
                    case WHITE -> new White(4300, 0);
                    case LENS_ND -> new LensNd(0.6);
                    case DAYLIGHT -> new Daylight(3000, 0, null, null);
                    case CONDITION -> new Condition(Condition.Sort.HAZE, "light haze", null);
                    case CUE ->
                        new Cue(
                                1,
                                "the hatch shuts",
                                4,
                                java.util.List.of(
                                        new Cue.CueStep("dome", 2, null, new Level(0), null, null, null, null)));
                    case STREAK -> new Streak(Instant.parse("2026-11-17T11:15:00Z"), 9000.0);
                    case ON_PURPOSE -> new OnPurpose(java.util.Set.of(HintKind.IN_FRAME));
                };
        assertThat(Attribute.of(example)).isEqualTo(attribute);
        assertThat(example.say()).isNotBlank();
    }
}
