package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * A production that grows from one scene to a feature of 150, and as many people on it as are named: {@code ./oblume bench}. Asserts no
 * time, but that everybody is answered.
 */
@Tag("measure")
class FeatureSizeIT {

    private static final List<Integer> SIZES = List.of(1, 10, 150);
    private static final int PEOPLE = Integer.getInteger("oblume.people", 60);
    private static final int WARM_UP_S = 60;
    private static final int SECONDS = 60;
    private static final int LEAST_THINK_MS = 1000;
    private static final int MORE_THINK_MS = 2000;
    private static final int ROUNDS = 15;
    private static final int WARM = 5;
    private static final String A_HEAD = "p7";

    /** How often each is asked, of a hundred. */
    private enum Call {
        BOOK(5),
        EDIT(10),
        PLOT(45),
        LIGHT(12),
        NOTES(12),
        BOARD(6),
        HISTORY(6),
        MATCH(4);

        private final int share;

        Call(int share) {
            this.share = share;
        }

        static Call drawn(Random random) {
            int at = random.nextInt(100);
            for (Call call : values()) {
                at -= call.share;
                if (at < 0) {
                    return call;
                }
            }
            return PLOT;
        }
    }

    private final Map<Call, ConcurrentLinkedQueue<Double>> times = new ConcurrentHashMap<>();
    private final ConcurrentLinkedQueue<String> wrong = new ConcurrentLinkedQueue<>();

    @Test
    void aFeatureAndSixtyPeople() throws Exception {
        Path data = RunningOblume.newData();
        Person lead;
        try (RunningOblume oblume = RunningOblume.asShipped(data)) {
            lead = Person.lead(oblume);
            int there = 0;
            for (int size : SIZES) {
                for (; there < size; there++) {
                    lead.post("/api/scenes/import", BigScene.ofAFeature(there + 1));
                }
                grown(oblume, lead, size);
            }
            List<Long> shots = shots(lead);
            List<Person> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                people.add(lead.invites("person " + i, "CREW"));
            }
            load(people, shots, WARM_UP_S);
            times.clear();
            load(people, shots, SECONDS);
        }
        long start = System.nanoTime();
        try (RunningOblume again = RunningOblume.asShipped(data)) {
            say("%d scenes, started again".formatted(SIZES.get(2)), List.of((System.nanoTime() - start) / 1e6));
            lead.goOnAt(again);
            start = System.nanoTime();
            lead.download("/api/book");
            say(
                    "%d scenes, the first book after a start".formatted(SIZES.get(2)),
                    List.of((System.nanoTime() - start) / 1e6));
        }
        List<Double> all = new ArrayList<>();
        times.forEach((call, some) -> all.addAll(some));
        say("%d people, all calls".formatted(PEOPLE), all);
        new TreeMap<>(times).forEach((call, some) -> say("%d people, %s".formatted(PEOPLE, call), List.copyOf(some)));
        assertThat(wrong).isEmpty();
    }

    private static List<Long> shots(Person lead) throws IOException, InterruptedException {
        return lead.get("/api/book").findValues("shots").stream()
                .flatMap(shots -> StreamSupport.stream(shots.spliterator(), false))
                .map(shot -> shot.get("id").asLong())
                .toList();
    }

    private static void grown(RunningOblume oblume, Person lead, int size) throws Exception {
        List<Long> shots = shots(lead);
        long last = shots.get(shots.size() - 1);
        long scene =
                lead.get("/api/shots/%d/plot".formatted(last)).get("sceneId").asLong();
        Map<String, String> reads = new TreeMap<>(Map.of(
                "book", "/api/book",
                "plot", "/api/shots/%d/plot".formatted(last),
                "board", "/api/scenes/%d/carry".formatted(scene),
                "history", "/api/shots/%d/history".formatted(last),
                "match", "/api/scenes/%d/match".formatted(scene),
                "export of a scene", "/api/scenes/%d/export".formatted(scene),
                "search for a gel and a light, found in all", "/api/search?q=quarter%20placement",
                "search for one shot", "/api/search?q=shot%207%20sc.%20" + size,
                "lit like this", "/api/shots/%d/alike".formatted(last)));
        for (Map.Entry<String, String> read : reads.entrySet()) {
            say("%d scenes, %s".formatted(size, read.getKey()), timed(() -> lead.download(read.getValue())));
        }
        long production =
                lead.get("/api/book").at("/productions/0/production/id").asLong();
        say(
                "%d scenes, archive".formatted(size),
                timed(() -> lead.download("/api/productions/%d/archive".formatted(production))));
        int[] edits = {0};
        say("%d scenes, edit and the book after it".formatted(size), timed(() -> {
            edit(lead, last, 5 + edits[0]++ % 90);
            return lead.download("/api/book");
        }));
        try (Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            List<Double> drawn = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                drawn.add(crew.timeUntilDrawn("/", "main a.shot", 1));
            }
            say("%d scenes, book drawn in the browser".formatted(size), drawn);
            System.out.printf(
                    "MEASURED %d scenes, nodes of the book: %s%n",
                    size, crew.fetch("return document.querySelectorAll('*').length"));
        }
    }

    private interface Timed {
        byte[] run() throws Exception;
    }

    private static List<Double> timed(Timed work) throws Exception {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < WARM + ROUNDS; i++) {
            long start = System.nanoTime();
            byte[] bytes = work.run();
            if (i >= WARM) {
                all.add((System.nanoTime() - start) / 1e6);
            }
            new ByteArrayOutputStream(bytes.length).reset();
        }
        return all;
    }

    /** A level that nobody else sets: on whatever it is by then. */
    private static int edit(Person person, long shot, int percent) throws IOException, InterruptedException {
        JsonNode plot = person.get("/api/shots/%d/plot".formatted(shot));
        long revision = StreamSupport.stream(plot.get("placements").spliterator(), false)
                .filter(p -> p.at("/placement/key").asText().equals(A_HEAD))
                .findFirst()
                .orElseThrow()
                .at("/revisions/LEVEL")
                .asLong(0);
        return person.put(
                        "/api/shots/%d/placements/%s/LEVEL".formatted(shot, A_HEAD),
                        "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(percent),
                        revision,
                        "load")
                .status();
    }

    private void load(List<Person> people, List<Long> shots, int seconds) throws InterruptedException {
        List<Thread> threads = new ArrayList<>();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        for (int i = 0; i < people.size(); i++) {
            Person person = people.get(i);
            Random random = new Random(i + seconds);
            Thread thread = new Thread(() -> work(person, random, shots, end));
            threads.add(thread);
            thread.start();
        }
        for (Thread thread : threads) {
            thread.join();
        }
    }

    /** Thinks, asks, thinks; stays with a shot for a while. */
    private void work(Person person, Random random, List<Long> shots, long end) {
        long shot = shots.get(random.nextInt(shots.size()));
        try {
            long scene = person.get("/api/shots/%d/plot".formatted(shot))
                    .get("sceneId")
                    .asLong();
            while (true) {
                TimeUnit.MILLISECONDS.sleep(LEAST_THINK_MS + random.nextInt(MORE_THINK_MS));
                if (System.nanoTime() > end) {
                    return;
                }
                if (random.nextInt(10) == 0) {
                    shot = shots.get(random.nextInt(shots.size()));
                    scene = person.get("/api/shots/%d/plot".formatted(shot))
                            .get("sceneId")
                            .asLong();
                }
                Call call = Call.drawn(random);
                long start = System.nanoTime();
                int status = ask(person, call, shot, scene, random);
                times.computeIfAbsent(call, c -> new ConcurrentLinkedQueue<>()).add((System.nanoTime() - start) / 1e6);
                if (status != 200 && status != 409) {
                    wrong.add(call + " " + status);
                }
            }
        } catch (IOException | IllegalStateException failed) {
            wrong.add(failed.toString());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static int ask(Person person, Call call, long shot, long scene, Random random)
            throws IOException, InterruptedException {
        return switch (call) {
            case BOOK -> read(person, "/api/book");
            case PLOT -> read(person, "/api/shots/%d/plot".formatted(shot));
            case NOTES -> read(person, "/api/shots/%d/notes".formatted(shot));
            case BOARD -> read(person, "/api/scenes/%d/carry".formatted(scene));
            case HISTORY -> read(person, "/api/shots/%d/history".formatted(shot));
            case MATCH -> read(person, "/api/scenes/%d/match".formatted(scene));
            case LIGHT ->
                person.answer(
                                "POST",
                                "/api/shots/%d/light".formatted(shot),
                                Map.of(),
                                "{\"changes\":[],\"holds\":[],\"out\":[]}"
                                        .getBytes(java.nio.charset.StandardCharsets.UTF_8))
                        .statusCode();
            case EDIT -> edit(person, shot, 1 + random.nextInt(99));
        };
    }

    private static int read(Person person, String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = person.answer("GET", path, Map.of("Accept-Encoding", "gzip"), null);
        return answer.statusCode();
    }

    private static void say(String what, List<Double> some) {
        List<Double> sorted = new ArrayList<>(some);
        Collections.sort(sorted);
        assertThat(sorted).as(what).isNotEmpty();
        System.out.printf(
                "MEASURED %s: median %.0f ms, 95th percentile %.0f ms, %d of them%n",
                what, sorted.get(sorted.size() / 2), sorted.get((int) (sorted.size() * 0.95)), sorted.size());
    }
}
