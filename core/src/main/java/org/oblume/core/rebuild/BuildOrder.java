package org.oblume.core.rebuild;

import java.util.List;
import java.util.stream.Stream;
import org.oblume.core.plot.Role;

/** The three orders in which good crews build a scene. The frame, its camera and its marks come first in each, what is no thing last. */
public enum BuildOrder {
    /** On a black canvas: room and shadow level first. */
    AMBIENCE_FIRST(Role.AMBIENCE, Role.PRACTICAL, Role.KEY, Role.FILL, Role.NEGATIVE_FILL, Role.EDGE, Role.BACKGROUND),
    /** From what cannot be changed: what comes through the window or lights the background first. */
    WINDOW_FIRST(Role.BACKGROUND, Role.AMBIENCE, Role.PRACTICAL, Role.KEY, Role.FILL, Role.NEGATIVE_FILL, Role.EDGE),
    /** Key, fill, edge, background. */
    KEY_FIRST(Role.KEY, Role.FILL, Role.NEGATIVE_FILL, Role.EDGE, Role.BACKGROUND, Role.PRACTICAL, Role.AMBIENCE);

    private static final List<Role> FRAME = List.of(Role.SUBJECT, Role.CAMERA);
    private static final List<Role> NO_THINGS = List.of(Role.CONDITION, Role.CUE);
    private final List<Role> roles;

    BuildOrder(Role... roles) {
        this.roles = List.of(roles);
    }

    /** Rank of a role in this order, lowest first. */
    public int rank(Role role) {
        return Stream.of(FRAME, roles, NO_THINGS).flatMap(List::stream).toList().indexOf(role);
    }
}
