package org.oblume.server.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.units.Stops;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.oblume.server.shot.StoredScenes;
import org.springframework.beans.factory.annotation.Autowired;

/** In every shot of the demo the bust and the ladder are of one light. */
@ServerTest
class BustOfTheDemoTest {

    private static final double AGREED_STOPS = 0.1;
    /** What its own shadow takes from the lit cheek. */
    private static final double OWN_SHADOW_STOPS = 0.3;

    @Autowired
    private Api api;

    @Autowired
    private StoredScenes scenes;

    @Test
    void eachCheeksReferenceFacetAgreesWithTheLadder() {
        int cheeks = 0;
        for (String slate : List.of("4A", "11A", "17A", "22A")) {
            SceneRecord scene = scenes.of(api.sceneOf(api.shot(slate))).record();
            for (Map.Entry<Slate, ShotState> shot : scene.book().resolveAll().entrySet()) {
                ShotLighting light =
                        ShotLighting.of(scene.set(), scene.placements(), shot.getValue(), Set.of(), Map.of());
                for (MarkLight mark : light.marks()) {
                    BustLight bust = light.bust(mark);
                    for (boolean left : new boolean[] {true, false}) {
                        SurfaceLight ladder = left ? mark.left() : mark.right();
                        String where = "%s, %s, %s".formatted(shot.getKey(), mark.key(), left ? "left" : "right");
                        assertThat(stops(bust.reference(left).lux(), ladder.lux()))
                                .as(where)
                                .isCloseTo(0, within(AGREED_STOPS));
                        if (left == mark.leftIsLit()) {
                            assertThat(stops(bust.cheekLux(left), ladder.lux()))
                                    .as(where + ", with its own shadow")
                                    .isBetween(-OWN_SHADOW_STOPS, AGREED_STOPS);
                        }
                        cheeks++;
                    }
                }
            }
        }
        assertThat(cheeks).isGreaterThanOrEqualTo(20);
    }

    private static double stops(double lux, double of) {
        return Stops.fromRatio(lux / of).value();
    }
}
