package org.oblume.server.shot;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class CarryOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long wide;
    private long close;

    @BeforeEach
    void aCloseShotOfItsOwn() {
        wide = api.shot("4A");
        close = api.shotFrom("4X" + ++made, wide);
    }

    @Test
    void aChangeInTheCloseShotCarriesOnAndLeavesTheWideAlone() {
        long reverse = api.shotFrom("4Y" + made, close);
        Answer answer =
                api.tie(close, "key", "LEVEL", "{\"text\":\"24\",\"reason\":\"MATCH\",\"note\":\"in close\"}", 0);

        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.etag()).isEqualTo("\"1\"");
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("24 %");
        assertThat(api.say(wide, "key", "LEVEL")).isEqualTo("70 %");
        JsonNode carried = api.placed(reverse, "key").get("values").get("LEVEL");
        assertThat(carried.at("/say/metric").asText()).isEqualTo("24 %");
        assertThat(carried.get("from").asText()).isEqualTo("4X" + made);
        assertThat(carried.get("tiedHere").asBoolean()).isFalse();
        assertThat(carried.get("reason").asText()).isEqualTo("MATCH");
        assertThat(carried.get("author").asText()).isEqualTo("best boy");
        assertThat(carried.get("note").asText()).isEqualTo("in close");
    }

    @Test
    void aChangeInABasedOnShotNeedsAReason() {
        Answer answer = api.tie(close, "key", "LEVEL", "{\"text\":\"24\"}", 0);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().get("field").asText()).isEqualTo("reason");
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("70 %");
    }

    @Test
    void anUntiedValueCarriesAgain() {
        api.tie(close, "key", "HEIGHT", "{\"text\":\"6'5\\\"\",\"reason\":\"LOOK\"}", 0);
        assertThat(api.say(close, "key", "HEIGHT")).isEqualTo("1.96 m");
        assertThat(api.delete(Api.path(close, "key", "HEIGHT"), 1L).status()).isEqualTo(200);
        assertThat(api.say(close, "key", "HEIGHT")).isEqualTo("2.07 m");
        assertThat(api.placed(close, "key").get("revisions").get("HEIGHT").asLong())
                .isEqualTo(2);
    }

    @Test
    void tyingWhatHoldsAnywayTiesNoKnot() {
        Answer answer = api.tie(close, "key", "LEVEL", "{\"text\":\"70\",\"reason\":\"MATCH\"}", 0);
        assertThat(answer.status()).isEqualTo(200);
        assertThat(api.placed(close, "key")
                        .get("values")
                        .get("LEVEL")
                        .get("tiedHere")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void aStaleEditIsToldWhatTheOtherChangedAndKeepsNothing() {
        api.tie(close, "key", "LEVEL", "{\"text\":\"30\",\"reason\":\"MATCH\"}", 0);
        Answer stale = api.tie(close, "key", "LEVEL", "{\"text\":\"20\",\"reason\":\"LOOK\"}", 0);

        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail())
                .isEqualTo(
                        "best boy changed the level of Key to 30 %. Yours is not kept yet: take theirs, or put yours on top.");
        JsonNode theirs = stale.body().get("conflict");
        assertThat(theirs.at("/say/metric").asText()).isEqualTo("30 %");
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("30 %");

        Answer onTop = api.tie(
                close,
                "key",
                "LEVEL",
                "{\"text\":\"20\",\"reason\":\"LOOK\"}",
                theirs.get("revision").asLong());
        assertThat(onTop.status()).isEqualTo(200);
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("20 %");
    }

    @Test
    void anEditOfBeforeARestoreIsComparedByWhatItWasMadeOn() {
        String onto20 = "{\"text\":\"20\",\"reason\":\"LOOK\",\"insteadOf\":{\"percent\":%s}}";
        assertThat(api.put(Api.path(close, "key", "LEVEL"), onto20.formatted("33"), null)
                        .status())
                .isEqualTo(409);
        assertThat(api.put(Api.path(close, "key", "LEVEL"), onto20.formatted("70"), null)
                        .status())
                .isEqualTo(200);
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("20 %");
        // sent once more it is there already
        assertThat(api.put(Api.path(close, "key", "LEVEL"), onto20.formatted("70"), null)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aValueThatWasUntiedAndTiedAgainIsStillStaleForWhoSawTheFirst() {
        api.tie(close, "key", "LEVEL", "{\"text\":\"30\",\"reason\":\"MATCH\"}", 0);
        api.delete(Api.path(close, "key", "LEVEL"), 1L);
        api.tie(close, "key", "LEVEL", "{\"text\":\"40\",\"reason\":\"MATCH\"}", 2);
        assertThat(api.tie(close, "key", "LEVEL", "{\"text\":\"20\",\"reason\":\"LOOK\"}", 1)
                        .status())
                .isEqualTo(409);
    }

    @Test
    void ofManyAtOnceOneIsKeptAndTheOthersAreTold() {
        List<CompletableFuture<Answer>> racing = IntStream.range(1, 9)
                .mapToObj(i -> CompletableFuture.supplyAsync(() ->
                        api.tie(close, "edge", "LEVEL", "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(i), 0)))
                .toList();
        List<Answer> answers = racing.stream().map(CompletableFuture::join).toList();
        assertThat(answers).filteredOn(a -> a.status() == 200).hasSize(1);
        assertThat(answers).filteredOn(a -> a.status() == 409).hasSize(7).allSatisfy(a -> assertThat(
                        a.body().at("/conflict/say/metric").asText())
                .isEqualTo(api.say(close, "edge", "LEVEL")));
    }

    @Test
    void twoShotsAreNeverBasedOnEachOtherAtOnce() {
        long other = api.shotFrom("4Z" + made, wide);
        String card = "{\"slate\":\"%s%d\",\"description\":\"\",\"stage\":\"PLANNED\",\"basedOnId\":%d}";
        CompletableFuture<Answer> one = CompletableFuture.supplyAsync(
                () -> api.put("/api/shots/" + close, card.formatted("4X", made, other), 0L));
        CompletableFuture<Answer> two = CompletableFuture.supplyAsync(
                () -> api.put("/api/shots/" + other, card.formatted("4Z", made, close), 0L));
        assertThat(List.of(one.join().status(), two.join().status())).containsExactlyInAnyOrder(200, 400);
    }

    @Test
    void anEditThatNamesNoVersionIsRefused() {
        Answer answer = api.put(Api.path(close, "key", "LEVEL"), "{\"text\":\"20\",\"reason\":\"LOOK\"}", null);
        assertThat(answer.status()).isEqualTo(428);
        assertThat(answer.detail()).contains("If-Match");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "key | LEVEL | {'text':'101','reason':'LOOK'} | Level 101 % is out of range: give 0 to 100 %.",
                "key | CCT | {'text':'9000','reason':'LOOK'} | Key: colour temperature 9000 K is out of range: give 2700 to 6500 K.",
                "key | PATCH | {'value':{'universe':2},'reason':'LOOK'} | Universe 2 needs an address: give 1 to 512, or clear the universe.",
                "key | PATCH | {'value':{'universe':2,'address':513},'reason':'LOOK'} | Address 513 is out of range: give 1 to 512.",
                "key | HEIGHT | {'text':'high','reason':'LOOK'} | “high” is not a length: type metres such as 1.95, or feet and inches such as 6'5\".",
                "key | LENS | {'text':'50','reason':'LOOK'} | Key has no lens to record.",
                "key | AIM | {'value':{'mark':'edge','heightM':1},'reason':'LOOK'} | Key cannot be aimed at Edge: aim at a mark, or give a bearing and a tilt.",
                "key | LEVEL | {'value':{'percent':5},'text':'5','reason':'LOOK'} | Give the level as a value or as typed text, one of the two.",
                "key | LEVEL | {'value':{'percent':'5'},'reason':'LOOK'} | This is not a value for the level: {\"percent\":\"5\"}",
                "nobody | LEVEL | {'text':'5','reason':'LOOK'} | The scene has no placement “nobody”."
            })
    void whatTheRulesDoNotAllowIsRefusedInWords(String placement, String attribute, String body, String sentence) {
        Answer answer =
                api.tie(close, placement, attribute, body.replace('\'', '"').replace("6\"5\"", "6'5\""), 0);
        assertThat(answer.status()).isIn(400, 404);
        assertThat(answer.detail()).startsWith(sentence);
    }

    @Test
    void aHeadOutsideTheWallsIsKeptOnlyWhenItIsMarkedSo() {
        String place = "{\"value\":{\"xM\":2.0,\"yM\":6.4,\"outside\":%s},\"reason\":\"LOOK\"}";
        Answer refused = api.tie(close, "edge", "PLACE", place.formatted(false), 0);
        assertThat(refused.detail()).startsWith("Edge would stand 1.00 m outside the walls.");
        assertThat(refused.body().get("field").asText()).isEqualTo("place");
        assertThat(api.tie(close, "edge", "PLACE", place.formatted(true), 0).status())
                .isEqualTo(200);
    }

    @Test
    void aShotIsNotBasedOnItselfHoweverFarRound() {
        long reverse = api.shotFrom("4Y" + made, close);
        Answer answer = api.put(
                "/api/shots/" + close,
                "{\"slate\":\"4X%d\",\"description\":\"\",\"stage\":\"PLANNED\",\"basedOnId\":%d}"
                        .formatted(made, reverse),
                0L);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("would base it on itself");
    }

    @Test
    void aShotThatOthersAreBasedOnIsNotDeleted() {
        api.shotFrom("4Y" + made, close);
        Answer refused = api.delete("/api/shots/" + close, 0L);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail())
                .isEqualTo("4X%d cannot be deleted: 4Y%d is based on it. Base it on another shot first."
                        .formatted(made, made));
        assertThat(api.delete("/api/shots/" + api.shot("4Y" + made), 0L).status())
                .isEqualTo(204);
        assertThat(api.delete("/api/shots/" + close, 0L).status()).isEqualTo(204);
        assertThat(api.get("/api/shots/" + close + "/plot").status()).isEqualTo(404);
    }

    @Test
    void whatWasShotStaysAsItWasShot() {
        long reverse = api.shotFrom("4Y" + made, close);
        String card =
                "{\"slate\":\"4Y%d\",\"description\":\"\",\"stage\":\"SHOT\",\"basedOnId\":%d}".formatted(made, close);
        assertThat(api.put("/api/shots/" + reverse, card, 0L).status()).isEqualTo(200);
        assertThat(api.tie(reverse, "key", "LEVEL", "{\"text\":\"24\",\"reason\":\"MATCH\"}", 0)
                        .detail())
                .contains("has been shot and is locked");
        assertThat(api.tie(close, "edge", "HEIGHT", "{\"text\":\"2.3\",\"reason\":\"MATCH\"}", 0)
                        .detail())
                .contains("4Y%d has been shot and carries this value from 4X%d: changing it here would rewrite it"
                        .formatted(made, made));
        assertThat(api.put("/api/shots/" + reverse, card.replace("SHOT", "LIT"), 1L)
                        .detail())
                .contains("has been shot: open a revision and say why");
    }

    @Test
    void aTriedChangeShowsWhatItWouldBeAndKeepsNothing() {
        Answer tried = api.post(
                "/api/shots/" + close + "/light",
                """
                {"changes":[{"placement":"key","attribute":"PLACE","value":{"xM":5.0,"yM":3.95,"outside":false}}],"holds":[],"out":[]}""");
        JsonNode key = tried.body().get("placements").get(0);
        assertThat(key.get("tapes").get("a").get("length").get("metric").asText())
                .isEqualTo("2.16 m");
        assertThat(key.get("aim").get("bearing").asText()).isEqualTo("221°");
        assertThat(api.placed(close, "key").get("revisions").has("PLACE")).isFalse();
    }

    @Test
    void aNewHeadStandsFromTheShotItIsPlacedInOn() {
        String body =
                """
                {"name":"Hair light %d","kind":"HEAD","role":"EDGE","beamDeg":40,"reason":"LOOK",
                 "place":{"xM":3,"yM":3,"outside":false},
                 "piece":{"what":"Bicolour LED spot 150 W","widthM":0.2,"lowestKelvin":2700,"highestKelvin":6500,"watts":165,"mount":"OVERHEAD"}}"""
                        .formatted(made);
        Answer placed = api.post("/api/shots/" + close + "/placements", body);
        assertThat(placed.status()).isEqualTo(201);
        String key = placed.body().get("key").asText();
        assertThat(key).isEqualTo("hair-light-" + made);
        assertThat(api.placed(close, key).get("onSet").asBoolean()).isTrue();
        assertThat(api.say(close, key, "AIM")).isEqualTo("at Repairer, 1.50 m up");
        assertThat(api.placed(wide, key).get("onSet").asBoolean()).isFalse();
        assertThat(api.post("/api/shots/" + close + "/placements", body).detail())
                .contains("already");
    }

    @Test
    void aStaleShotCardIsRefusedWithTheCardAsItStands() {
        String card = "{\"slate\":\"4X%d\",\"description\":\"%s\",\"stage\":\"PLANNED\",\"basedOnId\":%d}";
        assertThat(api.put("/api/shots/" + close, card.formatted(made, "theirs", wide), 0L)
                        .status())
                .isEqualTo(200);
        Answer stale = api.put("/api/shots/" + close, card.formatted(made, "mine", wide), 0L);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.body().get("conflict").get("card").get("description").asText())
                .isEqualTo("theirs");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'slate':'4Q' | This is not JSON",
                "{'slate':'4Q','stage':'PLANNED','description':'','colour':1} | “colour” is not a field here.",
                "{'slate':'','stage':'PLANNED','description':''} | “” cannot go on a slate",
                "{'slate':'4Q','stage':'WRAPPED','description':''} | “WRAPPED” is not known for “stage”: give one of PLANNED, LIT, SHOT."
            })
    void aBodyThatCannotBeReadIsAnsweredInWords(String body, String sentence) {
        Answer answer = api.post("/api/scenes/" + api.sceneOf(wide) + "/shots", body.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).startsWith(sentence);
    }
}
