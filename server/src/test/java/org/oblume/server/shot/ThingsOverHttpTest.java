package org.oblume.server.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Things as they really are: sizes of their own, other units in their place, what the place is like, and what changes within a shot. */
@ServerTest
class ThingsOverHttpTest {

    private static final String FLAG =
            "{\"what\":\"Flag 1.2 m\",\"widthM\":1.2,\"heightM\":0.9,\"watts\":0,\"mount\":\"STAND\"}";
    private static int made;

    @Autowired
    private Api api;

    private long wide;
    private long shot;
    private String slate;

    @BeforeEach
    void aCloseShotOfItsOwn() {
        wide = api.shot("4A");
        slate = "4TH" + ++made;
        shot = api.shotFrom(slate, wide);
    }

    private String place(String name, String kind, String more) {
        Answer answer = api.post(
                "/api/shots/" + shot + "/placements",
                """
                {"name":"%s %d","kind":"%s","beamDeg":0,"reason":"LOOK",%s}"""
                        .formatted(name, made, kind, more));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(201);
        return answer.body().get("key").asText();
    }

    private Answer exchange(long of, String key, String body) {
        return api.put(Api.path(of, key, "UNIT"), "{\"exchange\":%s,\"reason\":\"FIX\"}".formatted(body), 0L);
    }

    private JsonNode piece(long of, String key) {
        return api.placed(of, key).at("/placement/piece");
    }

    @Test
    void aFlagOfItsOwnSizeIsPlacedAndCutInHalfLater() {
        String key = place(
                "Cutter",
                "FLAG",
                "\"role\":\"NEGATIVE_FILL\",\"piece\":%s,\"wide\":\"0.6\",\"high\":\"3'\",\"place\":{\"xM\":3,\"yM\":2,\"outside\":false}"
                        .formatted(FLAG));
        assertThat(piece(shot, key).get("what").asText()).isEqualTo("Flag 0.6 × 0.91 m");
        assertThat(piece(shot, key).get("heightM").asDouble()).isEqualTo(0.9144, within(1e-6));
        assertThat(exchange(shot, key, "{\"piece\":%s,\"wide\":\"6\",\"high\":\"6\"}".formatted(FLAG))
                        .status())
                .isEqualTo(200);
        assertThat(piece(shot, key).get("what").asText()).isEqualTo("Flag 6 × 6 m");
    }

    @ParameterizedTest
    @CsvSource({"0.6, '', high", "'', 0.6, wide", "wide, 1, wide", "51, 1, widthM", "0, 1, widthM"})
    void aSizeThatCannotBeIsRefusedAtItsField(String wideText, String highText, String field) {
        Answer answer = api.post(
                "/api/shots/" + shot + "/placements",
                """
                {"name":"Wrong %d","kind":"FLAG","role":"FILL","beamDeg":0,"reason":"LOOK","piece":%s,"wide":"%s","high":"%s",
                 "place":{"xM":3,"yM":2,"outside":false}}"""
                        .formatted(made, FLAG, wideText, highText));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().get("field").asText()).isEqualTo(field);
    }

    @Test
    void daylightOfAnOpeningStandsInItIsAsLargeAndLooksIn() {
        String key = place(
                "Window light",
                "DAYLIGHT",
                """
                "role":"AMBIENCE","opening":"shop window",
                "piece":{"what":"Window with daylight","widthM":1.2,"heightM":1.4,"watts":0,"mount":"IN_PLACE"}""");
        JsonNode placed = api.placed(shot, key);
        assertThat(placed.at("/placement/piece/what").asText()).isEqualTo("Window with daylight 2.6 × 1.6 m");
        assertThat(placed.at("/values/PLACE/value/xM").asDouble()).isEqualTo(2.1, within(1e-9));
        assertThat(placed.at("/values/PLACE/value/yM").asDouble()).isEqualTo(5.4, within(1e-9));
        assertThat(placed.at("/values/HEIGHT/value/heightM").asDouble()).isEqualTo(1.5, within(1e-9));
        assertThat(placed.at("/values/AIM/value/bearingDeg").asDouble())
                .as("down the plan, into the shop")
                .isEqualTo(180);
    }

    @Test
    void anotherUnitHoldsFromItsShotOnWithItsKnotAndIsTakenBack() {
        String other =
                """
                {"what":"Daylight LED spot 600 W","unit":"Ibis 1","widthM":0.18,"lowestKelvin":5600,"highestKelvin":5600,
                 "watts":640,"mount":"STAND"}""";
        api.tie(shot, "key", "CCT", "{\"text\":\"5600\",\"reason\":\"LOOK\"}", 0);
        Answer answer = exchange(shot, "key", "{\"piece\":%s}".formatted(other));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        assertThat(piece(shot, "key").get("unit").asText()).isEqualTo("Ibis 1");
        assertThat(piece(wide, "key").get("unit").asText()).as("what was shot").isNotEqualTo("Ibis 1");
        String history =
                api.get("/api/shots/" + shot + "/history?placement=key").body().toString();
        assertThat(history).contains("Ibis 1, Daylight LED spot 600 W");
        String moves = api.get("/api/moves?from=shot-" + wide + "&to=shot-" + shot)
                .body()
                .toString();
        assertThat(moves).contains("exchanged for Ibis 1");
        assertThat(api.put(Api.path(shot, "key", "CCT"), "{\"text\":\"3200\",\"reason\":\"LOOK\"}", 0L)
                        .detail())
                .contains("5600");
        assertThat(api.delete(Api.path(shot, "key", "UNIT"), 1L).status()).isEqualTo(200);
        assertThat(piece(shot, "key").get("unit").asText()).isNotEqualTo("Ibis 1");
    }

    @Test
    void aUnitThatCannotDoWhatIsRecordedIsRefusedWithIt() {
        Answer answer = exchange(
                shot,
                "key",
                """
                {"piece":{"what":"Warm spot","widthM":0.2,"lowestKelvin":2000,"highestKelvin":2500,"watts":100,"mount":"STAND"}}""");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains(slate, "CCT", "2500");
        assertThat(api.placed(shot, "key").get("revisions").has("UNIT")).isFalse();
    }

    @Test
    void hazeIsAConditionThatCarriesComparesMovesAndWarns() {
        String key = place(
                "Air",
                "CONDITION",
                """
                "role":"CONDITION","piece":{"what":"haze","widthM":0,"watts":0,"mount":"IN_PLACE"},
                "condition":{"sort":"HAZE","state":"light haze"}""");
        JsonNode placed = api.placed(shot, key);
        assertThat(placed.at("/values/CONDITION/say/metric").asText()).isEqualTo("light haze");
        assertThat(placed.get("toBuild").asBoolean()).as("nobody tapes it").isFalse();
        assertThat(placed.get("cautions").toString()).contains("Nobody is recorded as told");
        long next = api.shotFrom(slate + "N", shot);
        assertThat(api.placed(next, key).at("/values/CONDITION/say/metric").asText())
                .isEqualTo("light haze");
        api.tie(
                next,
                key,
                "CONDITION",
                "{\"value\":{\"sort\":\"HAZE\",\"state\":\"thick\",\"who\":\"the harbour office\"},\"reason\":\"LOOK\"}",
                0);
        assertThat(api.get("/api/moves?from=shot-" + shot + "&to=shot-" + next)
                        .body()
                        .toString())
                .contains("thick; alarms told to the harbour office");
        assertThat(StreamSupport.stream(
                                api.get("/api/shots/" + next + "/rebuild")
                                        .body()
                                        .get("steps")
                                        .spliterator(),
                                false)
                        .filter(s -> s.at("/placed/placement/key").asText().equals(key))
                        .flatMap(s -> StreamSupport.stream(s.get("cautions").spliterator(), false))
                        .map(JsonNode::asText)
                        .toList())
                .singleElement()
                .asString()
                .contains("the harbour office knows");
        assertThat(api.put(Api.path(shot, key, "LEVEL"), "{\"text\":\"20\",\"reason\":\"LOOK\"}", 0L)
                        .detail())
                .contains("has no level");
    }

    @Test
    void aCueIsRecordedWithItsLightsAndTheLightIsAskedAfterIt() {
        String key = place(
                "Sign goes out",
                "CUE",
                """
                "role":"CUE","piece":{"what":"cue","widthM":0,"watts":0,"mount":"IN_PLACE"},
                "cue":{"order":1,"when":"he looks up","afterS":4,"changes":[{"placement":"key","fadeS":2,"level":{"percent":0}}]}""");
        assertThat(api.placed(shot, key).at("/values/CUE/say/metric").asText())
                .isEqualTo("1. he looks up, 4 s later: Key 0 % in 2 s");
        JsonNode before = light(0);
        JsonNode after = light(1);
        assertThat(before.at("/light/sources").findValuesAsText("key")).contains("key");
        assertThat(lux(after)).as("the key is out").isLessThan(lux(before) * 0.7);
        assertThat(api.post("/api/shots/" + shot + "/light", "{\"changes\":[],\"holds\":[],\"out\":[],\"cue\":2}")
                        .status())
                .isEqualTo(400);
        assertThat(api.put(
                                Api.path(shot, key, "CUE"),
                                """
                                {"reason":"LOOK","value":{"order":1,"when":"now","afterS":0,"changes":[{"placement":"key","fadeS":2,"level":{"percent":0.2}}]}}""",
                                1L)
                        .detail())
                .contains("record 1 %, or 0");
    }

    private JsonNode light(int cue) {
        Answer answer = api.post(
                "/api/shots/" + shot + "/light", "{\"changes\":[],\"holds\":[],\"out\":[],\"cue\":%d}".formatted(cue));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        return answer.body();
    }

    private static double lux(JsonNode tried) {
        return tried.at("/light/marks/0/lit/lux").asDouble();
    }

    @Test
    void whatIsMovedOutOfTheRoomMayBeHigherThanItsCeiling() {
        String both =
                """
                {"reason":"LOOK","changes":[
                 {"placement":"key","attribute":"HEIGHT","value":{"heightM":6},"revision":0},
                 {"placement":"key","attribute":"PLACE","value":{"xM":3,"yM":9,"outside":%s},"revision":0}]}""";
        assertThat(api.post("/api/shots/" + shot + "/knots", both.formatted(true))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void whatCannotBeIsRefusedWithTheNearestThatCan() {
        assertThat(api.put(Api.path(shot, "key", "HEIGHT"), "{\"text\":\"9\",\"reason\":\"LOOK\"}", 0L)
                        .detail())
                .contains("above the ceiling", "is the highest here");
        assertThat(api.put(Api.path(shot, "key", "PLACE"), "{\"text\":\"3, 3 outside\",\"reason\":\"LOOK\"}", 0L)
                        .detail())
                .contains("take the mark off");
        assertThat(api.put(Api.path(shot, "key", "COLOUR"), "{\"text\":\"210 80\",\"reason\":\"LOOK\"}", 0L)
                        .detail())
                .contains("has no hue to dial");
    }
}
