package org.oblume.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import org.oblume.e2e.Interface.Call;

/** Makes up what is sent to a call: mostly of the right form, here and there what nobody should send. */
final class Malice {

    private static final int DEEPEST = 6;
    private static final double SPOILED = 0.05;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    /** Words that lead somewhere in the demo's record. */
    private static final List<String> KNOWN = List.of(
            "key",
            "fill",
            "edge",
            "ambience",
            "window",
            "LEVEL",
            "CCT",
            "POSITION",
            "AIM",
            "45",
            "45 %",
            "3.2",
            "3.2 m",
            "10'6\"",
            "5600",
            "1/2 CTB",
            "key 45%",
            "fill +1 stop",
            "pdf",
            "csv",
            "4C",
            "left",
            "Sound stage",
            "metric",
            "imperial",
            "before",
            "A",
            "2/101",
            "now");

    private static final List<String> SPOILT = List.of(
            "",
            " ",
            "\0",
            "\r\n",
            "\u2028",
            "\u202e",
            "\ud83d\udd25",
            "\ud800",
            "e\u0301".repeat(40),
            "'; drop table shot; --",
            "<img src=x onerror=alert(1)>",
            "{{7*7}}",
            "${jndi:ldap://127.0.0.1/x}",
            "../../etc/passwd",
            "=1+1",
            "NaN",
            "Infinity",
            "-Infinity",
            "1e400",
            "-0",
            "0x1p3",
            "1/0",
            "٣",
            "9".repeat(400),
            "1e-400",
            "-".repeat(80),
            "(".repeat(400),
            "key 45%, ".repeat(60),
            "2026-02-30",
            "+1000000000-01-01T00:00:00Z",
            "true",
            "null",
            "[]");

    private static final List<String> NUMBERS = List.of(
            "0",
            "-1",
            "-0.0",
            "1e308",
            "-1e308",
            "5e-324",
            "9223372036854775807",
            "-9223372036854775808",
            "9223372036854775808",
            "1e400",
            "0.1",
            "2147483648",
            "1000000000000000000000000000000");

    private final Interface known;
    private final Random random;

    Malice(Interface known, Random random) {
        this.known = known;
        this.random = random;
    }

    String path(Call call) {
        StringBuilder path = new StringBuilder(call.path());
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : call.parameters()) {
            String name = parameter.get("name").asText();
            String value = parameterValue(parameter.path("schema"));
            switch (parameter.get("in").asText()) {
                case "path" -> {
                    int at = path.indexOf("{" + name + "}");
                    // an empty part would be another call's path
                    path.replace(at, at + name.length() + 2, value.isEmpty() ? "0" : encoded(value));
                }
                case "query" -> {
                    if (parameter.path("required").asBoolean() || random.nextBoolean()) {
                        query.append(query.isEmpty() ? '?' : '&')
                                .append(name)
                                .append('=')
                                .append(encoded(value));
                    }
                }
                default -> {}
            }
        }
        return path.append(query).toString();
    }

    private String parameterValue(JsonNode schema) {
        if (random.nextDouble() < SPOILED) {
            return one(random.nextBoolean() ? SPOILT : NUMBERS);
        }
        if (schema.has("enum")) {
            return schema.get("enum")
                    .get(random.nextInt(schema.get("enum").size()))
                    .asText();
        }
        return switch (schema.path("type").asText()) {
            case "integer", "number" -> String.valueOf(1 + random.nextInt(40));
            case "boolean" -> String.valueOf(random.nextBoolean());
            default -> one(KNOWN);
        };
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** A version to change, mostly one that there may be. */
    String version() {
        return random.nextDouble() < SPOILED
                ? one(List.of("*", "\"\"", "\"x\"", "W/\"1\"", "\"9223372036854775808\"", "1,2"))
                : "\"%d\"".formatted(random.nextInt(6));
    }

    byte[] body(Call call) {
        if (call.file()) {
            byte[] bytes = new byte[random.nextInt(4000)];
            random.nextBytes(bytes);
            return bytes;
        }
        if (random.nextDouble() < SPOILED) {
            return one(RAW).get().getBytes(StandardCharsets.UTF_8);
        }
        return value(call.body(), 0).toString().getBytes(StandardCharsets.UTF_8);
    }

    private static final List<Supplier<String>> RAW = List.of(
            () -> "",
            () -> "null",
            () -> "[]",
            () -> "{",
            () -> "{\"a\":1,\"a\":2}",
            () -> "[".repeat(100_000),
            () -> "{\"a\":".repeat(5000),
            () -> "\"" + "a".repeat(2 << 20) + "\"",
            () -> "{\"text\":\"" + "a".repeat(900_000) + "\"}",
            () -> "<a/>",
            () -> "NaN",
            () -> "\ufeff{}",
            () -> "{\"value\":" + "9".repeat(100_000) + "}");

    private JsonNode value(JsonNode asked, int depth) {
        JsonNode schema = known.resolved(asked);
        if (random.nextDouble() < SPOILED) {
            return spoilt();
        }
        if (schema.has("oneOf")) {
            return value(
                    schema.get("oneOf").get(random.nextInt(schema.get("oneOf").size())), depth);
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(random.nextInt(schema.get("enum").size()));
        }
        return switch (schema.path("type").asText()) {
            case "object" -> object(schema, depth);
            case "array" -> array(schema, depth);
            case "integer" -> JSON.numberNode(random.nextInt(40));
            case "number" -> JSON.numberNode(random.nextInt(200) / 8.0);
            case "boolean" -> JSON.booleanNode(random.nextBoolean());
            default -> JSON.textNode(one(KNOWN));
        };
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode object = JSON.objectNode();
        JsonNode required = schema.path("required");
        schema.path("properties").properties().forEach(property -> {
            boolean needed = contains(required, property.getKey());
            if (depth < DEEPEST && random.nextDouble() < (needed ? 1 - SPOILED : 0.6)) {
                object.set(property.getKey(), value(property.getValue(), depth + 1));
            }
        });
        if (schema.has("additionalProperties")
                && schema.get("additionalProperties").isObject()) {
            object.set(one(KNOWN), value(schema.get("additionalProperties"), depth + 1));
        }
        if (random.nextDouble() < SPOILED) {
            object.put(one(SPOILT), 1);
        }
        return object;
    }

    private static boolean contains(JsonNode names, String name) {
        for (JsonNode one : names) {
            if (one.asText().equals(name)) {
                return true;
            }
        }
        return false;
    }

    private JsonNode array(JsonNode schema, int depth) {
        ArrayNode array = JSON.arrayNode();
        int size = random.nextDouble() < SPOILED / 4 ? 3000 : random.nextInt(4);
        for (int i = 0; i < size && depth < DEEPEST; i++) {
            array.add(value(schema.path("items"), depth + 1));
        }
        return array;
    }

    private JsonNode spoilt() {
        return switch (random.nextInt(9)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.booleanNode(random.nextBoolean());
            case 2, 3 -> JSON.numberNode(new BigDecimal(one(NUMBERS)));
            case 4 -> JSON.objectNode().put(one(SPOILT), one(SPOILT));
            case 5 -> JSON.arrayNode().addNull().add(one(KNOWN)).addNull();
            case 6 -> JSON.textNode("a".repeat(random.nextInt(30_000)));
            default -> JSON.textNode(one(SPOILT));
        };
    }

    /** The same value with one part of it spoilt. */
    JsonNode spoiled(JsonNode whole) {
        JsonNode copy = whole.deepCopy();
        JsonNode at = copy;
        while (true) {
            int size = at.size();
            JsonNode next = size == 0 ? at : child(at, random.nextInt(size));
            if (!next.isContainerNode() || next.isEmpty() || random.nextInt(12) == 0) {
                spoil(at);
                return copy;
            }
            at = next;
        }
    }

    private static JsonNode child(JsonNode of, int index) {
        return of.isArray()
                ? of.get(index)
                : of.get(of.properties().stream().toList().get(index).getKey());
    }

    private void spoil(JsonNode container) {
        if (container instanceof ObjectNode object && !object.isEmpty()) {
            String name = object.properties().stream()
                    .toList()
                    .get(random.nextInt(object.size()))
                    .getKey();
            if (random.nextInt(4) == 0) {
                object.remove(name);
            } else {
                object.set(name, likeIt(object.get(name)));
            }
        } else if (container instanceof ArrayNode array && !array.isEmpty()) {
            int index = random.nextInt(array.size());
            if (random.nextInt(4) == 0) {
                array.add(array.get(index));
            } else {
                array.set(index, likeIt(array.get(index)));
            }
        }
    }

    /** Numbers become other numbers as often as not: that is what is let in. */
    private JsonNode likeIt(JsonNode was) {
        if (was.isNumber() && random.nextBoolean()) {
            return JSON.numberNode(was.asDouble() * one(List.of(-1.0, 0.0, 0.001, 1000.0)));
        }
        return spoilt();
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }
}
