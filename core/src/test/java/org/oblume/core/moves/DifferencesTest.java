package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;

class DifferencesTest {

    private final Shop shop = new Shop();

    @Test
    void aShotThatOnlyCarriesDiffersInNothing() {
        assertThat(Differences.between(shop.side("A"), shop.side("B"))).isEmpty();
    }

    @Test
    void levelAndColourSayBothFiguresAndTheirUnitOnce() {
        shop.put("B", "key", new Level(45), new ColourTemperature(5600));
        assertThat(said()).containsExactly("Key level 64 to 45 %", "Key CCT 5250 to 5600 K");
        assertThat(Differences.between(shop.side("B"), shop.side("A")))
                .extracting(d -> d.words().metric())
                .containsExactly("45 to 64 %", "5600 to 5250 K");
    }

    @Test
    void aMoveIsTowardsTheMarkOrAsTheCameraSeesIt() {
        shop.put("B", "key", Place.of(5.7, 3));
        assertThat(said()).containsExactly("Key place 0.80 m closer");
        shop.put("B", "key", Place.of(7, 3.1));
        assertThat(said()).containsExactly("Key place 0.51 m back");
        shop.put("B", "key", Place.of(6.5, 4));
        assertThat(said()).containsExactly("Key place 1.00 m upstage");
        shop.put("B", "key", Place.of(6.5, 3)).put("B", "mark", Place.of(3.5, 3));
        assertThat(said()).containsExactly("Repairer place 0.50 m camera left");
    }

    @Test
    void whatStandsOnOneSideOnlyIsOneDifference() {
        shop.put("B", "flag", SetStatus.STRUCK, new Height(2))
                .put("B", "net", SetStatus.ON, Place.of(5, 3), new Height(2), AimSetting.atMark("mark", 1.6));
        assertThat(said()).containsExactly("Flag on set goes out", "Net on set comes in");
    }

    @Test
    void aStackSaysWhatComesOffAndWhatGoesOn() {
        shop.put("B", "key", new Modifiers(List.of(Shop.MUSLIN, Shop.CTO)));
        assertThat(said())
                .containsExactly(
                        "Key modifiers Half grid off, Muslin on 1.2 m frame, 0.7 m before the lens on, Quarter CTO on");
        shop.put("A", "key", new Modifiers(List.of(Shop.CTO, Shop.MUSLIN)));
        assertThat(said().get(0)).startsWith("Key modifiers through Muslin on 1.2 m frame");
    }

    @Test
    void heightAimAndLensReadAsACrewSaysThem() {
        shop.put("B", "key", new Height(1.9))
                .put("B", "edge", AimSetting.along(160, -10))
                .put("B", "camera", new Lens(50));
        assertThat(said()).contains("Key height 0.30 m lower", "Camera lens 24 to 50 mm");
        assertThat(said()).anyMatch(s -> s.matches("Edge aim turned \\d+° right, to 160°, down 10°"));
    }

    @Test
    void anotherScenesUnitsAreFoundByTheirTagAndTheirAimsByTheMarksName() {
        Shop other = new Shop().put("A", "key", new Level(50));
        assertThat(Differences.between(shop.side("A"), other.side("A")))
                .singleElement()
                .satisfies(d -> assertThat(d.attribute()).isEqualTo(Attribute.LEVEL));
    }

    private List<String> said() {
        return Differences.between(shop.side("A"), shop.side("B")).stream()
                .map(d -> "%s %s %s"
                        .formatted(
                                d.placement().name(),
                                d.attribute().label(),
                                d.words().metric()))
                .toList();
    }
}
