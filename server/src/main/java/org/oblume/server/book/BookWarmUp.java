package org.oblume.server.book;

import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.StoredScenes;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Reads what the book says of each scene as soon as the server is ready: of 150 scenes that takes some seconds, which nobody has to wait for. */
@Component
@ConditionalOnProperty("oblume.read-ahead")
class BookWarmUp {

    private static final Logger LOG = LoggerFactory.getLogger(BookWarmUp.class);

    private final ProductionService productions;
    private final SceneService scenes;
    private final StoredScenes records;

    BookWarmUp(ProductionService productions, SceneService scenes, StoredScenes records) {
        this.productions = productions;
        this.scenes = scenes;
        this.records = records;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        Thread reading = new Thread(this::read, "book");
        reading.setDaemon(true);
        reading.start();
    }

    private void read() {
        try {
            productions.all().forEach(p -> scenes.ofProduction(p.id()).forEach(s -> records.lines(s.id())));
        } catch (RuntimeException stopped) {
            LOG.debug("The book is read when somebody asks for it.", stopped);
        }
    }
}
