package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Thirty people on one production, each reading and editing: {@code ./oblume bench}. Asserts that no update is lost, and no time. */
@Tag("measure")
class ThirtyPeopleIT {

    private static final int PEOPLE = 30;
    private static final int SECONDS = 30;
    private static final int WARM_UP = 150;
    private static final int THINK_MS = 4000;
    private static final Pattern DEVICE = Pattern.compile("\"device\":\"(load-[^\"]+)\"");

    private final Map<String, Long> sentAt = new ConcurrentHashMap<>();
    private final ConcurrentLinkedQueue<Double> edits = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<Double> reads = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<Double> events = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<Throwable> wrong = new ConcurrentLinkedQueue<>();
    private final AtomicInteger met = new AtomicInteger();
    /** The levels that were acknowledged, by head and by the revision that each was made on. */
    private final Map<String, Map<Long, Double>> kept = new ConcurrentHashMap<>();

    @Test
    void thirtyPeopleReadAndEdit() throws Exception {
        try (RunningOblume oblume = RunningOblume.asShipped(RunningOblume.newData())) {
            Person lead = Person.lead(oblume);
            lead.post("/api/scenes/import", BusyPlot.file(40));
            long shot = lead.get("/api/book")
                    .at("/productions/0/scenes/0/shots/0/id")
                    .asLong();
            List<String> heads = StreamSupport.stream(
                            plot(lead, shot).get("placements").spliterator(), false)
                    .filter(p -> p.at("/placement/kind").asText().equals("HEAD"))
                    .map(p -> p.at("/placement/key").asText())
                    .toList();
            for (int i = 0; i < WARM_UP; i++) {
                plot(lead, shot);
                lead.put(
                        "/api/shots/%d/placements/%s/LEVEL".formatted(shot, heads.get(0)),
                        "{\"text\":\"%d\"}".formatted(1 + i % 90),
                        i + 1,
                        "warm-up");
            }
            List<Thread> threads = new ArrayList<>();
            CountDownLatch listening = new CountDownLatch(PEOPLE);
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS + 15);
            for (int i = 0; i < PEOPLE; i++) {
                Person person = lead.invites("person " + i, "CREW");
                int number = i;
                threads.add(started(() -> listen(person, number, listening)));
                threads.add(started(() -> work(person, number, shot, heads, listening)));
            }
            for (int i = 1; i < threads.size(); i += 2) {
                threads.get(i).join(Math.max(1, TimeUnit.NANOSECONDS.toMillis(end - System.nanoTime()) + 60_000));
            }
            assertThat(wrong).isEmpty();
            noUpdateIsLost(lead, shot);
        }
        say("edit, " + PEOPLE + " people", edits);
        say("plot read meanwhile", reads);
        say("edit sent to its event at another device", events);
        System.out.printf(
                "MEASURED edits kept %d, met another's and told so %d%n", edits.size() - met.get(), met.get());
    }

    private void work(Person person, int number, long shot, List<String> heads, CountDownLatch listening)
            throws Exception {
        listening.await();
        Random random = new Random(number);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
        for (int n = 0; System.nanoTime() < end; n++) {
            long start = System.nanoTime();
            JsonNode plot = plot(person, shot);
            reads.add((System.nanoTime() - start) / 1e6);
            String head = heads.get(random.nextInt(heads.size()));
            long revision = StreamSupport.stream(plot.get("placements").spliterator(), false)
                    .filter(p -> p.at("/placement/key").asText().equals(head))
                    .findFirst()
                    .orElseThrow()
                    .at("/revisions/LEVEL")
                    .asLong();
            TimeUnit.MILLISECONDS.sleep(random.nextInt(THINK_MS));
            double level = (number * 30 + n + 10) / 10.0; // no two people dim to the same
            String device = "load-%d-%d".formatted(number, n);
            long sent = System.nanoTime();
            sentAt.put(device, sent);
            Person.Answer answer = person.put(
                    "/api/shots/%d/placements/%s/LEVEL".formatted(shot, head),
                    "{\"text\":\"%s\"}".formatted(level),
                    revision,
                    device);
            edits.add((System.nanoTime() - sent) / 1e6);
            if (answer.status() == 409) {
                met.incrementAndGet();
            } else {
                assertThat(answer.status()).isEqualTo(200);
                assertThat(kept.computeIfAbsent(head, h -> new ConcurrentSkipListMap<>())
                                .put(revision, level))
                        .as("two edits of %s on revision %d", head, revision)
                        .isNull();
            }
        }
    }

    private void listen(Person person, int number, CountDownLatch listening) throws Exception {
        try (BufferedReader stream = person.listen("listener-" + number)) {
            listening.countDown();
            for (String line = stream.readLine(); line != null; line = stream.readLine()) {
                Matcher device = DEVICE.matcher(line);
                if (line.startsWith("data:")
                        && device.find()
                        && !device.group(1).startsWith("load-" + number + "-")) {
                    events.add((System.nanoTime() - sentAt.get(device.group(1))) / 1e6);
                }
            }
        } catch (IOException | UncheckedIOException ended) {
            // the server was stopped
        }
    }

    /** No two edits were acknowledged on one revision of a value, and its history holds all of them in their order. */
    private void noUpdateIsLost(Person lead, long shot) throws Exception {
        for (Map.Entry<String, Map<Long, Double>> one : kept.entrySet()) {
            JsonNode changes = lead.get("/api/shots/" + shot + "/history?placement=" + one.getKey())
                    .get("changes");
            List<Double> recorded = StreamSupport.stream(changes.spliterator(), false)
                    .filter(c -> c.get("attribute").asText().equals("LEVEL")
                            && c.get("author").asText().startsWith("person"))
                    .map(c -> Double.valueOf(c.at("/to/metric").asText().replace(" %", "")))
                    .collect(Collectors.toCollection(ArrayList::new));
            Collections.reverse(recorded);
            assertThat(recorded)
                    .as(one.getKey())
                    .isEqualTo(List.copyOf(one.getValue().values()));
        }
    }

    private static JsonNode plot(Person person, long shot) throws IOException, InterruptedException {
        return person.get("/api/shots/" + shot + "/plot");
    }

    private interface Work {
        void run() throws Exception;
    }

    private Thread started(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (Exception | AssertionError failed) {
                wrong.add(failed);
            }
        });
        thread.setDaemon(true);
        thread.start();
        return thread;
    }

    private static void say(String what, ConcurrentLinkedQueue<Double> times) {
        List<Double> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        assertThat(sorted).isNotEmpty();
        System.out.printf(
                "MEASURED %s: median %.0f ms, 95th percentile %.0f ms, %d of them%n",
                what, sorted.get(sorted.size() / 2), sorted.get((int) (sorted.size() * 0.95)), sorted.size());
    }
}
