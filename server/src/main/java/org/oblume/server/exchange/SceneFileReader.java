package org.oblume.server.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import org.oblume.core.units.Refusal;
import org.springframework.stereotype.Component;

/** Reads a scene file: its format and version first, then its shape by the published schema, then its values. */
@Component
class SceneFileReader {

    private static final String SCHEMA = "/format/oblume-scene.schema.json";
    private static final int MOST_PLACEMENTS = 500;
    private static final int MOST_PROBLEMS_TOLD = 6;
    private final ObjectMapper mapper;
    private final JsonSchema schema;

    SceneFileReader(ObjectMapper mapper) {
        this.mapper = mapper;
        try (InputStream file = Objects.requireNonNull(SceneFileReader.class.getResourceAsStream(SCHEMA))) {
            schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                    .getSchema(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** @throws Refusal with every problem of the file that a person can act on */
    SceneFile read(byte[] bytes) {
        JsonNode file = tree(bytes);
        if (!SceneFile.FORMAT.equals(file.path("format").asText())) {
            throw new Refusal("This is not an Oblume scene: choose a file that was saved with “Export” in the book.");
        }
        if (file.path("version").asInt() > SceneFile.VERSION) {
            throw new Refusal(
                    ("This file is version %s; this Oblume reads version %d. Update Oblume here, or ask for the "
                                    + "file in the older version.")
                            .formatted(file.path("version").asText(), SceneFile.VERSION));
        }
        if (file.path("placements").size() > MOST_PLACEMENTS) {
            throw new Refusal("Nothing was imported. A scene has at most %d things on its plot, this one %d."
                    .formatted(MOST_PLACEMENTS, file.path("placements").size()));
        }
        OlderSceneFile.upgrade(file);
        refuse(schema.validate(file).stream()
                .map(SceneFileReader::sentence)
                .sorted()
                .toList());
        try {
            return mapper.treeToValue(file, SceneFile.class);
        } catch (JsonProcessingException bad) {
            throw bad.getCause() instanceof Refusal refusal
                    ? refusal
                    : new Refusal("The file cannot be read: %s.".formatted(bad.getOriginalMessage()));
        }
    }

    /** Refuses the file when there is a problem, telling the first few. */
    static void refuse(List<String> problems) {
        if (!problems.isEmpty()) {
            int more = problems.size() - MOST_PROBLEMS_TOLD;
            throw new Refusal("Nothing was imported. "
                    + String.join(" ", problems.subList(0, Math.min(MOST_PROBLEMS_TOLD, problems.size())))
                    + (more > 0 ? " And %d more.".formatted(more) : ""));
        }
    }

    private JsonNode tree(byte[] bytes) {
        try {
            JsonNode tree = mapper.readTree(bytes);
            if (tree == null || !tree.isObject()) {
                throw new Refusal("The file is empty: choose a file that was saved with “Export” in the book.");
            }
            return tree;
        } catch (JsonProcessingException broken) {
            throw new Refusal("The file is broken%s: it was cut off or changed. Export the scene again."
                    .formatted(
                            broken.getLocation() == null
                                    ? ""
                                    : " at line " + broken.getLocation().getLineNr()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static String sentence(ValidationMessage message) {
        String where = message.getInstanceLocation().toString().replaceFirst("^/|^\\$\\.?", "");
        String what = message.getMessage().replaceFirst("^[^:]*: ", "");
        return "%s: %s.".formatted(where.isEmpty() ? "file" : where, what);
    }
}
