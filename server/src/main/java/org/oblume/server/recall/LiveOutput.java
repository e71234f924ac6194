package org.oblume.server.recall;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.NotFoundException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Live output: off at every start, armed by a person for this run of the server, to the loopback unless another interface was
 * chosen and confirmed.
 */
@Component
class LiveOutput {

    private static final Logger LOG = LoggerFactory.getLogger(LiveOutput.class);
    private static final String LOOPBACK = "loopback";
    private static final double LONGEST_FADE_S = 1200;

    private final OutputSessionRepository sessions;
    private final Clock clock;
    private final int port;
    private final Path sourceFile;
    private @Nullable UUID source;
    private @Nullable SacnSender sender;
    private OutputView.@Nullable Armed armed;
    private @Nullable RecalledShot live;
    private AtStop atStop = AtStop.FIXTURES_DECIDE;
    private @Nullable OutputSessionEntity session;
    private @Nullable String interruption;
    private volatile @Nullable String sendError;

    /**
     * A shot as it is sent.
     *
     * @param stateDigest tells one state of a shot from another
     * @param cue how many of its cues have run
     */
    record RecalledShot(
            long shotId,
            Slate slate,
            String by,
            Instant at,
            double fadeSeconds,
            int priority,
            String stateDigest,
            int cue) {}

    LiveOutput(
            OutputSessionRepository sessions,
            Clock clock,
            @Value("${oblume.data}") Path data,
            @Value("${oblume.sacn-port}") int port) {
        this.sessions = sessions;
        this.clock = clock;
        this.port = port;
        this.sourceFile = data.resolve("sacn-source");
        this.interruption = closeInterrupted();
    }

    /** Ours for good, so that receivers know us again: made up once and kept in the data folder. */
    private synchronized UUID source() {
        if (source == null) {
            source = keptIn(sourceFile);
        }
        return source;
    }

    private static UUID keptIn(Path file) {
        try {
            if (Files.isReadable(file)) {
                return UUID.fromString(Files.readString(file).strip());
            }
            UUID fresh = UUID.randomUUID();
            Files.createDirectories(file.toAbsolutePath().getParent());
            Files.writeString(file, fresh.toString());
            return fresh;
        } catch (IOException | IllegalArgumentException unusable) {
            LOG.warn("Our sACN source id cannot be kept in {}: another one is used until the server stops.", file);
            return UUID.randomUUID();
        }
    }

    private @Nullable String closeInterrupted() {
        List<OutputSessionEntity> open = sessions.findByClosedAtIsNullOrderById();
        if (open.isEmpty()) {
            return null;
        }
        OutputSessionEntity last = open.get(open.size() - 1);
        open.forEach(s -> s.close(clock.instant()));
        sessions.saveAll(open);
        return last.slate() == null
                ? null
                : ("The server stopped while %s was live on %s (armed by %s). Output is off now: each unit holds what it last heard or went black, "
                                + "as it is set to. Read back to see.")
                        .formatted(last.slate(), last.sentOn(), last.armedBy());
    }

    String sourceId() {
        return source().toString();
    }

    /**
     * @param outlet name of an interface, or null for the loopback
     * @param confirmed the same name, typed again by the person; not needed for the loopback
     * @param how what becomes of the lights when output stops
     */
    synchronized void arm(@Nullable String outlet, @Nullable String confirmed, AtStop how, String by) {
        if (armed != null) {
            throw new Refusal("%s has armed output already, on %s.".formatted(armed.by(), armed.outlet()));
        }
        @Nullable NetworkInterface on = null;
        if (outlet != null && !outlet.equals(LOOPBACK)) {
            if (!outlet.equals(confirmed)) {
                throw new Refusal(
                        "confirmed",
                        "This sends to real lights on %s. Type %s to confirm it.".formatted(outlet, outlet));
            }
            on = interfaceNamed(outlet);
        }
        try {
            sendError = null;
            sender = new SacnSender(
                    source(),
                    "Oblume",
                    on,
                    port,
                    System::nanoTime,
                    refused -> sendError = refused == null
                            ? null
                            : "The network refuses our packets (%s). Check the cable and the interface."
                                    .formatted(refused.getMessage()));
        } catch (IOException failed) {
            throw new Refusal(
                    "outlet",
                    "Output cannot go to %s: %s. Choose another interface."
                            .formatted(outlet == null ? LOOPBACK : outlet, failed.getMessage()));
        }
        Instant now = clock.instant();
        atStop = how;
        armed = new OutputView.Armed(by, now, on == null ? LOOPBACK : on.getName(), how);
        session = sessions.saveAndFlush(new OutputSessionEntity(by, now, armed.outlet()));
        interruption = null;
    }

    private static NetworkInterface interfaceNamed(String name) {
        try {
            NetworkInterface found = NetworkInterface.getByName(name);
            if (found != null && found.isUp()) {
                return found;
            }
        } catch (SocketException unknown) {
            LOG.debug("Interface {} cannot be asked", name, unknown);
        }
        throw new NotFoundException("There is no interface called %s that is up.".formatted(name));
    }

    /**
     * Sends a shot from now on.
     *
     * @throws Refusal when output is not armed
     */
    synchronized void send(Map<Integer, UniverseFrame> frames, RecalledShot what) {
        Checks.within("fadeSeconds", "The fade", what.fadeSeconds(), 0, LONGEST_FADE_S, " s");
        Checks.within("priority", "The priority", what.priority(), 0, SacnPacket.HIGHEST_PRIORITY, "");
        if (sender == null || session == null) {
            throw new Refusal("Output is off: arm it first.");
        }
        try {
            sender.send(frames, what.fadeSeconds(), what.priority());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        live = what;
        session.live(what.slate().text());
        session = sessions.saveAndFlush(session);
    }

    /** First of all when the server is told to stop; whatever becomes of the record of it, the others are told too. */
    @Order(Ordered.HIGHEST_PRECEDENCE)
    @EventListener(ContextClosedEvent.class)
    void stopWithTheServer() {
        try {
            stop();
        } catch (RuntimeException notRecorded) {
            LOG.error("Output has stopped; that it did could not be recorded.", notRecorded);
        }
    }

    /** Stops all and turns output off. Safe to call at any time. */
    synchronized void stop() {
        if (sender != null) {
            sender.end(atStop);
        }
        sender = null;
        armed = null;
        live = null;
        if (session != null) {
            session.close(clock.instant());
            sessions.saveAndFlush(session);
        }
        session = null;
    }

    synchronized @Nullable RecalledShot live() {
        return live;
    }

    synchronized boolean isArmed() {
        return armed != null;
    }

    /**
     * @param revised what to say when the record has moved on
     * @param rig whether a rig answers
     */
    synchronized OutputView view(@Nullable String revised, boolean rig, OutputView.Stopping stopping) {
        OutputView.LiveShot shot = live == null || sender == null
                ? null
                : new OutputView.LiveShot(
                        live.shotId(),
                        live.slate(),
                        live.by(),
                        live.at(),
                        live.fadeSeconds(),
                        sender.done(),
                        live.priority(),
                        live.cue(),
                        sender.universes(),
                        sender.sent(),
                        revised);
        return new OutputView(armed, shot, outlets(), interruption, sendError, rig, stopping);
    }

    private static List<OutputView.Outlet> outlets() {
        List<OutputView.Outlet> all = new ArrayList<>();
        try {
            for (NetworkInterface one : NetworkInterface.networkInterfaces()
                    .sorted(Comparator.comparing(NetworkInterface::getName))
                    .toList()) {
                @Nullable
                String address = one.inetAddresses()
                        .filter(Inet4Address.class::isInstance)
                        .map(InetAddress::getHostAddress)
                        .findFirst()
                        .orElse(null);
                if (address != null && one.isUp() && !one.isLoopback()) {
                    all.add(new OutputView.Outlet(one.getName(), address, false));
                }
            }
        } catch (SocketException unknown) {
            LOG.debug("The interfaces cannot be listed", unknown);
        }
        all.add(
                0,
                new OutputView.Outlet(LOOPBACK, InetAddress.getLoopbackAddress().getHostAddress(), true));
        return all;
    }
}
