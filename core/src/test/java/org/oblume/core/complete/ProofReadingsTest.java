package org.oblume.core.complete;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.complete.ProofReadings.Wanted;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Role;

class ProofReadingsTest {

    private static Reading read(@Nullable String alone) {
        return new Reading("mark", alone, 100.0, null, null, null, null, Signals.NONE);
    }

    private static ShotLighting light() {
        return Stage.outdoors()
                .head("key", Role.KEY, 1, 2, 2)
                .head("glow", Role.EDGE, 3, 3, 2)
                .tie("glow", new Level(1))
                .camera(0, 5)
                .light();
    }

    @Test
    void allLightsAtEachMarkAndEachLightThatMattersAlone() {
        List<Wanted> missing = ProofReadings.missing(light(), List.of());
        assertThat(missing).contains(new Wanted("mark", null), new Wanted("mark", "key"));
    }

    @Test
    void whatWasReadIsNotAskedAgain() {
        assertThat(ProofReadings.missing(light(), List.of(read(null), read("key"), read("glow"))))
                .isEmpty();
        assertThat(ProofReadings.missing(light(), List.of(read(null), read("glow"))))
                .containsExactly(new Wanted("mark", "key"));
    }

    @Test
    void aLightThatBringsNothingNeedsNoReading() {
        ShotLighting out = Stage.outdoors()
                .head("key", Role.KEY, 1, 2, 2)
                .head("off", Role.EDGE, 3, 3, 2)
                .tie("off", new Level(0))
                .camera(0, 5)
                .light();
        assertThat(ProofReadings.missing(out, List.of())).noneMatch(w -> "off".equals(w.alone()));
    }
}
