package org.oblume.server.support;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Refusal;
import org.springframework.stereotype.Component;

/** Recorded values as JSON text, in the shape of the published scene format. */
@Component
public class RecordJson {

    private final ObjectMapper mapper;
    /** One for each type that is stored: a scene is thousands of small values. */
    private final Map<Class<?>, ObjectReader> readers = new ConcurrentHashMap<>();

    RecordJson(ObjectMapper mapper) {
        this.mapper = mapper;
    }

    public String write(Object value) {
        try {
            return mapper.writeValueAsString(value);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    public JsonNode tree(Object value) {
        return mapper.valueToTree(value);
    }

    /** Reads back what {@link #write} wrote. */
    public <T> T read(String json, Class<T> type) {
        try {
            return readers.computeIfAbsent(type, mapper::readerFor).readValue(json);
        } catch (JsonProcessingException damaged) {
            throw new IllegalStateException("The record holds a value that cannot be read: " + json, damaged);
        }
    }

    /**
     * A value of an attribute from a request: as data, or as a person typed it, one of the two.
     *
     * @throws Refusal when it is neither or both, or is refused itself
     */
    public AttributeValue value(Attribute attribute, @Nullable JsonNode value, @Nullable String text) {
        if (value != null && text == null) {
            return value(attribute, value);
        }
        if (text != null && value == null) {
            return attribute.parse(TextLimits.line(text));
        }
        throw new Refusal(
                "value", "Give the %s as a value or as typed text, one of the two.".formatted(attribute.label()));
    }

    /**
     * A value of an attribute from a request.
     *
     * @throws Refusal with the sentence of the value's own check, or naming the part that is missing
     */
    public AttributeValue value(Attribute attribute, JsonNode node) {
        try {
            AttributeValue value = mapper.treeToValue(node, attribute.type());
            if (value == null) {
                throw new Refusal("value", "The %s is missing.".formatted(attribute.label()));
            }
            return value;
        } catch (JsonProcessingException bad) {
            if (bad.getCause() instanceof Refusal refusal) {
                throw refusal;
            }
            throw new Refusal("value", "This is not a value for the %s: %s".formatted(attribute.label(), node));
        }
    }
}
