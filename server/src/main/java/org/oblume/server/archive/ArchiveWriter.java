package org.oblume.server.archive;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeSet;
import java.util.UUID;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.oblume.server.archive.ArchiveColumns.Columns;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;

/** Writes a production as it is read: one row, one picture in memory at a time. */
final class ArchiveWriter {

    private static final List<String> SAYS_WHO =
            List.of("author", "by", "litBy", "shotBy", "signedBy", "madeBy", "wrappedBy", "replacedBy");

    private final RecordReader record;
    private final ArchiveColumns columns;
    private final ObjectMapper json;

    ArchiveWriter(RecordReader record, ArchiveColumns columns, ObjectMapper json) {
        this.record = record;
        this.columns = columns;
        this.json = json;
    }

    /**
     * What was written.
     *
     * @param rows what later records are held against, see {@link ArchivePoints}
     */
    record Written(Manifest manifest, byte[] rows) {}

    private record Picture(Columns of, KeptColumn column, long id, String entry) {}

    Written write(OutputStream out, String by, Instant at, List<String> knows) throws IOException {
        Map<String, Long> counts = new LinkedHashMap<>();
        NavigableSet<String> people = new TreeSet<>();
        List<Picture> pictures = new ArrayList<>();
        ByteArrayOutputStream point = new ByteArrayOutputStream();
        ZipOutputStream zip = new ZipOutputStream(out);
        ObjectNode production = ArchiveJson.MAPPER.createObjectNode();
        try (JsonGenerator kept = ArchiveJson.MAPPER.createGenerator(new GZIPOutputStream(point))) {
            kept.writeStartObject();
            for (ArchiveTable table : ArchiveTables.ALL) {
                boolean compared = !table.grows();
                zip.putNextEntry(new ZipEntry(ArchiveFile.entry(table)));
                JsonGenerator rows = ArchiveJson.MAPPER.createGenerator(zip);
                rows.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
                rows.writeStartArray();
                if (compared) {
                    kept.writeArrayFieldStart(table.name());
                }
                long[] count = {0};
                record.each(table, (id, row) -> {
                    try {
                        rows.writeRaw(count[0]++ == 0 ? "\n" : "");
                        rows.writeTree(row);
                        rows.writeRaw("\n");
                        if (compared) {
                            kept.writeTree(row);
                        }
                    } catch (IOException failed) {
                        throw new UncheckedIOException(failed);
                    }
                    SAYS_WHO.stream()
                            .map(says -> ArchiveJson.text(row, says))
                            .filter(name -> name != null && !name.isBlank())
                            .forEach(people::add);
                    Columns of = columns.of(table.name());
                    of.bytes()
                            .forEach(c -> pictures.add(
                                    new Picture(of, c, id, row.get(c.property()).asText())));
                    if (table.name().equals(ArchiveTable.ROOT)) {
                        production.setAll(row);
                    }
                });
                rows.writeEndArray();
                rows.close();
                if (compared) {
                    kept.writeEndArray();
                }
                zip.closeEntry();
                counts.put(table.name(), count[0]);
            }
            kept.writeEndObject();
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        long bytes = 0;
        zip.setLevel(Deflater.NO_COMPRESSION);
        for (Picture picture : pictures) {
            zip.putNextEntry(new ZipEntry(picture.entry()));
            byte[] all = record.bytes(picture.of(), picture.column(), picture.id());
            zip.write(all);
            zip.closeEntry();
            bytes += all.length;
        }
        Manifest manifest = new Manifest(
                Manifest.FORMAT,
                Manifest.VERSION,
                UUID.randomUUID().toString(),
                at,
                by,
                ArchiveJson.required(production, "uid"),
                ArchiveJson.required(production, "name"),
                counts,
                pictures.size(),
                bytes,
                knows,
                List.copyOf(people));
        zip.setLevel(Deflater.DEFAULT_COMPRESSION);
        zip.putNextEntry(new ZipEntry(Manifest.ENTRY));
        zip.write(json.writeValueAsBytes(manifest));
        zip.closeEntry();
        zip.finish();
        zip.flush();
        return new Written(manifest, point.toByteArray());
    }
}
