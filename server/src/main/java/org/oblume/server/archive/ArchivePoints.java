package org.oblume.server.archive;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Archives that were made of a record or taken into it, with the rows as they were: from there on both went their own ways. */
@Component
class ArchivePoints {

    /** Of older ones it is known that they were there, not what they held. */
    private static final int MOST_KEPT = 12;

    private static final int LISTED = 20;

    private final JdbcTemplate sql;
    private final ArchiveColumns columns;

    ArchivePoints(JdbcTemplate sql, ArchiveColumns columns) {
        this.sql = sql;
        this.columns = columns;
    }

    /**
     * An archive that was made or taken in.
     *
     * @param takenIn whether it came from another Oblume
     * @param said what it brought or held, in words
     */
    record ArchivePoint(Instant at, String by, boolean takenIn, String said) {}

    /** The oldest first. */
    List<String> known(long production) {
        return sql.queryForList(
                "select archive from archive_point where production_id = ? order by id", String.class, production);
    }

    List<ArchivePoint> newest(long production) {
        return sql.query(
                "select made_at, made_by, taken_in, said from archive_point where production_id = ? order by id desc fetch first %d rows only"
                        .formatted(LISTED),
                (row, i) -> new ArchivePoint(
                        row.getObject(1, OffsetDateTime.class).toInstant(),
                        row.getString(2),
                        row.getBoolean(3),
                        row.getString(4)),
                production);
    }

    void keep(long production, String archive, boolean takenIn, Instant at, String by, String said, byte[] rows) {
        sql.update("delete from archive_point where production_id = ? and archive = ?", production, archive);
        sql.update(
                "insert into archive_point (production_id, archive, taken_in, made_at, made_by, said, kept_rows) values (?, ?, ?, ?, ?, ?, ?)",
                production,
                archive,
                takenIn,
                at.atOffset(ZoneOffset.UTC),
                by,
                said,
                rows);
        sql.update(
                """
                update archive_point set kept_rows = null where production_id = ? and id not in (
                    select id from archive_point where production_id = ? order by id desc fetch first %d rows only)
                """
                        .formatted(MOST_KEPT),
                production,
                production);
    }

    /** The rows as both had them when they were one for the last time, or null where that is not known. */
    @Nullable
    RecordRows common(long production, Manifest manifest) {
        List<byte[]> newest = sql
                .query(
                        "select archive, kept_rows from archive_point where production_id = ? and kept_rows is not null order by id desc",
                        (row, i) -> manifest.isOrKnows(row.getString(1)) ? row.getBytes(2) : null,
                        production)
                .stream()
                .filter(Objects::nonNull)
                .limit(1)
                .toList();
        return newest.isEmpty() ? null : read(newest.get(0));
    }

    /** When that was. */
    @Nullable
    Instant commonSince(long production, Manifest manifest) {
        return sql
                .query(
                        "select archive, made_at from archive_point where production_id = ? and kept_rows is not null order by id desc",
                        (row, i) -> manifest.isOrKnows(row.getString(1))
                                ? row.getObject(2, OffsetDateTime.class).toInstant()
                                : null,
                        production)
                .stream()
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    private RecordRows read(byte[] packed) {
        RecordRows rows = new RecordRows(columns);
        try (JsonParser parser =
                ArchiveJson.MAPPER.createParser(new GZIPInputStream(new ByteArrayInputStream(packed)))) {
            parser.nextToken();
            while (parser.nextToken() == JsonToken.FIELD_NAME) {
                ArchiveTable table = ArchiveTables.named(parser.currentName());
                parser.nextToken();
                while (parser.nextToken() == JsonToken.START_OBJECT) {
                    ObjectNode row = ArchiveJson.ROWS.readValue(parser);
                    rows.add(table, row);
                }
            }
            return rows;
        } catch (IOException damaged) {
            throw new UncheckedIOException(damaged);
        }
    }

    static byte[] packed(RecordRows rows) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (var json = ArchiveJson.MAPPER.createGenerator(new GZIPOutputStream(out))) {
            json.writeStartObject();
            for (ArchiveTable table : ArchiveTables.ALL) {
                if (!table.grows()) {
                    json.writeArrayFieldStart(table.name());
                    for (ObjectNode row : rows.rows(table).values()) {
                        json.writeTree(row);
                    }
                    json.writeEndArray();
                }
            }
            json.writeEndObject();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
