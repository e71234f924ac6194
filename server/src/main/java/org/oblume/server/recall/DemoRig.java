package org.oblume.server.recall;

import java.util.List;
import org.oblume.core.units.Refusal;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.ShotService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Hangs an empty simulated rig as the demo's first shot is recorded. */
@Component
@Profile("demo")
class DemoRig {

    private static final Logger LOG = LoggerFactory.getLogger(DemoRig.class);
    private final RecallService recall;
    private final RigClient rig;
    private final ProductionService productions;
    private final SceneService scenes;
    private final ShotService shots;

    DemoRig(
            RecallService recall,
            RigClient rig,
            ProductionService productions,
            SceneService scenes,
            ShotService shots) {
        this.recall = recall;
        this.rig = rig;
        this.productions = productions;
        this.scenes = scenes;
        this.shots = shots;
    }

    @EventListener(ApplicationReadyEvent.class)
    void hang() {
        if (rig.state().filter(s -> s.units().isEmpty()).isEmpty()) {
            return;
        }
        try {
            List<Long> all = productions.all().stream()
                    .flatMap(p -> scenes.ofProduction(p.id()).stream())
                    .map(Scene::id)
                    .toList();
            recall.patchFixtures(shots.ofScenes(all).get(0).id());
            LOG.info("The simulated rig hangs as the first shot is recorded.");
        } catch (Refusal | IndexOutOfBoundsException notHung) {
            LOG.warn("The simulated rig was not hung: {}", notHung.getMessage());
        }
    }
}
