package org.oblume.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What an archive looks like stands in a schema, which {@code ./oblume contract} writes anew. */
@ServerTest
class ArchiveFormatTest {

    private static final Path KEPT = Path.of("../docs/format/oblume-archive.schema.json");
    private static final ObjectMapper MAPPER = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    @Autowired
    private JdbcTemplate sql;

    @Autowired
    private ArchiveColumns columns;

    @Autowired
    private Api api;

    @Test
    void whateverIsRecordedOfAProductionIsInItsArchive() {
        List<String> tables = sql.queryForList(
                "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'",
                String.class);
        assertThat(Stream.concat(
                        ArchiveTables.ALL.stream().map(ArchiveTable::name), ArchiveTables.NOT_OF_A_PRODUCTION.stream()))
                .containsExactlyInAnyOrderElementsOf(tables);
    }

    @Test
    void theSchemaIsThatOfTheRecord() throws IOException {
        if (Boolean.getBoolean("oblume.openapi.write")) {
            Files.writeString(KEPT, MAPPER.writeValueAsString(schema()) + "\n");
        }
        assertThat(MAPPER.readTree(KEPT.toFile()))
                .as(
                        "the record has changed: ./oblume contract; a version of the format where older ones cannot read it")
                .isEqualTo(MAPPER.readTree(MAPPER.writeValueAsString(schema())));
    }

    @Test
    void theDemosArchiveIsAsTheSchemaSays() throws Exception {
        byte[] archive = api.as("LEAD").file("/api/productions/1/archive");
        JsonNode all = MAPPER.readTree(KEPT.toFile());
        int rows = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] bytes = zip.readAllBytes();
                if (entry.getName().endsWith(".json")) {
                    String name = entry.getName().replaceAll("record/|\\.json", "");
                    ObjectNode schema = ((ObjectNode) all.deepCopy()).put("$ref", "#/$defs/" + name);
                    schema.remove("$id");
                    JsonNode part = MAPPER.readTree(bytes);
                    assertThat(JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                                    .getSchema(schema)
                                    .validate(part))
                            .as(name)
                            .isEmpty();
                    rows += part.isArray() ? part.size() : 0;
                }
            }
        }
        assertThat(rows).isGreaterThan(300);
    }

    private ObjectNode schema() {
        ObjectNode all = MAPPER.createObjectNode();
        all.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        all.put("$id", "urn:oblume:archive:" + Manifest.VERSION);
        all.put("title", "Oblume archive, version " + Manifest.VERSION);
        all.put(
                "description",
                "One production whole, as a zip: manifest.json, record/<table>.json (a list of rows each, in the order in which they were made) and pictures/. A row names others by their uid. Values are as in the scene format.");
        ObjectNode defs = all.putObject("$defs");
        manifest(defs.putObject("manifest"));
        ArchiveTables.ALL.forEach(table -> rows(defs.putObject(table.name()), table));
        return all;
    }

    private static void manifest(ObjectNode to) {
        to.put("type", "object").put("additionalProperties", false);
        ObjectNode properties = to.putObject("properties");
        properties.putObject("format").put("const", Manifest.FORMAT);
        properties.putObject("version").put("const", Manifest.VERSION);
        properties.putObject("id").put("format", "uuid");
        properties.putObject("madeAt").put("format", "date-time");
        properties.putObject("by").put("type", "string");
        properties.putObject("production").put("format", "uuid");
        properties.putObject("name").put("type", "string");
        properties
                .putObject("rows")
                .put("type", "object")
                .putObject("additionalProperties")
                .put("type", "integer");
        properties.putObject("pictures").put("type", "integer");
        properties.putObject("pictureBytes").put("type", "integer");
        properties.putObject("knows").put("type", "array").putObject("items").put("format", "uuid");
        properties.putObject("people").put("type", "array").putObject("items").put("type", "string");
        ArrayNode required = to.putArray("required");
        properties.fieldNames().forEachRemaining(required::add);
    }

    private void rows(ObjectNode to, ArchiveTable table) {
        to.put(
                "description",
                table.said().substring(0, 1).toUpperCase(Locale.ROOT)
                        + table.said().substring(1));
        to.put("type", "array");
        ObjectNode row = to.putObject("items").put("type", "object").put("additionalProperties", false);
        ObjectNode properties = row.putObject("properties");
        ArrayNode required = row.putArray("required");
        for (KeptColumn column : columns.of(table.name()).all()) {
            ObjectNode property = properties.putObject(column.property());
            switch (column.keptAs()) {
                case TEXT -> property.put("type", "string").put("maxLength", column.longest());
                case NAMED -> property.put("type", "string").put("description", "a kind and a uid, shot-…");
                case JSON -> property.put("description", "as in the scene format or the server's API");
                case WHOLE -> property.put("type", "integer");
                case DECIMAL -> property.put("type", "number");
                case FLAG -> property.put("type", "boolean");
                case TIME -> property.put("type", "string").put("format", "date-time");
                case UID -> property.put("type", "string").put("format", "uuid");
                case BYTES -> property.put("type", "string").put("pattern", "^pictures/");
                case ROW ->
                    property.put("type", "string").put("format", "uuid").put("description", "of " + column.rowOf());
                case EVENT ->
                    property.put("type", "string")
                            .put("format", "uuid")
                            .put("description", "of knot_event: the newest change of the record then");
            }
            if (column.required() && column.keptAs() != ArchiveColumns.KeptAs.EVENT) {
                required.add(column.property());
            }
        }
    }
}
