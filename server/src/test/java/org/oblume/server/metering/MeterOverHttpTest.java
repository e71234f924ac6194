package org.oblume.server.metering;

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
import org.springframework.jdbc.core.JdbcTemplate;

/** Readings as they are typed and kept, on a copy of the demo's scene 17 for each test. */
@ServerTest
class MeterOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private JdbcTemplate sql;

    @Autowired
    private MeterService readingsOfEarlierModels;

    private long scene;
    private long shot;

    @BeforeEach
    void aSceneOfItsOwn() {
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("17A"))))
                .body();
        file.get("shots").forEach(s -> ((ObjectNode) s).remove(List.of("readings", "rebuilt")));
        scene = api.post("/api/scenes/import?number=R" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        shot = api.shotIn(scene, "17A");
    }

    @Test
    void whatIsToBeReadIsListedWithWhatIsPredicted() {
        JsonNode meter = meter();
        assertThat(meter.at("/marks/0/name").asText()).isEqualTo("Passenger");
        JsonNode key = light(meter, "key");
        assertThat(key.at("/predicted/metric").asText()).matches("T.*, [\\d.]+ lux");
        assertThat(key.at("/predicted/imperial").asText()).matches("T.*, [\\d.]+ fc");
        assertThat(key.get("readHere").asBoolean()).isFalse();
        assertThat(light(meter, "tubes").get("kelvin").asDouble()).isCloseTo(4150, within(0.01));
    }

    @Test
    void aLineIsUnderstoodBeforeItIsKeptAndNothingIsKeptByAsking() {
        JsonNode said = api.as("READER")
                .post(readings() + "/read", line("key alone T2.8, 4900 K +0.001"))
                .body();
        assertThat(said.get("light").asText()).isEqualTo("Key");
        assertThat(said.at("/words/metric").asText()).contains("T2.8", "4900 K", "0.001");
        assertThat(said.at("/solo/mired").asDouble()).isCloseTo(1e6 / 4900 - (1e6 / 5000 + 2), within(0.1));
        assertThat(meter().get("readings")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "bananas,not understood",
        "'key fill T4',Two lights are named",
        "'camera T4',gives no light of its own",
        "'54',could be a stop",
        "'T4 T5.6',gives two readings for the lit cheek",
        "'999999 lux',out of range",
        "'key alone lit 54',leave out other places"
    })
    void whatIsNotUnderstoodIsRefusedOnItsFieldInWords(String typed, String sentence) {
        Answer refused = api.post(readings(), line(typed));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().get("field").asText()).isEqualTo("line");
        assertThat(refused.detail()).contains(sentence);
        assertThat(meter().get("readings")).isEmpty();
    }

    @Test
    void aReadingSaysWhoAndWhenAndStandsBesideThePrediction() {
        JsonNode kept = api.as("CONTINUITY")
                .post(readings(), line("all 150 lux, shadow 60 lux, 4300 K, lit 48, window 92"))
                .body();
        JsonNode read = kept.at("/readings/0");
        assertThat(read.get("author").asText()).isEqualTo("script supervisor");
        assertThat(read.get("at").asText()).isNotEmpty();
        assertThat(read.get("beside"))
                .extracting(b -> b.get("what").asText())
                .containsExactly("lit cheek", "shadow cheek");
        assertThat(read.at("/words/metric").asText()).contains("150 lux", "shadow", "lit 48 %", "window 92 %");
        assertThat(read.has("light")).isFalse();
    }

    @Test
    void theNewestReadingOfALightCalibratesItAndTakingItOutLetsTheOneBeforeHold() {
        double predicted = lux("key");
        api.post(readings(), line("key alone %.2f lux".formatted(predicted * 2)));
        JsonNode second = api.post(readings(), line("key alone %.2f lux".formatted(predicted / 2)))
                .body();
        assertThat(light(second, "key").get("kStops").asDouble()).isCloseTo(-1, within(0.02));
        JsonNode left = api.delete(
                        "/api/readings/" + second.at("/readings/0/id").asLong(), null)
                .body();
        assertThat(light(left, "key").get("kStops").asDouble()).isCloseTo(1, within(0.02));
        assertThat(api.delete("/api/readings/" + second.at("/readings/0/id").asLong(), null)
                        .status())
                .isEqualTo(404);
    }

    @Test
    void afterAReadingThePredictionIsWhatWasReadInLightAndColour() {
        double predicted = lux("key");
        api.post(readings(), line("key alone %.2f lux, 4800 K +0.003".formatted(predicted * 1.4)));
        JsonNode key = light(meter(), "key");
        assertThat(lux("key")).isCloseTo(predicted * 1.4, within(0.6));
        assertThat(key.get("kelvin").asDouble()).isCloseTo(4800, within(1.0));
        assertThat(key.get("duv").asDouble()).isCloseTo(0.003, within(1e-4));
        assertThat(meter().at("/readings/0/solo/kStops").asDouble())
                .as("a reading is set beside the figures, not beside itself")
                .isCloseTo(0.49, within(0.01));
    }

    @Test
    void aMeterTurnedToTheLensIsSetBesideWhatComesFromThere() {
        JsonNode asked = api.post(readings() + "/read", line("key alone 40 lux to the lens"))
                .body();
        JsonNode toTheKey =
                api.post(readings() + "/read", line("key alone 40 lux")).body();
        assertThat(asked.at("/words/metric").asText()).endsWith("to the lens");
        assertThat(asked.at("/solo/kStops").asDouble())
                .as("less of it comes to a meter that is turned away from it")
                .isGreaterThan(toTheKey.at("/solo/kStops").asDouble() + 0.5);
        assertThat(api.post(readings(), line("all 200 lux to the lens")).detail())
                .contains("one light");
    }

    @Test
    void aReadingThatCannotBeSoIsAskedBackAndCorrectsNothingUntilSomebodySaysThatItIs() {
        double predicted = lux("key");
        String far = "key alone %.2f lux".formatted(predicted * 3.2);
        Answer asked = api.post(readings(), line(far));
        assertThat(asked.status()).isEqualTo(400);
        assertThat(asked.body().get("field").asText()).isEqualTo("sure");
        assertThat(asked.detail()).contains("1.7 stops over", "Likely:", "distance");

        ObjectNode file =
                (ObjectNode) api.get("/api/scenes/%d/export".formatted(scene)).body();
        ((ObjectNode) file.at("/shots/0"))
                .putArray("readings")
                .addObject()
                .put("author", "gaffer")
                .put("at", "2026-12-01T10:00:00Z")
                .putObject("figures")
                .put("mark", "mark-1")
                .put("alone", "key")
                .put("lux", predicted * 3.2)
                .putObject("signals");
        scene = api.post("/api/scenes/import?number=R" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        shot = api.shotIn(scene, "17A");
        JsonNode unsaid = meter();
        assertThat(unsaid.at("/readings/0/solo/asks").asBoolean()).isTrue();
        assertThat(light(unsaid, "key").has("kStops")).isFalse();
        assertThat(lux("key")).isCloseTo(predicted, within(0.6));

        long id = unsaid.at("/readings/0/id").asLong();
        assertThat(api.as("READER")
                        .post("/api/readings/%d/confirmed".formatted(id), "")
                        .status())
                .isEqualTo(403);
        JsonNode said = api.as("CREW")
                .post("/api/readings/%d/confirmed".formatted(id), "")
                .body();
        assertThat(said.at("/readings/0/solo/asks").asBoolean()).isFalse();
        assertThat(said.at("/readings/0/solo/confirmedBy").asText()).isNotEmpty();
        assertThat(light(said, "key").get("kStops").asDouble()).isCloseTo(1.68, within(0.02));
        assertThat(api.get("/api/scenes/%d/export".formatted(scene))
                        .body()
                        .at("/shots/0/readings/0/figures/confirmedBy")
                        .asText())
                .as("who said so goes along in the file")
                .isEqualTo(said.at("/readings/0/solo/confirmedBy").asText());
    }

    @Test
    void whatAnEarlierModelPredictedIsWorkedOutAgainUnlessTheLightWasChangedSince() {
        double predicted = lux("key");
        api.post(readings(), line("key alone %.2f lux".formatted(predicted * 1.4)));
        api.post(readings(), line("fill alone %.2f lux".formatted(lux("fill") * 1.2)));
        sql.update(
                "update reading set model = 1, predicted_lux = 9999, predicted_kelvin = null, made_at = made_at + interval '1' year where shot_id = ?",
                shot);
        sql.update(
                "update reading set made_at = timestamp '2020-01-01 00:00:00+00' where shot_id = ? and alone_id in (select id from placement where placement_key = 'fill')",
                shot);
        readingsOfEarlierModels.predictAgain();
        List<Double> now =
                sql.queryForList("select predicted_lux from reading where shot_id = ? order by id", Double.class, shot);
        assertThat(now.get(0)).isCloseTo(predicted, within(0.6));
        assertThat(now.get(1)).as("the fill was recorded after that").isNull();
        assertThat(sql.queryForList("select distinct model from reading where shot_id = ?", Integer.class, shot))
                .containsExactly(ReadingEntity.MODEL);
    }

    @Test
    void whatALightMeasuresWhenItIsDialledIsKeptForItsUnitAndItsPath() {
        api.post(readings(), line("key alone 4800 K +0.002"));
        api.tie(shot, "key", "CCT", "{\"text\":\"4000\"}", 1);
        api.post(readings(), line("key alone 3900 K +0.001"));
        api.post(readings(), line("key alone 3920 K +0.001"));
        JsonNode units = meter().get("units");
        JsonNode unit = StreamSupport.stream(units.spliterator(), false)
                .filter(u -> u.get("unit").asText().equals("Plaice")
                        && u.get("path").asText().equals("Full silk"))
                .findFirst()
                .orElseThrow();
        assertThat(unit.get("points"))
                .extracting(p -> Math.round(p.get("dialledKelvin").asDouble()))
                .contains(5000L, 4000L);
        assertThat(StreamSupport.stream(unit.get("points").spliterator(), false)
                        .filter(p -> Math.round(p.get("dialledKelvin").asDouble()) == 4000)
                        .findFirst()
                        .orElseThrow()
                        .get("measuredKelvin")
                        .asDouble())
                .as("the newer of two")
                .isEqualTo(3920);
    }

    @Test
    void severalLightsAreDialledToAWhiteThatIsTyped() {
        JsonNode ways = api.post(
                        "/api/shots/%d/agree".formatted(shot),
                        "{\"white\":\"4300 +0.002\",\"others\":[\"key\",\"fill\"]}")
                .body();
        assertThat(ways.get("ways")).hasSize(1);
        assertThat(ways.get("nominal")).extracting(JsonNode::asText).contains("Fill");
        assertThat(api.post("/api/shots/%d/agree".formatted(shot), "{\"others\":[\"key\"]}")
                        .detail())
                .contains("Type the white");
        assertThat(api.post("/api/shots/%d/agree".formatted(shot), "{\"white\":\"blue\",\"others\":[\"key\"]}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aReadingSentTwiceIsKeptOnce() {
        api.once("reading-" + scene).post(readings(), line("all 200 lux"));
        api.once("reading-" + scene).post(readings(), line("all 200 lux"));
        assertThat(meter().get("readings")).hasSize(1);
    }

    @Test
    void whoOnlyReadsKeepsNoReadings() {
        assertThat(api.as("READER").post(readings(), line("all 200 lux")).status())
                .isEqualTo(403);
        assertThat(api.stranger().get(readings()).status()).isEqualTo(401);
    }

    @Test
    void readingsGoAlongInAFileAndCalibrateTheCopy() {
        double predicted = lux("key");
        api.post(readings(), line("key alone %.2f lux".formatted(predicted * 1.5)));
        JsonNode file = api.get("/api/scenes/%d/export".formatted(scene)).body();
        long copy = api.post("/api/scenes/import?number=RC" + made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        JsonNode again = api.get("/api/scenes/%d/export".formatted(copy)).body();
        assertThat(again.at("/shots/0/readings"))
                .isEqualTo(file.at("/shots/0/readings"))
                .hasSize(1);
    }

    private String readings() {
        return "/api/shots/%d/readings".formatted(shot);
    }

    private static String line(String typed) {
        return "{\"line\":\"%s\",\"sure\":false}".formatted(typed);
    }

    private JsonNode meter() {
        return api.get(readings()).body();
    }

    private double lux(String light) {
        return Double.parseDouble(
                light(meter(), light).at("/predicted/metric").asText().replaceAll(".*?([\\d.]+) lux", "$1"));
    }

    private static JsonNode light(JsonNode meter, String key) {
        return StreamSupport.stream(meter.get("lights").spliterator(), false)
                .filter(l -> l.get("key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }
}
