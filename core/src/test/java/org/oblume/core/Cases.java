package org.oblume.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

/** Worked cases from {@code src/test/resources/cases}: a request, and the answer within a tolerance or the field refused. */
public record Cases(String name, JsonNode request, JsonNode answer, JsonNode tolerance, String problemField) {

    public static Stream<Cases> of(String file) {
        try (InputStream json = Cases.class.getResourceAsStream("/cases/" + file + ".json")) {
            JsonNode all = new ObjectMapper().readTree(json);
            return StreamSupport.stream(all.spliterator(), false).map(c -> new Cases(c.get("name").asText(),
                    c.get("request"), c.get("answer"), c.get("tolerance"), c.path("problemField").asText(null)));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    public void assertAnswer(String field, double value) {
        double allowed = Math.max(tolerance.get(field).asDouble(), 1e-12);
        assertThat(value).as(name + ": " + field)
                .isBetween(answer.get(field).asDouble() - allowed, answer.get(field).asDouble() + allowed);
    }

    @Override
    public String toString() {
        return name;
    }
}
