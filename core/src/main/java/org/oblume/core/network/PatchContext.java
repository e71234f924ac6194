package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.PatchCheck.SacnSource;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;

/** A patch as its rules see it: units, nodes and what is heard on the network; and the list of what they found. */
final class PatchContext {

    private final List<PatchedUnit> units;
    private final List<NetworkNode> nodes;
    private final List<SacnSource> sources;
    private final @Nullable String us;
    private final List<Conflict> found = new ArrayList<>();

    PatchContext(List<PatchedUnit> units, List<NetworkNode> nodes, List<SacnSource> sources, @Nullable String us) {
        this.units = units;
        this.nodes = nodes;
        this.sources = sources;
        this.us = us;
    }

    List<PatchedUnit> units() {
        return units;
    }

    List<PatchedUnit> patched() {
        return units.stream().filter(PatchedUnit::isPatched).toList();
    }

    List<NetworkNode> nodes() {
        return nodes;
    }

    Map<Integer, List<SacnSource>> sourcesByUniverse() {
        return byUniverse(sources, SacnSource::universe);
    }

    Map<Integer, List<PatchedUnit>> patchedByUniverse() {
        return byUniverse(patched(), u -> Objects.requireNonNull(u.patch().universe()));
    }

    private static <T> Map<Integer, List<T>> byUniverse(Collection<T> all, Function<T, Integer> universe) {
        return all.stream().collect(Collectors.groupingBy(universe, TreeMap::new, Collectors.toList()));
    }

    boolean isUs(SacnSource source) {
        return source.id().equals(us);
    }

    /** The sources that are heard of those that send one universe: all with the highest priority. */
    static List<SacnSource> loudest(List<SacnSource> heard) {
        int highest = heard.stream().mapToInt(SacnSource::priority).max().orElseThrow();
        return heard.stream().filter(s -> s.priority() == highest).toList();
    }

    /** Something cannot work and is mended elsewhere. */
    void report(Conflict.Kind kind, List<String> about, String sentence, String fix) {
        report(kind, about, sentence, fix, Map.of());
    }

    /**
     * Something cannot work.
     *
     * @param about keys of the placements, or names of the nodes and sources
     * @param proposal new patches by key that would mend it
     */
    void report(Conflict.Kind kind, List<String> about, String sentence, String fix, Map<String, Patch> proposal) {
        found.add(new Conflict(kind, about, sentence, fix, proposal));
    }

    List<Conflict> found() {
        return List.copyOf(found);
    }

    /** The unit somewhere else: the next free address after all that stand, from the start of its own universe, else of the first. */
    Map<String, Patch> moved(PatchedUnit unit) {
        Mode mode = unit.mode().or(unit::usualMode).orElse(null);
        FreeSlots.Spot spot = free(unit)
                .next(
                        new FreeSlots.Spot(
                                unit.patch().universe() == null
                                        ? 1
                                        : unit.patch().universe(),
                                1),
                        mode == null ? unit.slots() : mode.slots(),
                        1);
        Patch to = unit.patch().at(spot.universe(), spot.address());
        return Map.of(unit.key(), mode == null ? to : to.in(mode.name(), mode.slots()));
    }

    /** The unit in a mode: where it stands when there is room, else at the next address that has it. */
    Map<String, Patch> fitted(PatchedUnit unit, Mode mode) {
        FreeSlots.Spot here =
                new FreeSlots.Spot(Objects.requireNonNull(unit.patch().universe()), unit.address());
        FreeSlots.Spot spot = free(unit)
                                .inUniverse(here.universe(), here.address(), mode.slots(), 1)
                                .orElse(0)
                        == here.address()
                ? here
                : free(unit).next(new FreeSlots.Spot(here.universe(), 1), mode.slots(), 1);
        boolean wireless = unit.patch().reachedBy() == ControlPath.WIRELESS;
        return Map.of(
                unit.key(),
                wireless
                        ? new Patch(
                                spot.universe(), spot.address(), mode.slots(), mode.name(), ControlPath.WIRELESS, null)
                        : new Patch(spot.universe(), spot.address(), mode.slots(), mode.name()));
    }

    private FreeSlots free(PatchedUnit but) {
        return FreeSlots.around(
                units.stream().filter(u -> !u.key().equals(but.key())).toList());
    }

    /** Names one after the other. */
    static <T> String names(Stream<T> all, Function<T, String> name, String between) {
        return all.map(name).collect(Collectors.joining(between));
    }
}
