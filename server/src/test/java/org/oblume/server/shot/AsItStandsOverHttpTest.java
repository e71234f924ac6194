package org.oblume.server.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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

/** A lit set is walked: tapes, what is as before, what is new, and what a stranger would have to guess. */
@ServerTest
class AsItStandsOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long wide;
    private long close;

    @BeforeEach
    void aCloseShotOfItsOwn() {
        wide = api.shot("4A");
        close = api.shotFrom("4AS" + ++made, wide);
    }

    private Answer tape(String key, long version, String measured) {
        return api.put(
                Api.path(close, key, "PLACE"),
                "{\"measured\":%s,\"reason\":\"MATCH\",\"looked\":true}".formatted(measured.replace('\'', '"')),
                version);
    }

    private static String tapes(String a, String b, String c) {
        return "{'tapes':[{'landmark':'window post','length':'%s'},{'landmark':'door post','length':'%s'}%s]}"
                .formatted(a, b, c.isEmpty() ? "" : ",{'landmark':'bench leg','length':'%s'}".formatted(c));
    }

    private JsonNode values(String key) {
        return api.placed(close, key).get("values");
    }

    @Test
    void twoTapesAndACheckGiveThePlaceAndAreKeptAsTheyWerePulled() {
        JsonNode set = api.get("/api/shots/" + close + "/plot").body().at("/drawn/set/plan/landmarks");
        Answer answer = tape("key", 0, tapes("2.12 m", "1.46 m", ""));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        JsonNode place = values("key").at("/PLACE/value");
        for (JsonNode l : set) {
            double way = Math.hypot(
                    l.at("/point/xM").asDouble() - place.get("xM").asDouble(),
                    l.at("/point/yM").asDouble() - place.get("yM").asDouble());
            switch (l.get("name").asText()) {
                case "window post" -> assertThat(way).isEqualTo(2.12, within(0.002));
                case "door post" -> assertThat(way).isEqualTo(1.46, within(0.002));
                default -> {}
            }
        }
        assertThat(place.at("/measured/taped/tapes/0/lengthM").asDouble()).isEqualTo(2.12);
        assertThat(place.at("/yM").asDouble()).as("inside the walls").isLessThan(5.4);
        JsonNode tapes = api.placed(close, "key").get("tapes");
        assertThat(tapes.get("own").asBoolean()).isTrue();
        assertThat(tapes.at("/a/length/metric").asText()).isEqualTo("2.12 m");
        assertThat(values("key").at("/PLACE/say/metric").asText()).endsWith("up, by 2 tapes");
        assertThat(values("key").at("/PLACE/looked/author").asText()).isEqualTo("best boy");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.12 | 1.46 | 9.00 | do not agree",
                "0.50 | 0.50 | '' | do not cross",
                "2.12 | '' | '' | not a length",
                "0 | 1.46 | '' | longer than 0",
            })
    void tapesThatCannotBeAreRefusedWithWhatToDoAndNothingIsKept(String a, String b, String c, String says) {
        String before = api.say(close, "key", "PLACE");
        Answer answer = tape("key", 0, tapes(a, b, c));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains(says);
        assertThat(api.say(close, "key", "PLACE")).isEqualTo(before);
    }

    @Test
    void aPlaceIsSaidInOneWayOnly() {
        Answer both = tape("key", 0, tapes("2.12 m", "1.46 m", "").replace("]}", "],'onLandmark':'bench leg'}"));
        assertThat(both.status()).isEqualTo(400);
        assertThat(both.body().get("field").asText()).isEqualTo("measured");
        assertThat(api.placed(close, "key").get("revisions").has("PLACE")).isFalse();
    }

    @Test
    void fromAMarkAlongAWallAndOnALandmark() {
        assertThat(tape("key", 0, "{'polar':{'mark':'mark-1','distance':'2.0 m','offDeg':40,'side':'LEFT'}}")
                        .status())
                .isEqualTo(200);
        assertThat(api.placed(close, "key").at("/measured/metric").asText())
                .isEqualTo("2.00 m along the floor from Repairer, 40° off the way to the camera, camera left");
        assertThat(tape(
                                "key",
                                1,
                                "{'alongWall':{'from':'window corner','towards':'window post','along':'1 m','out':'0.8 m'}}")
                        .status())
                .isEqualTo(200);
        JsonNode place = values("key").at("/PLACE/value");
        assertThat(place.get("yM").asDouble()).isEqualTo(4.6, within(0.001));
        assertThat(tape("key", 2, "{'onLandmark':'bench leg'}").status()).isEqualTo(200);
        assertThat(values("key").at("/PLACE/say/metric").asText()).endsWith("on bench leg");
    }

    @Test
    void whatStandsOutsideIsTapedOnItsOwnSideOfTheWallsAndStaysOutside() {
        JsonNode before = values("street-sign").at("/PLACE/value");
        String[] names = {"kerb stone", "bollard"};
        StringBuilder pulled = new StringBuilder();
        for (JsonNode l : api.get("/api/shots/" + close + "/plot").body().at("/drawn/set/plan/landmarks")) {
            if (List.of(names).contains(l.get("name").asText())) {
                double way = Math.hypot(
                        l.at("/point/xM").asDouble() - before.get("xM").asDouble(),
                        l.at("/point/yM").asDouble() - before.get("yM").asDouble());
                pulled.append(pulled.isEmpty() ? "" : ",")
                        .append("{'landmark':'%s','length':'%.2f m'}"
                                .formatted(l.get("name").asText(), way));
            }
        }
        Answer answer = tape("street-sign", 0, "{'tapes':[%s]}".formatted(pulled));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        JsonNode now = values("street-sign").at("/PLACE/value");
        assertThat(now.get("outside").asBoolean()).isTrue();
        assertThat(now.get("yM").asDouble()).isEqualTo(before.get("yM").asDouble(), within(0.05));
    }

    @Test
    void whoLooksChangesNothingAndItIsTakenBackAndDoneAgain() {
        String body = "{\"values\":{\"HEIGHT\":%s}}"
                .formatted(values("key").at("/HEIGHT/value").toString());
        String path = "/api/shots/%d/placements/key/looked".formatted(close);
        assertThat(api.post(path, body).status()).isEqualTo(200);
        assertThat(values("key").at("/HEIGHT/looked/author").asText()).isEqualTo("best boy");
        assertThat(values("key").at("/HEIGHT/tiedHere").asBoolean()).isFalse();
        JsonNode newest = api.get("/api/shots/" + close + "/history").body().at("/changes/0");
        assertThat(newest.get("kind").asText()).isEqualTo("LOOKED");
        assertThat(newest.at("/to/metric").asText()).isEqualTo("2.07 m");
        assertThat(api.post("/api/shots/" + close + "/undo", "{}").status()).isEqualTo(200);
        assertThat(values("key").at("/HEIGHT").has("looked")).isFalse();
        assertThat(api.post("/api/shots/" + close + "/redo", "{}").status()).isEqualTo(200);
        assertThat(values("key").at("/HEIGHT").has("looked")).isTrue();
        api.tie(close, "key", "HEIGHT", "{\"text\":\"2.3\",\"reason\":\"LOOK\"}", 0);
        assertThat(values("key").at("/HEIGHT").has("looked"))
                .as("nobody looked at the new value")
                .isFalse();
        Answer stale = api.post(path, body);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail()).contains("look again");
    }

    @Test
    void whatWasFoundOnSetIsRecordedWithWhatWasSaidAndNothingElse() {
        String body =
                """
                {"key":"practical-x%d","name":"Practical","kind":"PRACTICAL","role":"PRACTICAL","beamDeg":120,"reason":"LOOK",
                 "measured":{"tapes":[{"landmark":"window post","length":"2.12 m"},{"landmark":"door post","length":"1.46 m"}]},
                 "piece":{"what":"Table lamp 60 W","widthM":0.2,"watts":60,"mount":"IN_PLACE"}}"""
                        .formatted(made);
        Answer placed = api.post("/api/shots/" + close + "/placements", body);
        assertThat(placed.status()).as(placed.detail()).isEqualTo(201);
        String key = placed.body().get("key").asText();
        assertThat(key).isEqualTo("practical-x" + made);
        assertThat(values(key).fieldNames()).toIterable().containsExactlyInAnyOrder("STANDING", "PLACE");
        assertThat(values(key).at("/PLACE").has("looked")).isTrue();
        assertThat(api.placed(close, key).get("findings").findValuesAsText("gap"))
                .containsExactly("HEIGHT", "AIM", "THROUGH", "LEVEL", "WHITE", "FEED");
        Answer again = api.post(
                "/api/shots/" + close + "/placements", body.replace("practical-x" + made, "practical-y" + made));
        assertThat(again.status()).isEqualTo(201);
        assertThat(api.placed(close, "practical-y" + made).at("/placement/name").asText())
                .as("a device without a line could not know that the name is taken")
                .startsWith("Practical ");
    }

    @Test
    void whichKindItIsCanBeSaidLaterOnceAndHasToFitWhatIsRecorded() {
        String placed =
                """
                {"key":"head-u%d","name":"Unknown %d","kind":"HEAD","role":"EDGE","beamDeg":36,"reason":"LOOK",
                 "piece":{"what":"kind not said","widthM":0.3,"watts":0,"mount":"STAND"}}"""
                        .formatted(made, made);
        String key = api.post("/api/shots/" + close + "/placements", placed)
                .body()
                .get("key")
                .asText();
        assertThat(api.placed(close, key).get("findings").findValuesAsText("gap"))
                .contains("KIND");
        api.tie(close, key, "CCT", "{\"text\":\"5600\",\"reason\":\"LOOK\"}", 0);
        String card =
                """
                {"name":"Unknown %d","role":"EDGE","piece":{"what":"%s","widthM":0.2,"lowestKelvin":%d,"highestKelvin":%d,"watts":165,"mount":"STAND"}}""";
        String path = "/api/shots/%d/placements/%s".formatted(close, key);
        assertThat(api.put(path, card.formatted(made, "Warm spot", 2700, 3400), 0L)
                        .detail())
                .contains("out of range");
        assertThat(api.placed(close, key).at("/placement/piece/what").asText()).isEqualTo("kind not said");
        Answer said = api.put(path, card.formatted(made, "Bicolour spot", 2700, 6500), 0L);
        assertThat(said.status()).as(said.detail()).isEqualTo(200);
        assertThat(api.placed(close, key).get("findings").findValuesAsText("gap"))
                .doesNotContain("KIND");
        assertThat(api.put(path, card.formatted(made, "Another spot", 2700, 6500), 1L)
                        .detail())
                .contains("is recorded as Bicolour spot");
    }

    @Test
    void theBookCountsWhatCouldBeRebuilt() {
        int before = recorded().get("couldBeRebuilt").asInt();
        int things = recorded().get("things").asInt();
        assertThat(before).isEqualTo(things);
        api.tie(close, "key", "PLACE", "{\"value\":{\"xM\":5,\"yM\":4,\"outside\":false},\"reason\":\"LOOK\"}", 0);
        assertThat(recorded().get("couldBeRebuilt").asInt()).isEqualTo(before - 1);
        tape("key", 1, tapes("2.12 m", "1.46 m", ""));
        assertThat(recorded().get("couldBeRebuilt").asInt()).isEqualTo(before);
    }

    private JsonNode recorded() {
        for (JsonNode shot : api.get("/api/book").body().findValues("shots").stream()
                .flatMap(list -> StreamSupport.stream(list.spliterator(), false))
                .toList()) {
            if (shot.get("id").asLong() == close) {
                return shot.get("recorded");
            }
        }
        throw new AssertionError("not in the book");
    }

    @Test
    void aFileKeepsHowItWasMeasuredAndWhoLooked() {
        tape("key", 0, tapes("2.12 m", "1.46 m", ""));
        ObjectNode out = (ObjectNode)
                api.get("/api/scenes/" + api.sceneOf(close) + "/export").body();
        assertThat(out.get("version").asInt()).isGreaterThanOrEqualTo(3);
        ((ObjectNode) out.get("scene")).put("number", "W" + made);
        ((ObjectNode) out.get("production")).put("name", "Walked " + made);
        Answer imported = api.post("/api/scenes/import", out.toString());
        assertThat(imported.status()).as(imported.detail()).isEqualTo(201);
        JsonNode back = api.get("/api/scenes/" + imported.body().get("sceneId").asLong() + "/export")
                .body();
        assertThat(back.get("shots")).isEqualTo(out.get("shots"));
        out.at("/shots/0/knots").forEach(k -> {
            if (k.at("/value").has("measured")) {
                ((ObjectNode) k.get("value")).put("xM", 1.0);
            }
        });
        ((ObjectNode) out.get("scene")).put("number", "V" + made);
        assertThat(api.post("/api/scenes/import", out.toString()).detail()).contains("gives another place");
    }
}
