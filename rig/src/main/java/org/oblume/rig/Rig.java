package org.oblume.rig;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.LongSupplier;
import org.oblume.core.network.PatchCheck.SacnSource;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UnitAnswer;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.units.Refusal;

/** All virtual nodes and fixtures. Safe for several threads. */
public final class Rig {

    private static final int MOST_UNITS = 2000;
    private static final UUID RIVAL = new UUID(0x52, 1);
    private static final UUID FLOODER = new UUID(0x52, 2);
    private static final long RIVAL_EVERY_NANOS = 100_000_000L;
    private static final int NUMBERS = 256;
    private static final int SOME = 13;
    private static final int MANY = 1000;

    private final LongSupplier nanos;
    private final Sources sources = new Sources();
    private final Map<String, VirtualUnit> units = new LinkedHashMap<>();
    private final Map<String, VirtualNode> nodes = new LinkedHashMap<>();
    /** Priority by universe of another source that is played. */
    private final Map<Integer, Integer> rivals = new LinkedHashMap<>();

    private int rivalSequence;
    private long rivalsSentAt;
    private long received;
    private long malformed;

    /**
     * A virtual node.
     *
     * @param ports universes that it carries
     * @param up whether it works
     */
    public record VirtualNode(String name, List<Integer> ports, boolean up) {

        public VirtualNode {
            ports = List.copyOf(ports);
        }
    }

    /** A unit's answer with what it gives and what is wrong with it. */
    public record UnitState(UnitAnswer answer, double outputPercent, Set<Fault.Kind> faults) {}

    /**
     * @param received packets that came in
     * @param malformed of them that could not be read
     * @param outOfOrder of them that were behind others
     * @param flooding of them that came too fast, or from too many
     */
    public record Counts(long received, long malformed, long outOfOrder, long flooding) {}

    /** Everything there is to know. */
    public record State(List<UnitState> units, List<VirtualNode> nodes, List<SacnSource> sources, Counts packets) {}

    /** @param nanos a clock that only goes on, nanoseconds */
    public Rig(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** Hangs these units in the place of all that hung before. */
    public synchronized void patchFixtures(List<UnitSpec> specs) {
        if (specs.size() > MOST_UNITS) {
            throw new Refusal(
                    "units",
                    "%d units are more than this rig holds: hang %d at most.".formatted(specs.size(), MOST_UNITS));
        }
        Map<String, VirtualUnit> hung = new LinkedHashMap<>();
        for (UnitSpec spec : specs) {
            if (hung.put(spec.unit(), new VirtualUnit(spec, nanos.getAsLong())) != null) {
                throw new Refusal("units", "Two units are called %s: give each its own name.".formatted(spec.unit()));
            }
        }
        units.clear();
        units.putAll(hung);
        listen();
    }

    /** Sets up these nodes; with none of them every universe comes through. */
    public synchronized void connect(List<VirtualNode> wanted) {
        nodes.clear();
        wanted.forEach(n -> nodes.put(n.name(), n));
        listen();
    }

    public synchronized void nodeUp(String name, boolean up) {
        VirtualNode node = nodes.get(name);
        if (node == null) {
            throw new Refusal("node", "There is no node called %s.".formatted(name));
        }
        nodes.put(name, new VirtualNode(name, node.ports(), up));
        listen();
    }

    public synchronized void set(String unit, UnitSpec.Settings settings) {
        find(unit).set(settings);
        listen();
    }

    public synchronized void fail(String unit, Fault fault) {
        find(unit).fail(fault);
        listen();
    }

    public synchronized void clearFaults(String unit) {
        find(unit).clearFaults(nanos.getAsLong());
        listen();
    }

    /** Does to the receiver what a network can do. */
    public synchronized void disturb(Disturbance what) {
        int universe = what.universe() == null ? 1 : what.universe();
        int priority = what.priority() == null ? SacnPacket.USUAL_PRIORITY : what.priority();
        switch (what.kind()) {
            case RIVAL -> {
                rivals.put(universe, priority);
                sources.accept(rival(universe, priority), nanos.getAsLong());
            }
            case QUIET -> {
                rivals.clear();
                sources.forget(Set.of(RIVAL, FLOODER));
            }
            case MALFORMED -> {
                byte[] octets = rival(universe, priority).encode();
                for (int length = 0; length < octets.length; length += SOME) {
                    receive(octets, length);
                }
            }
            case FLOOD -> {
                for (int i = 0; i < MANY; i++) {
                    byte[] octets = new SacnPacket(
                                    FLOODER,
                                    "flood",
                                    0,
                                    i % NUMBERS,
                                    false,
                                    false,
                                    universe,
                                    new byte[UniverseFrame.SLOTS])
                            .encode();
                    receive(octets, octets.length);
                }
            }
        }
        listen();
    }

    private SacnPacket rival(int universe, int priority) {
        byte[] slots = new byte[UniverseFrame.SLOTS];
        Arrays.fill(slots, (byte) (NUMBERS / 2));
        return new SacnPacket(RIVAL, "house desk", priority, rivalSequence++ % NUMBERS, false, false, universe, slots);
    }

    /** A datagram that came in. */
    public synchronized void receive(byte[] octets, int length) {
        received++;
        try {
            SacnPacket packet = SacnPacket.decode(octets, length);
            sources.accept(packet, nanos.getAsLong());
            listen();
        } catch (Refusal unreadable) {
            malformed++;
        }
    }

    public synchronized State state() {
        listen();
        long now = nanos.getAsLong();
        List<UnitState> states = new ArrayList<>();
        units.values().forEach(u -> states.add(new UnitState(u.answer(now), u.outputPercent(now), u.faults())));
        return new State(
                states,
                List.copyOf(nodes.values()),
                sources.heard(now),
                new Counts(received, malformed, sources.outOfOrder(), sources.flooding()));
    }

    private void listen() {
        long now = nanos.getAsLong();
        if (now - rivalsSentAt > RIVAL_EVERY_NANOS) {
            rivals.forEach((universe, priority) -> sources.accept(rival(universe, priority), now));
            rivalsSentAt = now;
        }
        for (VirtualUnit unit : units.values()) {
            boolean carried = nodes.isEmpty()
                    || nodes.values().stream().anyMatch(n -> n.up() && n.ports().contains(unit.universe()));
            unit.hear(carried ? sources.slots(unit.universe(), now) : null);
        }
    }

    private VirtualUnit find(String unit) {
        VirtualUnit found = units.get(unit);
        if (found == null) {
            throw new Refusal("unit", "There is no unit called %s on the rig.".formatted(unit));
        }
        return found;
    }
}
