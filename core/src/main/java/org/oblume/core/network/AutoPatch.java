package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Place;

/** Gives units addresses one after the other. Nothing is kept by it: what it answers is looked at first. */
public final class AutoPatch {

    private AutoPatch() {}

    /** In what order units get their addresses. */
    public enum Order {
        /** Left to right on the plan, then up. */
        POSITION,
        /** As a scene is built: ambience, practicals, key, fill, edge, background. */
        ROLE,
        /** The hungriest first. */
        POWER,
        /** As they are patched now: closes gaps. */
        ADDRESS
    }

    /** One unit's new place. */
    public record Repatch(PatchedUnit unit, Patch to) {}

    /**
     * @param units all that stand in the shot
     * @param keys those to patch; the others keep their place and are kept clear of
     * @param state where they stand
     * @param from first address to give
     * @param every addresses to begin at, 1 to 512
     * @return the units whose patch changes; those by the app or by hand are left as they are when they were patched so on purpose
     */
    public static List<Repatch> plan(
            Collection<PatchedUnit> units,
            Collection<String> keys,
            RecordedState state,
            Order order,
            FreeSlots.Spot from,
            int every) {
        List<PatchedUnit> wanted = units.stream()
                .filter(u -> keys.contains(u.placement().key()))
                .filter(AutoPatch::canBePatched)
                .sorted(comparing(order, state))
                .toList();
        FreeSlots free =
                FreeSlots.around(units.stream().filter(u -> !wanted.contains(u)).toList());
        List<Repatch> plan = new ArrayList<>();
        FreeSlots.Spot at = from;
        for (PatchedUnit unit : wanted) {
            Mode mode = unit.mode().or(unit::usualMode).orElse(null);
            int slots = mode == null ? unit.slots() : mode.slots();
            at = free.next(at, slots, every);
            free.take(at, slots);
            Patch placed = unit.patch().at(at.universe(), at.address());
            Patch to = mode == null ? placed : placed.in(mode.name(), mode.slots());
            if (!to.equals(unit.patch())) {
                plan.add(new Repatch(unit, to));
            }
        }
        return plan;
    }

    private static boolean canBePatched(PatchedUnit unit) {
        return unit.patch().reachedBy() != ControlPath.APP
                && (unit.isPatched() || unit.usualMode().isPresent());
    }

    private static Comparator<PatchedUnit> comparing(Order order, RecordedState state) {
        return switch (order) {
            case POSITION ->
                Comparator.<PatchedUnit>comparingDouble(u -> point(state, u).xM())
                        .thenComparingDouble(u -> point(state, u).yM());
            case ROLE -> Comparator.comparing(u -> u.placement().role());
            case POWER ->
                Comparator.<PatchedUnit>comparingDouble(
                        u -> -u.placement().piece().watts());
            case ADDRESS ->
                Comparator.<PatchedUnit>comparingInt(u -> u.patch().universe() == null
                                ? Integer.MAX_VALUE
                                : u.patch().universe())
                        .thenComparingInt(
                                u -> u.patch().address() == null ? 0 : u.patch().address());
        };
    }

    private static PlanPoint point(RecordedState state, PatchedUnit unit) {
        return state.value(unit.placement().key(), Place.class)
                .map(Place::point)
                .orElse(new PlanPoint(0, 0));
    }
}
