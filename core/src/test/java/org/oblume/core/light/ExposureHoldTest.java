package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;

class ExposureHoldTest {

    private static Stage keyAt(double metres) {
        return Stage.outdoors()
                .camera(0, -4)
                .head("key", Role.KEY, 0, metres, Stage.FACE_M)
                .tie("key", new Level(70));
    }

    @Test
    void closerKeyIsDimmedToHoldExposure() {
        ExposureHold held = held(keyAt(2.9), keyAt(1.7));
        // a little less than the square of the distances: from near, the rim of the front shines past the face
        assertThat(held.move().change().value()).isCloseTo(1.515, within(0.005));
        assertThat(held.move().angularSizeFromDeg()).isCloseTo(5.9, within(0.05));
        assertThat(held.move().angularSizeToDeg()).isCloseTo(10.1, within(0.05));
        assertThat(held.move().level().value()).isCloseTo(24.5, within(0.1));
        assertThat(held.offers(keyAt(1.7).light(), List.of())).isEmpty();
        Stage dimmed = keyAt(1.7).tie("key", new Level(held.move().level().value()));
        assertThat(dimmed.light().facingLux("key", "mark"))
                .isCloseTo(keyAt(2.9).light().facingLux("key", "mark"), within(1e-6));
    }

    @Test
    void aFilterThatCostsTooMuchIsShortAndSaysWhatCouldHelp() {
        Modifiers cloth = new Modifiers(List.of(new Modifier("Dense", 8.0 / 3, 12, 0, false, null, null, null)));
        Stage before = keyAt(1.7).tie("key", new Level(24.18));
        Stage after = keyAt(1.7).tie("key", new Level(24.18)).tie("key", cloth);
        ExposureHold held = held(before, after);
        assertThat(held.move().reachable()).isFalse();
        assertThat(held.move().shortfall().value()).isCloseTo(0.62, within(0.005));
        Stage strong = Stage.outdoors().head("strong", Role.KEY, 0, 3, 1.5);
        assertThat(held.offers(after.light(), List.of(strong.placement("strong").piece())))
                .hasSize(4)
                .anyMatch(o -> o.metric().contains("T2"))
                .anyMatch(o -> o.metric().contains("ISO 1230"))
                .anyMatch(o -> o.metric().contains("1/31"))
                .anyMatch(o -> o.metric().contains("1.37 m"));
    }

    /** Eight stops cannot be had from a lens, a camera or a shutter; an offer that nobody can take is none. */
    @Test
    void nothingAbsurdIsOffered() {
        Modifiers wall = new Modifiers(List.of(new Modifier("Wall", 10, 0, 0, false, null, null, null)));
        Stage before = keyAt(1.7);
        Stage after = keyAt(1.7).tie("key", wall);
        ExposureHold held = held(before, after);
        assertThat(held.move().shortfall().value()).isCloseTo(9.5, within(0.1));
        assertThat(held.offers(after.light(), List.of())).singleElement().satisfies(o -> assertThat(o.metric())
                .contains("nothing alone makes up 9.5 stops"));
        Modifiers some = new Modifiers(List.of(new Modifier("Net", 2, 0, 0, false, null, null, null)));
        assertThat(held(before, keyAt(1.7).tie("key", some)).offers(keyAt(1.7).light(), List.of()))
                .as("at 24 frames a second a shutter has one stop from 1/48 s")
                .noneMatch(o -> o.metric().startsWith("shutter"))
                .anyMatch(o -> o.metric().equals("ISO 2240"));
        Stage filtered = keyAt(1.7).tie("camera", new LensNd(0.9)).tie("key", some);
        assertThat(held(keyAt(1.7), filtered).offers(filtered.light(), List.of()))
                .anyMatch(o -> o.metric().equals("1.5 stops less ND on the lens"));
    }

    @Test
    void theCurveOfTheHeadDecidesTheLevel() {
        Stage before = Stage.outdoors()
                .head("key", Role.KEY, LevelCurve.SQUARE, 0, 2.9, 1.5)
                .tie("key", new Level(70));
        Stage after = Stage.outdoors()
                .head("key", Role.KEY, LevelCurve.SQUARE, 0, 1.7, 1.5)
                .tie("key", new Level(70));
        assertThat(held(before, after).move().level().value())
                .isCloseTo(100 * Math.sqrt(0.49 * (1.7 * 1.7 + 0.0225) / (2.9 * 2.9 + 0.0225)), within(0.5));
    }

    @Test
    void whatGivesNoLightCannotBeHeld() {
        Stage away = keyAt(2.9).tie("key", AimSetting.along(0, 0)).tie("key", new Place(0, 30, true));
        assertThatThrownBy(() -> held(keyAt(2.9).tie("key", new Level(0)), keyAt(1.7)))
                .hasMessageContaining("nothing to hold");
        assertThatThrownBy(() -> held(keyAt(2.9), away)).hasMessageContaining("would not reach");
    }

    private static ExposureHold held(Stage before, Stage after) {
        return ExposureHold.of(before.light(), after.light(), before.placement("key"), "mark");
    }
}
