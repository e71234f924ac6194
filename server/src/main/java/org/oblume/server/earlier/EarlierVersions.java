package org.oblume.server.earlier;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.oblume.server.support.RecordJson;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was said before, and gives it back. */
@Service
@Transactional
public class EarlierVersions {

    private static final Limit SHOWN = Limit.of(30);
    private final EarlierVersionRepository versions;
    private final RecordJson json;
    private final Clock clock;

    EarlierVersions(EarlierVersionRepository versions, RecordJson json, Clock clock) {
        this.versions = versions;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What was said until then.
     *
     * @param until when it was said anew
     * @param by whom
     */
    public record Earlier<T>(T was, Instant until, String by) {}

    /** Keeps what is said now of something that somebody says anew. */
    public void keep(Said of, long id, Object now, String author) {
        versions.save(new EarlierVersionEntity(of, id, json.write(now), clock.instant(), author));
    }

    /** The latest first. */
    @Transactional(readOnly = true)
    public <T> List<Earlier<T>> of(Said of, long id, Class<T> type) {
        List<EarlierVersionEntity> found =
                switch (of) {
                    case POWER_OF_SET -> versions.findBySetIdOrderByIdDesc(id, SHOWN);
                    case DAY -> versions.findByDayIdOrderByIdDesc(id, SHOWN);
                    case PLAN_OF_SHOT -> versions.findByShotIdOrderByIdDesc(id, SHOWN);
                    case UNIT -> versions.findByUnitIdOrderByIdDesc(id, SHOWN);
                    case COUNTED_STOCK -> versions.findByStockIdOrderByIdDesc(id, SHOWN);
                };
        return found.stream()
                .map(e -> new Earlier<>(json.read(e.was(), type), e.replacedAt(), e.replacedBy()))
                .toList();
    }
}
