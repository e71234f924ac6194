package org.oblume.rig;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.PatchCheck.SacnSource;
import org.oblume.core.network.SacnPacket;

/**
 * Who sends which universe, and who of them is heard: the highest priority; of several at one priority the one that was first
 * (ANSI E1.31-2018, 6.2.3 leaves that to the receiver). A source that is silent for 2.5 s is gone (6.7.1); a packet that is up to 20
 * numbers behind is dropped (6.7.2).
 */
final class Sources {

    private static final long SILENCE_NANOS = 2_500_000_000L;
    private static final long SECOND_NANOS = 1_000_000_000L;
    private static final int BEHIND = -20;
    /** Twice the highest rate of a DMX512 line: what comes faster is dropped. */
    private static final int MOST_A_SECOND = 88;

    private static final int MOST_SOURCES = 16;
    private static final int MOST_UNIVERSES = 512;

    private final Map<Integer, Map<UUID, Source>> universes = new TreeMap<>();
    private long outOfOrder;
    private long tooFast;
    private long tooMany;

    private static final class Source {
        private String name = "";
        private int priority;
        private byte sequence;
        private long heardAt;
        private long windowFrom;
        private int inWindow;
        private byte[] slots = new byte[0];
    }

    void accept(SacnPacket packet, long now) {
        if (packet.preview()) {
            return;
        }
        forget(now);
        Map<UUID, Source> sources = universes.get(packet.universe());
        if (sources == null) {
            if (universes.size() >= MOST_UNIVERSES) {
                tooMany++;
                return;
            }
            sources = new LinkedHashMap<>();
            universes.put(packet.universe(), sources);
        }
        Source source = sources.get(packet.source());
        if (source == null) {
            if (packet.terminated()) {
                return;
            }
            if (sources.size() >= MOST_SOURCES) {
                tooMany++;
                return;
            }
            source = new Source();
            source.sequence = (byte) (packet.sequence() - 1);
            source.windowFrom = now;
            sources.put(packet.source(), source);
        }
        int ahead = (byte) (packet.sequence() - source.sequence);
        if (ahead <= 0 && ahead > BEHIND) {
            outOfOrder++;
            return;
        }
        source.sequence = (byte) packet.sequence();
        source.heardAt = now;
        if (now - source.windowFrom >= SECOND_NANOS) {
            source.windowFrom = now;
            source.inWindow = 0;
        }
        if (++source.inWindow > MOST_A_SECOND && !packet.terminated()) {
            tooFast++;
            return;
        }
        source.name = packet.name();
        source.priority = packet.priority();
        source.slots = Arrays.copyOf(packet.slots(), 512);
        if (packet.terminated()) {
            sources.remove(packet.source());
        }
    }

    void forget(Set<UUID> gone) {
        universes.values().forEach(sources -> sources.keySet().removeAll(gone));
    }

    private void forget(long now) {
        for (Iterator<Map<UUID, Source>> all = universes.values().iterator(); all.hasNext(); ) {
            Map<UUID, Source> sources = all.next();
            sources.values().removeIf(s -> now - s.heardAt > SILENCE_NANOS);
            if (sources.isEmpty()) {
                all.remove();
            }
        }
    }

    /** The slots that are heard in a universe; null when nobody sends it. */
    byte @Nullable [] slots(int universe, long now) {
        forget(now);
        Source heard = null;
        for (Source source : universes.getOrDefault(universe, Map.of()).values()) {
            heard = heard == null || source.priority > heard.priority ? source : heard;
        }
        return heard == null ? null : heard.slots;
    }

    List<SacnSource> heard(long now) {
        forget(now);
        List<SacnSource> all = new ArrayList<>();
        universes.forEach((universe, sources) ->
                sources.forEach((id, s) -> all.add(new SacnSource(universe, id.toString(), s.name, s.priority))));
        return all;
    }

    long outOfOrder() {
        return outOfOrder;
    }

    /** Packets dropped because they came too fast, or from more sources or universes than are followed. */
    long flooding() {
        return tooFast + tooMany;
    }
}
