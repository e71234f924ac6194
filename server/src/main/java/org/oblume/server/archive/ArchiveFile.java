package org.oblume.server.archive;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.Closeable;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.oblume.core.units.Refusal;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.oblume.server.set.PictureFile;

/** An archive that somebody gave, which need not be one. Nothing is unpacked but what its names and sizes allow. */
final class ArchiveFile implements Closeable {

    private static final Pattern PICTURE = Pattern.compile("pictures/[0-9a-f-]{36}(-[a-z]+)?\\.(jpg|png|svg)");
    private static final int MOST_FILES = 400_000;
    private static final long MOST_RECORD_BYTES = 1L << 30;
    private static final int LARGEST_ROW = 8 << 20;
    private static final int LARGEST_MANIFEST = 4 << 20;
    private static final String SWOLLEN =
            "A row in it is larger than %d MB. Nothing was kept.".formatted(LARGEST_ROW >> 20);
    private static final String BROKEN =
            "The archive is cut short or damaged: take it out of the other Oblume again. Nothing was kept.";

    private final ZipFile zip;
    private final ArchiveColumns columns;
    private final Manifest manifest;

    private ArchiveFile(ZipFile zip, ArchiveColumns columns, Manifest manifest) {
        this.zip = zip;
        this.columns = columns;
        this.manifest = manifest;
    }

    static String entry(ArchiveTable table) {
        return "record/%s.json".formatted(table.name());
    }

    /** @throws Refusal with what is wrong with it */
    static ArchiveFile open(Path file, ArchiveColumns columns, ObjectMapper json) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException broken) {
            throw new Refusal("file", BROKEN);
        }
        try {
            Manifest manifest = manifest(zip, json);
            ArchiveFile archive = new ArchiveFile(zip, columns, manifest);
            archive.checkNames();
            return archive;
        } catch (IOException | RuntimeException refused) {
            zip.close();
            throw refused;
        }
    }

    Manifest manifest() {
        return manifest;
    }

    private static Manifest manifest(ZipFile zip, ObjectMapper json) throws IOException {
        ZipEntry entry = zip.getEntry(Manifest.ENTRY);
        if (entry == null) {
            throw new Refusal("file", "This is no archive of a production: it has no manifest.json.");
        }
        try {
            JsonNode tree = json.readTree(zip.getInputStream(entry).readNBytes(LARGEST_MANIFEST));
            if (!Manifest.FORMAT.equals(tree.path("format").asText())) {
                throw new Refusal("file", "This is no archive of a production: its manifest says another format.");
            }
            int version = tree.path("version").asInt();
            if (version > Manifest.VERSION) {
                throw newer(version);
            }
            return json.treeToValue(tree, Manifest.class);
        } catch (JsonProcessingException | ZipException broken) {
            throw new Refusal("file", BROKEN);
        }
    }

    private static Refusal newer(int version) {
        return new Refusal(
                "file",
                "This archive is version %d; this Oblume reads version %d. Update Oblume on this machine first. Nothing was kept."
                        .formatted(version, Manifest.VERSION));
    }

    /** Every name is one that an archive has, so that none leads anywhere. */
    private void checkNames() {
        if (zip.size() > MOST_FILES) {
            throw new Refusal(
                    "file", "There are %,d files in it; an archive has up to %,d.".formatted(zip.size(), MOST_FILES));
        }
        Set<String> known = new HashSet<>();
        known.add(Manifest.ENTRY);
        ArchiveTables.ALL.forEach(table -> known.add(entry(table)));
        long record = 0;
        Set<String> names = new HashSet<>();
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (!known.contains(name) && !PICTURE.matcher(name).matches()) {
                throw new Refusal(
                        "file",
                        "“%s” does not belong in an archive. Nothing was unpacked."
                                .formatted(name.length() > 80 ? name.substring(0, 80) + "…" : name));
            }
            if (!names.add(name)) {
                throw new Refusal("file", "“%s” is in it twice. Nothing was unpacked.".formatted(name));
            }
            record += known.contains(name) ? Math.max(0, entry.getSize()) : 0;
        }
        if (record > MOST_RECORD_BYTES) {
            throw new Refusal(
                    "file",
                    "Unpacked, its record would be %,d MB; %,d MB are taken. Nothing was unpacked."
                            .formatted(record >> 20, MOST_RECORD_BYTES >> 20));
        }
    }

    /**
     * The rows of a table, one after the other.
     *
     * @throws Refusal when one cannot be
     */
    void each(ArchiveTable table, Consumer<ObjectNode> row) throws IOException {
        ZipEntry entry = zip.getEntry(entry(table));
        if (entry == null) {
            return; // made before there was such a table
        }
        List<KeptColumn> known = columns.of(table.name()).all();
        Set<String> properties = new HashSet<>();
        known.forEach(c -> properties.add(c.property()));
        try (Rationed bytes = new Rationed(zip.getInputStream(entry), entry.getCrc());
                JsonParser parser = ArchiveJson.MAPPER.createParser(bytes)) {
            if (parser.nextToken() != JsonToken.START_ARRAY) {
                throw new Refusal("file", BROKEN);
            }
            while (parser.nextToken() == JsonToken.START_OBJECT) {
                bytes.next();
                ObjectNode node = ArchiveJson.ROWS.readValue(parser);
                node.fieldNames().forEachRemaining(name -> {
                    if (!properties.contains(name)) {
                        throw new Refusal(
                                "file",
                                "%s in it have “%s”, which this Oblume does not know: update it first. Nothing was kept."
                                        .formatted(table.said(), name));
                    }
                });
                row.accept(node);
            }
            if (parser.currentToken() != JsonToken.END_ARRAY) {
                throw new Refusal("file", BROKEN);
            }
            bytes.checkToTheEnd();
        } catch (StreamConstraintsException swollen) {
            throw new Refusal("file", SWOLLEN);
        } catch (JsonProcessingException | ZipException | EOFException broken) {
            throw new Refusal("file", BROKEN);
        }
    }

    /**
     * A picture, whole.
     *
     * @throws Refusal when it is not there, larger than pictures are, or none
     */
    byte[] picture(String name, int longest) throws IOException {
        ZipEntry entry = PICTURE.matcher(name).matches() ? zip.getEntry(name) : null;
        if (entry == null) {
            throw new Refusal("file", "The archive lacks %s. Nothing was kept.".formatted(name));
        }
        try (Rationed in = new Rationed(zip.getInputStream(entry), entry.getCrc())) {
            byte[] bytes = in.readNBytes(longest + 1);
            if (bytes.length > longest) {
                throw new Refusal(
                        "file", "%s is larger than %d MB. Nothing was kept.".formatted(name, longest / 1_000_000));
            }
            in.checkToTheEnd();
            if (!PictureFile.isOne(bytes, name.endsWith(".svg"))) {
                throw new Refusal("file", "%s is no picture that can be read. Nothing was kept.".formatted(name));
            }
            return bytes;
        } catch (ZipException | EOFException broken) {
            throw new Refusal("file", BROKEN);
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }

    /** Bytes with a sum at the end, of which a row gets only so many. */
    private static final class Rationed extends FilterInputStream {

        private final CheckedInputStream checked;
        private final long crc;
        private long left = Long.MAX_VALUE;

        Rationed(InputStream in, long crc) {
            this(new CheckedInputStream(in, new CRC32()), crc);
        }

        private Rationed(CheckedInputStream in, long crc) {
            super(in);
            this.checked = in;
            this.crc = crc;
        }

        void next() {
            left = LARGEST_ROW;
        }

        void checkToTheEnd() throws IOException {
            left = Long.MAX_VALUE;
            while (read() >= 0) {
                // what stands behind the last bracket
            }
            if (checked.getChecksum().getValue() != crc) {
                throw new Refusal("file", BROKEN);
            }
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] to, int from, int most) throws IOException {
            int some = super.read(to, from, most);
            left -= Math.max(0, some);
            if (left < 0) {
                throw new Refusal("file", SWOLLEN);
            }
            return some;
        }
    }
}
