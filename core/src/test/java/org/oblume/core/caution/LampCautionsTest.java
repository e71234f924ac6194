package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;

class LampCautionsTest {

    private static Piece head(@Nullable Double warmUpS) {
        Lamp usual = Stage.lamp(LevelCurve.LINEAR);
        Lamp.Upkeep upkeep = new Lamp.Upkeep(0, null, 14, "ballast hum", Lamp.Burn.NEAR_LEVEL, 1.5, "", "", warmUpS);
        Lamp lamp = new Lamp(usual.optics(), true, 0.2, LevelCurve.LINEAR, 50, 0, upkeep);
        return new Piece("Head", null, 0.2, 5600.0, 5600.0, 1350, Mount.STAND, null, lamp, null, null);
    }

    @Test
    void aLampThatHasToWarmUpIsNeverWithoutItsLens() {
        assertThat(Things.says(new DischargeLamp(), head(45.0)))
                .hasValueSatisfying(c -> assertThat(c.sentence()).contains("ultraviolet", "lens"));
        assertThat(Things.says(new DischargeLamp(), head(null))).isEmpty();
    }

    @Test
    void aLampThatMayNotRunUpsideDownSaysHowFarItTilts() {
        assertThat(Things.says(new BurnLimits(), head(45.0)))
                .hasValueSatisfying(c -> assertThat(c.sentence()).isEqualTo("Burns only from down 30° to up 30°."));
        assertThat(Things.says(new BurnLimits(), Things.lamp(Mount.STAND, 3200.0, 650)))
                .isEmpty();
    }

    @Test
    void whatTakesMuchCurrentLeavesTheCircuitToTheElectrician() {
        assertThat(Things.says(new HighLoad(), Things.lamp(Mount.STAND, 3200.0, 1000)))
                .hasValueSatisfying(c -> assertThat(c.sentence())
                        .startsWith("1000 W, an estimate")
                        .contains("electrician"));
        assertThat(Things.says(new HighLoad(), Things.lamp(Mount.STAND, 3200.0, 999)))
                .isEmpty();
    }
}
