package org.oblume.server.light;

import java.util.List;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;

/** A change that is meant, to be tried. */
public record ParsedChange(String placement, Attribute attribute, AttributeValue value) {

    public static List<ParsedChange> of(List<Change> changes) {
        return changes.stream()
                .map(c -> new ParsedChange(c.placement(), c.attribute(), c.value()))
                .toList();
    }
}
