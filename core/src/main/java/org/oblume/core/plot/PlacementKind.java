package org.oblume.core.plot;

import java.util.Set;

/** What kind of thing is placed, and with that what is recorded of it. */
public enum PlacementKind {
    HEAD(Attribute.OF_A_LIGHT), PRACTICAL(Attribute.OF_A_LIGHT), FLAG(Attribute.OF_A_MARK),
    CAMERA(Attribute.OF_A_CAMERA), MARK(Attribute.OF_A_MARK);

    private final Set<Attribute> attributes;

    PlacementKind(Set<Attribute> attributes) {
        this.attributes = Set.copyOf(attributes);
    }

    public boolean records(Attribute attribute) {
        return attributes.contains(attribute);
    }

    public boolean isLight() {
        return this == HEAD || this == PRACTICAL;
    }
}
