package org.oblume.core.plot;

import java.util.Optional;
import java.util.Set;

/** What kind of thing is placed, and with that what is recorded of it. */
public enum PlacementKind {
    HEAD(Attribute.OF_A_LIGHT),
    PRACTICAL(Attribute.OF_A_LIGHT),
    /** A window as the light it lets in. */
    DAYLIGHT(Attribute.OF_DAYLIGHT),
    /** Takes light away; black towards the mark it is negative fill. */
    FLAG(Attribute.OF_A_BOARD),
    /** Takes some of it away. */
    NET(Attribute.OF_A_CLOTH),
    /** A cloth or gel on a frame of its own, upright or overhead. */
    FRAME(Attribute.OF_A_CLOTH),
    CURTAIN(Attribute.OF_A_CLOTH),
    /** Throws a pattern: takes part of the light away. */
    PATTERN(Attribute.OF_A_CLOTH),
    BOUNCE(Attribute.OF_A_BOARD),
    MIRROR(Attribute.OF_A_BOARD),
    CAMERA(Attribute.OF_A_CAMERA),
    MARK(Attribute.OF_A_SUBJECT),
    /** Something about the place: it has a state and stands nowhere. */
    CONDITION(Attribute.OF_A_CONDITION),
    /** A moment within the shot at which lights change. */
    CUE(Attribute.OF_A_CUE);

    private final Set<Attribute> attributes;

    PlacementKind(Set<Attribute> attributes) {
        this.attributes = Set.copyOf(attributes);
    }

    public boolean records(Attribute attribute) {
        return attributes.contains(attribute);
    }

    /** What a thing of this kind is there for as a rule; empty of a light and of grip that serves any. */
    public Optional<Role> usualRole() {
        return switch (this) {
            case MARK -> Optional.of(Role.SUBJECT);
            case CAMERA -> Optional.of(Role.CAMERA);
            case FLAG -> Optional.of(Role.NEGATIVE_FILL);
            case BOUNCE -> Optional.of(Role.FILL);
            case DAYLIGHT -> Optional.of(Role.AMBIENCE);
            case PRACTICAL -> Optional.of(Role.PRACTICAL);
            default -> Optional.empty();
        };
    }

    public boolean isLight() {
        return this == HEAD || this == PRACTICAL;
    }

    /** Whether light comes from it of itself. */
    public boolean shines() {
        return isLight() || this == DAYLIGHT;
    }

    /** Whether it is a flat piece of grip that light meets. */
    public boolean isGrip() {
        return this != CAMERA && this != MARK && isThing() && !shines();
    }

    /** Whether it stands somewhere; a condition of the place and a cue do not. */
    public boolean isThing() {
        return this != CONDITION && this != CUE;
    }
}
