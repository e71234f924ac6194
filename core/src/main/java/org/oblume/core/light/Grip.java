package org.oblume.core.light;

import java.util.List;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Panel;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Surface;

/** A flat piece of grip where it stands, with what hangs in it. */
record Grip(String key, PlacementKind kind, Panel panel, Modifiers stack, Surface surface) {

    private static final Surface BLACK = Surface.grey(0.03);

    static List<Grip> standing(List<Placement> placements, RecordedState state) {
        return placements.stream()
                .filter(p -> p.kind().isGrip() && state.isOnSet(p.key()))
                .flatMap(p -> of(p, state).stream())
                .toList();
    }

    private static Optional<Grip> of(Placement placement, RecordedState state) {
        String key = placement.key();
        Surface surface = placement.piece().surface();
        return state.panel(placement)
                .map(panel -> new Grip(
                        key,
                        placement.kind(),
                        panel,
                        state.value(key, Modifiers.class).orElse(Modifiers.NONE),
                        surface == null ? BLACK : surface));
    }

    /** Whether nothing of a light comes straight through it: what comes on then comes from it. */
    boolean stops() {
        return switch (kind) {
            case FRAME -> stack.soften();
            case NET, PATTERN -> false;
            case CURTAIN -> stack.items().isEmpty() || stack.soften();
            default -> true;
        };
    }

    /** Whether it sends on what reaches its back, as a surface of its own. */
    boolean diffuses() {
        return (kind == PlacementKind.FRAME || kind == PlacementKind.CURTAIN) && stack.soften();
    }

    List<Modifier> through() {
        return stack.items();
    }
}
