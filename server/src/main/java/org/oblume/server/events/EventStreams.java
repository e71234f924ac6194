package org.oblume.server.events;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Permission;
import org.oblume.server.team.TeamService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The open streams. What is sent goes out in order, away from the call that caused it; a stream that is gone, or whose person is, is dropped. */
@Component
class EventStreams {

    private static final Logger LOG = LoggerFactory.getLogger(EventStreams.class);
    private static final long NO_END = 0;
    private static final int BEAT_SECONDS = 10;
    private final Map<Line, Listener> listeners = new ConcurrentHashMap<>();
    private final ExecutorService sending = Executors.newSingleThreadExecutor(task -> thread(task, "live"));
    private final ScheduledExecutorService beating =
            Executors.newSingleThreadScheduledExecutor(task -> thread(task, "live beat"));

    /** A device as its person names it: nobody ends or moves another's by its name. */
    private record Line(String person, String device) {}

    private record Listener(String person, @Nullable Long shotId, SseEmitter stream) {

        Listener at(@Nullable Long shot) {
            return new Listener(person, shot, stream);
        }
    }

    /**
     * Someone who has Oblume open.
     *
     * @param shotId what that person looks at, or null
     */
    record Present(String person, String device, @Nullable Long shotId) {}

    record Presence(List<Present> present) {}

    EventStreams(TeamService team) {
        var unused = beating.scheduleWithFixedDelay(() -> beat(team), BEAT_SECONDS, BEAT_SECONDS, TimeUnit.SECONDS);
    }

    /** Goes on whatever happens: a page that hears none takes the line for lost. */
    private void beat(TeamService team) {
        try {
            listeners.values().stream()
                    .filter(l -> !team.hasPermission(l.person(), Permission.READ))
                    .forEach(l -> l.stream().complete());
        } catch (RuntimeException busy) {
            LOG.warn("Who may still listen could not be looked up; it is tried again at the next beat.", busy);
        }
        send("beat", Map.of());
    }

    SseEmitter open(String device, String person, @Nullable Long shotId) {
        SseEmitter stream = new SseEmitter(NO_END);
        Line line = new Line(person, device);
        Listener listener = new Listener(person, shotId, stream);
        Runnable gone = () -> {
            if (listeners.computeIfPresent(line, (l, now) -> now.stream() == stream ? null : now) == null) {
                sayWhoIsHere();
            }
        };
        stream.onCompletion(gone);
        stream.onError(failure -> gone.run());
        greet(stream);
        Listener before = listeners.put(line, listener);
        if (before != null) {
            before.stream().complete();
        }
        sayWhoIsHere();
        return stream;
    }

    /**
     * The first thing that is written, and with it the headers: by the thread of the call itself, which goes on with the response
     * for a while. Written by another thread meanwhile, the response breaks and the call never ends.
     */
    private static void greet(SseEmitter stream) {
        try {
            stream.send(SseEmitter.event().comment("here"));
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }

    void moveTo(String device, String person, @Nullable Long shotId) {
        if (listeners.computeIfPresent(new Line(person, device), (l, now) -> now.at(shotId)) != null) {
            sayWhoIsHere();
        }
    }

    @EventListener
    void changed(RecordChanged change) {
        send("changed", change);
    }

    private void sayWhoIsHere() {
        send(
                "presence",
                new Presence(listeners.entrySet().stream()
                        .map(e -> new Present(
                                e.getKey().person(),
                                e.getKey().device(),
                                e.getValue().shotId()))
                        .toList()));
    }

    private void send(String name, Object data) {
        if (sending.isShutdown()) {
            return;
        }
        sending.execute(() -> listeners.forEach((line, listener) -> {
            try {
                listener.stream().send(SseEmitter.event().name(name).data(data));
            } catch (IOException | IllegalStateException gone) {
                listeners.remove(line, listener);
            }
        }));
    }

    private static Thread thread(Runnable task, String name) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        return thread;
    }

    /** Before the web server waits for calls that are open: a stream would keep it from stopping. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        beating.shutdownNow();
        sending.shutdown();
        listeners.values().forEach(EventStreams::end);
    }

    /** One that is broken already keeps none of the others open. */
    private static void end(Listener listener) {
        try {
            listener.stream().complete();
        } catch (IllegalStateException broken) {
            LOG.debug("A stream had ended already", broken);
        }
    }
}
