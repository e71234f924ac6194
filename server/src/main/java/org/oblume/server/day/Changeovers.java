package org.oblume.server.day;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.LookState;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Department;
import org.oblume.core.moves.JobTimes;
import org.oblume.core.moves.MoveList;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.springframework.stereotype.Component;

/** How long it takes from the light of one shot to that of another, by departments: worked out once, until a record changes. */
@Component
class Changeovers {

    private static final int MOST_KEPT = 20_000;
    static final Duration KEPT = Duration.ofMinutes(20);

    /**
     * @param minutes until all are done
     * @param byDepartment minutes until each is done
     */
    record Changeover(double minutes, Map<Department, Double> byDepartment) {}

    /** A scene that was read again is another one. */
    private record Key(@Nullable StoredScene from, long fromShot, StoredScene to, long toShot, JobTimes times) {}

    /** A scene that was changed is not held on to for long by what was worked out of it before. */
    private final Cache<Key, Changeover> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterAccess(KEPT).build();

    /** @param from the shot before, or null when nothing stands */
    Changeover between(@Nullable RecordedShot from, RecordedShot to, JobTimes times) {
        return kept.get(
                new Key(
                        from == null ? null : from.scene(),
                        from == null ? 0 : from.shot().id(),
                        to.scene(),
                        to.shot().id(),
                        times),
                key -> worked(from, to, times));
    }

    private static Changeover worked(@Nullable RecordedShot from, RecordedShot to, JobTimes times) {
        ComparedState before = from == null
                ? new ComparedState(to.record(), new LookState("nothing", List.of()))
                : new ComparedState(from.record(), from.state());
        MoveList list = MoveList.between(before, new ComparedState(to.record(), to.state()), times);
        return new Changeover(list.minutes(), list.minutesByDepartment());
    }
}
