package org.oblume.server.archive;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.archive.ArchiveViews.ArchiveProgress;
import org.oblume.server.archive.ArchiveViews.ArchiveReport;
import org.oblume.server.archive.ArchiveViews.Brought;
import org.oblume.server.archive.MergePlan.Act;
import org.oblume.server.archive.MergePlan.MergeStep;
import org.oblume.server.archive.MergeQuestion.Side;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** A production out to an archive, and an archive into the record: first only looked at, then taken in whole or not at all. */
@Service
class ArchiveService {

    private static final String INCOMING = "incoming";
    private static final Duration KEPT = Duration.ofDays(1);
    /** What is left free on the disk while a file comes in. */
    private static final long LEAST_ROOM = 64L << 20;

    private static final int CHUNK = 1 << 16;
    private static final long NOT_HERE = -1;
    private static final String FOR_UPDATE = " for update";

    private final JdbcTemplate sql;
    private final ArchiveColumns columns;
    private final ArchivePoints points;
    private final ProductionService productions;
    private final SceneService scenes;
    private final StoredScenes records;
    private final CommitCaches caches;
    private final RecordJson values;
    private final ObjectMapper json;
    private final Clock clock;
    private final Path incoming;
    private final TransactionTemplate reading;
    private final TransactionTemplate writing;
    private final Map<String, Counted> underWay = new ConcurrentHashMap<>();

    private record Counted(AtomicLong done, long of) {}

    ArchiveService(
            JdbcTemplate sql,
            ArchiveColumns columns,
            ArchivePoints points,
            ProductionService productions,
            SceneService scenes,
            StoredScenes records,
            CommitCaches caches,
            RecordJson values,
            ObjectMapper json,
            Clock clock,
            PlatformTransactionManager transactions,
            @Value("${oblume.data}") Path data) {
        this.sql = sql;
        this.columns = columns;
        this.points = points;
        this.productions = productions;
        this.scenes = scenes;
        this.records = records;
        this.caches = caches;
        this.values = values;
        this.json = json;
        this.clock = clock;
        this.incoming = data.resolve(INCOMING);
        // one moment of the record, however long it takes to send: below this, H2 promises nothing about new rows
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
        reading.setIsolationLevel(TransactionDefinition.ISOLATION_SERIALIZABLE);
        this.writing = new TransactionTemplate(transactions);
    }

    String nameOf(long productionId) {
        return productions.get(productionId).name();
    }

    List<ArchivePoints.ArchivePoint> points(long productionId) {
        productions.get(productionId);
        return points.newest(productionId);
    }

    long pictures(long productionId) {
        return Objects.requireNonNull(
                reading.execute(status -> reader(productionId).pictures()));
    }

    /** Writes an archive while it reads the record; whoever stops listening ends it. */
    void write(long productionId, OutputStream out, String by) throws IOException {
        Instant now = clock.instant();
        ArchiveWriter.Written written;
        try {
            written = Objects.requireNonNull(reading.execute(status -> {
                try {
                    return new ArchiveWriter(reader(productionId), columns, json)
                            .write(out, by, now, points.known(productionId));
                } catch (IOException failed) {
                    throw new UncheckedIOException(failed);
                }
            }));
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        Manifest manifest = written.manifest();
        String said = "%,d shots, %,d photographs"
                .formatted(manifest.rows().get("shot"), manifest.rows().get("note_photo"));
        writing.executeWithoutResult(
                status -> points.keep(productionId, manifest.id(), false, now, by, said, written.rows()));
    }

    private RecordReader reader(long productionId) {
        return new RecordReader(sql, columns, productionId);
    }

    /**
     * Keeps what comes in, and looks at it.
     *
     * @throws Refusal when it is no archive that can be taken in
     */
    ArchiveReport receive(InputStream body) throws IOException {
        Files.createDirectories(incoming);
        forgetOld();
        String id = UUID.randomUUID().toString();
        Path file = path(id);
        try {
            copy(body, file);
            return look(id);
        } catch (IOException | RuntimeException refused) {
            Files.deleteIfExists(file);
            throw refused;
        }
    }

    private void copy(InputStream body, Path file) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] chunk = new byte[CHUNK];
            for (int some = body.read(chunk); some >= 0; some = body.read(chunk)) {
                if (incoming.toFile().getUsableSpace() < LEAST_ROOM) {
                    throw new Refusal("file", "The disk of the server is nearly full: make room, then send it again.");
                }
                out.write(chunk, 0, some);
            }
        }
    }

    private void forgetOld() throws IOException {
        try (Stream<Path> all = Files.list(incoming)) {
            for (Path file : all.toList()) {
                if (Files.getLastModifiedTime(file)
                        .toInstant()
                        .isBefore(clock.instant().minus(KEPT))) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    private Path path(String id) {
        return incoming.resolve(UUID.fromString(id) + ".zip");
    }

    private ArchiveFile open(String id) throws IOException {
        Path file;
        try {
            file = path(id);
        } catch (IllegalArgumentException none) {
            throw new NotFoundException("There is no such archive any more: send it again.");
        }
        if (!Files.exists(file)) {
            throw new NotFoundException("There is no such archive any more: send it again.");
        }
        return ArchiveFile.open(file, columns, json);
    }

    void forget(String id) throws IOException {
        open(id).close();
        Files.deleteIfExists(path(id));
    }

    /** What would be done with it; nothing is written. */
    ArchiveReport look(String id) throws IOException {
        try (ArchiveFile file = open(id)) {
            RecordRows there = RecordRows.of(file, columns);
            return Objects.requireNonNull(reading.execute(status -> {
                Merge merge = new Merge(file.manifest(), there, Map.of(), false);
                return merge.report(id, merge.goesInto == NOT_HERE ? null : merge.goesInto, List.of());
            }));
        }
    }

    ArchiveProgress progress(String id) {
        Counted counted = underWay.get(id);
        return counted == null
                ? new ArchiveProgress(0, 0)
                : new ArchiveProgress(counted.done().get(), counted.of());
    }

    /**
     * Takes it in.
     *
     * @param name another name for the production, where there is one of its name, or null
     * @param answers by question
     * @throws Refusal when it cannot be; nothing is kept then
     */
    ArchiveReport takeIn(String id, @Nullable String name, Map<String, Side> answers, String by) throws IOException {
        ArchiveReport report;
        try (ArchiveFile file = open(id)) {
            RecordRows there = RecordRows.of(file, columns);
            Manifest manifest = file.manifest();
            Counted counted = new Counted(
                    new AtomicLong(),
                    manifest.rows().values().stream().mapToLong(n -> n).sum());
            if (underWay.putIfAbsent(id, counted) != null) {
                throw new Refusal("It is being taken in already.");
            }
            try {
                report = Objects.requireNonNull(writing.execute(status -> {
                    caches.anythingIsWritten();
                    try {
                        return new Merge(manifest, there, answers, true).apply(id, file, name, by, counted);
                    } catch (IOException failed) {
                        throw new UncheckedIOException(failed);
                    }
                }));
            } catch (UncheckedIOException failed) {
                throw failed.getCause();
            } finally {
                underWay.remove(id);
            }
        }
        Files.deleteIfExists(path(id));
        return report;
    }

    /** One archive beside the record, in one transaction. */
    private final class Merge {

        private final Manifest manifest;
        private final RecordRows there;
        private final RecordRows here;
        private final long goesInto;
        private final @Nullable RecordRows common;
        private final MergePlan plan;

        /** @param held whether nobody else writes until the transaction ends */
        Merge(Manifest manifest, RecordRows there, Map<String, Side> answers, boolean held) {
            this.manifest = manifest;
            this.there = there;
            this.goesInto = sql
                    .queryForList(
                            "select id from production where uid = ?" + (held ? FOR_UPDATE : ""),
                            Long.class,
                            uid(manifest.production()))
                    .stream()
                    .findFirst()
                    .orElse(NOT_HERE);
            if (held && goesInto != NOT_HERE) {
                sql.queryForList("select id from scene where production_id = ?" + FOR_UPDATE, Long.class, goesInto);
            }
            this.here = RecordRows.of(reader(goesInto), columns);
            this.common = goesInto == NOT_HERE ? null : points.common(goesInto, manifest);
            this.plan = new MergePlan(here, there, common, answers, columns, new QuestionWords(here, there, values));
        }

        private UUID uid(String text) {
            try {
                return UUID.fromString(text);
            } catch (IllegalArgumentException none) {
                throw new Refusal("file", "The archive does not say which production it is of. Nothing was kept.");
            }
        }

        private boolean isNameTaken() {
            return goesInto == NOT_HERE
                    && productions.all().stream().anyMatch(p -> p.name().equals(manifest.name()));
        }

        ArchiveReport report(String id, @Nullable Long productionId, List<String> told) {
            Map<String, EnumMap<Act, Integer>> counts = new LinkedHashMap<>();
            for (MergeStep step : plan.steps()) {
                counts.computeIfAbsent(step.table().said(), said -> new EnumMap<>(Act.class))
                        .merge(step.act(), 1, Integer::sum);
            }
            int changes = (int) there.changes().keySet().stream()
                    .filter(uid -> !here.changes().containsKey(uid))
                    .count();
            if (changes > 0) {
                counts.put(ArchiveTables.named(RecordRows.CHANGES).said(), new EnumMap<>(Map.of(Act.ADD, changes)));
            }
            return new ArchiveReport(
                    id,
                    goesInto == NOT_HERE ? manifest.name() : nameOf(goesInto),
                    manifest.madeAt(),
                    manifest.by(),
                    productionId,
                    isNameTaken(),
                    common == null ? null : points.commonSince(goesInto, manifest),
                    counts.entrySet().stream()
                            .map(e -> new Brought(
                                    e.getKey(),
                                    e.getValue().getOrDefault(Act.ADD, 0),
                                    e.getValue().getOrDefault(Act.CHANGE, 0),
                                    e.getValue().getOrDefault(Act.TAKE_OUT, 0)))
                            .toList(),
                    manifest.pictureBytes(),
                    plan.renamed(),
                    told,
                    plan.questions());
        }

        ArchiveReport apply(String id, ArchiveFile file, @Nullable String name, String by, Counted counted)
                throws IOException {
            plan.requireAnswers();
            if (goesInto == NOT_HERE) {
                rename(name);
            }
            RecordWriter writer = new RecordWriter(sql, columns, file, counted.done()::incrementAndGet);
            writer.apply(plan);
            long production = writer.id(columns.of(ArchiveTable.ROOT), manifest.production());
            List<String> told = goesInto == NOT_HERE ? List.of() : keep(writer, production, by);
            sql.update(
                    """
                    update shot s set revision = (select max(r.number) + 1 from shot_revision r where r.shot_id = s.id)
                    where exists (select 1 from shot_revision r where r.shot_id = s.id and r.number >= s.revision)
                    """);
            readAll(production);
            ArchiveReport report = report(id, production, told);
            points.keep(
                    production,
                    manifest.id(),
                    true,
                    clock.instant(),
                    by,
                    "from %s, made %s".formatted(manifest.by(), manifest.madeAt()),
                    ArchivePoints.packed(there));
            return report;
        }

        private void rename(@Nullable String name) {
            for (MergeStep step : plan.steps()) {
                if (step.table().name().equals(ArchiveTable.ROOT)) {
                    String wanted = name == null || name.isBlank() ? manifest.name() : name;
                    step.row().put("name", productions.freeName(wanted));
                }
            }
        }

        private List<String> keep(RecordWriter writer, long production, String by) {
            MergedShots own = new MergedShots(values, by, clock.instant(), manifest.by());
            plan.settled().forEach(own::settle);
            RecordRows merged = RecordRows.of(reader(production), columns);
            own.keepWhatWasShot(merged, List.of(here, plan.translated()));
            writer.add(ArchiveTables.named("edit"), own.edits());
            writer.add(ArchiveTables.named(RecordRows.CHANGES), own.changes());
            ArchiveTable knots = ArchiveTables.named("knot");
            Map<String, ObjectNode> tied = new LinkedHashMap<>();
            merged.all("knot").forEach(k -> tied.put(RecordRows.valueKey(k), k));
            own.knots().forEach(k -> writer.put(knots, k, tied.get(RecordRows.valueKey(k))));
            return own.told();
        }

        /** What cannot be read is not kept. */
        private void readAll(long production) {
            for (Long scene : sql.queryForList(
                    "select id from scene where production_id = ? order by id", Long.class, production)) {
                try {
                    records.of(scene);
                } catch (IllegalStateException | NullPointerException damaged) {
                    throw new Refusal(
                            "file",
                            "Sc. %s of the archive cannot be read. Nothing was kept."
                                    .formatted(scenes.get(scene).heading().number()));
                }
            }
        }
    }
}
