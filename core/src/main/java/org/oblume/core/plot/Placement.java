package org.oblume.core.plot;

import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Something placed in a scene's plot. What it is stays; what is recorded of it changes from shot to shot.
 *
 * @param key stable name within the scene, lower case letters, digits and hyphens
 * @param name what the crew calls it: {@code Key}
 * @param kind kind of thing
 * @param role what it is there for
 * @param motivation what in the story would make this light, or null
 * @param piece the thing itself
 * @param group what it is moved and switched with, 1 to 60 characters, or null
 * @param locked whether it stays where it stands until it is unlocked; null means it does not
 */
public record Placement(
        String key,
        String name,
        PlacementKind kind,
        Role role,
        @Nullable String motivation,
        Piece piece,
        @Nullable String group,
        @Nullable Boolean locked) {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_MOTIVATION = 200;
    private static final Set<Attribute> WHERE_IT_STANDS = EnumSet.of(Attribute.PLACE, Attribute.HEIGHT, Attribute.AIM);

    public Placement {
        if (!key.matches("[a-z0-9]+(-[a-z0-9]+){0,15}") || key.length() > LONGEST_NAME) {
            throw new Refusal(
                    "“%s” is not a placement key: use lower case letters, digits and hyphens.".formatted(key));
        }
        name = Checks.text("The name", name, LONGEST_NAME);
        motivation = motivation == null || motivation.isBlank()
                ? null
                : Checks.text("The motivation", motivation, LONGEST_MOTIVATION);
        group = group == null || group.isBlank() ? null : Checks.text("The group", group, LONGEST_NAME);
        locked = (locked != null && locked) ? true : null;
    }

    /** Something in no group that can be moved. */
    public Placement(String key, String name, PlacementKind kind, Role role, @Nullable String motivation, Piece piece) {
        this(key, name, kind, role, motivation, piece, null, null);
    }

    /**
     * This placement with its kind said, which nobody had known.
     *
     * @throws Refusal when its kind is known: another unit in its place is an exchange
     */
    public Placement withKindSaid(Piece said) {
        if (!piece.what().equals(Piece.KIND_NOT_SAID)) {
            throw new Refusal(
                    "piece",
                    "%s is recorded as %s. Where another took its place, record it as exchanged."
                            .formatted(name, piece.what()));
        }
        return with(said);
    }

    /** This placement with another thing in its place. */
    public Placement with(Piece other) {
        return new Placement(key, name, kind, role, motivation, other, group, locked);
    }

    /**
     * Checks that a value may be changed by hand.
     *
     * @throws Refusal when it says where a locked thing stands
     */
    public void refuseMovingWhenLocked(Attribute attribute) {
        if (locked != null && WHERE_IT_STANDS.contains(attribute)) {
            throw new Refusal("%s is locked where it stands: unlock it first.".formatted(name));
        }
    }

    /**
     * Checks that a value can be recorded of this placement.
     *
     * @throws Refusal when this kind of thing has no such attribute, or this lamp cannot be dialled there
     */
    public void check(AttributeValue value) {
        Attribute attribute = Attribute.of(value);
        if (!kind.records(attribute)) {
            throw new Refusal("%s has no %s to record.".formatted(name, attribute.label()));
        }
        if (value instanceof ColourTemperature dial && piece.lowestKelvin() != null && piece.highestKelvin() != null) {
            Checks.within(
                    "%s: colour temperature".formatted(name),
                    dial.kelvin(),
                    piece.lowestKelvin(),
                    piece.highestKelvin(),
                    " K");
        }
        if (value instanceof SetStatus standing && standing.state() == SetStatus.State.OFF && !kind.isLight()) {
            throw new Refusal("%s cannot be off: it is on set or struck.".formatted(name));
        }
    }
}
