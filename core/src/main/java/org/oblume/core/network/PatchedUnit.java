package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;

/**
 * A light that stands in a shot, with all that the network has to know of it.
 *
 * @param placement the light
 * @param patch where it listens
 * @param modes what its kind has; empty when they are not known
 * @param values what it is dialled to
 * @param menu what is set in its own menu
 */
public record PatchedUnit(Placement placement, Patch patch, List<Mode> modes, FixtureValues values, Menu menu) {

    public PatchedUnit {
        modes = List.copyOf(modes);
    }

    /**
     * The lights on set in a shot, in the scene's order.
     *
     * @param modesOf what modes a thing has
     */
    public static List<PatchedUnit> of(SceneRecord scene, RecordedState state, Function<Piece, List<Mode>> modesOf) {
        List<PatchedUnit> units = new ArrayList<>();
        for (Placement placement : scene.placements()) {
            if (placement.kind().isLight() && state.isOnSet(placement.key())) {
                String key = placement.key();
                units.add(new PatchedUnit(
                        placement,
                        state.value(key, Patch.class).orElse(Patch.BY_HAND),
                        modesOf.apply(placement.piece()),
                        FixtureValues.of(state, key),
                        state.value(key, Menu.class).orElse(Menu.NOTHING)));
            }
        }
        return units;
    }

    /** Key of the placement. */
    public String key() {
        return placement.key();
    }

    /** What it is called on the plot. */
    public String name() {
        return placement.name();
    }

    /** Whether the crew has a name of its own for the very unit. */
    boolean hasUnit() {
        return placement.piece().unit() != null;
    }

    /**
     * First slot of its footprint, 1 to 512.
     *
     * @throws NullPointerException when it is not patched
     */
    int address() {
        return Objects.requireNonNull(patch.address());
    }

    /**
     * Last slot of its footprint, which may be past 512.
     *
     * @throws NullPointerException when it is not patched
     */
    int lastSlot() {
        return Objects.requireNonNull(last());
    }

    /** The crew's own name of the very unit; what it is called on the plot when it has none. */
    public String unit() {
        return placement.piece().unit() == null
                ? placement.name()
                : placement.piece().unit();
    }

    /** The recorded mode, when the kind has one of that name. */
    public Optional<Mode> mode() {
        return modes.stream()
                .filter(m -> m.name().equalsIgnoreCase(String.valueOf(patch.mode())))
                .findFirst();
    }

    /** How many slots it takes: by its mode, else as recorded, else 1. */
    public int slots() {
        return mode().map(Mode::slots).orElseGet(() -> patch.slots() == null ? 1 : patch.slots());
    }

    /** Last slot of its footprint, which may be past 512; null when it has no address. */
    public @Nullable Integer last() {
        return patch.address() == null ? null : (Integer) (patch.address() + slots() - 1);
    }

    public boolean isPatched() {
        return patch.universe() != null;
    }

    /** What is recorded of it and cannot be sent, each with its value; empty when all of it is sent. */
    public List<String> atTheHead() {
        if (!isPatched()) {
            return List.of(values.say());
        }
        Stream<String> lost =
                mode().filter(Mode::isKnown).map(m -> values.unsupportedBy(m, placement)).orElse(List.of()).stream()
                        .map(parameter -> switch (parameter) {
                            case CCT -> "%.0f K".formatted(values.kelvin());
                            case TINT -> "tint " + new Tint(values.duv()).say();
                            case HUE -> values.colour().say();
                            case EFFECT, RATE -> values.effect().say();
                            default -> "level %.0f %%".formatted(values.levelPercent());
                        });
        return Stream.concat(lost, values.effect().colours().map(c -> "its effect " + c).stream())
                .distinct()
                .toList();
    }

    /** A mode to give it when it has none: of those that carry all it is dialled to the finest, else the one with most slots. */
    public Optional<Mode> usualMode() {
        return modes.stream()
                .max(Comparator.<Mode>comparingInt(
                                m -> -values.unsupportedBy(m, placement).size())
                        .thenComparingInt(Mode::slots));
    }
}
