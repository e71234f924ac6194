package org.oblume.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The light of a scene file against renderings by brute force, within their tolerances and three times their noise. */
@ServerTest
class LightCasesTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final List<String> PLACES = List.of("left", "right", "background");
    /** Of a step of a centimetre, stops. */
    private static final double STEP = 0.1;

    @Autowired
    private Api api;

    private record Case(String name, JsonNode file) {

        @Override
        public String toString() {
            return name;
        }
    }

    private static Stream<Case> files(String pattern) throws IOException {
        Resource[] all = new PathMatchingResourcePatternResolver().getResources("classpath:cases/light/" + pattern);
        assertThat(all).isNotEmpty();
        List<Case> cases = new ArrayList<>();
        for (Resource one : all) {
            JsonNode file = JSON.readTree(one.getInputStream());
            cases.add(new Case(file.get("name").asText(), file));
        }
        return cases.stream();
    }

    static Stream<Case> renderings() throws IOException {
        return files("*.json");
    }

    static Stream<Case> sweeps() throws IOException {
        return files("sweeps/*.json");
    }

    @ParameterizedTest
    @MethodSource("renderings")
    void lightIsAsItWasRendered(Case one) {
        JsonNode answer = asked(one.file.get("request"));
        List<String> off = new ArrayList<>();
        for (int i = 0; i < one.file.at("/answer/marks").size(); i++) {
            JsonNode want = one.file.at("/answer/marks/" + i);
            JsonNode sigma = one.file.at("/sigma/marks/" + i);
            JsonNode tolerance = one.file.at("/tolerance/marks/" + i);
            JsonNode got = byKey(answer.get("marks"), want.get("key").asText());
            for (String place : PLACES) {
                if (want.has(place) && tolerance.has(place)) {
                    surface(off, place, got.path(place), want.get(place), sigma.get(place), tolerance.get(place));
                }
            }
            double ratio = stops(
                    got.at("/left/lux").asDouble() / got.at("/right/lux").asDouble(),
                    want.at("/left/lux").asDouble() / want.at("/right/lux").asDouble());
            double noise = Math.hypot(
                    sigma.at("/left/stops").asDouble(), sigma.at("/right/stops").asDouble());
            within(off, "ratio", ratio, tolerance.get("ratioStops").asDouble() + 3 * noise);
            for (int k = 0; k < want.get("sources").size(); k++) {
                JsonNode source = want.at("/sources/" + k);
                JsonNode here = byKey(got.path("sources"), source.get("key").asText());
                for (String place : PLACES) {
                    JsonNode limit = tolerance.at("/sources/" + k + "/" + place + "Stops");
                    if (!limit.isMissingNode()) {
                        within(
                                off,
                                source.get("key").asText() + " " + place,
                                stops(
                                        here.path(place + "Lux").asDouble(),
                                        source.get(place + "Lux").asDouble()),
                                limit.asDouble()
                                        + 3
                                                * sigma.at("/sources/" + k + "/" + place + "Stops")
                                                        .asDouble());
                    }
                }
            }
        }
        assertThat(off).isEmpty();
    }

    /** A meter that is turned to the light reads what was rendered there: what both cheeks get is then told within a third of a stop. */
    @ParameterizedTest
    @MethodSource("renderings")
    void aReadingOfALightAloneCorrectsWhatItDoesToBothCheeks(Case one) {
        JsonNode answer = asked(one.file.get("request"));
        List<String> off = new ArrayList<>();
        for (int i = 0; i < one.file.at("/answer/marks").size(); i++) {
            JsonNode want = one.file.at("/answer/marks/" + i);
            JsonNode got = byKey(answer.get("marks"), want.get("key").asText());
            for (int k = 0; k < want.get("sources").size(); k++) {
                JsonNode source = want.at("/sources/" + k);
                JsonNode here = byKey(got.path("sources"), source.get("key").asText());
                double calibration = source.get("facingLux").asDouble()
                        / here.path("facingLux").asDouble();
                String name = "/sources/" + k;
                for (String side : List.of("left", "right")) {
                    if (one.file.at("/tolerance/marks/" + i + name).has(side + "Stops")) {
                        within(
                                off,
                                source.get("key").asText() + " " + side,
                                stops(
                                        calibration * here.path(side + "Lux").asDouble(),
                                        source.get(side + "Lux").asDouble()),
                                1.0 / 3
                                        + 3
                                                * one.file
                                                        .at("/sigma/marks/" + i + name + "/" + side + "Stops")
                                                        .asDouble());
                    }
                }
            }
        }
        assertThat(off).isEmpty();
    }

    private static void surface(
            List<String> off, String place, JsonNode got, JsonNode want, JsonNode sigma, JsonNode tolerance) {
        within(
                off,
                place,
                stops(got.path("lux").asDouble(), want.get("lux").asDouble()),
                tolerance.get("stops").asDouble() + 3 * sigma.path("stops").asDouble());
        if (tolerance.has("mired")) {
            within(
                    off,
                    place + " CCT",
                    1e6 / got.get("kelvin").asDouble()
                            - 1e6 / want.get("kelvin").asDouble(),
                    tolerance.get("mired").asDouble() + 3 * sigma.path("mired").asDouble());
            within(
                    off,
                    place + " Duv",
                    got.get("duv").asDouble() - want.get("duv").asDouble(),
                    tolerance.get("duv").asDouble() + 3 * sigma.path("duv").asDouble());
        }
    }

    @ParameterizedTest
    @MethodSource("sweeps")
    void aCentimetreMakesNoStepThatTheRenderingHasNot(Case one) {
        List<String> off = new ArrayList<>();
        JsonNode before = null;
        JsonNode rendered = null;
        for (JsonNode step : one.file.get("steps")) {
            JsonNode request = one.file.get("request").deepCopy();
            for (JsonNode shot : request.at("/scene/shots")) {
                for (JsonNode knot : shot.get("knots")) {
                    if (knot.get("placement").equals(one.file.get("placement"))
                            && knot.get("attribute").equals(one.file.get("attribute"))) {
                        ((ObjectNode) knot.get("value")).setAll((ObjectNode) step.get("value"));
                    }
                }
            }
            JsonNode now = asked(request).at("/marks/0");
            for (Map.Entry<String, JsonNode> lux : step.get("lux").properties()) {
                if (before != null) {
                    String at = "/" + lux.getKey() + "/lux";
                    double made = stops(now.at(at).asDouble(), before.at(at).asDouble());
                    double wanted = stops(
                            lux.getValue().asDouble(),
                            rendered.at("/lux/" + lux.getKey()).asDouble());
                    double noise = Math.hypot(
                            step.at("/sigma/" + lux.getKey()).asDouble(),
                            rendered.at("/sigma/" + lux.getKey()).asDouble());
                    within(off, step.get("value") + " " + lux.getKey(), made - wanted, STEP + 3 * noise);
                }
            }
            before = now;
            rendered = step;
        }
        assertThat(off).isEmpty();
    }

    @Test
    void whatCannotBeAskedIsSaidAndNothingIsKept() throws IOException {
        JsonNode request = renderings().findFirst().orElseThrow().file.get("request");
        assertThat(api.post("/api/bench/light", "{}").detail()).contains("scene file");
        ObjectNode nowhere = request.deepCopy();
        nowhere.put("shot", "77Z");
        assertThat(api.post("/api/bench/light", nowhere.toString()).detail()).contains("no shot 77Z");
        ObjectNode large = request.deepCopy();
        large.put("more", "a".repeat(600_000));
        assertThat(api.post("/api/bench/light", large.toString()).status()).isEqualTo(413);
        ObjectNode newer = request.deepCopy();
        ((ObjectNode) newer.get("scene")).put("version", 10);
        assertThat(api.post("/api/bench/light", newer.toString()).detail()).contains("version 10", "Update Oblume");
        ObjectNode out = request.deepCopy();
        out.putArray("out").add("key");
        assertThat(asked(out).at("/marks/0/left/lux").asDouble()).isZero();
    }

    private JsonNode asked(JsonNode request) {
        Api.Answer answer = api.stranger().post("/api/bench/light", request.toString());
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode byKey(JsonNode list, String key) {
        for (JsonNode one : list) {
            if (one.get("key").asText().equals(key)) {
                return one;
            }
        }
        throw new AssertionError("There is no " + key);
    }

    private static double stops(double got, double want) {
        return Math.log(got / want) / Math.log(2);
    }

    private static void within(List<String> off, String what, double difference, double limit) {
        if (!(Math.abs(difference) <= limit)) {
            off.add("%s %+.4f (%.4f)".formatted(what, difference, limit));
        }
    }
}
