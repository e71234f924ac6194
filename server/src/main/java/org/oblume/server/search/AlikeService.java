package org.oblume.server.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.LitAs;
import org.oblume.server.continuity.MatchService;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.search.SearchViews.Alike;
import org.oblume.server.search.SearchViews.AlikeShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.RecordSource.Source;
import org.springframework.stereotype.Service;

/** Where else it was lit like this: scene by scene, and what is found of a scene is kept until something of it changes. */
@Service
class AlikeService {

    private static final int MOST_SCENES = 2000;
    private static final int MOST_SHOTS = 40;
    /** Scenes that are looked at between two answers. */
    private static final int A_STEP = 10;

    private final ProductionService productions;
    private final SceneService scenes;
    private final StoredScenes records;
    private final MatchService match;
    private final CommitCache<Long, LitScene> known;

    AlikeService(
            ProductionService productions,
            SceneService scenes,
            StoredScenes records,
            MatchService match,
            CommitCaches caches) {
        this.productions = productions;
        this.scenes = scenes;
        this.records = records;
        this.match = match;
        this.known = caches.cache(MOST_SCENES, LitScene::isReadFrom);
    }

    /** How the shots of a scene are lit, and what that was read from. */
    private record LitScene(long sceneId, long setId, List<Shot> shots, Map<Long, LitAs> lit) {

        boolean isReadFrom(Source source) {
            return switch (source.part()) {
                case SCENE -> source.id() == sceneId;
                case SET -> source.id() == setId;
                case SHOT, READINGS -> shots.stream().anyMatch(s -> s.id() == source.id());
                case KIT -> true;
                case TEAM -> false;
            };
        }
    }

    private record At(Production production, Scene scene) {}

    /** What is asked, and how far it is. */
    static final class Asked {

        private final long shotId;
        private final @Nullable LitAs lit;
        private final List<At> scenes;
        private final List<AlikeShot> found = new ArrayList<>();
        private int looked;

        private Asked(long shotId, @Nullable LitAs lit, List<At> scenes) {
            this.shotId = shotId;
            this.lit = lit;
            this.scenes = scenes;
        }
    }

    Asked asked(long shotId) {
        long sceneId = records.shot(shotId).scene().scene().id();
        List<At> all = new ArrayList<>();
        productions.all().forEach(p -> scenes.ofProduction(p.id()).forEach(s -> all.add(new At(p, s))));
        return new Asked(shotId, lit(sceneId).lit().get(shotId), all);
    }

    /** The next answer; null when all have been looked at. */
    @Nullable
    Alike step(Asked asked) {
        if (asked.looked == asked.scenes.size() || (asked.lit == null && asked.looked > 0)) {
            return null;
        }
        int end = Math.min(asked.scenes.size(), asked.looked + A_STEP);
        for (; asked.looked < end; asked.looked++) {
            if (asked.lit != null) {
                look(asked, asked.lit, asked.scenes.get(asked.looked));
            }
        }
        asked.found.sort(Comparator.comparingDouble(AlikeShot::off));
        return new Alike(
                asked.looked,
                asked.scenes.size(),
                Optional.ofNullable(asked.lit).map(LitAs::say).orElse(null),
                asked.found.stream().limit(MOST_SHOTS).toList());
    }

    private void look(Asked asked, LitAs lit, At at) {
        LitScene scene = lit(at.scene().id());
        for (Shot shot : scene.shots()) {
            LitAs as = scene.lit().get(shot.id());
            if (as != null && shot.id() != asked.shotId) {
                lit.off(as)
                        .ifPresent(off -> asked.found.add(new AlikeShot(
                                shot.id(),
                                at.production().name(),
                                at.scene().heading().number(),
                                at.scene().heading().heading(),
                                shot.card().slate(),
                                shot.card().description(),
                                as.say(),
                                off)));
            }
        }
    }

    private LitScene lit(long sceneId) {
        return known.get(
                sceneId,
                id -> new LitScene(
                        id,
                        records.of(id).scene().setId(),
                        records.of(id).shots(),
                        records.of(id).shots().isEmpty() ? Map.of() : match.litAs(id)));
    }
}
