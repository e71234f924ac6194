package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** The server is killed in the middle of edits, again and again: nothing that was acknowledged is lost. {@code -Doblume.kills} says how often. */
class KilledIT {

    private static final int KILLS = Integer.getInteger("oblume.kills", 3);
    private static final String[] HEADS = {"key", "fill", "edge"};
    private static final int LONGEST_MS = 1500;

    private final Random random = new Random(5);
    /** By head: the last value that was acknowledged, and one that may be on the disk although nobody heard. */
    private final ConcurrentHashMap<String, Integer> acknowledged = new ConcurrentHashMap<>();

    private final ConcurrentHashMap<String, Integer> underway = new ConcurrentHashMap<>();
    private final AtomicInteger levels = new AtomicInteger();
    private final List<String> notes = new ArrayList<>();

    @Test
    void nothingThatWasAcknowledgedIsLost() throws Exception {
        Path data = RunningOblume.newData();
        Person gaffer;
        long shot;
        RunningOblume oblume = RunningOblume.empty(data);
        gaffer = Person.lead(oblume);
        long production = gaffer.post("/api/productions", "{\"name\":\"Long night\",\"days\":1}")
                .get("id")
                .asLong();
        shot = gaffer.post(
                        "/api/productions/" + production + "/scenes",
                        """
                {"number":"30","heading":"INT. BOATHOUSE, DAY","location":"Boathouse","buildOrder":"KEY_FIRST","roomWidth":"8","roomDepth":"6","ceiling":"3","firstSlate":"30A"}""")
                .get("shotId")
                .asLong();
        for (String head : HEADS) {
            gaffer.post(
                    "/api/shots/" + shot + "/placements",
                    """
                    {"name":"%s","kind":"HEAD","role":"KEY","beamDeg":40,"place":{"xM":3,"yM":3,"outside":false},
                     "piece":{"what":"Bicolour LED spot 150 W","widthM":0.2,"lowestKelvin":2700,"highestKelvin":6500,"watts":165,"mount":"STAND"}}"""
                            .formatted(head));
        }
        try {
            for (int kill = 0; kill < KILLS; kill++) {
                edit(oblume, gaffer, shot, kill);
                oblume.kill();
                oblume = RunningOblume.empty(data);
                gaffer.goOnAt(oblume);
                allIsThere(gaffer, shot);
            }
        } finally {
            oblume.close();
        }
        assertThat(acknowledged).hasSize(HEADS.length);
        System.out.printf(
                "MEASURED %d kills of a whole server in the middle of edits: %d levels and %d notes were acknowledged, none is lost%n",
                KILLS, levels.get(), notes.size());
    }

    /** Everyone edits until the server is killed under them, at some moment. */
    private void edit(RunningOblume oblume, Person gaffer, long shot, int kill) throws Exception {
        AtomicBoolean dying = new AtomicBoolean();
        List<CompletableFuture<Void>> editors = new ArrayList<>();
        for (String head : HEADS) {
            long revision = revision(gaffer, shot, head);
            editors.add(CompletableFuture.runAsync(() -> dim(gaffer, shot, head, revision, dying)));
        }
        editors.add(CompletableFuture.runAsync(() -> write(gaffer, shot, kill, dying)));
        TimeUnit.MILLISECONDS.sleep(500 + random.nextInt(LONGEST_MS));
        dying.set(true);
        oblume.kill();
        CompletableFuture.allOf(editors.toArray(CompletableFuture[]::new)).get(30, TimeUnit.SECONDS);
    }

    private void dim(Person person, long shot, String head, long from, AtomicBoolean dying) {
        long revision = from;
        int level = acknowledged.getOrDefault(head, 0);
        try {
            while (true) {
                level = level % 99 + 1;
                underway.put(head, level);
                Person.Answer answer = person.put(
                        "/api/shots/%d/placements/%s/LEVEL".formatted(shot, head),
                        "{\"text\":\"%d\"}".formatted(level),
                        revision,
                        "d");
                assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
                acknowledged.put(head, level);
                levels.incrementAndGet();
                revision++;
            }
        } catch (IOException gone) {
            assertThat(dying).as("%s", gone).isTrue();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void write(Person person, long shot, int kill, AtomicBoolean dying) {
        try {
            for (int i = 0; ; i++) {
                String text = "note %d of round %d".formatted(i, kill);
                person.post("/api/shots/" + shot + "/notes", "{\"text\":\"%s\"}".formatted(text));
                notes.add(text);
            }
        } catch (IOException gone) {
            assertThat(dying).as("%s", gone).isTrue();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void allIsThere(Person person, long shot) throws Exception {
        for (String head : HEADS) {
            int now = (int)
                    placed(person, shot, head).at("/values/LEVEL/value/percent").asDouble();
            assertThat(now)
                    .as("%s: acknowledged %s, underway %s", head, acknowledged.get(head), underway.get(head))
                    .isIn(acknowledged.get(head), underway.get(head));
            acknowledged.put(head, now);
        }
        List<String> kept =
                person.get("/api/shots/" + shot + "/notes").get("notes").findValuesAsText("text");
        assertThat(kept).containsAll(notes).doesNotHaveDuplicates();
    }

    private static long revision(Person person, long shot, String head) throws Exception {
        return placed(person, shot, head).at("/revisions/LEVEL").asLong();
    }

    private static JsonNode placed(Person person, long shot, String head) throws Exception {
        return StreamSupport.stream(
                        person.get("/api/shots/" + shot + "/plot")
                                .get("placements")
                                .spliterator(),
                        false)
                .filter(p -> p.at("/placement/key").asText().equals(head))
                .findFirst()
                .orElseThrow();
    }
}
