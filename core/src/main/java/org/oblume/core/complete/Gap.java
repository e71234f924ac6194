package org.oblume.core.complete;

import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;

/** What can be missing of a thing, and the one act that mends it. */
public enum Gap {
    KIND("Kind", null),
    PLACE("Tape", Attribute.PLACE),
    HEIGHT("Height", Attribute.HEIGHT),
    AIM("Aim", Attribute.AIM),
    THROUGH("Through", Attribute.MODIFIERS),
    LEVEL("Level", Attribute.LEVEL),
    WHITE("White", Attribute.CCT),
    CONTROL("Address", Attribute.PATCH),
    FEED("Feed", Attribute.FEED),
    RIG("Rigging", Attribute.RIG);

    private final String act;
    private final @Nullable Attribute attribute;

    Gap(String act, @Nullable Attribute attribute) {
        this.act = act;
        this.attribute = attribute;
    }

    /** What is done about it: {@code Tape}. */
    public String act() {
        return act;
    }

    /** The value that is then recorded; null when it is the thing itself that has to be told. */
    public @Nullable Attribute attribute() {
        return attribute;
    }
}
