package org.oblume.server.shot;

import static org.assertj.core.api.Assertions.assertThat;

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
class HistoryOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private Api grip;
    private long wide;
    private long close;
    private String closeSlate;

    @BeforeEach
    void aShotOfItsOwn() {
        made++;
        wide = api.shotFrom("5H" + made, api.shot("4A"));
        closeSlate = "5I" + made;
        close = api.shotFrom(closeSlate, wide);
        grip = api.as("CREW");
    }

    @Test
    void everyChangeIsToldWithWhoFromToAndWhy() {
        level(api, 24, 0);
        grip.tie(close, "key", "LEVEL", "{\"text\":\"30\",\"reason\":\"FIX\",\"note\":\"too dark\"}", 1);
        api.delete(Api.path(close, "key", "LEVEL"), 2L);
        List<String> past = StreamSupport.stream(
                        api.get("/api/shots/" + close + "/history?placement=key")
                                .body()
                                .get("changes")
                                .spliterator(),
                        false)
                .map(c -> "%s %s: %s to %s, %s %s"
                        .formatted(
                                c.get("author").asText(),
                                c.get("label").asText(),
                                c.at("/from/metric").asText("-"),
                                c.at("/to/metric").asText("-"),
                                c.path("reason").asText("-"),
                                c.path("note").asText("-")))
                .toList();
        assertThat(past)
                .containsExactly(
                        "best boy level: 30 % to -, - -",
                        "key grip level: 24 % to 30 %, FIX too dark", "best boy level: 70 % to 24 %, MATCH -");
        assertThat(api.get("/api/shots/" + close + "/history?placement=edge")
                        .body()
                        .get("changes"))
                .isEmpty();
    }

    @Test
    void anotherNameIsToldWithWhoGaveIt() {
        name("Left lamp");
        name("Edge");
        assertThat(StreamSupport.stream(
                                api.get("/api/shots/" + api.shot("22A") + "/history?placement=edge")
                                        .body()
                                        .get("changes")
                                        .spliterator(),
                                false)
                        .map(c -> "%s: %s %s to %s"
                                .formatted(
                                        c.get("author").asText(),
                                        c.get("kind").asText(),
                                        c.at("/from/metric").asText(),
                                        c.at("/to/metric").asText())))
                .startsWith("best boy: NAMED Left lamp to Edge", "best boy: NAMED Edge to Left lamp");
    }

    private void name(String name) {
        JsonNode edge = StreamSupport.stream(
                        api.get("/api/shots/" + api.shot("22A") + "/plot")
                                .body()
                                .get("placements")
                                .spliterator(),
                        false)
                .filter(p -> p.at("/placement/key").asText().equals("edge"))
                .findFirst()
                .orElseThrow();
        String card = "{\"name\":\"%s\",\"role\":\"%s\"}"
                .formatted(name, edge.at("/placement/role").asText());
        assertThat(api.put(
                                "/api/shots/" + api.shot("22A") + "/placements/edge",
                                card,
                                edge.get("version").asLong())
                        .status())
                .isEqualTo(200);
    }

    @Test
    void eachPersonUndoesTheirOwnAndDoesItAgain() {
        level(api, 24, 0);
        grip.tie(close, "edge", "LEVEL", "{\"text\":\"11\",\"reason\":\"FIX\"}", 0);
        api.tie(close, "key", "HEIGHT", "{\"text\":\"1.9\",\"reason\":\"MATCH\"}", 0);
        assertThat(mine(api)).isEqualTo("Key/-");
        api.post("/api/shots/" + close + "/undo", "");
        api.post("/api/shots/" + close + "/undo", "");
        assertThat(said(close, "key", "HEIGHT")).isEqualTo(said(wide, "key", "HEIGHT"));
        assertThat(said(close, "key", "LEVEL")).isEqualTo("70 %");
        assertThat(said(close, "edge", "LEVEL")).isEqualTo("11 %");
        assertThat(api.post("/api/shots/" + close + "/undo", "").detail()).contains("nothing of yours to undo");
        api.post("/api/shots/" + close + "/redo", "");
        assertThat(said(close, "key", "LEVEL")).isEqualTo("24 %");
        api.post("/api/shots/" + close + "/redo", "");
        assertThat(said(close, "key", "HEIGHT")).isEqualTo("1.90 m");
        assertThat(api.post("/api/shots/" + close + "/redo", "").detail()).contains("nothing of yours to do again");
        api.post("/api/shots/" + close + "/undo", "");
        assertThat(mine(api)).isEqualTo("Key/Key");
        assertThat(api.placed(close, "key").at("/values/LEVEL/reason").asText()).isEqualTo("MATCH");
        level(api, 26, 3);
        assertThat(mine(api)).isEqualTo("Key/-");
    }

    @Test
    void severalEditsOfOneValueAreUndoneOneAfterTheOtherAndDoneAgain() {
        level(api, 24, 0);
        level(api, 26, 1);
        level(api, 28, 2);
        for (String before : List.of("26 %", "24 %", "70 %")) {
            assertThat(api.post("/api/shots/" + close + "/undo", "").status()).isEqualTo(200);
            assertThat(said(close, "key", "LEVEL")).isEqualTo(before);
        }
        for (String after : List.of("24 %", "26 %", "28 %")) {
            assertThat(api.post("/api/shots/" + close + "/redo", "").status()).isEqualTo(200);
            assertThat(said(close, "key", "LEVEL")).isEqualTo(after);
        }
    }

    @Test
    void whatSomebodyElseChangedSinceIsNotUndoneInSilence() {
        level(api, 24, 0);
        level(grip, 30, 1);
        Answer refused = api.post("/api/shots/" + close + "/undo", "");
        assertThat(refused.detail())
                .isEqualTo("key grip changed the level of Key since: change it by hand, or go back in the history.");
        assertThat(said(close, "key", "LEVEL")).isEqualTo("30 %");
    }

    @Test
    void aShotGoesBackToAnyPointAsANewEdit() {
        level(api, 24, 0);
        long then = api.get("/api/shots/" + close + "/history")
                .body()
                .at("/changes/0/event")
                .asLong();
        level(grip, 30, 1);
        api.tie(close, "edge", "LEVEL", "{\"text\":\"11\",\"reason\":\"FIX\"}", 0);
        assertThat(api.post("/api/shots/" + close + "/back", "{\"event\":%d}".formatted(then))
                        .status())
                .isEqualTo(200);
        assertThat(said(close, "key", "LEVEL")).isEqualTo("24 %");
        assertThat(said(close, "edge", "LEVEL")).isEqualTo(said(wide, "edge", "LEVEL"));
        assertThat(api.get("/api/shots/" + close + "/history").body().get("changes"))
                .hasSize(5);
        assertThat(api.post("/api/shots/" + close + "/back", "{\"event\":%d}".formatted(Long.MAX_VALUE))
                        .detail())
                .contains("Nothing was changed since");
    }

    @Test
    void whatWasShotIsRevisedWithAReasonAndTheOldStaysReadable() {
        level(api, 24, 0);
        long version = shootIt(close, closeSlate, wide);
        assertThat(level(api, 30, 1).detail()).contains("has been shot and is locked. Open a revision of it");
        assertThat(stage(close, closeSlate, wide, "LIT", version).detail())
                .isEqualTo(closeSlate + " has been shot: open a revision and say why.");
        assertThat(api.post("/api/shots/" + close + "/revisions", "{\"reason\":\" \"}")
                        .status())
                .isEqualTo(400);
        Answer opened = api.post("/api/shots/" + close + "/revisions", "{\"reason\":\"The dimmer was read wrong\"}");
        assertThat(opened.body().get("revision").asInt()).isEqualTo(2);
        assertThat(level(api, 30, 1).status()).isEqualTo(200);
        JsonNode closed = api.get("/api/shots/" + close + "/revisions")
                .body()
                .get("closed")
                .get(0);
        assertThat(closed.get("reason").asText()).isEqualTo("The dimmer was read wrong");
        assertThat(closed.get("author").asText()).isEqualTo("best boy");
        JsonNode old = api.get("/api/shots/" + close + "/plot?asOf="
                        + closed.get("lastEvent").asLong())
                .body();
        assertThat(level(old)).isEqualTo("24 %");
        assertThat(said(close, "key", "LEVEL")).isEqualTo("30 %");
    }

    @Test
    void aRevisionLeavesWhatWasShotAfterItAsItWas() {
        shootIt(close, closeSlate, wide);
        shootIt(wide, "5H" + made, api.shot("4A"));
        api.post("/api/shots/" + wide + "/revisions", "{\"reason\":\"Key was lower\"}");
        assertThat(api.tie(wide, "key", "LEVEL", "{\"text\":\"50\",\"reason\":\"FIX\"}", 0)
                        .status())
                .isEqualTo(200);
        assertThat(said(wide, "key", "LEVEL")).isEqualTo("50 %");
        JsonNode kept = api.placed(close, "key").at("/values/LEVEL");
        assertThat(kept.at("/say/metric").asText()).isEqualTo("70 %");
        assertThat(kept.get("note").asText()).isEqualTo("As it was shot; 5H%d was revised".formatted(made));
    }

    @Test
    void aShotTellsWhoLitItAndWhoShotItAndWhen() {
        stage(close, closeSlate, wide, "LIT", 0);
        JsonNode head = api.get("/api/shots/" + close + "/plot").body().get("shot");
        assertThat(head.at("/lit/author").asText()).isEqualTo("best boy");
        assertThat(head.at("/lit/at").asText()).isNotEmpty();
        assertThat(head.has("shot")).isFalse();
    }

    @Test
    void aShotIsInsertedBetweenTwoAndTheNextCarriesFromIt() {
        String body = "{\"slate\":\"5J%d\",\"description\":\"\",\"stage\":\"PLANNED\",\"basedOnId\":%d}"
                .formatted(made, wide);
        long between = api.post("/api/scenes/%d/shots?after=%d&next=true".formatted(api.sceneOf(wide), wide), body)
                .body()
                .get("id")
                .asLong();
        List<String> slates = api.get("/api/scenes/" + api.sceneOf(wide) + "/carry")
                .body()
                .get("shots")
                .findValuesAsText("slate");
        assertThat(slates).containsSubsequence("5H" + made, "5J" + made, closeSlate);
        assertThat(api.get("/api/shots/" + close + "/plot")
                        .body()
                        .at("/shot/basedOn")
                        .asText())
                .isEqualTo("5J" + made);
        assertThat(between).isPositive();
    }

    private long shootIt(long shot, String slate, long base) {
        return stage(
                        shot,
                        slate,
                        base,
                        "SHOT",
                        api.get("/api/shots/" + shot + "/plot")
                                .body()
                                .at("/shot/version")
                                .asLong())
                .body()
                .get("version")
                .asLong();
    }

    private Answer stage(long shot, String slate, long base, String stage, long version) {
        return api.put(
                "/api/shots/" + shot,
                "{\"slate\":\"%s\",\"description\":\"\",\"stage\":\"%s\",\"basedOnId\":%d}"
                        .formatted(slate, stage, base),
                version);
    }

    private Answer level(Api who, int percent, long revision) {
        return who.tie(close, "key", "LEVEL", "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(percent), revision);
    }

    private String said(long shot, String key, String attribute) {
        return api.say(shot, key, attribute);
    }

    private static String level(JsonNode plot) {
        return StreamSupport.stream(plot.get("placements").spliterator(), false)
                .filter(p -> p.at("/placement/key").asText().equals("key"))
                .findFirst()
                .orElseThrow()
                .at("/values/LEVEL/say/metric")
                .asText();
    }

    private String mine(Api who) {
        JsonNode mine = who.get("/api/shots/" + close + "/plot").body().get("mine");
        return mine.path("undo").asText("-") + "/" + mine.path("redo").asText("-");
    }

    @Test
    void oneValueThatIsChangedTwiceInOneEditHoldsWhatCameLast() {
        long shot = api.shotFrom("4HH", api.shot("4A"));
        api.tie(shot, "key", "LEVEL", "{\"text\":\"20\",\"reason\":\"LOOK\"}", 0);
        String twice =
                """
                {"changes":[{"placement":"key","attribute":"LEVEL","value":{"percent":30},"revision":1},
                 {"placement":"key","attribute":"LEVEL","value":{"percent":35},"revision":1}],"reason":"LOOK"}""";
        assertThat(api.post("/api/shots/" + shot + "/knots", twice).status()).isEqualTo(200);
        assertThat(api.say(shot, "key", "LEVEL")).isEqualTo("35 %");
    }

    @Test
    void aLongPastIsReadInPagesTheNewestFirst() {
        long shot = api.shotFrom("4H", api.shot("4A"));
        for (int i = 0; i < 205; i++) {
            api.tie(shot, "key", "LEVEL", "{\"text\":\"%d\",\"reason\":\"LOOK\"}".formatted(i % 100), i);
        }
        JsonNode newest =
                api.get("/api/shots/" + shot + "/history?placement=key").body();
        assertThat(newest.get("changes")).hasSize(200);
        assertThat(newest.get("older").asBoolean()).isTrue();
        long last = newest.get("changes").get(199).get("event").asLong();
        JsonNode before = api.get("/api/shots/" + shot + "/history?placement=key&before=" + last)
                .body();
        assertThat(before.get("changes")).hasSize(5);
        assertThat(before.get("older").asBoolean()).isFalse();
        assertThat(before.get("changes").get(4).get("to").get("metric").asText())
                .isEqualTo("0 %");
    }
}
