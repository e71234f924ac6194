package org.oblume.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.StreamSupport;

/** What can be called, as the OpenAPI document of a running server has it. */
final class Interface {

    private final JsonNode document;

    Interface(JsonNode document) {
        this.document = document;
    }

    /**
     * @param path with the names of its parameters in braces
     * @param parameters as the document has them
     * @param body schema of a JSON body; missing when there is none
     * @param file whether the body is a file
     */
    record Call(String method, String path, List<JsonNode> parameters, JsonNode body, boolean file) {

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        document.get("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(method -> calls.add(call(method.getKey(), path.getKey(), method.getValue()))));
        return calls;
    }

    private static Call call(String method, String path, JsonNode operation) {
        JsonNode content = operation.at("/requestBody/content");
        return new Call(
                method.toUpperCase(Locale.ROOT),
                path,
                StreamSupport.stream(operation.path("parameters").spliterator(), false)
                        .toList(),
                content.at("/application~1json/schema"),
                content.has("*/*"));
    }

    /** A schema, or what it refers to. */
    JsonNode resolved(JsonNode schema) {
        String reference = schema.path("$ref").asText();
        return reference.isEmpty() ? schema : document.at(reference.substring(1));
    }
}
