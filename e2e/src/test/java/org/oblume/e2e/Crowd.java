package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
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

/** Many people on a production: each thinks, asks, thinks; stays with a shot for a while; and is timed. */
final class Crowd {

    private static final int LEAST_THINK_MS = 1000;
    private static final int MORE_THINK_MS = 2000;
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

    private final List<Person> people = new ArrayList<>();

    /** People whom a lead invites. */
    static Crowd invitedBy(Person lead, int number) throws IOException, InterruptedException {
        Crowd crowd = new Crowd();
        for (int i = 0; i < number; i++) {
            crowd.people.add(lead.invites("person " + i, "CREW"));
        }
        return crowd;
    }

    /** Each at one of several servers. */
    Crowd spreadOver(List<RunningOblume> servers) {
        for (int i = 0; i < people.size(); i++) {
            people.get(i).goOnAt(servers.get(i % servers.size()));
        }
        return this;
    }

    /** Works for so long, once to warm up and once to be timed. */
    void work(List<Long> shots, int warmUpS, int seconds) throws InterruptedException {
        load(shots, warmUpS);
        times.clear();
        load(shots, seconds);
    }

    void report() {
        List<Double> all = new ArrayList<>();
        times.forEach((call, some) -> all.addAll(some));
        say("%d people, all calls".formatted(people.size()), all);
        new TreeMap<>(times)
                .forEach((call, some) -> say("%d people, %s".formatted(people.size(), call), List.copyOf(some)));
        assertThat(wrong).isEmpty();
    }

    /** A level that nobody else sets: on whatever it is by then. */
    static int edit(Person person, long shot, int percent) throws IOException, InterruptedException {
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

    private void load(List<Long> shots, int seconds) throws InterruptedException {
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
                                "{\"changes\":[],\"holds\":[],\"out\":[]}".getBytes(StandardCharsets.UTF_8))
                        .statusCode();
            case EDIT -> edit(person, shot, 1 + random.nextInt(99));
        };
    }

    private static int read(Person person, String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = person.answer("GET", path, Map.of("Accept-Encoding", "gzip"), null);
        return answer.statusCode();
    }

    static void say(String what, List<Double> some) {
        List<Double> sorted = new ArrayList<>(some);
        Collections.sort(sorted);
        assertThat(sorted).as(what).isNotEmpty();
        System.out.printf(
                "MEASURED %s: median %.0f ms, 95th percentile %.0f ms, %d of them%n",
                what, sorted.get(sorted.size() / 2), sorted.get((int) (sorted.size() * 0.95)), sorted.size());
    }
}
