package org.oblume.server.team;

import java.util.EnumSet;
import java.util.Set;
import org.oblume.server.call.Permission;

/** What a person is there for. */
public enum TeamRole {
    LEAD("lead", "everything, and who works here", EnumSet.allOf(Permission.class)),
    CREW("crew", "edits the record", EnumSet.complementOf(EnumSet.of(Permission.LEAD))),
    CONTROL(
            "control",
            "edits patch and recall, notes, ticks",
            EnumSet.of(Permission.READ, Permission.NOTE, Permission.PATCH)),
    CONTINUITY("continuity", "notes, takes, stills, ticks", EnumSet.of(Permission.READ, Permission.NOTE)),
    READER("reader", "reads", EnumSet.of(Permission.READ));

    private final String label;
    private final String does;
    private final Set<Permission> allows;

    TeamRole(String label, String does, Set<Permission> allows) {
        this.label = label;
        this.does = does;
        this.allows = Set.copyOf(allows);
    }

    public String label() {
        return label;
    }

    /** What a person of this role does, for whoever is invited. */
    public String does() {
        return does;
    }

    public boolean allows(Permission what) {
        return allows.contains(what);
    }

    public Set<Permission> allows() {
        return allows;
    }
}
