package org.oblume.server.rebuild;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class RunsOverHttpTest {

    private static final String FITTED =
            "\"pairs\":[{\"recorded\":\"window post\",\"here\":\"window post\"},{\"recorded\":\"door post\",\"here\":\"door post\"},"
                    + "{\"recorded\":\"counter end\",\"here\":\"counter end\"}],\"mirrored\":false";
    private static int made;

    @Autowired
    private Api api;

    private long shot;
    private String name;

    @BeforeEach
    void aShotOfItsOwn() {
        name = "4U" + ++made;
        shot = api.shotFrom(name, api.shot("4C"));
    }

    @Test
    void aTickBeginsARunAndSeveralPeopleWorkOnIt() {
        api.as("CREW").put("/api/shots/%d/rebuild/key".formatted(shot), "", null);
        JsonNode sheet = api.get("/api/shots/%d/rebuild".formatted(shot)).body();
        long run = sheet.at("/run/id").asLong();
        api.put("/api/runs/%d/steps/edge".formatted(run), "", null);
        JsonNode now = api.get("/api/runs/" + run).body();
        assertThat(step(now, "key").at("/done/author").asText()).isEqualTo("key grip");
        assertThat(step(now, "edge").at("/done/author").asText()).isEqualTo("best boy");
        assertThat(now.get("runs")).hasSize(1);
    }

    @Test
    void whatStandsFromAnotherShotIsSkippedAndWhatDoesNotBelongIsNamed() {
        Answer begun = begin(
                "{\"name\":\"After 4F\",\"fromShotId\":%d,\"pairs\":[],\"mirrored\":false}".formatted(api.shot("4F")));
        assertThat(begun.status()).as(begun.detail()).isEqualTo(201);
        assertThat(texts(begun.body().get("stands")))
                .contains("Repairer", "Edge")
                .doesNotContain("Key", "Window net");
        assertThat(begun.body().get("steps"))
                .extracting(s -> s.at("/placed/placement/key").asText())
                .contains("key", "window-net", "street-sign")
                .doesNotContain("edge", "mark-1");
        Answer back = api.post(
                "/api/shots/%d/runs".formatted(api.shot("4F")),
                "{\"fromShotId\":%d,\"pairs\":[],\"mirrored\":false}".formatted(shot));
        assertThat(texts(back.body().get("out"))).containsExactly("Window net");
    }

    @Test
    void whatIsNotAsRecordedIsTrueInTheRunAndNotInTheRecord() {
        long run = run();
        Answer kept = otherwise(
                run,
                "key",
                "{\"done\":true,\"values\":[{\"attribute\":\"LEVEL\",\"text\":\"50\"}],\"why\":\"the other unit is weaker\"}",
                0);
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        JsonNode key = step(kept.body(), "key");
        assertThat(key.at("/instead/values/0/now/metric").asText()).isEqualTo("50 %");
        assertThat(key.at("/instead/values/0/recorded/metric").asText()).isEqualTo("42 %");
        assertThat(key.at("/placed/values/LEVEL/say/metric").asText()).isEqualTo("50 %");
        assertThat(api.say(shot, "key", "LEVEL")).isEqualTo("42 %");
        assertThat(otherwise(run, "key", "{\"done\":true,\"values\":[]}", 0).status())
                .as("on an older version")
                .isEqualTo(409);
        JsonNode again = otherwise(
                        run,
                        "key",
                        "{\"done\":true,\"values\":[]}",
                        key.get("version").asLong())
                .body();
        assertThat(step(again, "key").has("instead")).isFalse();
    }

    @Test
    void badValuesAreRefusedAndNothingIsKept() {
        long run = run();
        assertThat(otherwise(
                                run,
                                "key",
                                "{\"done\":true,\"values\":[{\"attribute\":\"CCT\",\"text\":\"9000\"}],\"why\":\"x\"}",
                                0)
                        .detail())
                .contains("6500");
        assertThat(otherwise(
                                run,
                                "key",
                                "{\"done\":true,\"values\":[{\"attribute\":\"LEVEL\",\"text\":\"50\"}],\"why\":\" \"}",
                                0)
                        .detail())
                .contains("Why it is not as recorded");
        assertThat(otherwise(
                                run,
                                "key",
                                "{\"done\":true,\"kind\":\"Nothing of the kit\",\"values\":[],\"why\":\"x\"}",
                                0)
                        .detail())
                .contains("The kit has no");
        assertThat(step(api.get("/api/runs/" + run).body(), "key")
                        .get("version")
                        .asLong())
                .isZero();
    }

    /** Story 8: the unit is out on hire and the gel is gone. */
    @Test
    void aSubstituteReachesTheMarkWithinATenthOfAStopAndFiveMired() {
        long run = run();
        JsonNode found = api.get("/api/runs/%d/steps/key/substitutes?unit=true&missing=Quarter CTO"
                        .formatted(run)
                        .replace(" ", "%20"))
                .body()
                .get("substitutes");
        JsonNode best = found.get(0);
        assertThat(best.get("reaches").asBoolean()).isTrue();
        assertThat(best.get("stops").asDouble()).isCloseTo(0, within(0.1));
        assertThat(best.get("mired").asDouble()).isCloseTo(0, within(5.0));
        assertThat(best.get("unit").asText()).isEqualTo("Heron 1");
        StringBuilder values = new StringBuilder();
        best.get("settings").forEach(s -> values.append(values.isEmpty() ? "" : ",")
                .append("{\"attribute\":\"%s\",\"value\":%s}"
                        .formatted(s.get("attribute").asText(), s.get("value"))));
        Answer kept = otherwise(
                run,
                "key",
                "{\"done\":false,\"kind\":\"%s\",\"unit\":\"Heron 1\",\"values\":[%s],\"why\":\"out on hire\"}"
                        .formatted(best.get("kind").asText(), values),
                0);
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        assertThat(step(kept.body(), "key").at("/placed/placement/piece/unit").asText())
                .isEqualTo("Heron 1");
        assertThat(step(kept.body(), "key")
                        .at("/placed/values/MODIFIERS/say/metric")
                        .asText())
                .contains("Muslin")
                .doesNotContain("Quarter CTO");
    }

    @Test
    void theThirdTapeNamesTheOneThatWasReadWrong() {
        long run = run();
        JsonNode key = step(api.get("/api/runs/" + run).body(), "key");
        String a = key.at("/placed/tapes/a/landmark").asText();
        double wrong = key.at("/placed/tapes/a/length/m").asDouble() + 0.2;
        String tapes =
                "{\"tapes\":[{\"landmark\":\"%s\",\"length\":\"%.2f\"},{\"landmark\":\"%s\",\"length\":\"%s\"},{\"landmark\":\"%s\",\"length\":\"%s\"}]}"
                        .formatted(
                                a,
                                wrong,
                                key.at("/placed/tapes/b/landmark").asText(),
                                key.at("/placed/tapes/b/length/metric").asText(),
                                key.at("/third/landmark").asText(),
                                key.at("/third/length/metric").asText());
        JsonNode says =
                api.post("/api/runs/%d/steps/key/tapes".formatted(run), tapes).body();
        assertThat(says.get("wrong").asText()).isEqualTo(a);
        assertThat(says.at("/sentence/metric").asText()).contains("misses by", " m", a, "longer");
        assertThat(says.at("/sentence/imperial").asText()).contains("misses by", "″", a, "longer");
    }

    @Test
    void aRevisionMeanwhileIsToldAndOneGoesOnOrBeginsAgain() {
        long run = run();
        api.put("/api/runs/%d/steps/key".formatted(run), "", null);
        api.tie(shot, "key", "LEVEL", "{\"text\":\"35\",\"reason\":\"FIX\"}", 0);
        JsonNode sheet = api.get("/api/runs/" + run).body();
        assertThat(sheet.at("/revised/0/name").asText()).isEqualTo("Key");
        assertThat(sheet.at("/revised/0/words/metric").asText()).isEqualTo("42 to 35 %");
        assertThat(step(sheet, "key").at("/done/changedSince").asBoolean()).isTrue();
        assertThat(api.post("/api/runs/%d/continue".formatted(run), "").body().get("revised"))
                .isEmpty();
        JsonNode again = api.post("/api/runs/%d/restart".formatted(run), "").body();
        assertThat(step(again, "key").has("done")).isFalse();
    }

    @Test
    void anotherPlaceIsFittedByItsLandmarksAndSaysWhatDoesNotFit() {
        String there = "{\"name\":\"On the stage\",\"setId\":%d,%s}".formatted(stage(), FITTED);
        JsonNode fit = api.post("/api/shots/%d/runs/fit".formatted(api.shot("4A")), there)
                .body();
        assertThat(fit.at("/fit/turnDeg").asDouble()).isCloseTo(90, within(0.5));
        assertThat(fit.at("/fit/pairs/0/miss/metric").asText()).isIn("0.00 m", "0.01 m");
        assertThat(fit.get("misfits"))
                .extracting(m -> m.at("/words/metric").asText())
                .anyMatch(w -> w.startsWith("Camera would stand 0.30 m outside the walls."));
        JsonNode sheet = begin(there).body();
        assertThat(sheet.get("setName").asText()).isEqualTo("Repair shop, built on the stage");
        JsonNode key = step(sheet, "key").get("placed");
        assertThat(key.at("/tapes/a/length/m").asDouble())
                .as("the same tape from the same post")
                .isCloseTo(
                        step(api.get("/api/shots/%d/rebuild".formatted(shot)).body(), "key")
                                .at("/placed/tapes/a/length/m")
                                .asDouble(),
                        within(0.02));
        JsonNode side = StreamSupport.stream(
                        api.get("/api/runs/%d/verdict"
                                        .formatted(sheet.at("/run/id").asLong()))
                                .body()
                                .at("/match/lines")
                                .spliterator(),
                        false)
                .filter(l -> l.get("aspect").asText().equals("KEY_SIDE"))
                .findFirst()
                .orElseThrow();
        assertThat(side.get("difference").asDouble())
                .as("the side of the world turns with the place")
                .isCloseTo(0, within(0.5));
    }

    @Test
    void aFitNeedsLandmarksThatAreThere() {
        String one =
                "{\"setId\":%d,\"pairs\":[{\"recorded\":\"window post\",\"here\":\"window post\"}],\"mirrored\":false}"
                        .formatted(stage());
        assertThat(begin(one).detail()).contains("two landmarks");
        assertThat(begin(one.replace("\"here\":\"window post\"", "\"here\":\"no such post\""))
                        .detail())
                .contains("has no landmark “no such post”");
    }

    @Test
    void aReaderLooksAndDoesNotTick() {
        long run = run();
        assertThat(api.as("READER").get("/api/runs/" + run).status()).isEqualTo(200);
        assertThat(api.as("READER")
                        .put("/api/runs/%d/steps/key".formatted(run), "", null)
                        .status())
                .isEqualTo(403);
    }

    private long stage() {
        long production =
                api.get("/api/book").body().at("/productions/0/production/id").asLong();
        return StreamSupport.stream(
                        api.get("/api/productions/%d/sets".formatted(production))
                                .body()
                                .spliterator(),
                        false)
                .filter(s -> s.get("name").asText().contains("stage"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private long run() {
        return begin("{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
    }

    private Answer begin(String body) {
        return api.post("/api/shots/%d/runs".formatted(shot), body);
    }

    private Answer otherwise(long run, String placement, String body, long version) {
        return api.put("/api/runs/%d/steps/%s/otherwise".formatted(run, placement), body, version);
    }

    private static JsonNode step(JsonNode sheet, String placement) {
        return StreamSupport.stream(sheet.get("steps").spliterator(), false)
                .filter(s -> s.at("/placed/placement/key").asText().equals(placement))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asText)
                .toList();
    }
}
