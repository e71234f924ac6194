package org.oblume.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicContainer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class BenchOverHttpTest {

    private static final Path CASES = Path.of("../core/src/test/resources/cases");
    private static final ObjectMapper JSON = new ObjectMapper();

    @Autowired
    private Api api;

    @TestFactory
    Stream<DynamicContainer> everyWorkedCaseIsAnsweredOrRefused() {
        return Stream.of(CASES.toFile().list())
                .sorted()
                .map(file -> file.replace(".json", ""))
                .map(bench -> DynamicContainer.dynamicContainer(
                        bench,
                        cases(bench)
                                .map(c -> DynamicTest.dynamicTest(c.get("name").asText(), () -> ask(bench, c)))));
    }

    private void ask(String bench, JsonNode c) {
        Answer answer = api.post("/api/bench/" + bench, c.get("request").toString());
        if (c.has("problemField")) {
            assertThat(answer.status()).as(answer.detail()).isEqualTo(400);
            assertThat(answer.body().path("field").asText())
                    .matches("(.*\\.)?" + c.get("problemField").asText());
            assertThat(answer.detail()).isNotBlank();
            c.path("problemNames").forEach(name -> assertThat(answer.detail()).contains(name.asText()));
        } else {
            assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
            assertAgrees("", answer.body(), c.get("answer"), c.get("tolerance"));
        }
    }

    /** The answer may hold more fields than the case names. */
    private static void assertAgrees(String at, JsonNode found, JsonNode wanted, JsonNode tolerance) {
        String leaf = at.replaceAll(".*\\.", "");
        if (wanted.isObject()) {
            wanted.properties()
                    .forEach(f -> assertAgrees(at + "." + f.getKey(), found.get(f.getKey()), f.getValue(), tolerance));
        } else if (wanted.isArray()) {
            assertThat(found).as(at).hasSameSizeAs(wanted);
            for (int i = 0; i < wanted.size(); i++) {
                assertAgrees(at, found.get(i), wanted.get(i), tolerance);
            }
        } else if (leaf.equals("swatch")) {
            for (int shift = 0; shift <= 16; shift += 8) {
                assertThat(rgb(found) >> shift & 255)
                        .as(at)
                        .isCloseTo(
                                rgb(wanted) >> shift & 255,
                                within(tolerance.get("swatch").asInt()));
            }
        } else if (wanted.isNumber()) {
            JsonNode told = tolerance.has(at.substring(1)) ? tolerance.get(at.substring(1)) : tolerance.path(leaf);
            double allowed = Math.max(1e-9, told.asDouble(1e-6 * Math.max(1, Math.abs(wanted.asDouble()))));
            assertThat(found.asDouble()).as(at).isCloseTo(wanted.asDouble(), within(allowed));
        } else {
            assertThat(found).as(at).isEqualTo(wanted);
        }
    }

    private static int rgb(JsonNode swatch) {
        return Integer.parseInt(swatch.asText().substring(1), 16);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mix | {'lights':[{'lux':'5','kelvin':5600}],'whiteBalanceKelvin':5600} | lights.[0].lux",
                "mix | {'lights':[{'lux':1e999,'kelvin':5600}],'whiteBalanceKelvin':5600} | lux",
                "mix | {'lights':[null],'whiteBalanceKelvin':5600} | lights",
                "mix | {'lights':[{'lux':5,'kelvin':1000}],'whiteBalanceKelvin':1000,'whiteBalanceDuv':0.05} | whiteBalanceDuv",
                "mix | {'lights':{'lux':5},'whiteBalanceKelvin':5600} | lights",
                "mix | {'lights':[5],'whiteBalanceKelvin':5600} | lights",
                "mix | {'lights':[{'lux':1e300,'kelvin':5600}],'whiteBalanceKelvin':5600} | lux",
                "correction | {'sourceKelvin':5600,'sourceTStop':4,'targetKelvin':5600,'targetTStop':4,'stock':[{'name':'a','miredShift':1,'stops':1,'duvShift':0,'sheets':1.5}]} | sheets",
                "correction | {'sourceKelvin':5600,'sourceTStop':4,'targetKelvin':5600,'targetTStop':4,'stock':[{'name':5,'miredShift':1,'stops':1,'duvShift':0,'sheets':1}]} | stock.[0].name",
                "correction | {'sourceKelvin':5600,'sourceTStop':4,'targetKelvin':5600,'targetTStop':4,'stock':[],'maxFilters':-1} | maxFilters",
                "correction | {'sourceKelvin':5600,'sourceTStop':4,'targetKelvin':5600,'targetTStop':4,'stock':[],'minLevelOutput':0} | minLevelOutput",
                "move | {'fromDistanceM':1,'toDistanceM':2,'levelPercent':0,'curve':'LINEAR'} | levelPercent",
                "move | {'fromDistanceM':1,'toDistanceM':2,'levelPercent':50,'curve':2} | curve",
                "power | {'volts':230,'circuits':[{'name':'a','breakerAmps':16,'phase':1.5,'loads':[]}]} | phase",
                "battery | {'wattHours':98,'watts':0,'levelPercent':50,'curve':'LINEAR'} | levelPercent",
                "battery | {'wattHours':98,'watts':50,'idleWatts':60,'levelPercent':50,'curve':'LINEAR'} | idleWatts",
                "ratio | {'mode':'LUX','lit':50,'shadow':20,'curve':'NONE'} | curve",
                "exposure | {'iso':800,'fps':24,'shutterAngleDeg':180} | lux",
                "exposure | {'lux':100,'iso':800,'fps':24,'shutterAngleDeg':180,'shutterSeconds':0.02} | shutterSeconds",
                "tape-out | {'point':{'x':1,'y':1},'landmarks':[{'name':'a','x':0,'y':0}]} | landmarks",
                "aim | {'from':{'x':1,'y':1,'z':true},'to':{'x':1,'y':2,'z':3}} | from.z"
            })
    void theFieldAtFaultIsNamed(String bench, String body, String field) {
        Answer answer = api.post("/api/bench/" + bench, body.replace('\'', '"'));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(400);
        assertThat(answer.body().path("field").asText()).isEqualTo(field);
        assertThat(answer.detail()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"{'lux':1", "[]", "null", "''", "{'lux':1} {'lux':2}", "7", "{'lux':NaN}"})
    void aMalformedBodyIsAnsweredInWords(String body) {
        Answer answer = api.post("/api/bench/exposure", body.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).isNotBlank();
    }

    @Test
    void aQuestionThatIsTooLargeIsRefused() {
        Answer answer = api.post("/api/bench/mix", "{\"lights\":[" + " ".repeat(64 * 1024) + "]}");
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.detail()).contains("64 KB");
    }

    @Test
    void aPrescriptionTellsWhyItRanks() {
        Answer answer = api.post(
                "/api/bench/correction",
                """
                {"sourceKelvin":5600,"sourceTStop":8,"targetKelvin":3200,"targetTStop":6.7,"stock":[
                {"name":"Full CTO","miredShift":134,"stops":0.5,"duvShift":0,"sheets":1}]}""");
        assertThat(answer.body().get("startStops").asDouble()).isCloseTo(0.5117, within(1e-3));
        assertThat(answer.body().at("/prescriptions/0/reason").asText())
                .isEqualTo("stop and colour and tint right; 1 filter");
        assertThat(answer.body().at("/prescriptions/1/reason").asText())
                .isEqualTo("0.5 stop too bright, 134 mired too cool, tint right; no filter");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "T_STOP | 8 1/3 | 8.979696386",
                "LENGTH | 7'10\" | 2.38760",
                "SHUTTER_SECONDS | 1/50 | 0.02",
                "LENGTH_IN_FEET | 8 | 2.4384",
                "LENGTH | 8 | 8",
                "LIGHT | 90 fc | 968.7519",
                "LIGHT_IN_FOOTCANDLES | 90 | 968.7519",
                "LIGHT_IN_FOOTCANDLES | 970 lux | 970",
                "NUMBER | 1.2 kW | 1200",
                "NUMBER | 54 % | 54",
                "KELVIN | 5.6k | 5600",
                "STOPS | 2/3 | 0.6666666667"
            })
    void whatIsTypedIsUnderstood(String kind, String text, double value) {
        JsonNode item = JSON.createObjectNode().put("kind", kind).put("text", text);
        Answer answer = api.post("/api/bench/read", "{\"items\":[%s]}".formatted(item));
        assertThat(answer.body().at("/items/0/value").asDouble()).isCloseTo(value, within(1e-6));
    }

    @Test
    void whatIsNotUnderstoodSaysWhatToType() {
        Answer answer = api.post(
                "/api/bench/read",
                "{\"items\":[{\"kind\":\"LENGTH\",\"text\":\"far\"},{\"kind\":\"NUMBER\",\"text\":\"5\"}]}");
        assertThat(answer.body().at("/items/0/problem").asText()).contains("type metres such as 1.95");
        assertThat(answer.body().at("/items/1/value").asDouble()).isEqualTo(5);
    }

    private static Stream<JsonNode> cases(String bench) {
        try {
            return StreamSupport.stream(
                    JSON.readTree(CASES.resolve(bench + ".json").toFile()).spliterator(), false);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
