package org.oblume.server.team;

import java.util.EnumSet;
import java.util.Set;

/** What a person is there for. */
public enum TeamRole {
    LEAD("lead", EnumSet.allOf(Permission.class)),
    CREW("crew", EnumSet.range(Permission.READ, Permission.EDIT)),
    CONTROL("control", EnumSet.of(Permission.READ, Permission.NOTE, Permission.PATCH)),
    CONTINUITY("continuity", EnumSet.of(Permission.READ, Permission.NOTE)),
    READER("reader", EnumSet.of(Permission.READ));

    private final String label;
    private final Set<Permission> allows;

    TeamRole(String label, Set<Permission> allows) {
        this.label = label;
        this.allows = Set.copyOf(allows);
    }

    public String label() {
        return label;
    }

    public boolean allows(Permission what) {
        return allows.contains(what);
    }

    public Set<Permission> allows() {
        return allows;
    }
}
