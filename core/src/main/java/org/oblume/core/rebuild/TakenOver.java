package org.oblume.core.rebuild;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.network.FixtureValues;
import org.oblume.core.network.Mode;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Placement;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Refusal;

/**
 * What a unit that stands in takes over of the one that is missing besides its light: its address, its hue, its effect.
 *
 * @param values in the place of those that it cannot take over as they are; what is not here holds as recorded
 * @param givenUp what it cannot, a few words each
 */
record TakenOver(List<AttributeValue> values, List<String> givenUp) {

    static TakenOver of(AsBuilt built, Placement other) {
        List<AttributeValue> values = new ArrayList<>();
        List<String> givenUp = new ArrayList<>();
        SceneRecord scene = built.scene();
        ShotState state = built.state();
        state.value(other.key(), Colour.class)
                .filter(c -> !c.plain() && cannotBe(scene, state, other, c))
                .ifPresent(c -> {
                    values.add(Colour.WHITE);
                    givenUp.add("has no hue: %s is to be hung before it".formatted(c.say()));
                });
        state.value(other.key(), Effect.class)
                .filter(e -> !e.equals(Effect.NONE) && cannotBe(scene, state, other, e))
                .ifPresent(e -> {
                    values.add(Effect.NONE);
                    givenUp.add("has no %s".formatted(e.say()));
                });
        state.value(other.key(), Patch.class)
                .filter(p -> p.universe() != null)
                .ifPresent(p -> patch(scene, state, other, p, values, givenUp));
        return new TakenOver(List.copyOf(values), List.copyOf(givenUp));
    }

    private static boolean cannotBe(SceneRecord scene, ShotState state, Placement other, AttributeValue value) {
        try {
            Reach.require(scene, state, other, value);
            return false;
        } catch (Refusal cannotBe) {
            return true;
        }
    }

    private static void patch(
            SceneRecord scene,
            ShotState state,
            Placement other,
            Patch recorded,
            List<AttributeValue> values,
            List<String> givenUp) {
        List<Mode> modes = Mode.of(other.piece());
        PatchedUnit unit = new PatchedUnit(other, recorded, modes, FixtureValues.of(state, other.key()), Menu.NOTHING);
        if (modes.isEmpty()) {
            givenUp.add("its modes are not known: mind its address");
            return;
        }
        Mode mode = unit.mode().or(unit::usualMode).orElseThrow();
        int first = recorded.address() == null ? 1 : recorded.address();
        int last = first + mode.slots() - 1;
        Optional<PatchedUnit> next = PatchedUnit.of(scene, state, Mode::of).stream()
                .filter(u -> u.isPatched() && !u.key().equals(other.key()))
                .filter(u -> Objects.equals(recorded.universe(), u.patch().universe()))
                .filter(u -> u.patch().address() != null
                        && u.patch().address() <= last
                        && u.last() != null
                        && u.last() >= first)
                .findFirst();
        if (last > Patch.LAST_ADDRESS || next.isPresent()) {
            givenUp.add("takes %d slots in %s and would reach %s: give it another address"
                    .formatted(
                            mode.slots(),
                            mode.name(),
                            next.map(n -> "into %s".formatted(n.name())).orElse("past slot 512")));
            return;
        }
        values.add(new Patch(
                recorded.universe(), recorded.address(), mode.slots(), mode.name(), recorded.path(), recorded.group()));
        List<String> lost = new PatchedUnit(
                        other,
                        new Patch(recorded.universe(), first, mode.slots(), mode.name()),
                        modes,
                        unit.values(),
                        Menu.NOTHING)
                .atTheHead();
        if (!lost.isEmpty()) {
            givenUp.add("is not told %s by the network in %s"
                    .formatted(String.join(", ", lost).toLowerCase(Locale.ROOT), mode.name()));
        }
    }
}
