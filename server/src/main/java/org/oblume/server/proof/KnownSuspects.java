package org.oblume.server.proof;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.filter.StockItem;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.proof.Recorded;
import org.oblume.core.proof.Suspects;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** All that could be wrong with the light of a shot, worked out in the background and kept as long as that light is the same. */
@Component
class KnownSuspects implements DisposableBean {

    private static final int AT_ONCE = 6;

    private final ExecutorService working = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "suspects");
        thread.setDaemon(true);
        return thread;
    });
    private final AsyncCache<Light, Suspects> known =
            Caffeine.newBuilder().maximumSize(AT_ONCE).executor(working).buildAsync();

    /** All that the light of a rebuild rests on: as long as it is the same, so is all that could be wrong with it. */
    private record Light(
            SceneRecord scene,
            ShotState state,
            List<Change> values,
            Map<String, Calibration> calibrations,
            List<StockItem> stock) {

        Suspects suspects() {
            return Suspects.of(new Recorded(scene.set(), scene.placements(), state, calibrations, stock));
        }

        private List<Object> all() {
            return List.of(scene.set(), scene.placements(), values, calibrations, stock);
        }

        @Override
        public boolean equals(@Nullable Object other) {
            return other instanceof Light light && all().equals(light.all());
        }

        @Override
        public int hashCode() {
            return all().hashCode();
        }
    }

    /** @return not done while it is being worked out */
    CompletableFuture<Suspects> of(
            SceneRecord scene, ShotState state, Map<String, Calibration> calibrations, List<StockItem> stock) {
        return known.get(new Light(scene, state, Recorded.values(state), calibrations, stock), Light::suspects);
    }

    @Override
    public void destroy() {
        working.shutdownNow();
    }
}
