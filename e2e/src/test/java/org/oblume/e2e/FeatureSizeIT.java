package org.oblume.e2e;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
    private static final int ROUNDS = 15;
    private static final int WARM = 5;

    @Test
    void aFeatureAndSixtyPeople() throws Exception {
        Path data = RunningOblume.newData();
        Person lead;
        Crowd crowd;
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
            crowd = Crowd.invitedBy(lead, PEOPLE);
            crowd.work(shots, WARM_UP_S, SECONDS);
        }
        long start = System.nanoTime();
        try (RunningOblume again = RunningOblume.asShipped(data)) {
            Crowd.say("%d scenes, started again".formatted(SIZES.get(2)), List.of((System.nanoTime() - start) / 1e6));
            lead.goOnAt(again);
            start = System.nanoTime();
            lead.download("/api/book");
            Crowd.say(
                    "%d scenes, the first book after a start".formatted(SIZES.get(2)),
                    List.of((System.nanoTime() - start) / 1e6));
        }
        crowd.report();
    }

    static List<Long> shots(Person lead) throws IOException, InterruptedException {
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
            Crowd.say("%d scenes, %s".formatted(size, read.getKey()), timed(() -> lead.download(read.getValue())));
        }
        long production =
                lead.get("/api/book").at("/productions/0/production/id").asLong();
        Crowd.say(
                "%d scenes, archive".formatted(size),
                timed(() -> lead.download("/api/productions/%d/archive".formatted(production))));
        int[] edits = {0};
        Crowd.say("%d scenes, edit and the book after it".formatted(size), timed(() -> {
            Crowd.edit(lead, last, 5 + edits[0]++ % 90);
            return lead.download("/api/book");
        }));
        try (Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            List<Double> drawn = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                drawn.add(crew.timeUntilDrawn("/", "main a.shot", 1));
            }
            Crowd.say("%d scenes, book drawn in the browser".formatted(size), drawn);
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
}
