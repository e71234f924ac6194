package org.oblume.server.still;

import java.io.IOException;
import java.util.List;
import org.oblume.core.still.StillMatch;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.still.StillViews.MarkedPoint;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * Stand-in pictures of the demo, once its scenes are in: photographs of one shot, drawn from its own plan, and of two shots of another a frame of the
 * camera, made from what is predicted, and its dressing, drawn.
 */
@Component
@Profile("demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoPictures implements ApplicationRunner {

    private static final String PHOTOGRAPHED = "17A";

    private record Framed(String slate, String text, List<MarkedPoint> points) {}

    private static final List<Framed> FRAMES = List.of(
            new Framed(
                    "4A",
                    "take 3",
                    List.of(
                            new MarkedPoint(StillMatch.LIT, 0.5281, 0.5407),
                            new MarkedPoint(StillMatch.SHADOW, 0.501, 0.5185),
                            new MarkedPoint("wall", 0.36, 0.3))),
            new Framed(
                    "4C",
                    "line-up",
                    List.of(
                            new MarkedPoint(StillMatch.LIT, 0.6312, 0.6667),
                            new MarkedPoint(StillMatch.SHADOW, 0.4969, 0.7019),
                            new MarkedPoint("wall", 0.1, 0.3))));
    private final ProductionService productions;
    private final SceneService scenes;
    private final ShotService shots;
    private final NoteService notes;
    private final StillService stills;
    private final ResourcePatternResolver files;

    DemoPictures(
            ProductionService productions,
            SceneService scenes,
            ShotService shots,
            NoteService notes,
            StillService stills,
            ResourcePatternResolver files) {
        this.productions = productions;
        this.scenes = scenes;
        this.shots = shots;
        this.notes = notes;
        this.stills = stills;
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
            String slate = shot.card().slate().toString();
            if (!notes.photosOf(shot.id()).isEmpty()) {
                continue;
            }
            if (slate.equals(PHOTOGRAPHED)) {
                for (Resource file : files.getResources("classpath:demo/photographs/%s-*.jpg".formatted(slate))) {
                    notes.addPhotograph(shot.id(), "stand-in, drawn", file.getContentAsByteArray(), "key grip");
                }
            }
            for (Framed framed : FRAMES) {
                if (framed.slate.equals(slate)) {
                    stills.add(
                            shot.id(),
                            null,
                            StillKind.DRESSING,
                            "the counter, a stand-in",
                            file("dressing-" + slate),
                            "script supervisor");
                    keep(shot.id(), framed);
                }
            }
        }
    }

    private byte[] file(String name) throws IOException {
        return files.getResource("classpath:demo/stills/%s.jpg".formatted(name)).getContentAsByteArray();
    }

    private void keep(long shotId, Framed framed) throws IOException {
        StillViews.StillHead still =
                stills.add(shotId, null, StillKind.FRAME, framed.text + ", a stand-in", file(framed.slate), "gaffer");
        stills.say(still.id(), StillKind.FRAME, false, framed.points, still.version());
        if (framed.equals(FRAMES.get(0))) {
            stills.hold(still.id());
        }
    }
}
