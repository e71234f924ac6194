package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;

class CameraMoveTest {

    private final Shop shop = new Shop();

    @Test
    void theLensIsAJobOfItsOwnBesideTheSettings() {
        shop.put("A", "camera", new Stop(2.8), new Speed(400));
        shop.put("B", "camera", new Lens(50), new Stop(4), new Speed(800));
        assertThat(shop.said(new CameraMove())).hasSize(2).satisfies(said -> {
            assertThat(said.get(0)).startsWith("LENS Lens 24 to 50 mm");
            assertThat(said.get(1)).startsWith("SETTINGS stop ").contains(", ISO ");
        });
    }

    @Test
    void aLightHasNoLens() {
        shop.put("B", "key", new Level(20));
        assertThat(shop.said(new CameraMove())).isEmpty();
    }
}
