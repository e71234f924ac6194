package org.oblume.server.archive;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** JSON of an archive: figures stay digit for digit what they are. */
final class ArchiveJson {

    private static final int DEEPEST = 60;
    private static final int LONGEST_TEXT = 4_000_000;

    static final JsonMapper MAPPER = JsonMapper.builder(com.fasterxml.jackson.core.JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(LONGEST_TEXT)
                            .build())
                    .build())
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
            .build();

    static final ObjectReader ROWS = MAPPER.readerFor(ObjectNode.class);

    private ArchiveJson() {}

    /** @throws IllegalStateException when what is kept is no JSON */
    static JsonNode parsed(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException damaged) {
            throw new IllegalStateException("The record holds what is no JSON: " + text, damaged);
        }
    }

    static JsonNode number(long whole) {
        return whole == (int) whole
                ? MAPPER.getNodeFactory().numberNode((int) whole)
                : MAPPER.getNodeFactory().numberNode(whole);
    }

    static JsonNode number(double decimal) {
        return MAPPER.getNodeFactory().numberNode(new BigDecimal(Double.toString(decimal)));
    }

    /** A part that is not there and one that is null are the same. */
    static boolean same(@Nullable JsonNode one, @Nullable JsonNode other) {
        if (one == null || one.isNull()) {
            return isNothing(other);
        }
        return !isNothing(other) && (one.equals(other) || one.toString().equals(String.valueOf(other)));
    }

    private static boolean isNothing(@Nullable JsonNode node) {
        return node == null || node.isNull();
    }

    /** A text of a row, or null. */
    static @Nullable String text(@Nullable ObjectNode row, String property) {
        return row == null || !row.hasNonNull(property)
                ? null
                : row.get(property).asText();
    }

    static String required(ObjectNode row, String property) {
        return Objects.requireNonNull(text(row, property), property);
    }
}
