package org.oblume.server.book;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.server.production.Production;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.LastTouch;
import org.oblume.server.shot.RecordCount;

/** Productions with their scenes and shots. */
record BookView(List<ProductionPage> productions) {

    record ProductionPage(Production production, List<ScenePage> scenes) {}

    /** @param closedAt since when it takes no edits, or null */
    record ScenePage(long id, SceneHeading heading, @Nullable Instant closedAt, List<BookShot> shots) {}

    /**
     * @param basedOn slate of the shot it carries from
     * @param version of its card, for If-Match
     * @param recorded how much of it could be rebuilt
     */
    record BookShot(
            long id,
            Slate slate,
            String description,
            @Nullable Integer day,
            ShotStage stage,
            @Nullable Long basedOnId,
            @Nullable Slate basedOn,
            long version,
            @Nullable LastTouch lastTouch,
            RecordCount recorded) {}
}
