package org.oblume.server.carry;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class BoardOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long scene;
    private long wide;
    private long close;
    private long reverse;

    @BeforeEach
    void threeShotsOfTheirOwn() {
        made++;
        wide = api.shotFrom("5K" + made, api.shot("4A"));
        close = api.shotFrom("5L" + made, wide);
        reverse = api.shotFrom("5M" + made, close);
        scene = api.sceneOf(wide);
    }

    @Test
    void aCellShowsOnlyWhatIsTiedThereAndWhatChanged() {
        assertThat(edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%% 4300\"}]".formatted(close))
                        .status())
                .isEqualTo(200);
        JsonNode knots = cell("key", close);
        assertThat(knots.findValuesAsText("label")).containsExactly("level", "CCT");
        assertThat(knots.get(0).at("/say/metric").asText()).isEqualTo("45 %");
        assertThat(knots.get(0).at("/words/metric").asText()).isEqualTo("70 to 45 %");
        assertThat(knots.get(0).get("author").asText()).isEqualTo("best boy");
        assertThat(cell("key", reverse).isMissingNode()).isTrue();
        assertThat(api.say(reverse, "key", "LEVEL")).isEqualTo("45 %");
    }

    @Test
    void pastedOverTwoShotsWhatTheFirstGetsCarriesToTheSecond() {
        Answer pasted = edit(
                "[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%\"},{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%\"}]"
                        .formatted(reverse, close));
        assertThat(pasted.status()).isEqualTo(200);
        assertThat(cell("key", close)).hasSize(1);
        assertThat(cell("key", reverse).isMissingNode()).isTrue();
    }

    @Test
    void aPasteIsKeptWholeOrNotAtAll() {
        Answer refused = edit(
                "[{\"shotId\":%d,\"placement\":\"edge\",\"text\":\"45%%\"},{\"shotId\":%d,\"placement\":\"key\",\"text\":\"flurble\"}]"
                        .formatted(close, reverse));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).startsWith("Key in 5M%d: “flurble” is not understood for Key.".formatted(made));
        assertThat(cell("edge", close).isMissingNode()).isTrue();
    }

    @Test
    void aCellTakesOnlyWhatIsOfItAndIsNotAskedBack() {
        for (String text : List.of("cto", "edge off", "note rattles", "undo")) {
            Answer refused = edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"%s\"}]".formatted(close, text));
            assertThat(refused.status()).as(text).isEqualTo(400);
            assertThat(cell("key", close).isMissingNode()).as(text).isTrue();
        }
    }

    @Test
    void anEmptyCellCarriesAgainAndACellTakesAnotherShots() {
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%% 4300\"}]".formatted(close));
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"from\":%d}]".formatted(reverse, wide));
        assertThat(api.say(reverse, "key", "LEVEL")).isEqualTo("70 %");
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"\"}]".formatted(reverse));
        assertThat(api.say(reverse, "key", "LEVEL")).isEqualTo("45 %");
    }

    @Test
    void whatIsTiedIsCalledACheatAfterwards() {
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%\"}]".formatted(close));
        api.post(
                "/api/scenes/" + scene + "/carry",
                "{\"cells\":[{\"shotId\":%d,\"placement\":\"key\"}],\"reason\":\"CHEAT\",\"note\":\"across the bench\",\"seen\":%d}"
                        .formatted(close, board().get("seen").asLong()));
        assertThat(cell("key", close)).hasSize(1);
        assertThat(cell("key", close).at("/0/reason").asText()
                        + cell("key", close).at("/0/note").asText())
                .isEqualTo("CHEATacross the bench");
    }

    @Test
    void nobodyWritesOverWhatTheyDidNotSee() {
        long seen = board().get("seen").asLong();
        api.as("CREW").tie(close, "key", "LEVEL", "{\"text\":\"33\",\"reason\":\"FIX\"}", 0);
        Answer stale = edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%\"}]".formatted(close), seen);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail()).startsWith("key grip changed the level of Key to 33 %.");
        assertThat(edit("[{\"shotId\":%d,\"placement\":\"edge\",\"text\":\"45%%\"}]".formatted(close), seen)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void threadsTellWhereSomethingIsOffOrGone() {
        edit("[{\"shotId\":%d,\"placement\":\"edge\",\"text\":\"off\"}]".formatted(close));
        JsonNode row = row("edge");
        int index = index(close);
        JsonNode thread = StreamSupport.stream(row.get("threads").spliterator(), false)
                .filter(t -> t.get("shot").asInt() == index)
                .findFirst()
                .orElseThrow();
        assertThat(thread.get("state").asText()).isEqualTo("OFF");
        assertThat(row("camera").get("department").asText()).isEqualTo("CAMERA");
        assertThat(board().get("rows").get(0).at("/placement/key").asText()).isEqualTo("camera");
    }

    @Test
    void rebasingIsShownBeforeItIsDoneWithWhatFollows() {
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%\"}]".formatted(close));
        JsonNode preview = api.get("/api/shots/%d/rebase?on=%d".formatted(reverse, wide))
                .body()
                .get("shots");
        assertThat(preview.findValuesAsText("slate")).containsExactly("5M" + made);
        assertThat(preview.at("/0/differences/0/words/metric").asText()).isEqualTo("45 to 70 %");
        assertThat(api.get("/api/shots/%d/rebase?on=%d".formatted(wide, reverse))
                        .detail())
                .contains("would base it on itself");
        assertThat(api.say(reverse, "key", "LEVEL")).isEqualTo("45 %");
    }

    @Test
    void twoShotsAreComparedInWordsAndInPlacesAlsoOfTwoScenes() {
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%, closer 40 cm\"}]".formatted(close));
        JsonNode both = api.get("/api/compare?from=shot-%d&to=shot-%d".formatted(wide, close))
                .body();
        assertThat(both.get("differences").findValuesAsText("label")).containsExactly("place", "level");
        assertThat(both.get("differences").at("/0/words/metric").asText()).isEqualTo("0.42 m closer");
        assertThat(both.get("lightFrom").get("marks")).hasSize(1);
        JsonNode other = api.get("/api/compare?from=shot-%d&to=shot-%d".formatted(close, api.shot("22A")))
                .body();
        assertThat(other.get("sameSet").asBoolean()).isFalse();
        assertThat(other.get("differences").findValuesAsText("name")).contains("Moon", "Bench lamp");
        assertThat(api.get("/api/compare?from=shot-1&to=shelf-2").detail()).contains("neither a shot nor a look");
    }

    @Test
    void theMoveListIsTickedOffAndSaysWhenItReadsDifferentlySince() {
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"45%%, closer 40 cm\"}]".formatted(close));
        String sides = "from=shot-%d&to=shot-%d".formatted(wide, close);
        JsonNode moves = api.get("/api/moves?" + sides).body();
        assertThat(moves.get("moves").findValuesAsText("key"))
                .containsExactly("key/shift", "all/recall", "mark-1/meter");
        assertThat(moves.get("minutes").asDouble()).isEqualTo(6);
        String tick = "{\"from\":\"shot-%d\",\"to\":\"shot-%d\",\"key\":\"all/recall\"}".formatted(wide, close);
        assertThat(api.as("CONTINUITY")
                        .put("/api/moves/ticks", tick, null)
                        .body()
                        .at("/moves/1/done/author")
                        .asText())
                .isEqualTo("script supervisor");
        edit("[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"50%%\"}]".formatted(close));
        assertThat(api.get("/api/moves?" + sides)
                        .body()
                        .at("/moves/1/done/changedSince")
                        .asBoolean())
                .isTrue();
        assertThat(api.delete("/api/moves/ticks?" + sides + "&key=all/recall", null)
                        .body()
                        .at("/moves/1")
                        .has("done"))
                .isFalse();
    }

    @Test
    void theCrewKeepsItsOwnTimes() {
        long production = board().get("productionId").asLong();
        Answer kept = api.put(
                "/api/productions/%d/tempo".formatted(production),
                "{\"minutes\":{\"LENS\":4.5},\"people\":{\"GRIP\":3}}",
                null);
        assertThat(kept.status()).isEqualTo(200);
        assertThat(StreamSupport.stream(kept.body().get("jobs").spliterator(), false)
                        .filter(j -> j.get("job").asText().equals("LENS"))
                        .findFirst()
                        .orElseThrow()
                        .get("minutes")
                        .asDouble())
                .isEqualTo(4.5);
        assertThat(api.put(
                                "/api/productions/%d/tempo".formatted(production),
                                "{\"minutes\":{},\"people\":{\"GRIP\":0}}",
                                null)
                        .detail())
                .startsWith("People of grip 0 is out of range");
        api.put("/api/productions/%d/tempo".formatted(production), "{\"minutes\":{},\"people\":{}}", null);
    }

    @Test
    void aLookIsSavedAndMadeOfAShotAsKnotsAndLeavesTheFrameAlone() {
        edit(
                "[{\"shotId\":%d,\"placement\":\"key\",\"text\":\"12%% 3200\"},{\"shotId\":%d,\"placement\":\"edge\",\"text\":\"off\"}]"
                        .formatted(close, close));
        Answer saved = api.post("/api/looks", "{\"name\":\"Night %d\",\"shotId\":%d}".formatted(made, close));
        assertThat(saved.status()).isEqualTo(201);
        long look = saved.body().get("id").asLong();
        assertThat(api.post("/api/looks", "{\"name\":\"night %d\",\"shotId\":%d}".formatted(made, close))
                        .detail())
                .contains("has a look called");
        long other = api.shotFrom("5N" + made, wide);
        api.tie(other, "camera", "LENS", "{\"text\":\"85\",\"reason\":\"LOOK\"}", 0);
        assertThat(api.get("/api/shots/%d/state?side=look-%d".formatted(other, look))
                        .body()
                        .get("differences")
                        .findValuesAsText("name"))
                .containsOnly("Key", "Edge");
        assertThat(take(other, "look-" + look).status()).isEqualTo(204);
        assertThat(List.of(
                        api.say(other, "key", "LEVEL"),
                        api.say(other, "edge", "STANDING"),
                        api.say(other, "camera", "LENS")))
                .containsExactly("12 %", "off", "85 mm");
        assertThat(take(other, "look-" + look).detail()).contains("nothing to change");
        assertThat(board().get("looks").findValuesAsText("name")).contains("Night " + made);
        assertThat(api.delete("/api/looks/" + look, 0L).status()).isEqualTo(204);
    }

    @ParameterizedTest
    @CsvSource({"CONTROL", "CONTINUITY", "READER"})
    void onlyTheCrewEditsTheBoard(String role) {
        assertThat(api.as(role)
                        .post("/api/scenes/" + scene + "/carry", "{\"cells\":[],\"seen\":0}")
                        .status())
                .isEqualTo(403);
    }

    private Answer take(long shot, String side) {
        return api.post(
                "/api/shots/" + shot + "/state",
                "{\"side\":\"%s\",\"reason\":\"LOOK\",\"seen\":%d}"
                        .formatted(side, board().get("seen").asLong()));
    }

    private Answer edit(String cells) {
        return edit(cells, board().get("seen").asLong());
    }

    private Answer edit(String cells, long seen) {
        return api.post(
                "/api/scenes/" + scene + "/carry",
                "{\"cells\":%s,\"reason\":\"MATCH\",\"seen\":%d}".formatted(cells, seen));
    }

    private JsonNode board() {
        return api.get("/api/scenes/" + scene + "/carry").body();
    }

    private int index(long shot) {
        List<String> ids = board().get("shots").findValuesAsText("id");
        return ids.indexOf(String.valueOf(shot));
    }

    private JsonNode row(String key) {
        return StreamSupport.stream(board().get("rows").spliterator(), false)
                .filter(r -> r.at("/placement/key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode cell(String key, long shot) {
        int index = index(shot);
        return StreamSupport.stream(row(key).get("cells").spliterator(), false)
                .filter(c -> c.get("shot").asInt() == index)
                .findFirst()
                .map(c -> c.get("knots"))
                .orElse(com.fasterxml.jackson.databind.node.MissingNode.getInstance());
    }
}
