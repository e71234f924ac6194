package org.oblume.server.team;

import java.util.EnumSet;
import java.util.Set;

/** What a person is there for. */
public enum Role {
    LEAD("lead", EnumSet.allOf(May.class)), CREW("crew", EnumSet.range(May.READ, May.EDIT)),
    CONTROL("control", EnumSet.of(May.READ, May.NOTE, May.PATCH)), CONTINUITY("continuity", EnumSet.of(May.READ, May.NOTE)),
    READER("reader", EnumSet.of(May.READ));

    private final String label;
    private final Set<May> allows;

    Role(String label, Set<May> allows) {
        this.label = label;
        this.allows = Set.copyOf(allows);
    }

    public String label() {
        return label;
    }

    public boolean allows(May what) {
        return allows.contains(what);
    }

    public Set<May> allows() {
        return allows;
    }
}
