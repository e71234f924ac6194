package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Conflict.Kind;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;

/** Finds what cannot work in a patch, one method a rule; each conflict says how to mend it. */
public final class PatchCheck {

    private final List<PatchedUnit> units;
    private final List<NetworkNode> nodes;
    private final List<SacnSource> sources;
    private final @Nullable String us;
    private final List<Conflict> found = new ArrayList<>();

    /**
     * Something that sends a universe, as a receiver hears it.
     *
     * @param id the source's own identifier
     * @param name that it gives itself
     * @param priority 0 to 200
     */
    public record SacnSource(int universe, String id, String name, int priority) {}

    private PatchCheck(
            List<PatchedUnit> units, List<NetworkNode> nodes, List<SacnSource> sources, @Nullable String us) {
        this.units = units;
        this.nodes = nodes;
        this.sources = sources;
        this.us = us;
    }

    /**
     * @param units the lights on set in a shot
     * @param nodes of the production; with none of them nothing is said about nodes
     * @param sources heard on the network now; empty when nobody listens
     * @param us identifier under which this Oblume sends, or null when it does not
     */
    public static List<Conflict> of(
            Collection<PatchedUnit> units,
            Collection<NetworkNode> nodes,
            Collection<SacnSource> sources,
            @Nullable String us) {
        PatchCheck check = new PatchCheck(List.copyOf(units), List.copyOf(nodes), List.copyOf(sources), us);
        check.overlaps();
        check.sameUnitTwice();
        check.units.forEach(check::modeAndAddress);
        check.nodeAddresses();
        check.universesCarried();
        check.sources();
        return List.copyOf(check.found);
    }

    private void overlaps() {
        List<PatchedUnit> patched =
                units.stream().filter(PatchedUnit::isPatched).toList();
        for (int i = 0; i < patched.size(); i++) {
            for (int j = i + 1; j < patched.size(); j++) {
                PatchedUnit one = patched.get(i);
                PatchedUnit other = patched.get(j);
                if (Objects.equals(one.patch().universe(), other.patch().universe())
                        && address(one) <= last(other)
                        && address(other) <= last(one)) {
                    add(
                            Kind.OVERLAP,
                            List.of(key(one), key(other)),
                            "%s (%s) and %s (%s) share slots of universe %d."
                                    .formatted(
                                            name(one),
                                            footprint(one),
                                            name(other),
                                            footprint(other),
                                            one.patch().universe()),
                            "Give %s the next free address.".formatted(name(other)),
                            moved(other));
                }
            }
        }
    }

    private void sameUnitTwice() {
        Map<String, PatchedUnit> seen = new LinkedHashMap<>();
        for (PatchedUnit unit : units) {
            if (unit.placement().piece().unit() == null) {
                continue;
            }
            PatchedUnit first = seen.putIfAbsent(unit.unit(), unit);
            if (first != null) {
                add(
                        Kind.SAME_UNIT_TWICE,
                        List.of(key(first), key(unit)),
                        "%s is %s and %s at once: there is one unit of that name."
                                .formatted(unit.unit(), name(first), name(unit)),
                        "Give one of them another unit, or strike it in this shot.",
                        Map.of());
            }
        }
    }

    private void modeAndAddress(PatchedUnit unit) {
        Patch patch = unit.patch();
        if (patch.reachedBy().isNetwork() && !unit.isPatched()) {
            add(
                    Kind.NO_ADDRESS,
                    List.of(key(unit)),
                    "%s is %s and has no address."
                            .formatted(name(unit), patch.reachedBy().label()),
                    "Give it the next free address.",
                    moved(unit));
        }
        if (unit.isPatched() && last(unit) > Patch.LAST_ADDRESS) {
            add(
                    Kind.PAST_512,
                    List.of(key(unit)),
                    "%s takes %d slots from %d: it would end at %d, past 512."
                            .formatted(name(unit), unit.slots(), address(unit), last(unit)),
                    "Start it at %d or lower, or in another universe.".formatted(Patch.LAST_ADDRESS - unit.slots() + 1),
                    moved(unit));
        }
        Mode mode = unit.mode().orElse(null);
        if (unit.isPatched() && mode == null && !unit.modes().isEmpty()) {
            add(
                    Kind.UNKNOWN_MODE,
                    List.of(key(unit)),
                    patch.mode() == null
                            ? "%s has no mode recorded: what its slots are is not known.".formatted(name(unit))
                            : "%s is in mode “%s”, which %s does not have."
                                    .formatted(
                                            name(unit),
                                            patch.mode(),
                                            unit.placement().piece().what()),
                    "Choose one of its modes: %s."
                            .formatted(unit.modes().stream().map(Mode::name).collect(Collectors.joining(", "))),
                    unit.usualMode()
                            .map(usual -> Map.of(key(unit), fitted(unit, usual)))
                            .orElse(Map.of()));
        }
        if (unit.isPatched() && mode != null) {
            if (patch.slots() != null && patch.slots() != mode.slots()) {
                add(
                        Kind.FOOTPRINT,
                        List.of(key(unit)),
                        "%s is recorded with %d slots; %s has %d."
                                .formatted(name(unit), patch.slots(), mode.name(), mode.slots()),
                        "Record it with %d slots.".formatted(mode.slots()),
                        Map.of(key(unit), fitted(unit, mode)));
            }
            lacking(unit, mode);
        }
    }

    private void lacking(PatchedUnit unit, Mode mode) {
        List<Parameter> lost = mode.isKnown() ? unit.values().unsupportedBy(mode, unit.placement()) : List.of();
        if (lost.isEmpty()) {
            return;
        }
        String what = lost.stream().map(PatchCheck::recorded).distinct().collect(Collectors.joining(" and "));
        Mode better = unit.modes().stream()
                .filter(m -> m.isKnown()
                        && unit.values().unsupportedBy(m, unit.placement()).isEmpty())
                .findFirst()
                .orElse(null);
        add(
                Kind.MODE_LACKS,
                List.of(key(unit)),
                "%s has %s recorded; its mode %s has no slot for it.".formatted(name(unit), what, mode.name()),
                better == null
                        ? "Set it at the head, and note it."
                        : "Change it to %s, at the next address with room for its %d slots."
                                .formatted(better.name(), better.slots()),
                better == null ? Map.of() : Map.of(key(unit), fitted(unit, better)));
    }

    private void nodeAddresses() {
        for (int i = 0; i < nodes.size(); i++) {
            NetworkNode node = nodes.get(i);
            for (NetworkNode other : nodes.subList(i + 1, nodes.size())) {
                if (node.address().equals(other.address())) {
                    add(
                            Kind.NODE_CLASH,
                            List.of(node.name(), other.name()),
                            "%s and %s have the same address %s: only one of them is heard."
                                    .formatted(
                                            node.name(),
                                            other.name(),
                                            node.address().print()),
                            "Give one of them another address in the network.",
                            Map.of());
                } else if (!node.address().sharesNetwork(other.address(), node.mask())
                        || !node.mask().equals(other.mask())) {
                    add(
                            Kind.NODE_OUTSIDE,
                            List.of(other.name()),
                            "%s (%s / %s) is not in the network of %s (%s / %s)."
                                    .formatted(
                                            other.name(),
                                            other.address().print(),
                                            other.mask().print(),
                                            node.name(),
                                            node.address().print(),
                                            node.mask().print()),
                            "Give it an address and a mask of that network.",
                            Map.of());
                }
            }
            if (node.address().isNetworkOrBroadcast(node.mask())) {
                add(
                        Kind.NODE_OUTSIDE,
                        List.of(node.name()),
                        "%s has the address %s, which in its network stands for no single device."
                                .formatted(node.name(), node.address().print()),
                        "Give it another address.",
                        Map.of());
            }
            if (node.gateway() != null && !node.gateway().sharesNetwork(node.address(), node.mask())) {
                add(
                        Kind.NODE_OUTSIDE,
                        List.of(node.name()),
                        "The gateway %s of %s lies outside its network."
                                .formatted(node.gateway().print(), node.name()),
                        "Clear the gateway, or give one inside the network: sACN does not need it.",
                        Map.of());
            }
        }
    }

    private void universesCarried() {
        if (nodes.isEmpty()) {
            return;
        }
        Map<Integer, List<PatchedUnit>> byUniverse = units.stream()
                .filter(PatchedUnit::isPatched)
                .collect(Collectors.groupingBy(
                        u -> Objects.requireNonNull(u.patch().universe()), TreeMap::new, Collectors.toList()));
        byUniverse.forEach((universe, in) -> {
            if (nodes.stream().noneMatch(n -> n.carries(universe))) {
                add(
                        Kind.NOT_CARRIED,
                        in.stream().map(PatchCheck::key).toList(),
                        "No node carries universe %d: %s would hear nothing."
                                .formatted(
                                        universe,
                                        in.stream().map(PatchCheck::name).collect(Collectors.joining(", "))),
                        "Give universe %d to a port of a node, or patch them elsewhere.".formatted(universe),
                        Map.of());
            }
        });
    }

    private void sources() {
        Map<Integer, List<SacnSource>> byUniverse = sources.stream()
                .collect(Collectors.groupingBy(SacnSource::universe, TreeMap::new, Collectors.toList()));
        byUniverse.forEach((universe, heard) -> {
            int highest = heard.stream().mapToInt(SacnSource::priority).max().orElseThrow();
            List<SacnSource> top =
                    heard.stream().filter(s -> s.priority() == highest).toList();
            if (top.size() > 1) {
                add(
                        Kind.TWO_SOURCES,
                        top.stream().map(SacnSource::name).toList(),
                        "%s both send universe %d at priority %d: which is heard is chance."
                                .formatted(
                                        top.stream().map(SacnSource::name).collect(Collectors.joining(" and ")),
                                        universe,
                                        highest),
                        "Stop one of them, or give it another priority.",
                        Map.of());
            }
            heard.stream()
                    .filter(s -> s.id().equals(us) && s.priority() < highest)
                    .findFirst()
                    .ifPresent(ours -> add(
                            Kind.OVERRULED,
                            top.stream().map(SacnSource::name).toList(),
                            "%s sends universe %d at priority %d, above ours of %d: it is heard, not we."
                                    .formatted(top.get(0).name(), universe, highest, ours.priority()),
                            "Stop it, or recall with a priority above %d.".formatted(highest),
                            Map.of()));
        });
    }

    /** The unit somewhere else: the next free address after all that stand, from the start of its own universe, else of the first. */
    private Map<String, Patch> moved(PatchedUnit unit) {
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
        return Map.of(key(unit), mode == null ? to : to.in(mode.name(), mode.slots()));
    }

    /** The unit in a mode: where it stands when there is room, else at the next address that has it. */
    private Patch fitted(PatchedUnit unit, Mode mode) {
        FreeSlots.Spot here =
                new FreeSlots.Spot(Objects.requireNonNull(unit.patch().universe()), address(unit));
        FreeSlots.Spot spot = free(unit)
                                .inUniverse(here.universe(), here.address(), mode.slots(), 1)
                                .orElse(0)
                        == here.address()
                ? here
                : free(unit).next(new FreeSlots.Spot(here.universe(), 1), mode.slots(), 1);
        Patch bare = new Patch(spot.universe(), spot.address(), mode.slots(), mode.name());
        return unit.patch().reachedBy() == ControlPath.WIRELESS
                ? new Patch(bare.universe(), bare.address(), bare.slots(), bare.mode(), ControlPath.WIRELESS, null)
                : bare;
    }

    private FreeSlots free(PatchedUnit but) {
        return FreeSlots.around(units.stream().filter(u -> !u.equals(but)).toList());
    }

    private void add(Kind kind, List<String> about, String sentence, String mend, Map<String, Patch> proposal) {
        found.add(new Conflict(kind, about, sentence, mend, proposal));
    }

    private static String recorded(Parameter parameter) {
        return switch (parameter) {
            case CCT -> "a colour temperature";
            case HUE -> "a colour";
            case RATE -> "a rate";
            case EFFECT -> "an effect";
            default -> "a " + parameter.label();
        };
    }

    private static String footprint(PatchedUnit unit) {
        return address(unit) == last(unit) ? String.valueOf(address(unit)) : address(unit) + " to " + last(unit);
    }

    private static int address(PatchedUnit unit) {
        return Objects.requireNonNull(unit.patch().address());
    }

    private static int last(PatchedUnit unit) {
        return Objects.requireNonNull(unit.last());
    }

    private static String key(PatchedUnit unit) {
        return unit.placement().key();
    }

    private static String name(PatchedUnit unit) {
        return unit.placement().name();
    }
}
