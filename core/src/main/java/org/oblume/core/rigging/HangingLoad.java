package org.oblume.core.rigging;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;

/**
 * All that hangs from one beam, pipe or wall in a shot. An estimate with a factor: a qualified rigger decides.
 *
 * @param from as the crew calls it
 * @param massKg of all whose mass is known, kg
 * @param pullN with which flat cloths pull on it, all points together, newtons
 * @param limitKg the least that somebody said of it, or null
 * @param over whether {@value #FACTOR} times the mass is more than that
 * @param things what hangs there
 * @param unweighed of them, of which no mass is known
 * @param unbonded of them, of which nobody said that a bond holds them
 */
public record HangingLoad(
        String from,
        double massKg,
        double pullN,
        @Nullable Double limitKg,
        boolean over,
        List<String> things,
        List<String> unweighed,
        List<String> unbonded) {

    /** Of safety. */
    public static final double FACTOR = 1.5;

    /** By what they hang from, in the order of the placements. */
    public static List<HangingLoad> of(List<Placement> placements, RecordedState state) {
        Map<String, List<Hanging>> by = new LinkedHashMap<>();
        placements.stream()
                .filter(p -> state.isOnSet(p.key()))
                .flatMap(p -> Hanging.of(p, state).stream())
                .forEach(h -> by.computeIfAbsent(h.rig().from().toLowerCase(Locale.ROOT), k -> new ArrayList<>())
                        .add(h));
        return by.values().stream().map(HangingLoad::of).toList();
    }

    private static HangingLoad of(List<Hanging> things) {
        double mass = things.stream()
                .mapToDouble(h -> h.massKg() == null ? 0 : h.massKg())
                .sum();
        double pull = things.stream()
                .mapToDouble(h ->
                        h.pull() == null ? 0 : h.pull().perPointN() * h.rig().points())
                .sum();
        Double limit = things.stream()
                .map(h -> h.rig().limitKg())
                .filter(l -> l != null)
                .min(Double::compare)
                .orElse(null);
        return new HangingLoad(
                things.get(0).rig().from(),
                mass,
                pull,
                limit,
                limit != null && FACTOR * mass > limit,
                things.stream().map(Hanging::name).toList(),
                things.stream()
                        .filter(h -> h.massKg() == null)
                        .map(Hanging::name)
                        .toList(),
                things.stream()
                        .filter(h -> !Boolean.TRUE.equals(h.rig().bond()))
                        .map(Hanging::name)
                        .toList());
    }
}
