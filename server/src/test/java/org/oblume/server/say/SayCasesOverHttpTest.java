package org.oblume.server.say;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The worked lines: each does what it has to, is asked, or is refused with the nearest that can be. */
@ServerTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SayCasesOverHttpTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    /** How far a figure may be off. */
    private static final Map<String, Double> NEAR = Map.of(
            "percent",
            0.051,
            "xM",
            0.011,
            "yM",
            0.011,
            "heightM",
            0.006,
            "bearingDeg",
            0.11,
            "tiltDeg",
            0.11,
            "kelvin",
            6.0,
            "tStop",
            0.003,
            "angleDeg",
            0.06,
            "duv",
            0.00006);

    @Autowired
    private Api api;

    private long shot;

    private static InputStream file(String name) {
        return Objects.requireNonNull(SayCasesOverHttpTest.class.getResourceAsStream("/cases/say/" + name));
    }

    static Stream<JsonNode> lines() throws IOException {
        List<JsonNode> lines = new ArrayList<>();
        for (String line : new String(file("given.jsonl").readAllBytes(), StandardCharsets.UTF_8)
                .lines()
                .toList()) {
            lines.add(JSON.readTree(line));
        }
        return lines.stream();
    }

    private JsonNode said(String text, JsonNode about) {
        ObjectNode body = JSON.createObjectNode().put("text", text);
        if (!about.isMissingNode()) {
            body.set("about", about);
        }
        Answer answer = api.post("/api/shots/%d/say".formatted(shot), body.toString());
        assertThat(answer.status()).as(text).isEqualTo(200);
        return answer.body();
    }

    @BeforeAll
    void theSceneIsThere() throws IOException {
        shot = imported("SAY");
    }

    private long imported(String number) throws IOException {
        Answer imported = api.post(
                "/api/scenes/import?number=" + number,
                new String(file("net-loft.oblume.json").readAllBytes(), StandardCharsets.UTF_8));
        assertThat(imported.status()).as(imported.detail()).isEqualTo(201);
        return api.shotIn(imported.body().get("sceneId").asLong(), "31A");
    }

    @ParameterizedTest
    @MethodSource("lines")
    void aLineDoesWhatItHasTo(JsonNode line) {
        JsonNode wanted = line.get("expect");
        JsonNode answer = said(line.get("line").asText(), line.path("about"));
        boolean nothing = answer.get("changes").isEmpty() && answer.get("holds").isEmpty();
        if (wanted.has("ask")) {
            assertThat(texts(answer.at("/asks/0/candidates"))).containsAll(texts(wanted.get("ask")));
            assertThat(nothing).isTrue();
        } else if (wanted.path("refuse").asBoolean()) {
            assertThat(answer.get("asks")).isEmpty();
            assertThat(answer.get("problems")).isNotEmpty();
            assertThat(nothing).isTrue();
            String sentences = answer.get("problems").toString().toLowerCase(Locale.ROOT);
            texts(wanted.path("mustOffer"))
                    .forEach(offer -> assertThat(sentences).contains(offer.toLowerCase(Locale.ROOT)));
        } else {
            assertThat(answer.get("problems")).isEmpty();
            assertThat(answer.get("asks")).isEmpty();
            assertThat(values(answer.get("changes")).keySet())
                    .containsAll(values(wanted.path("changes")).keySet());
            values(wanted.path("changes"))
                    .forEach((key, value) ->
                            assertNear(key, value, values(answer.get("changes")).get(key)));
            for (String part : List.of("holds", "notes", "takes", "stages", "locks")) {
                assertThat(answer.get(part)).as(part).hasSize(wanted.path(part).size());
            }
            assertThat(answer.path("step").asText())
                    .isEqualTo(wanted.path("step").asText());
        }
    }

    private static TreeSet<String> texts(JsonNode list) {
        TreeSet<String> texts = new TreeSet<>();
        list.forEach(t -> texts.add(t.asText()));
        return texts;
    }

    private static Map<String, JsonNode> values(JsonNode changes) {
        Map<String, JsonNode> values = new TreeMap<>();
        changes.forEach(c -> values.put(
                c.get("placement").asText() + " " + c.get("attribute").asText(), c.get("value")));
        return values;
    }

    private static void assertNear(String name, JsonNode wanted, JsonNode given) {
        if (wanted.isNumber()) {
            assertThat(given.asDouble()).as(name).isCloseTo(wanted.asDouble(), within(NEAR.getOrDefault(name, 1e-6)));
        } else if (wanted.isObject()) {
            wanted.properties().forEach(part -> assertNear(part.getKey(), part.getValue(), given.path(part.getKey())));
        } else if (wanted.isArray()) {
            assertThat(given).as(name).hasSize(wanted.size());
            for (int i = 0; i < wanted.size(); i++) {
                assertNear(name, wanted.get(i), given.get(i));
            }
        } else {
            assertThat(given).as(name).isEqualTo(wanted);
        }
    }

    @Test
    void whatIsPlacedByALineStandsThereWithAllThatWasSaidOfIt() throws IOException {
        long other = imported("SAY2");
        JsonNode thing = said(
                        "add a 60 watt bicolour panel called bench glow 1.5 from window corner and 2 from door post on the girl at 20 percent",
                        MissingNode.getInstance())
                .at("/places/0");
        ObjectNode body = JSON.createObjectNode();
        body.put("name", thing.get("name").asText());
        body.set("kind", thing.get("kind"));
        body.set("role", thing.get("role"));
        JsonNode kit = api.get("/api/kit").body().get("fixtures");
        kit.forEach(f -> {
            if (f.at("/piece/what").equals(thing.get("what"))) {
                body.set("piece", f.get("piece"));
                body.set("beamDeg", f.get("beamDeg"));
            }
        });
        body.set("place", thing.at("/values/0/value"));
        body.set("said", thing.get("values"));
        Answer placed = api.post("/api/shots/%d/placements".formatted(other), body.toString());
        assertThat(placed.status()).as(placed.detail()).isEqualTo(201);
        JsonNode stands = api.placed(other, placed.body().get("key").asText());
        assertThat(stands.at("/values/PLACE/value/xM").asDouble()).isEqualTo(2.84);
        assertThat(stands.at("/values/LEVEL/value/percent").asDouble()).isEqualTo(20);
        assertThat(stands.at("/values/AIM/value/mark").asText()).isEqualTo("girl");
    }

    @Test
    void howThePlaceIsIsSaidInOnesOwnWords() {
        JsonNode said = api.post(
                        "/api/shots/%d/say".formatted(api.shot("22A")),
                        "{\"text\":\"haze thick by the winch, key off\"}")
                .body();
        assertThat(values(said.get("changes"))
                        .get("sea-haze CONDITION")
                        .get("state")
                        .asText())
                .isEqualTo("thick by the winch");
        assertThat(values(said.get("changes"))).containsKey("key STANDING");
    }

    @Test
    void tapesThatAreSaidAreKeptAsTheyWerePulled() {
        JsonNode said = said("edge 1.2 m off the stove and 2 m off the beam", MissingNode.getInstance());
        assertThat(said.at("/changes/0/value").has("measured")).isFalse();
        assertThat(said.at("/measured/0/placement").asText()).isEqualTo("edge");
        assertThat(said.at("/measured/0/value/measured/taped/tapes/0/from/name").asText())
                .isEqualTo("stove");
        assertThat(said.at("/measured/0/value/measured/taped/tapes/1/lengthM").asDouble())
                .isEqualTo(2);
        JsonNode moved = said("edge 1.2 m off the stove and 2 m off the beam, north 10 cm", MissingNode.getInstance());
        assertThat(moved.get("measured")).as("it stands elsewhere").isEmpty();
    }

    @Test
    void eachPlaceWhereTwoTapesCrossIsChosenByItsSide() {
        JsonNode ask = said("key 2.8 from ladder foot and 2.8 from stove", MissingNode.getInstance())
                .at("/asks/0");
        assertThat(ask.get("lines")).hasSize(2);
        for (int i = 0; i < 2; i++) {
            JsonNode place = said(ask.at("/lines/" + i).asText(), MissingNode.getInstance())
                    .at("/changes/0/value");
            String[] candidate = ask.at("/candidates/" + i).asText().split(",");
            assertThat(place.get("xM").asDouble()).isEqualTo(Double.parseDouble(candidate[0]));
            assertThat(place.get("yM").asDouble()).isEqualTo(Double.parseDouble(candidate[1]));
        }
    }

    @Test
    void somethingNewThatCannotStandSoIsRefusedLikeAnythingElse() {
        JsonNode said = said(
                "place a bicolour spot 150 as topper, 1.5 from window corner and 2 from door post, ten metres up",
                MissingNode.getInstance());
        assertThat(said.get("places")).isEmpty();
        assertThat(said.at("/problems/0/sentence").asText()).contains("3.60");
    }
}
