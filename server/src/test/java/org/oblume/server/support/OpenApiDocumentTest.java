package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * The interface's types come from web/openapi.json, which is built before the server and so is kept in the project;
 * {@code ./oblume contract} writes it anew.
 */
@ServerTest
class OpenApiDocumentTest {

    private static final Path KEPT = Path.of("../web/openapi.json");

    @Autowired
    private Api api;

    @Test
    void theKeptDocumentIsTheOneTheServerWrites() throws IOException {
        ObjectMapper mapper = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);
        JsonNode now = api.get("/v3/api-docs").body();
        if (Boolean.getBoolean("oblume.openapi.write")) {
            Files.writeString(KEPT, mapper.writeValueAsString(now) + "\n");
        }
        assertThat(mapper.readTree(KEPT.toFile()))
                .as("web/openapi.json is stale; see this test's docs")
                .isEqualTo(now);
    }
}
