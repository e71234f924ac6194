package org.oblume.server.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class LightOverHttpTest {

    private static final String CLOSER =
            """
            {"placement":"key","attribute":"PLACE","value":{"xM":4.83,"yM":3.81,"outside":false}}""";
    private static int made;

    @Autowired
    private Api api;

    private long close;

    @BeforeEach
    void aCloseShotOfItsOwn() {
        close = api.shotFrom("4L" + ++made, api.shot("4A"));
    }

    @Test
    void theLightOfAShotIsToldForEachCheekAndEachSource() {
        JsonNode light = look("", "").get("light");
        JsonNode mark = light.get("marks").get(0);
        assertThat(mark.get("name").asText()).isEqualTo("Repairer");
        assertThat(mark.at("/lit/overStops").asDouble()).isCloseTo(0.06, within(0.05));
        assertThat(mark.at("/litToShadow/ratio").asDouble()).isCloseTo(5.35, within(0.15));
        assertThat(mark.at("/litToShadow/ratio").asDouble())
                .isCloseTo(
                        mark.at("/lit/lux").asDouble() / mark.at("/shadow/lux").asDouble(), within(0.01));
        double sum = 0;
        for (JsonNode from : mark.get("from")) {
            sum += from.at("/lit/lux").asDouble();
        }
        assertThat(sum).isCloseTo(mark.at("/lit/lux").asDouble(), within(0.01));
        assertThat(light.findValuesAsText("headroomStops")).hasSize(6);
        assertThat(light.get("sources").get(0).get("role").asText()).isEqualTo("AMBIENCE");
    }

    @Test
    void aHeldMoveDimsTheKeySoThatTheMarkKeepsItsStop() {
        JsonNode tried = look(CLOSER, "\"key\"");
        JsonNode hold = tried.get("holds").get(0);
        // less than by the distances alone, 1.53: the room's part and the cloth's do not grow with their square
        assertThat(hold.get("changeStops").asDouble()).isCloseTo(1.43, within(0.04));
        assertThat(hold.get("levelPercent").asDouble())
                .isCloseTo(70 / Math.pow(2, hold.get("changeStops").asDouble()), within(0.1));
        assertThat(tried.get("changes")).hasSize(2);
        double before = look("", "").at("/light/marks/0/from/3/facing/lux").asDouble();
        assertThat(tried.at("/light/marks/0/from/3/facing/lux").asDouble()).isCloseTo(before, within(before * 0.01));
    }

    @Test
    void aPlaceThatIsTouchedTellsItsLightBySource() {
        JsonNode floor = touched(3.9, 2.0, "null");
        assertThat(floor.get("on").asText()).isEqualTo("FLOOR");
        assertThat(floor.at("/place/metric").asText()).isEqualTo("3.90 m right, 2.00 m up the plan");
        double sum = 0;
        double parts = 0;
        for (JsonNode from : floor.get("from")) {
            sum += from.at("/light/lux").asDouble();
            parts += from.get("part").asDouble();
        }
        assertThat(sum).isCloseTo(floor.at("/light/lux").asDouble(), within(0.01));
        assertThat(parts).isCloseTo(1, within(1e-6));

        JsonNode wall = touched(7.1, 2.0, "null");
        assertThat(wall.get("on").asText()).isEqualTo("WALL");
        assertThat(wall.get("xM").asDouble()).as("on the wall itself").isCloseTo(7.2, within(1e-9));
        assertThat(wall.get("zM").asDouble()).isEqualTo(1.5);
        assertThat(touched(4.6, 2.0, "null").get("name").asText()).isEqualTo("workbench");
        assertThat(touched(3.9, 2.0, "1.2").get("on").asText()).isEqualTo("AIR");
        assertThat(touched(2.0, 5.4, "1.5").get("on").asText())
                .as("in the window there is no wall to touch")
                .isEqualTo("AIR");
        assertThat(api.post(
                                "/api/shots/" + close + "/light/at",
                                "{\"xM\":1e9,\"yM\":0,\"withinM\":0,\"changes\":[],\"holds\":[],\"out\":[]}")
                        .body()
                        .get("field")
                        .asText())
                .isEqualTo("xM");
    }

    private JsonNode touched(double x, double y, String height) {
        Answer answer = api.post(
                "/api/shots/" + close + "/light/at",
                "{\"xM\":%s,\"yM\":%s,\"heightM\":%s,\"withinM\":0.15,\"changes\":[],\"holds\":[],\"out\":[]}"
                        .formatted(x, y, height));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        return answer.body();
    }

    @Test
    void aSourceTakenAsOffGivesNothingAndIsStillListed() {
        JsonNode light = api.post("/api/shots/" + close + "/light", "{\"changes\":[],\"holds\":[],\"out\":[\"key\"]}")
                .body()
                .get("light");
        assertThat(light.at("/marks/0/lit/overStops").asDouble()).isLessThan(-1);
        assertThat(light.get("sources"))
                .hasSize(6)
                .anySatisfy(s -> assertThat(s.get("out").asBoolean()).isTrue());
    }

    @Test
    void aLineIsUnderstoodAndNothingIsWritten() {
        Answer said = api.post("/api/shots/" + close + "/say", "{\"text\":\"key 45% 4300, edge down 1 stop\"}");
        assertThat(said.body().get("problems")).isEmpty();
        assertThat(said.body().get("changes").findValuesAsText("attribute")).containsExactly("LEVEL", "CCT", "LEVEL");
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("70 %");
    }

    @Test
    void severalChangesAreKeptTogetherOrNotAtAll() {
        String both =
                """
                {"reason":"MATCH","note":"in close","changes":[
                 {"placement":"key","attribute":"LEVEL","value":{"percent":24},"revision":0},
                 {"placement":"key","attribute":"CCT","value":{"kelvin":%d},"revision":0}]}""";
        assertThat(api.post("/api/shots/" + close + "/knots", both.formatted(9000))
                        .detail())
                .contains("2700 to 6500 K");
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("70 %");
        assertThat(api.post("/api/shots/" + close + "/knots", both.formatted(5000))
                        .status())
                .isEqualTo(200);
        assertThat(api.say(close, "key", "LEVEL")).isEqualTo("24 %");
        Answer stale = api.post("/api/shots/" + close + "/knots", both.formatted(4000));
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.body().at("/conflict/say/metric").asText()).isEqualTo("24 %");
        assertThat(api.say(close, "key", "CCT")).isEqualTo("5000 K");
    }

    @Test
    void aLockedThingIsNotMovedAndAnOldCardIsNotPutOverANewOne() {
        String card = "{\"name\":\"Flag %d\",\"role\":\"NEGATIVE_FILL\",\"locked\":%s,\"group\":\"left side\"}";
        String path = "/api/shots/" + close + "/placements/negative-fill";
        long version = api.placed(close, "negative-fill").get("version").asLong();
        assertThat(api.put(path, card.formatted(made, true), version).status()).isEqualTo(200);
        assertThat(api.tie(close, "negative-fill", "PLACE", "{\"text\":\"3.0, 1.0\",\"reason\":\"FIX\"}", 0)
                        .detail())
                .contains("unlock it first");
        assertThat(api.put(path, card.formatted(made, false), version).status()).isEqualTo(409);
        assertThat(api.put(path, "{\"name\":\"key\",\"role\":\"FILL\"}", version + 1)
                        .detail())
                .contains("called Key already");
        assertThat(api.put(path, "{\"name\":\"Negative fill\",\"role\":\"NEGATIVE_FILL\"}", version + 1)
                        .status())
                .isEqualTo(200);
        assertThat(api.tie(close, "negative-fill", "PLACE", "{\"text\":\"3.0, 1.0\",\"reason\":\"FIX\"}", 0)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aCopyTakesAllThatHoldsButTheControlAddress() {
        Answer copied = api.post(
                "/api/shots/" + close + "/placements/key/copies",
                "{\"name\":\"Second key %d\",\"place\":{\"xM\":5,\"yM\":3,\"outside\":false},\"reason\":\"LOOK\"}"
                        .formatted(made));
        assertThat(copied.status()).isEqualTo(201);
        String key = copied.body().get("key").asText();
        assertThat(api.say(close, key, "MODIFIERS")).isEqualTo("Quarter CTO; Muslin, unbleached");
        assertThat(api.say(close, key, "PATCH")).isEqualTo("by hand");
        assertThat(api.say(close, key, "PLACE")).startsWith("5.00 m right");
    }

    @Test
    void aPracticalGoesToTheNearestLandmark() {
        JsonNode place = api.post(
                        "/api/shots/" + close + "/arrange", "{\"order\":\"LANDMARK\",\"placements\":[\"valve-glow\"]}")
                .body()
                .at("/changes/0/value");
        assertThat(place.get("xM").asDouble()).isEqualTo(4.35);
        assertThat(place.get("yM").asDouble()).isEqualTo(1.45);
        assertThat(api.post("/api/shots/" + close + "/arrange", "{\"order\":\"ROW\",\"placements\":[\"key\"]}")
                        .detail())
                .contains("two things or more");
    }

    @Test
    void mirroredAboutTheCameraAKeyComesFromTheOtherSide() {
        JsonNode place = api.post("/api/shots/" + close + "/arrange", "{\"order\":\"MIRROR\",\"placements\":[\"key\"]}")
                .body()
                .at("/changes/0/value");
        assertThat(place.get("yM").asDouble()).isLessThan(2);
        assertThat(api.say(close, "key", "PLACE")).startsWith("5.68");
    }

    @Test
    void aHintMeantSoIsQuietAndStaysListed() {
        assertThat(hint("IN_FRAME").get("onPurpose").asBoolean()).isFalse();
        assertThat(api.tie(close, "edge", "ON_PURPOSE", "{\"value\":{\"hints\":[\"IN_FRAME\"]},\"reason\":\"LOOK\"}", 0)
                        .status())
                .isEqualTo(200);
        assertThat(hint("IN_FRAME").get("onPurpose").asBoolean()).isTrue();
    }

    /** What the camera sees of the bust: all of it darkens without the key, and its nose throws another shadow. */
    @Test
    void theBustIsSeenInTheLightThatIsTriedAndTakenOut() {
        JsonNode form = api.get("/api/bust").body().get("facets");
        JsonNode lit = bust("mark-1", "").body();
        JsonNode dark = bust("mark-1", "\"key\"").body();
        assertThat(lit.get("colours")).hasSameSizeAs(form);
        assertThat(lit.get("noseShadowOf").asText()).isEqualTo("Key");
        assertThat(lit.get("triangle").asText()).isIn("CLOSED", "OPEN", "NONE");
        assertThat(dark.get("eyeLights").findValuesAsText("light")).doesNotContain("Key");
        assertThat(dark.has("noseShadowOf") ? dark.get("noseShadowOf").asText() : "none")
                .isNotEqualTo("Key");
        int darker = 0;
        for (int i = 0; i < form.size(); i++) {
            int with = green(lit, i);
            assertThat(green(dark, i)).isLessThanOrEqualTo(with);
            darker += green(dark, i) < with ? 1 : 0;
        }
        assertThat(darker).isGreaterThan(form.size() / 3);
        assertThat(lit.get("cameraTurnDeg").asDouble()).isBetween(-180.0, 180.0);
        assertThat(bust("attic", "").detail()).contains("no such mark");
    }

    private static int green(JsonNode bust, int facet) {
        return Integer.parseInt(bust.get("colours").get(facet).asText().substring(3, 5), 16);
    }

    private Answer bust(String mark, String out) {
        return api.post(
                "/api/shots/" + close + "/light/bust",
                "{\"mark\":\"%s\",\"changes\":[],\"holds\":[],\"out\":[%s]}".formatted(mark, out));
    }

    private JsonNode hint(String kind) {
        return StreamSupport.stream(look("", "").at("/light/hints").spliterator(), false)
                .filter(h -> h.get("kind").asText().equals(kind)
                        && h.get("placement").asText().equals("edge"))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode look(String change, String hold) {
        Answer answer = api.post(
                "/api/shots/" + close + "/light",
                "{\"changes\":[%s],\"holds\":[%s],\"out\":[]}".formatted(change, hold));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        return answer.body();
    }
}
