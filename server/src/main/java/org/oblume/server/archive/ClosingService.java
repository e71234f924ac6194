package org.oblume.server.archive;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.archive.ClosingViews.Deleted;
import org.oblume.server.archive.ClosingViews.Standing;
import org.oblume.server.archive.ClosingViews.Whole;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.NotFoundException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Closes, deletes and brings back productions and scenes. What was deleted is gone for good after thirty days. */
@Service
@Transactional
class ClosingService {

    private static final Duration KEPT = Duration.ofDays(30);
    private static final int LONGEST_NUMBER = 12;
    private static final int LONGEST_NAME = 120;

    private final JdbcTemplate sql;
    private final ArchiveColumns columns;
    private final CommitCaches caches;
    private final Clock clock;

    ClosingService(JdbcTemplate sql, ArchiveColumns columns, CommitCaches caches, Clock clock) {
        this.sql = sql;
        this.columns = columns;
        this.caches = caches;
        this.clock = clock;
    }

    /**
     * Makes it so.
     *
     * @throws Refusal when it cannot be brought back under its name
     */
    void put(Whole what, long id, Standing standing, String by) {
        caches.anythingIsWritten();
        Row row = row(what, id);
        switch (standing) {
            case OPEN -> {
                if (row.deletedAt == null) {
                    set(what, id, "closed_at = null");
                } else {
                    bringBack(what, row);
                }
            }
            case CLOSED -> {
                refuseDeleted(row);
                set(what, id, "closed_at = coalesce(closed_at, ?)", now());
            }
            case DELETED -> {
                refuseDeleted(row);
                delete(what, row, by);
            }
        }
    }

    private static void refuseDeleted(Row row) {
        if (row.deletedAt != null) {
            throw new NotFoundException("%s was deleted: bring it back first.".formatted(row.name));
        }
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    /** Its name is free for another one from now on; with a production go its scenes. */
    private void delete(Whole what, Row row, String by) {
        set(
                what,
                row.id,
                "deleted_at = ?, deleted_by = ?, %s = ?, %s = ?".formatted(keptName(what), name(what)),
                now(),
                by,
                row.name,
                "#" + row.id);
    }

    private void bringBack(Whole what, Row row) {
        String wanted = Objects.requireNonNull(row.deletedName);
        String free = wanted;
        for (int next = 2; isTaken(what, row, free); next++) {
            String end = (what == Whole.SCENE ? "-" : " ") + next;
            int longest = (what == Whole.SCENE ? LONGEST_NUMBER : LONGEST_NAME) - end.length();
            free = (wanted.length() > longest ? wanted.substring(0, longest) : wanted) + end;
        }
        set(
                what,
                row.id,
                "deleted_at = null, deleted_by = null, %s = null, %s = ?".formatted(keptName(what), name(what)),
                free);
    }

    private boolean isTaken(Whole what, Row row, String name) {
        Long others = what == Whole.PRODUCTION
                ? sql.queryForObject("select count(*) from production where name = ?", Long.class, name)
                : sql.queryForObject(
                        "select count(*) from scene where production_id = (select production_id from scene where id = ?) and number = ?",
                        Long.class,
                        row.id,
                        name);
        return others != null && others > 0;
    }

    private void set(Whole what, long id, String assignments, @Nullable Object... values) {
        List<@Nullable Object> all = new ArrayList<>(List.of(values));
        all.add(id);
        sql.update(
                "update %s set %s, version = version + 1 where id = ?".formatted(table(what), assignments),
                all.toArray());
    }

    private static String table(Whole what) {
        return what == Whole.PRODUCTION ? "production" : "scene";
    }

    private static String name(Whole what) {
        return what == Whole.PRODUCTION ? "name" : "number";
    }

    private static String keptName(Whole what) {
        return "deleted_" + name(what);
    }

    private record Row(long id, String name, @Nullable Instant deletedAt, @Nullable String deletedName) {}

    private Row row(Whole what, long id) {
        return sql
                .query(
                        "select %s, deleted_at, %s from %s where id = ? for update"
                                .formatted(name(what), keptName(what), table(what)),
                        (row, i) -> {
                            OffsetDateTime deleted = row.getObject(2, OffsetDateTime.class);
                            return new Row(
                                    id,
                                    row.getString(1),
                                    deleted == null ? null : deleted.toInstant(),
                                    row.getString(3));
                        },
                        id)
                .stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such %s any more.".formatted(table(what))));
    }

    /** What can be brought back; scenes of a deleted production with it. */
    @Transactional(readOnly = true)
    List<Deleted> deleted() {
        List<Deleted> all = new ArrayList<>();
        for (Whole what : Whole.values()) {
            String more = what == Whole.SCENE
                    ? " and production_id in (select id from production where deleted_at is null)"
                    : "";
            all.addAll(sql.query(
                    "select id, %s, deleted_at, deleted_by from %s where deleted_at is not null%s order by deleted_at desc"
                            .formatted(keptName(what), table(what), more),
                    (row, i) -> {
                        Instant at = row.getObject(3, OffsetDateTime.class).toInstant();
                        return new Deleted(
                                what,
                                row.getLong(1),
                                (what == Whole.SCENE ? "Sc. " : "") + row.getString(2),
                                at,
                                row.getString(4),
                                at.plus(KEPT));
                    }));
        }
        return all;
    }

    /** Thirty days are over. */
    @Scheduled(initialDelayString = "PT5M", fixedDelayString = "P1D")
    void forgetOld() {
        OffsetDateTime end = clock.instant().minus(KEPT).atOffset(ZoneOffset.UTC);
        Map<Whole, String> tables = Map.of(Whole.SCENE, "scene", Whole.PRODUCTION, "production");
        tables.forEach((what, table) -> sql.queryForList(
                        "select id from %s where deleted_at < ?".formatted(table), Long.class, end)
                .forEach(id -> purge(table, id)));
    }

    private void purge(String root, long id) {
        caches.anythingIsWritten();
        RecordScope scope = new RecordScope(columns, root, id);
        sql.update("update shot set based_on_id = null where " + scope.condition(ArchiveTables.named("shot")));
        for (int i = ArchiveTables.ALL.size() - 1; i >= 0; i--) {
            ArchiveTable table = ArchiveTables.ALL.get(i);
            sql.update("delete from %s where %s".formatted(table.name(), scope.condition(table)));
        }
    }
}
