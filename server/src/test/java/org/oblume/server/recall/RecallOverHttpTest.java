package org.oblume.server.recall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.rig.RunningRig;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Recall and read-back against the simulated rig, over real sockets, on a copy of scene 4 for each test. */
@ServerTest
class RecallOverHttpTest {

    private static final RunningRig RIG = rig();
    private static int made;

    @Autowired
    private Api api;

    private long shot;

    private static RunningRig rig() {
        try {
            return RunningRig.start(0, 0);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    @DynamicPropertySource
    static void rig(DynamicPropertyRegistry settings) throws IOException {
        String data = Files.createTempDirectory("oblume-recall").toString();
        settings.add("oblume.data", () -> data);
        settings.add("oblume.rig", RIG::url);
        settings.add("oblume.sacn-port", RIG::sacnPort);
    }

    @AfterAll
    static void stopTheRig() {
        RIG.close();
    }

    @BeforeEach
    void aSceneOfItsOwnHangsOnTheRig() {
        JsonNode file = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        long scene = api.post("/api/scenes/import?number=L" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        shot = api.shotIn(scene, "4C");
        assertThat(api.post("/api/rig/units", "{\"shotId\":%d}".formatted(shot)).status())
                .isEqualTo(200);
    }

    @AfterEach
    void allIsOff() {
        api.post("/api/output/stop", "{}");
        api.post("/api/rig/disturbances", "{\"kind\":\"QUIET\"}");
    }

    private String of(String what) {
        return "/api/shots/%d/%s".formatted(shot, what);
    }

    private JsonNode arm() {
        Answer armed = api.post("/api/output/arm", "{}");
        assertThat(armed.status()).as("%s", armed).isEqualTo(200);
        return armed.body();
    }

    private Answer recall(double fade, int priority) {
        String mark = api.get(of("recall")).body().get("stateDigest").asText();
        return api.post(
                of("recall"),
                "{\"fadeSeconds\":%s,\"priority\":%d,\"stateDigest\":\"%s\",\"warned\":false}"
                        .formatted(fade, priority, mark));
    }

    private List<String> drift() {
        return api.get(of("readback")).body().get("drift").findValuesAsText("sentence");
    }

    private void agrees() {
        drifts();
    }

    /** What is said of the rig in the end: a machine that pauses for longer than a source may be silent is not heard for a moment. */
    private void drifts(String... sentences) {
        await().untilAsserted(() -> assertThat(drift()).containsExactly(sentences));
    }

    private void tie(String key, String attribute, String value) {
        JsonNode placed = StreamSupport.stream(
                        api.get(of("plot")).body().get("placements").spliterator(), false)
                .filter(p -> p.at("/placement/key").asText().equals(key))
                .findFirst()
                .orElseThrow();
        Answer answer = api.put(
                of("placements/%s/%s".formatted(key, attribute)),
                "{\"text\":\"%s\",\"reason\":\"FIX\"}".formatted(value),
                placed.path("revisions").path(attribute).asLong());
        assertThat(answer.status()).as("%s", answer).isEqualTo(200);
    }

    @Test
    void nothingIsSentUntilAPersonWhoMayHasArmedOutput() {
        assertThat(api.get("/api/output").body().has("armed")).isFalse();
        Answer off = recall(0, 100);
        assertThat(off.status()).isEqualTo(400);
        assertThat(off.detail()).isEqualTo("Output is off: arm it first.");
        assertThat(api.as("CONTINUITY").post("/api/output/arm", "{}").status()).isEqualTo(403);
        JsonNode armed = arm();
        assertThat(armed.at("/armed/outlet").asText()).isEqualTo("loopback");
        assertThat(armed.at("/armed/by").asText()).isEqualTo("best boy");
        assertThat(api.post("/api/output/arm", "{}").detail()).contains("has armed output already");
        assertThat(api.get("/api/rig").body().get("sources"))
                .as("armed is not live")
                .isEmpty();
    }

    @Test
    void anyOtherInterfaceHasToBeConfirmedByName() {
        JsonNode outlets = api.get("/api/output").body().get("interfaces");
        assertThat(outlets.get(0).get("loopback").asBoolean()).isTrue();
        Answer refused = api.post("/api/output/arm", "{\"outlet\":\"eth0\"}");
        assertThat(refused.detail()).isEqualTo("This sends to real lights on eth0. Type eth0 to confirm it.");
        assertThat(api.post("/api/output/arm", "{\"outlet\":\"nowhere7\",\"confirmed\":\"nowhere7\"}")
                        .detail())
                .contains("There is no interface called nowhere7");
    }

    @Test
    void afterARecallEveryUnitStandsAsRecordedToALevelStep() {
        JsonNode preview = api.get(of("recall")).body();
        assertThat(preview.get("overNetwork").findValuesAsText("name"))
                .contains("Key", "Edge", "Street sign", "Ambience");
        assertThat(preview.get("overNetwork").get(0).get("changes").asBoolean()).isTrue();
        arm();
        assertThat(recall(0, 100).status()).isEqualTo(200);
        agrees();
        JsonNode beside = api.get(of("readback")).body();
        assertThat(beside.get("agree").asInt())
                .isEqualTo(beside.get("asked").asInt())
                .isEqualTo(6);
        assertThat(api.get(of("recall")).body().get("overNetwork").findValues("changes"))
                .as("a second recall changes nothing")
                .allMatch(c -> !c.asBoolean());
    }

    @Test
    void aFadeArrivesInItsTime() {
        arm();
        assertThat(recall(0.6, 100).body().at("/live/done").asDouble()).isLessThan(1);
        agrees();
        assertThat(api.get("/api/output").body().at("/live/done").asDouble()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"WRONG_MODE\"} | Edge is in mode 8-bit white, record 16-bit white.",
                "{\"kind\":\"WRONG_ADDRESS\",\"universe\":1,\"address\":101} | Edge listens at 1 / 101, record 1 / 111.",
                "{\"kind\":\"KNOB\",\"percent\":62} | Edge is at 62 %, record",
                "{\"kind\":\"CURVE_RESET\"} | Edge’s menu has curve square, record linear."
            })
    void aFaultIsNamedAndSendingTheRecordAgainMendsIt(String fault, String sentence) {
        arm();
        recall(0, 100);
        agrees();
        assertThat(api.post("/api/rig/units/Wren/faults", fault).status()).isEqualTo(200);
        await().untilAsserted(
                        () -> assertThat(drift()).singleElement().asString().startsWith(sentence));
        assertThat(api.post(of("readback"), "{\"keys\":[\"edge\"]}").status()).isEqualTo(200);
        agrees();
    }

    @ParameterizedTest
    @CsvSource({"NO_POWER,it has no power", "LOST_LINK,it has lost its link"})
    void aUnitThatDoesNotAnswerSaysWhyAndIsPutRightAtTheHead(String fault, String why) {
        arm();
        recall(0, 100);
        agrees();
        api.post("/api/rig/units/Wren/faults", "{\"kind\":\"%s\"}".formatted(fault));
        drifts("Edge does not answer: %s.".formatted(why));
        assertThat(api.post(of("readback"), "{}").status())
                .as("the others are sent to")
                .isEqualTo(200);
        api.delete("/api/rig/units/Wren/faults", null);
        agrees();
    }

    @Test
    void whatTheRigHasCanBeTakenAsAKnot() {
        arm();
        recall(0, 100);
        agrees();
        api.post("/api/rig/units/Wren/faults", "{\"kind\":\"KNOB\",\"percent\":62}");
        JsonNode knob = api.get(of("readback")).body().get("drift").get(0);
        JsonNode taken = api.post(
                        of("knots"),
                        "{\"reason\":\"MATCH\",\"changes\":[{\"placement\":\"edge\",\"attribute\":\"LEVEL\",\"value\":%s,\"revision\":0}]}"
                                .formatted(knob.get("rigs")))
                .body();
        assertThat(taken.toString()).contains("62 %");
        agrees();
    }

    @Test
    void anotherSourceAboveOursIsToldAndAHigherPriorityIsHeardAgain() {
        arm();
        recall(0, 100);
        agrees();
        api.post("/api/rig/disturbances", "{\"kind\":\"RIVAL\",\"universe\":1,\"priority\":150}");
        await().untilAsserted(() -> assertThat(
                        api.get(of("readback")).body().get("sources").toString())
                .contains("house desk sends universe 1 at priority 150, above ours of 100"));
        assertThat(drift()).isNotEmpty();
        recall(0, 160);
        agrees();
        api.post("/api/rig/disturbances", "{\"kind\":\"RIVAL\",\"universe\":1,\"priority\":160}");
        await().untilAsserted(() -> assertThat(
                        api.get(of("readback")).body().get("sources").toString())
                .contains("both send universe 1 at priority 160"));
    }

    @Test
    void noiseAndFloodsAreCountedAndTheRigStaysAsRecalled() {
        arm();
        recall(0, 100);
        agrees();
        api.post("/api/rig/disturbances", "{\"kind\":\"MALFORMED\"}");
        JsonNode packets =
                api.post("/api/rig/disturbances", "{\"kind\":\"FLOOD\"}").body().get("packets");
        assertThat(packets.get("malformed").asInt()).isPositive();
        assertThat(packets.get("flooding").asInt()).isGreaterThan(800);
        agrees();
    }

    @Test
    void aNodeThatDisappearsInMidFadeIsToldAndComesBackToTheRecord() {
        arm();
        recall(0, 100);
        agrees();
        tie("key", "LEVEL", "90");
        recall(1, 100);
        api.put("/api/rig/nodes/Cart%20node", "{\"up\":false}", null);
        await().untilAsserted(() ->
                assertThat(drift()).anyMatch(s -> s.startsWith("Key hears nothing in universe 1: it stands at ")));
        assertThat(drift()).anyMatch(s -> s.startsWith("Street sign hears nothing in universe 1: it stands at 0 %"));
        api.put("/api/rig/nodes/Cart%20node", "{\"up\":true}", null);
        agrees();
    }

    @Test
    void aRecordThatMovesOnIsNotSentUnseenAndIsToldOnceItIsLive() {
        arm();
        String seen = api.get(of("recall")).body().get("stateDigest").asText();
        tie("key", "LEVEL", "33");
        Answer stale = api.post(
                of("recall"),
                "{\"fadeSeconds\":0,\"priority\":100,\"stateDigest\":\"%s\",\"warned\":false}".formatted(seen));
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail()).startsWith("4C was changed since you looked. Nothing was sent");
        recall(0, 100);
        assertThat(api.get("/api/output").body().get("live").has("revised")).isFalse();
        tie("key", "LEVEL", "34");
        assertThat(api.get("/api/output").body().at("/live/revised").asText())
                .startsWith("4C was changed after it was recalled");
    }

    @Test
    void anEffectThatFlashesWaitsUntilSomebodyWasWarned() {
        tie("street-sign", "EFFECT", "flash 4");
        arm();
        assertThat(api.get(of("recall")).body().get("cautions").get(0).asText())
                .isEqualTo(
                        "Street sign, flash, 4 a second: 4 flashes a second can trigger seizures: warn cast and crew before it runs.");
        Answer unsaid = recall(0, 100);
        assertThat(unsaid.status()).isEqualTo(400);
        assertThat(unsaid.body().get("field").asText()).isEqualTo("warned");
        String mark = api.get(of("recall")).body().get("stateDigest").asText();
        assertThat(api.post(
                                of("recall"),
                                "{\"fadeSeconds\":0,\"priority\":100,\"stateDigest\":\"%s\",\"warned\":true}"
                                        .formatted(mark))
                        .status())
                .isEqualTo(200);
        agrees();
    }

    @Test
    void stopEndsTheStreamsForWhoMayRecallAndTurnsOutputOff() {
        arm();
        recall(0, 100);
        agrees();
        Answer visitor = api.as("READER").post("/api/output/stop", "{}");
        assertThat(visitor.status()).as("a visitor cannot black out a take").isEqualTo(403);
        assertThat(api.get("/api/output").body().has("armed")).isTrue();
        assertThat(api.as("CONTROL").post("/api/output/stop", "{}").body().has("armed"))
                .isFalse();
        await().untilAsserted(() ->
                assertThat(api.get("/api/rig").body().get("sources")).isEmpty());
        assertThat(drift())
                .anyMatch(s -> s.startsWith("Street sign hears nothing in universe 1: it stands at 0 %"))
                .anyMatch(s -> s.startsWith("Key hears nothing in universe 1: it stands at 42 %"));
    }

    @Test
    void aLeadSaysWhoMayStopOutput() {
        Api lead = api.as("LEAD");
        long version = api.get("/api/output").body().at("/stopping/version").asLong();
        assertThat(lead.put("/api/output/stoppers", "{\"stoppedBy\":\"LEAD\"}", version)
                        .status())
                .isEqualTo(200);
        assertThat(lead.put("/api/output/stoppers", "{\"stoppedBy\":\"CREW\"}", version)
                        .status())
                .as("chosen by another since")
                .isEqualTo(409);
        Answer crew = api.post("/api/output/stop", "{}");
        assertThat(crew.status()).isEqualTo(403);
        assertThat(crew.detail()).isEqualTo("Here only a lead stops output: call one.");
        assertThat(lead.post("/api/output/stop", "{}").status()).isEqualTo(200);
        assertThat(lead.put("/api/output/stoppers", "{\"stoppedBy\":\"READER\"}", version + 1)
                        .detail())
                .isEqualTo("Choose lead, crew or control: those may have output in their hands.");
        assertThat(lead.put("/api/output/stoppers", "{\"stoppedBy\":\"CONTROL\"}", version + 1)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void whatTheNetworkDoesNotReachIsListedForThePersonAtTheHead() {
        String lamp = "{\"value\":{\"path\":\"APP\",\"group\":\"Practicals\"},\"reason\":\"FIX\"}";
        assertThat(api.put(of("placements/bench-lamp/PATCH"), lamp, 0L).status())
                .isEqualTo(200);
        JsonNode byHand = api.get(of("recall")).body().get("atFixture");
        assertThat(byHand.get(0).get("name").asText()).isEqualTo("Bench lamp");
        assertThat(byHand.get(0).get("where").asText()).isEqualTo("app group Practicals");
        assertThat(byHand.get(0).get("what").get(0).asText()).contains("%");
    }

    @Test
    void valuesOutOfRangeAreRefusedAndNothingIsSent() {
        arm();
        assertThat(recall(-1, 100).detail()).contains("The fade");
        assertThat(recall(0, 201).detail()).contains("The priority");
        assertThat(api.get("/api/output").body().has("live")).isFalse();
    }
}
