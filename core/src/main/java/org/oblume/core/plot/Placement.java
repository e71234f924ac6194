package org.oblume.core.plot;

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
 */
public record Placement(String key, String name, PlacementKind kind, Role role, @Nullable String motivation,
        Piece piece) {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_MOTIVATION = 200;

    public Placement {
        if (!key.matches("[a-z0-9]+(-[a-z0-9]+){0,15}") || key.length() > LONGEST_NAME) {
            throw new Refusal("“%s” is not a placement key: use lower case letters, digits and hyphens.".formatted(key));
        }
        name = Checks.text("The name", name, LONGEST_NAME);
        motivation = motivation == null || motivation.isBlank() ? null
                : Checks.text("The motivation", motivation, LONGEST_MOTIVATION);
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
        if (value instanceof Dial dial && piece.lowestKelvin() != null && piece.highestKelvin() != null) {
            Checks.within("%s: colour temperature".formatted(name), dial.kelvin(), piece.lowestKelvin(),
                    piece.highestKelvin(), " K");
        }
        if (value instanceof Standing standing && standing.state() == Standing.State.OFF && !kind.isLight()) {
            throw new Refusal("%s cannot be off: it is on set or struck.".formatted(name));
        }
    }
}
