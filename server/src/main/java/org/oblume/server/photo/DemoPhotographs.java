package org.oblume.server.photo;

import java.io.IOException;
import java.util.List;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Stand-in photographs of one shot of the demo, drawn from its own plan, once its scenes are in. */
@Component
@Profile("demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoPhotographs implements ApplicationRunner {

    private static final String SLATE = "17A";
    private final ProductionService productions;
    private final SceneService scenes;
    private final ShotService shots;
    private final NoteService notes;
    private final ResourcePatternResolver files;

    DemoPhotographs(
            ProductionService productions,
            SceneService scenes,
            ShotService shots,
            NoteService notes,
            ResourcePatternResolver files) {
        this.productions = productions;
        this.scenes = scenes;
        this.shots = shots;
        this.notes = notes;
        this.files = files;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        List<Long> all = productions.all().stream()
                .filter(p -> p.name().equals("Saltmarsh Line"))
                .flatMap(p -> scenes.ofProduction(p.id()).stream())
                .map(Scene::id)
                .toList();
        for (Shot shot : shots.ofScenes(all)) {
            if (shot.card().slate().toString().equals(SLATE)
                    && notes.photosOf(shot.id()).isEmpty()) {
                for (Resource file : files.getResources("classpath:demo/photographs/%s-*.jpg".formatted(SLATE))) {
                    notes.addPhotograph(shot.id(), "stand-in, drawn", file.getContentAsByteArray(), "key grip");
                }
            }
        }
    }
}
