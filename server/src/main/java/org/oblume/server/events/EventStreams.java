package org.oblume.server.events;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
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
    private static final int IDLE_S = 30;
    /** Of all people, and of one. */
    private static final int MOST_STREAMS = 500;

    private static final int MOST_OF_A_PERSON = 12;
    /** What waits for one that reads slowly; one that has not read more than that reads everything anew when it comes back. */
    private static final int MOST_WAITING = 100;

    private final Map<Line, Listener> listeners = new ConcurrentHashMap<>();
    /** One that does not read holds up its own thread only. */
    private final ExecutorService sending = new ThreadPoolExecutor(
            0, MOST_STREAMS, IDLE_S, TimeUnit.SECONDS, new SynchronousQueue<>(), task -> thread(task, "live"));

    private final ScheduledExecutorService beating =
            Executors.newSingleThreadScheduledExecutor(task -> thread(task, "live beat"));

    /** A device as its person names it: nobody ends or moves another's by its name. */
    private record Line(String person, String device) {}

    /** @param waiting what is to be sent, in order; whoever holds it sends, or sees that somebody does */
    private record Listener(String person, @Nullable Long shotId, SseEmitter stream, Waiting waiting) {

        Listener at(@Nullable Long shot) {
            return new Listener(person, shot, stream, waiting);
        }
    }

    private record Event(String name, Object data) {}

    /** A bounded queue, and whether a thread is at it. */
    private static final class Waiting {

        private final Deque<Event> events = new ArrayDeque<>();
        private boolean taken;

        /** @return whether the caller has to see that it is sent; null when there is no room for more */
        synchronized @Nullable Boolean add(Event event) {
            if (events.size() >= MOST_WAITING) {
                return null;
            }
            events.add(event);
            boolean free = !taken;
            taken = true;
            return free;
        }

        /** @return the next one, or null when there is none and the caller is done */
        synchronized @Nullable Event next() {
            Event next = events.poll();
            taken = next != null;
            return next;
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
        Listener listener = new Listener(person, shotId, stream, new Waiting());
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
        endBeyond(person, line);
        sayWhoIsHere();
        return stream;
    }

    /** A person has so many pages and devices open at most: another one takes the place of one of them. */
    private void endBeyond(String person, Line newest) {
        List<Line> theirs = listeners.keySet().stream()
                .filter(l -> l.person().equals(person) && !l.equals(newest))
                .toList();
        for (Line line : theirs.subList(0, Math.max(0, theirs.size() + 1 - MOST_OF_A_PERSON))) {
            Listener one = listeners.remove(line);
            if (one != null) {
                end(one);
            }
        }
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
        Event event = new Event(name, data);
        listeners.forEach((line, listener) -> {
            Boolean toBeSent = listener.waiting().add(event);
            if (toBeSent == null) {
                drop(line, listener);
            } else if (toBeSent) {
                sendTo(line, listener);
            }
        });
    }

    private void sendTo(Line line, Listener listener) {
        try {
            sending.execute(() -> {
                for (Event next = listener.waiting().next();
                        next != null;
                        next = listener.waiting().next()) {
                    try {
                        listener.stream()
                                .send(SseEmitter.event().name(next.name()).data(next.data()));
                    } catch (IOException | IllegalStateException gone) {
                        forget(line, listener);
                        return;
                    }
                }
            });
        } catch (RejectedExecutionException tooMany) {
            drop(line, listener);
        }
    }

    private void drop(Line line, Listener listener) {
        forget(line, listener);
        // ending it waits for what is being written to it
        try {
            sending.execute(() -> end(listener));
        } catch (RejectedExecutionException stopped) {
            LOG.debug("It ends with its connection.", stopped);
        }
    }

    /** By its stream: it may look at another shot since. */
    private void forget(Line line, Listener listener) {
        listeners.computeIfPresent(line, (l, now) -> now.stream() == listener.stream() ? null : now);
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
