package org.oblume.server.recall;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UniverseFrame;

/**
 * Sends universes as one E1.31 source: at up to 44 frames a second while something fades, three more when it has come to rest, then one
 * every 0.8 s so that receivers know it is there (ANSI E1.31-2018, 6.6). A universe that is let go ends with three packets that say so.
 */
final class SacnSender implements AutoCloseable {

    /** Frames a second that DMX512 carries at most. */
    static final int MOST_A_SECOND = 44;

    private static final long SECOND_NANOS = 1_000_000_000L;
    /** A little longer than 1/44 s: no second has more than 44 frames although none comes to the microsecond. */
    private static final long FRAME_NANOS = 23_000_000L;

    private static final long CLOSEST_NANOS = FRAME_NANOS - 1_000_000L;
    private static final long KEEP_ALIVE_NANOS = 800_000_000L;
    private static final int REPEATS_AT_REST = 3;
    private static final int NUMBERS = 256;

    private final UUID source;
    private final String name;
    private final LongSupplier nanos;
    private final DatagramSocket socket;
    private final boolean multicast;
    private final int port;
    private final Consumer<@Nullable IOException> onSendError;
    private final Map<Integer, Stream> streams = new TreeMap<>();
    private final Thread thread;
    private long sent;
    private boolean refused;
    private volatile boolean closed;

    private static final class Stream {
        private final byte[] packet;
        private final InetAddress to;
        private UniverseFrame from;
        private UniverseFrame wanted;
        private long startedAt;
        private long fadeNanos;
        private int sequence;
        private int repeats;
        private long sentAt;
        private int terminationPacketsLeft = -1;
        private boolean endsDark;

        private Stream(byte[] packet, InetAddress to, UniverseFrame dark, long longAgo) {
            this.packet = packet;
            this.to = to;
            this.from = dark;
            this.wanted = dark;
            this.sentAt = longAgo;
        }

        private double done(long now) {
            return fadeNanos == 0 ? 1 : Math.max(0, Math.min(1, (now - startedAt) / (double) fadeNanos));
        }
    }

    /**
     * @param on the interface to multicast on, or null: then all goes to the loopback address
     * @param onTrouble told why the network refuses packets, and null once it takes them again
     */
    SacnSender(
            UUID source,
            String name,
            @Nullable NetworkInterface on,
            int port,
            LongSupplier nanos,
            Consumer<@Nullable IOException> onTrouble)
            throws IOException {
        this(
                source,
                name,
                on == null
                        ? new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0))
                        : onInterface(on),
                on != null,
                port,
                nanos,
                onTrouble);
    }

    /** @param multicast whether each universe goes to its group; else all goes to the loopback address */
    SacnSender(
            UUID source,
            String name,
            DatagramSocket socket,
            boolean multicast,
            int port,
            LongSupplier nanos,
            Consumer<@Nullable IOException> onTrouble) {
        this.source = source;
        this.name = name;
        this.socket = socket;
        this.multicast = multicast;
        this.port = port;
        this.nanos = nanos;
        this.onSendError = onTrouble;
        thread = new Thread(this::run, "sACN output");
        thread.setDaemon(true);
        thread.start();
    }

    private static DatagramSocket onInterface(NetworkInterface on) throws IOException {
        MulticastSocket socket = new MulticastSocket();
        socket.setNetworkInterface(on);
        return socket;
    }

    /**
     * Sends these universes from now on; those it sent before and that are not among them go dark in the same time and end.
     *
     * @param frames by universe
     * @param fadeSeconds 0 or more
     * @param priority 0 to 200
     */
    synchronized void send(Map<Integer, UniverseFrame> frames, double fadeSeconds, int priority) throws IOException {
        long now = nanos.getAsLong();
        Map<Integer, UniverseFrame> all = new TreeMap<>(frames);
        streams.keySet().forEach(u -> all.putIfAbsent(u, UniverseFrame.blackout(u)));
        for (Map.Entry<Integer, UniverseFrame> entry : all.entrySet()) {
            int universe = entry.getKey();
            Stream before = streams.get(universe);
            byte[] packet = new SacnPacket(
                            source, name, priority, 0, false, false, universe, new byte[UniverseFrame.SLOTS])
                    .encode();
            InetAddress to =
                    multicast ? InetAddress.getByName(SacnPacket.group(universe)) : InetAddress.getLoopbackAddress();
            Stream stream = new Stream(packet, to, UniverseFrame.blackout(universe), now - SECOND_NANOS);
            if (before != null) {
                stream.from = before.wanted.between(before.from, before.done(now));
                stream.sequence = before.sequence;
                stream.sentAt = before.sentAt;
            }
            stream.wanted = entry.getValue();
            stream.startedAt = now;
            stream.fadeNanos = Math.round(fadeSeconds * SECOND_NANOS);
            stream.endsDark = !frames.containsKey(universe);
            streams.put(universe, stream);
        }
        LockSupport.unpark(thread);
    }

    /** Takes all universes to zero at once: each ends after three frames of it. */
    synchronized void goDark() {
        long now = nanos.getAsLong();
        streams.forEach((universe, stream) -> {
            stream.from = UniverseFrame.blackout(universe);
            stream.wanted = stream.from;
            stream.startedAt = now;
            stream.fadeNanos = 0;
            stream.repeats = 0;
            stream.endsDark = true;
        });
        LockSupport.unpark(thread);
    }

    /** Lets go of all universes: each ends with three packets that say so. */
    synchronized void release() {
        streams.values()
                .forEach(s -> s.terminationPacketsLeft =
                        s.terminationPacketsLeft < 0 ? SacnPacket.TERMINATION_PACKETS : s.terminationPacketsLeft);
        LockSupport.unpark(thread);
    }

    /** How far the fade has come, 0 to 1; 1 when nothing fades. */
    synchronized double done() {
        long now = nanos.getAsLong();
        return streams.values().stream().mapToDouble(s -> s.done(now)).min().orElse(1);
    }

    synchronized int universes() {
        return streams.size();
    }

    /** Packets sent so far. */
    synchronized long sent() {
        return sent;
    }

    private void run() {
        long next = nanos.getAsLong();
        while (!closed) {
            long now = nanos.getAsLong();
            if (now < next) {
                LockSupport.parkNanos(next - now);
                continue;
            }
            // A frame that came late is not made up for.
            next = Math.max(next + FRAME_NANOS, now + CLOSEST_NANOS);
            frame(now);
        }
    }

    private synchronized void frame(long now) {
        for (Stream stream : streams.values()) {
            boolean resting = stream.repeats >= REPEATS_AT_REST && stream.terminationPacketsLeft < 0;
            if (now - stream.sentAt >= (resting ? KEEP_ALIVE_NANOS : CLOSEST_NANOS)) {
                transmit(stream, now);
            }
        }
        streams.values().removeIf(s -> s.terminationPacketsLeft == 0);
        notifyAll();
    }

    private void transmit(Stream stream, long now) {
        double done = stream.done(now);
        stream.wanted.writeTo(stream.from, done, stream.packet, SacnPacket.FIRST_SLOT);
        SacnPacket.renumber(stream.packet, stream.sequence, stream.terminationPacketsLeft > 0);
        stream.sequence = (stream.sequence + 1) % NUMBERS;
        stream.sentAt = now;
        if (stream.terminationPacketsLeft > 0) {
            stream.terminationPacketsLeft--;
        } else {
            stream.repeats = done < 1 ? 0 : stream.repeats + 1;
            if (stream.endsDark && stream.repeats >= REPEATS_AT_REST) {
                stream.terminationPacketsLeft = SacnPacket.TERMINATION_PACKETS;
            }
        }
        try {
            socket.send(new DatagramPacket(stream.packet, stream.packet.length, stream.to, port));
            sent++;
            if (refused) {
                refused = false;
                onSendError.accept(null);
            }
        } catch (IOException failed) {
            refused = true;
            onSendError.accept(failed);
        }
    }

    /** Ends as the fixtures are set to. */
    @Override
    public void close() {
        end(AtStop.FIXTURES_DECIDE);
    }

    /** Waits until all that was let go has said so, a quarter of a second at most; then sends nothing any more. */
    void end(AtStop how) {
        if (how == AtStop.GO_DARK) {
            goDark();
        } else {
            release();
        }
        synchronized (this) {
            long until = System.nanoTime() + SECOND_NANOS / 4;
            while (!streams.isEmpty() && System.nanoTime() < until) {
                try {
                    wait(20);
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                    break;
                }
            }
        }
        closed = true;
        LockSupport.unpark(thread);
        socket.close();
    }
}
