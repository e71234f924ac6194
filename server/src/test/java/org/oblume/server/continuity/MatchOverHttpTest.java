package org.oblume.server.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Readings, the match report and the verdict on a rebuild, on a copy of the demo's scene 4 for each test. */
@ServerTest
class MatchOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private JdbcTemplate jdbc;

    private long scene;

    @BeforeEach
    void aSceneOfItsOwn() {
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        file.get("shots").forEach(s -> ((ObjectNode) s).remove(List.of("readings", "rebuilt")));
        scene = api.post("/api/scenes/import?number=M" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
    }

    @Test
    void theWideIsTheReferenceUntilAnotherIsChosen() {
        JsonNode report = report();
        assertThat(report.get("reference").asText()).isEqualTo("4A");
        assertThat(judged(report, "4A").get("title").asText()).isEqualTo("The reference.");
        assertThat(report.get("shots")).hasSizeGreaterThanOrEqualTo(6);
        Answer chosen = api.put(
                "/api/scenes/%d/match".formatted(scene),
                "{\"referenceShotId\":%d,\"school\":\"KEY_TO_FILL\"}".formatted(shot("4B")),
                0L);
        assertThat(chosen.body().get("reference").asText()).isEqualTo("4B");
        assertThat(chosen.body().get("schoolLabel").asText()).isEqualTo("key alone to fill alone");
        assertThat(api.put(
                                "/api/scenes/%d/match".formatted(scene),
                                "{\"referenceShotId\":%d,\"school\":\"KEY_TO_FILL\"}".formatted(shot("4A")),
                                0L)
                        .status())
                .isEqualTo(409);
    }

    /** Story 7. */
    @Test
    void aKeyThatCrossesIsOutUntilItIsCalledACheat() {
        long reverse = shot("4D");
        String across =
                "{\"value\":{\"xM\":1.9,\"yM\":1.2,\"outside\":false},\"reason\":\"%s\",\"note\":\"On its own side the stand would show.\"}";
        api.tie(reverse, "key", "PLACE", across.formatted("MATCH"), 1);
        JsonNode side = line(judged(report(), "4D"), "KEY_SIDE");
        assertThat(side.get("verdict").asText()).isEqualTo("OUT");
        assertThat(side.get("say").asText()).contains("other side of the world");
        long revision = api.placed(reverse, "key").at("/revisions/PLACE").asLong();
        api.tie(reverse, "key", "PLACE", across.formatted("CHEAT"), revision);
        JsonNode quiet = line(judged(report(), "4D"), "KEY_SIDE");
        assertThat(quiet.get("verdict").asText()).isEqualTo("WAIVED");
        assertThat(quiet.at("/waiver/reason").asText()).contains("stand would show");
    }

    @Test
    void rightByEyeStillsALineAndIsListedAndTakenBack() {
        long shot = shot("4F");
        JsonNode off = StreamSupport.stream(judged(report(), "4F").get("lines").spliterator(), false)
                .filter(l -> l.get("verdict").asText().equals("OUT"))
                .findFirst()
                .orElseThrow();
        String path =
                "/api/shots/%d/by-eye/%s".formatted(shot, off.get("aspect").asText());
        assertThat(api.put(path, "{\"reason\":\" \"}", null).status()).isEqualTo(400);
        JsonNode quiet = line(
                judged(
                        api.put(path, "{\"reason\":\"an insert may be darker\"}", null)
                                .body(),
                        "4F"),
                off.get("aspect").asText());
        assertThat(quiet.get("verdict").asText()).isEqualTo("WAIVED");
        assertThat(quiet.at("/waiver/author").asText()).isEqualTo("best boy");
        assertThat(line(
                                judged(api.delete(path, null).body(), "4F"),
                                off.get("aspect").asText())
                        .get("verdict")
                        .asText())
                .isEqualTo("OUT");
    }

    @Test
    void tolerancesAreEditedPerShot() {
        long shot = shot("4C");
        assertThat(line(judged(report(), "4C"), "RATIO").get("tolerance").asDouble())
                .isCloseTo(1.0 / 3, within(1e-9));
        JsonNode loose = api.put(
                        "/api/shots/%d/match".formatted(shot),
                        "{\"closeness\":\"SWEETEN\",\"own\":{\"RATIO\":0.9}}",
                        0L)
                .body();
        assertThat(line(judged(loose, "4C"), "RATIO").get("tolerance").asDouble())
                .isEqualTo(0.9);
        assertThat(line(judged(loose, "4C"), "WHITE").get("tolerance").asDouble())
                .isEqualTo(20);
        assertThat(api.put("/api/shots/%d/match".formatted(shot), "{\"closeness\":\"HOLD\",\"own\":{\"RATIO\":0}}", 1L)
                        .detail())
                .contains("above 0");
        assertThat(api.put("/api/shots/%d/match".formatted(shot), "{\"closeness\":\"HOLD\",\"own\":{}}", 0L)
                        .status())
                .isEqualTo(409);
    }

    @Test
    void meteredTakesThePlaceOfPredictedAndIsToldApart() {
        long shot = shot("4C");
        Answer read = read(shot, "all lit 54, shadow 12, background 20", false);
        assertThat(read.status()).as(read.detail()).isEqualTo(201);
        JsonNode judged = judged(report(), "4C");
        assertThat(line(judged, "RATIO").at("/now/metered").asBoolean()).isTrue();
        assertThat(line(judged, "RATIO").at("/now/value").asDouble()).isCloseTo(3.43, within(0.01));
        assertThat(line(judged, "EXPOSURE").at("/now/metered").asBoolean()).isFalse();
        assertThat(judged.get("metered").asBoolean()).isTrue();
    }

    @Test
    void aSoloReadingCalibratesItsLightInTheWholeScene() {
        long shot = shot("4C");
        double predicted = facing(shot, "key");
        double inWide = facing(shot("4A"), "key");
        JsonNode meter = read(shot, "key alone %.1f lux".formatted(predicted * Math.sqrt(2)), false)
                .body();
        assertThat(meter.at("/readings/0/solo/kStops").asDouble()).isCloseTo(0.5, within(0.01));
        assertThat(facing(shot, "key") / predicted).isCloseTo(Math.sqrt(2), within(0.01));
        assertThat(facing(shot("4A"), "key") / inWide).isCloseTo(Math.sqrt(2), within(0.01));
        assertThat(api.as("CREW")
                        .delete("/api/readings/" + meter.at("/readings/0/id").asLong(), null)
                        .status())
                .as("it is somebody else's")
                .isEqualTo(403);
        api.delete("/api/readings/" + meter.at("/readings/0/id").asLong(), null);
        assertThat(facing(shot, "key")).isCloseTo(predicted, within(0.01));
    }

    @Test
    void aReadingThatCannotBeSoIsAskedBackAndKeptWhenOneIsSure() {
        long shot = shot("4C");
        double predicted = facing(shot, "key");
        Answer asked = read(shot, "key alone %.0f lux".formatted(predicted * 10.76), false);
        assertThat(asked.status()).isEqualTo(400);
        assertThat(asked.body().get("field").asText()).isEqualTo("sure");
        assertThat(asked.detail()).contains("was fc typed for lux");
        Answer kept = read(shot, "key alone %.0f lux".formatted(predicted * 10.76), true);
        assertThat(kept.body().at("/readings/0/solo/doubtful").asBoolean()).isTrue();
    }

    @Test
    void aMarkThatIsNoLongerOnSetIsNamed() {
        Answer gone = api.post(
                "/api/shots/%d/readings".formatted(shot("4C")),
                "{\"line\":\"400 lux\",\"mark\":\"mark-9\",\"sure\":false}");
        assertThat(gone.status()).isEqualTo(400);
        assertThat(gone.detail()).contains("not on set in 4C any more").contains("Repairer");
    }

    @Test
    void aRebuildIsJudgedHeadByHeadAndSignedByALead() {
        long shot = shot("4C");
        long run = run(shot);
        JsonNode before = api.get("/api/runs/%d/verdict".formatted(run)).body();
        assertThat(before.get("toTake")).extracting(JsonNode::asText).contains("Key alone: stop and colour");
        double key = facing(shot, "key");
        readIn(shot, run, "key alone %.2f lux, 4300 K".formatted(key));
        readIn(shot, run, "edge alone %.2f lux, 4400 K".formatted(facing(shot, "edge")));
        JsonNode verdict = api.get("/api/runs/%d/verdict".formatted(run)).body();
        assertThat(head(verdict, "key").get("verdict").asText()).isEqualTo("HOLDS");
        assertThat(head(verdict, "edge").get("verdict").asText()).isEqualTo("OUT");
        assertThat(head(verdict, "edge").at("/likely/0").asText()).contains("dialled to about 4400 K, recorded 3200 K");
        assertThat(facing(shot, "key"))
                .as("a rebuild's reading does not calibrate the record")
                .isCloseTo(key, within(0.01));
        assertThat(api.as("CREW").post("/api/runs/%d/sign".formatted(run), "").status())
                .isEqualTo(403);
        assertThat(api.as("LEAD").post("/api/runs/%d/sign".formatted(run), "").detail())
                .isEqualTo(
                        "Not proved. Nobody read in this rebuild: all lights at Repairer, lit cheek and shadow cheek. Read it, or say in a few words why it is signed by eye.");
        JsonNode signed = api.as("LEAD")
                .post("/api/runs/%d/sign".formatted(run), "{\"byEye\":\"Looked at it with the operator\"}")
                .body();
        String line = "Not proved, by eye: Looked at it with the operator";
        assertThat(signed.at("/match/title").asText()).isEqualTo(line);
        assertThat(signed.at("/run/signed/author").asText()).isEqualTo("gaffer");
        assertThat(signed.at("/run/signed/said").asText()).startsWith(line).contains("Off alone: Edge");
        assertThat(signed.get("readings")).hasSize(2);
        assertThat(signed.get("undone")).extracting(JsonNode::asText).contains("Key", "Edge");
        assertThat(api.put("/api/runs/%d/steps/key".formatted(run), "", null).detail())
                .contains("signed by gaffer");
        assertThat(report().at("/runs/0/title").asText()).isEqualTo(line);
        assertThat(report().at("/runs/0/run/signed/author").asText()).isEqualTo("gaffer");
        assertThat(api.post(
                                "/api/shots/%d/readings".formatted(shot),
                                "{\"line\":\"400 lux\",\"run\":%d,\"sure\":true}".formatted(run))
                        .detail())
                .contains("signed by gaffer");
        api.tie(shot, "edge", "LEVEL", "{\"text\":\"90\",\"reason\":\"FIX\"}", 0);
        assertThat(head(api.get("/api/runs/%d/verdict".formatted(run)).body(), "edge"))
                .as("what was signed stays")
                .isEqualTo(head(signed, "edge"));
    }

    @Test
    void aRebuildHoldsByReadingsAndNotByWhatIsPredicted() {
        long shot = shot("4C");
        long run = run(shot);
        String verdict = "/api/runs/%d/verdict".formatted(run);
        assertThat(api.get(verdict).body().at("/match/standing").asText()).isEqualTo("NOT_PROVED");
        JsonNode lit = api.get("/api/shots/%d/readings".formatted(shot)).body();
        JsonNode mark = api.post("/api/shots/%d/light".formatted(shot), "{\"changes\":[],\"holds\":[],\"out\":[]}")
                .body()
                .at("/light/marks/0");
        double litLux = mark.at("/lit/lux").asDouble();
        double shadowLux = mark.at("/shadow/lux").asDouble();
        assertThat(lit.at("/marks/0/name").asText()).isEqualTo("Repairer");
        readIn(shot, run, "all %.1f lux".formatted(litLux));
        assertThat(api.get(verdict).body().at("/match/title").asText())
                .isEqualTo("Not proved. Nobody read in this rebuild: all lights at Repairer, shadow cheek.");
        readIn(shot, run, "shadow %.1f lux".formatted(shadowLux));
        assertThat(api.get(verdict).body().at("/match/title").asText()).isEqualTo("Holds.");
        String twice = "{\"line\":\"all %.1f lux\",\"run\":%d,\"sure\":%s}";
        assertThat(api.post("/api/shots/%d/readings".formatted(shot), twice.formatted(litLux * 2, run, false))
                        .detail())
                .contains("It read as predicted here before", "another meter");
        assertThat(api.post("/api/shots/%d/readings".formatted(shot), twice.formatted(litLux * 2, run, true))
                        .status())
                .isEqualTo(201);
        JsonNode off = api.get(verdict).body();
        assertThat(off.at("/match/standing").asText()).isEqualTo("DOES_NOT_HOLD");
        assertThat(off.at("/match/title").asText()).isEqualTo("Does not hold. Lit cheek is 1.0 over.");
        assertThat(api.as("LEAD")
                        .post("/api/runs/%d/sign".formatted(run), "{\"seen\":\"HOLDS\"}")
                        .detail())
                .startsWith("It stands otherwise by now.");
        assertThat(api.as("LEAD")
                        .post("/api/runs/%d/sign".formatted(run), "{\"seen\":\"DOES_NOT_HOLD\"}")
                        .body()
                        .at("/run/signed/said")
                        .asText())
                .startsWith("Does not hold.");
        JsonNode says = api.get(verdict).body().get("diagnosis");
        assertThat(says.get("ready").asBoolean()).isTrue();
        assertThat(says.get("said").asText())
                .as("what the readings said is kept with the page that was signed")
                .startsWith("Not as recorded");
    }

    /** A page that was signed before readings were asked for knows no standing. */
    @Test
    void whatWasSignedByOlderRulesStaysAndSaysSo() {
        long run = run(shot("4C"));
        api.as("LEAD").post("/api/runs/%d/sign".formatted(run), "{\"byEye\":\"Looked at it\"}");
        String page = jdbc.queryForObject("SELECT signed_page FROM rebuild_run WHERE id = ?", String.class, run);
        jdbc.update(
                "UPDATE rebuild_run SET signed_page = ? WHERE id = ?",
                page.replace("\"standing\":\"NOT_PROVED\",", "")
                        .replace("\"title\":\"Not proved, by eye: Looked at it\"", "\"title\":\"Holds.\"")
                        .replaceFirst("\"undone\":\\[[^]]*],", ""),
                run);
        JsonNode old = api.get("/api/runs/%d/verdict".formatted(run)).body();
        assertThat(old.at("/match/title").asText())
                .isEqualTo("Signed by older rules, which asked for no readings: Holds.");
        assertThat(report().at("/runs/0/title").asText()).startsWith("Signed by older rules");
    }

    @Test
    void whatIsWrongIsFoundByReadingsAndTheNextOneIsNamed() {
        long shot = shot("4C");
        long run = run(shot);
        String path = "/api/runs/%d/diagnosis".formatted(run);
        await().atMost(Duration.ofSeconds(60))
                .until(() -> api.get(path).body().get("ready").asBoolean());
        assertThat(api.get(path).body().get("read").asInt()).isZero();
        double key = facing(shot, "key");
        double edge = facing(shot, "edge");
        readIn(shot, run, "key alone %.2f lux".formatted(key));
        assertThat(api.get(path).body().get("asRecorded").asBoolean()).isTrue();
        readIn(shot, run, "edge alone %.2f lux, 4400 K".formatted(edge));
        JsonNode found = api.get(path).body();
        assertThat(found.get("asRecorded").asBoolean()).isFalse();
        assertThat(found.at("/findings/0/words/0").asText()).startsWith("Edge is dialled to about 4");
    }

    /** Story 9. */
    @Test
    void lampsThatMeasureDifferentlyAreEachDialledToAgree() {
        long shot = shot("4C");
        read(shot, "bench lamp alone 2700 K", true);
        read(shot, "valve glow alone 2400 K", true);
        JsonNode ways = api.post(
                        "/api/shots/%d/agree".formatted(shot),
                        "{\"reference\":\"bench-lamp\",\"others\":[\"valve-glow\"]}")
                .body();
        assertThat(ways.get("nominal")).isEmpty();
        JsonNode dial = ways.get("ways").get(0);
        double expected = 1e6 / (1e6 / 2700 - (1e6 / 2400 - 1e6 / 2200));
        assertThat(dial.at("/changes/0/value/kelvin").asDouble()).isCloseTo(expected, within(1.0));
        assertThat(dial.at("/words/0").asText()).startsWith("Valve glow: dial %d K".formatted(Math.round(expected)));
    }

    private JsonNode report() {
        return api.get("/api/scenes/%d/match".formatted(scene)).body();
    }

    private long shot(String slate) {
        return judged(report(), slate).get("shotId").asLong();
    }

    private Answer read(long shot, String line, boolean sure) {
        return api.post(
                "/api/shots/%d/readings".formatted(shot), "{\"line\":\"%s\",\"sure\":%s}".formatted(line, sure));
    }

    private long run(long shot) {
        return api.post("/api/shots/%d/runs".formatted(shot), "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
    }

    private void readIn(long shot, long run, String line) {
        Answer kept = api.post(
                "/api/shots/%d/readings".formatted(shot),
                "{\"line\":\"%s\",\"run\":%d,\"sure\":false}".formatted(line, run));
        assertThat(kept.status()).as(kept.detail()).isEqualTo(201);
    }

    private double facing(long shot, String light) {
        JsonNode mark = api.post("/api/shots/%d/light".formatted(shot), "{\"changes\":[],\"holds\":[],\"out\":[]}")
                .body()
                .at("/light/marks/0/from");
        return StreamSupport.stream(mark.spliterator(), false)
                .filter(f -> f.get("key").asText().equals(light))
                .findFirst()
                .orElseThrow()
                .at("/facing/lux")
                .asDouble();
    }

    private static JsonNode judged(JsonNode report, String slate) {
        return StreamSupport.stream(report.get("shots").spliterator(), false)
                .filter(s -> s.get("slate").asText().equals(slate))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode head(JsonNode verdict, String key) {
        return StreamSupport.stream(verdict.get("heads").spliterator(), false)
                .filter(h -> h.get("key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode line(JsonNode judged, String aspect) {
        return StreamSupport.stream(judged.get("lines").spliterator(), false)
                .filter(l -> l.get("aspect").asText().equals(aspect))
                .findFirst()
                .orElseThrow();
    }
}
