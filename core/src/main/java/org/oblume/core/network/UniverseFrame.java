package org.oblume.core.network;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.oblume.core.plot.Patch;

/**
 * What is sent in one universe: for each slot that something listens to, a part of full, one slot wide or two. 8 bits are
 * {@code round(255·v)}, 16 bits {@code round(65535·v)}, coarse then fine (formulas, "Network").
 */
public final class UniverseFrame {

    public static final int SLOTS = Patch.LAST_ADDRESS;
    private static final int BYTE = 255;
    private static final int WORD = 65535;
    private static final int BITS = 8;

    private enum Width {
        FREE,
        COARSE,
        WIDE,
        FINE
    }

    /**
     * When a light runs within a fade, as parts of the whole.
     *
     * @param begin 0 to 1
     * @param length 0 (at once) to 1
     */
    public record Timing(double begin, double length) {

        /** All the way with it. */
        public static final Timing WHOLE = new Timing(0, 1);

        /** Part of its own way, 0 to 1, at a part of the whole. */
        double at(double done) {
            if (done >= 1 || length == 0) {
                return done >= begin ? 1 : 0;
            }
            return Math.max(0, Math.min(1, (done - begin) / length));
        }
    }

    private final int universe;
    private final Timing[] timings = new Timing[SLOTS];
    private final double[] parts = new double[SLOTS];
    private final Width[] widths = new Width[SLOTS];
    private final Parameter[] what = new Parameter[SLOTS];

    private UniverseFrame(int universe) {
        this.universe = universe;
        Arrays.fill(widths, Width.FREE);
        Arrays.fill(timings, Timing.WHOLE);
    }

    /** A universe in which every slot is 0. */
    public static UniverseFrame blackout(int universe) {
        return new UniverseFrame(universe);
    }

    /** What a shot's units are to hear, by universe. Those without an address or without a known mode are left out. */
    public static Map<Integer, UniverseFrame> of(Collection<PatchedUnit> units) {
        return of(units, light -> Timing.WHOLE);
    }

    /**
     * The same, where each light has its own time within the fade.
     *
     * @param timing by the key of its placement
     */
    public static Map<Integer, UniverseFrame> of(Collection<PatchedUnit> units, Function<String, Timing> timing) {
        Map<Integer, UniverseFrame> frames = new TreeMap<>();
        for (PatchedUnit unit : units) {
            Patch patch = unit.patch();
            Integer address = patch.address();
            if (patch.universe() != null && address != null) {
                UniverseFrame frame = frames.computeIfAbsent(patch.universe(), UniverseFrame::new);
                unit.mode()
                        .ifPresent(mode -> frame.put(
                                address,
                                mode,
                                unit.values().parts(Ranges.of(unit.placement().piece())),
                                timing.apply(unit.key())));
            }
        }
        return frames;
    }

    private void put(int address, Mode mode, Map<Parameter, Double> values, Timing timing) {
        int slot = address - 1;
        for (Mode.Channel channel : mode.channels()) {
            if (slot + channel.slots() > SLOTS) {
                return;
            }
            parts[slot] = values.getOrDefault(channel.parameter(), 0.0);
            widths[slot] = channel.fine() ? Width.WIDE : Width.COARSE;
            what[slot] = channel.parameter();
            timings[slot] = timing;
            if (channel.fine()) {
                widths[slot + 1] = Width.FINE;
            }
            slot += channel.slots();
        }
    }

    public int universe() {
        return universe;
    }

    /** The 512 slots. */
    public byte[] slots() {
        byte[] out = new byte[SLOTS];
        writeTo(this, 1, out, 0);
        return out;
    }

    /**
     * The slots on the way from another frame to this one. What does not fade, or has another width there, is as here at once. A light that comes
     * from nothing or goes to nothing fades by its level alone, so that its colour does not run through others.
     *
     * @param from the same universe before
     * @param done part of the way, 0 to 1
     * @param out written to
     * @param at index of the first slot in it
     */
    public void writeTo(UniverseFrame from, double done, byte[] out, int at) {
        for (int slot = 0; slot < SLOTS; slot++) {
            Width width = width(from, slot);
            if (width == Width.FINE) {
                continue;
            }
            double part = done < 1 ? part(from, slot, done) : parts[slot];
            if (width == Width.WIDE) {
                int word = (int) Math.round(WORD * part);
                out[at + slot] = (byte) (word >> BITS);
                out[at + slot + 1] = (byte) word;
            } else {
                out[at + slot] = (byte) Math.round(BYTE * part);
            }
        }
    }

    /** This frame as far on the way from another: where a new fade starts when one is cut short. */
    public UniverseFrame between(UniverseFrame from, double done) {
        UniverseFrame on = new UniverseFrame(universe);
        for (int slot = 0; slot < SLOTS; slot++) {
            on.widths[slot] = width(from, slot);
            on.what[slot] = what[slot] == null ? from.what[slot] : what[slot];
            on.parts[slot] = done < 1 ? part(from, slot, done) : parts[slot];
        }
        return on;
    }

    private Width width(UniverseFrame from, int slot) {
        return widths[slot] == Width.FREE ? from.widths[slot] : widths[slot];
    }

    private double part(UniverseFrame from, int slot, double whole) {
        double done = timings[slot].at(whole);
        boolean comes = from.widths[slot] == Width.FREE;
        boolean goes = widths[slot] == Width.FREE;
        Parameter parameter = goes ? from.what[slot] : what[slot];
        if (comes || goes) {
            double there = goes ? from.parts[slot] : parts[slot];
            double level = goes ? 1 - done : done;
            return parameter == Parameter.LEVEL ? there * level : there;
        }
        if (parameter == null || !parameter.fades() || from.widths[slot] != widths[slot]) {
            return done > 0 || timings[slot].begin() == 0 ? parts[slot] : from.parts[slot];
        }
        return from.parts[slot] + (parts[slot] - from.parts[slot]) * done;
    }

    /** What a fixture in a mode at an address hears in received slots. */
    public static Map<Parameter, Double> decode(byte[] slots, int address, Mode mode) {
        Map<Parameter, Double> parts = new EnumMap<>(Parameter.class);
        int slot = address - 1;
        for (Mode.Channel channel : mode.channels()) {
            if (slot + channel.slots() > SLOTS) {
                break;
            }
            int coarse = slots[slot] & BYTE;
            double part = channel.fine()
                    ? ((coarse << BITS) + (slots[slot + 1] & BYTE)) / (double) WORD
                    : coarse / (double) BYTE;
            parts.putIfAbsent(channel.parameter(), part);
            slot += channel.slots();
        }
        return parts;
    }
}
