package org.oblume.server.carry;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.List;
import org.oblume.core.plot.Attribute;

/** A look with all that it holds, as a file has it. */
public record SavedLook(String name, String author, Instant at, List<LookValue> values) {

    /** One value of a look. */
    public record LookValue(String placement, Attribute attribute, JsonNode value) {}
}
