package org.oblume.server.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Runs, readings and reports as a crew uses them together: at once, with the wrong role, with bodies that make no sense. */
@ServerTest
class ProveTogetherTest {

    private static final String RUN = "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}";
    private static int made;

    @Autowired
    private Api api;

    private long scene;
    private long shot;

    @BeforeEach
    void aSceneOfItsOwn() {
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        file.get("shots").forEach(s -> ((ObjectNode) s).remove(List.of("readings", "rebuilt")));
        scene = api.post("/api/scenes/import?number=T" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        shot = shot("4C");
    }

    @Test
    void firstTicksAtOnceBeginOneRunAndNoneIsLost() {
        List<String> keys =
                List.of("mark-1", "camera", "ambience", "bench-lamp", "valve-glow", "key", "edge", "street-sign");
        List<Integer> answers = keys.stream()
                .map(k -> CompletableFuture.supplyAsync(() -> api.as("CREW")
                        .put("/api/shots/%d/rebuild/%s".formatted(shot, k), "", null)
                        .status()))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .toList();
        assertThat(answers).containsOnly(200);
        JsonNode sheet = api.get("/api/shots/%d/rebuild".formatted(shot)).body();
        assertThat(sheet.get("runs")).hasSize(1);
        assertThat(StreamSupport.stream(sheet.get("steps").spliterator(), false)
                        .filter(s -> s.has("done"))
                        .count())
                .isEqualTo(keys.size());
    }

    @Test
    void theSameStepTickedAtOnceByManyIsTickedOnce() {
        long run = run();
        List<Integer> answers = IntStream.range(0, 6)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> api.as("CREW")
                        .put("/api/runs/%d/steps/key".formatted(run), "", null)
                        .status()))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .toList();
        assertThat(answers).containsOnly(200);
    }

    @Test
    void twoWhoSayAtOnceWhatIsNotAsRecordedAreToldApart() {
        long run = run();
        String path = "/api/runs/%d/steps/key/otherwise".formatted(run);
        List<Integer> answers = Stream.of("30", "60")
                .map(level -> CompletableFuture.supplyAsync(() -> api.as("CREW")
                        .put(
                                path,
                                "{\"done\":false,\"values\":[{\"attribute\":\"LEVEL\",\"text\":\"%s\"}],\"why\":\"weak\"}"
                                        .formatted(level),
                                0L)
                        .status()))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .sorted()
                .toList();
        assertThat(answers).containsExactly(200, 409);
    }

    static Stream<String> endpoints() {
        return Stream.of(
                "POST /api/shots/{shot}/runs",
                "POST /api/shots/{shot}/runs/fit",
                "PUT /api/runs/{run}/steps/key/otherwise",
                "POST /api/runs/{run}/steps/key/tapes",
                "POST /api/shots/{shot}/readings",
                "POST /api/shots/{shot}/readings/read",
                "POST /api/shots/{shot}/agree",
                "PUT /api/scenes/{scene}/match",
                "PUT /api/shots/{shot}/match",
                "PUT /api/shots/{shot}/by-eye/RATIO");
    }

    /** No body that is sent breaks the server: each is answered with a sentence. */
    @ParameterizedTest
    @MethodSource("endpoints")
    void bodiesThatMakeNoSenseAreRefusedInWords(String endpoint) {
        String path = endpoint.substring(endpoint.indexOf(' ') + 1)
                .replace("{shot}", "" + shot)
                .replace("{scene}", "" + scene)
                .replace("{run}", "" + run());
        for (String body : List.of(
                "",
                "{}",
                "[]",
                "null",
                "{\"x\":1}",
                "{\"line\":null,\"sure\":true}",
                "{\"setId\":99999999,\"pairs\":[{}],\"mirrored\":true}",
                "{\"tapes\":[{}]}",
                "{\"tapes\":[{\"landmark\":\"window post\",\"length\":\"\"}]}",
                "{\"done\":true,\"values\":[{}],\"why\":\"x\"}",
                "{\"done\":true,\"values\":[{\"attribute\":\"LEVEL\"}],\"why\":\"x\"}",
                "{\"closeness\":\"HOLD\",\"own\":{\"RATIO\":null}}",
                "{\"closeness\":\"HOLD\"}",
                "{\"closeness\":\"NEARLY\",\"own\":{}}",
                "{\"referenceShotId\":1}",
                "{\"reason\":null}",
                "{\"reference\":\"nobody\",\"others\":[null]}",
                "{\"white\":\"4300\",\"others\":[\"mark-1\"]}",
                "{\"reference\":\"camera\",\"others\":[\"key\"]}")) {
            Answer answer = endpoint.startsWith("PUT") ? api.put(path, body, 0L) : api.post(path, body);
            assertThat(answer.status())
                    .as("%s %s: %s", endpoint, body, answer.detail())
                    .isLessThan(500);
            if (answer.status() >= 400) {
                assertThat(answer.detail()).as("%s %s", endpoint, body).hasSizeGreaterThan(10);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "/api/runs/999999",
        "/api/runs/999999/verdict",
        "/api/scenes/999999/match",
        "/api/shots/999999/readings",
        "/api/shots/999999/rebuild",
        "/api/runs/999999/steps/key/substitutes?unit=true",
        "/api/runs/999999/paper/verdict.pdf",
        "/api/scenes/999999/paper/match.csv"
    })
    void whatIsNotThereIsSaidNotToBeThere(String path) {
        Answer answer = api.get(path);
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.detail()).startsWith("There is no such");
    }

    @Test
    void aRunOfAnotherShotIsNotMixedUpWithThisOne() {
        long run = run();
        long other = shot("4B");
        assertThat(api.get("/api/shots/%d/readings?run=%d".formatted(other, run))
                        .status())
                .isEqualTo(404);
        assertThat(api.post(
                                "/api/shots/%d/readings".formatted(other),
                                "{\"line\":\"all 100 lux\",\"run\":%d,\"sure\":true}".formatted(run))
                        .status())
                .isEqualTo(404);
        assertThat(api.put("/api/shots/%d/by-eye/RATIO?run=%d".formatted(other, run), "{\"reason\":\"right\"}", null)
                        .status())
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({
        "READER,403,403,403,403",
        "CONTINUITY,200,201,403,403",
        "CONTROL,200,201,403,403",
        "CREW,200,201,200,403",
        "LEAD,200,201,200,200"
    })
    void eachRoleDoesWhatItIsThereFor(String role, int ticks, int reads, int judges, int signs) {
        long run = run();
        Api person = api.as(role);
        assertThat(person.get("/api/runs/%d/verdict".formatted(run)).status()).isEqualTo(200);
        assertThat(person.put("/api/runs/%d/steps/key".formatted(run), "", null).status())
                .isEqualTo(ticks);
        assertThat(person.post(
                                "/api/shots/%d/readings".formatted(shot),
                                "{\"line\":\"all 150 lux\",\"run\":%d,\"sure\":true}".formatted(run))
                        .status())
                .isEqualTo(reads);
        assertThat(person.put("/api/shots/%d/match".formatted(shot), "{\"closeness\":\"SWEETEN\",\"own\":{}}", 0L)
                        .status())
                .isEqualTo(judges);
        assertThat(person.post("/api/runs/%d/sign".formatted(run), "").status()).isEqualTo(signs);
    }

    /** The key was metered a stop under its figures. What stands in for it has to reach that, and is itself not known to be a stop under. */
    @Test
    void aStandInReachesTheLightThatWasMetered() {
        Map<String, Double> nominal = levels(run());
        double lux = facing("key");
        assertThat(api.post(
                                "/api/shots/%d/readings".formatted(shot),
                                "{\"line\":\"key alone %.3f lux\",\"sure\":true}".formatted(lux / 2))
                        .status())
                .isEqualTo(201);
        long run = run();
        Map<String, Double> metered = levels(run);
        assertThat(metered.keySet()).containsAnyElementsOf(nominal.keySet());
        metered.forEach((kind, level) ->
                assertThat(level).as(kind).isCloseTo(nominal.getOrDefault(kind, 2 * level) / 2, within(0.3)));
        JsonNode best = standIns(run).get(0);
        StringBuilder values = new StringBuilder();
        best.get("settings").forEach(s -> values.append(values.isEmpty() ? "" : ",")
                .append("{\"attribute\":\"%s\",\"value\":%s}"
                        .formatted(s.get("attribute").asText(), s.get("value"))));
        api.put(
                "/api/runs/%d/steps/key/otherwise".formatted(run),
                "{\"done\":true,\"kind\":\"%s\",\"values\":[%s],\"why\":\"out on hire\"}"
                        .formatted(best.get("kind").asText(), values),
                0L);
        JsonNode meter = api.post(
                        "/api/shots/%d/readings".formatted(shot),
                        "{\"line\":\"key alone %.3f lux\",\"run\":%d,\"sure\":true}".formatted(lux / 2, run))
                .body();
        assertThat(meter.at("/readings/0/solo/kStops").asDouble())
                .as("the meter agrees with what is predicted of the stand-in")
                .isCloseTo(0, within(0.05));
    }

    @Test
    void aRunFromAnotherShotCountsOnlyWhatIsToBeDone() {
        long from = shot("4B");
        JsonNode begun = api.post(
                        "/api/shots/%d/runs".formatted(shot),
                        "{\"fromShotId\":%d,\"pairs\":[],\"mirrored\":false}".formatted(from))
                .body();
        long run = begun.at("/run/id").asLong();
        int steps = begun.get("steps").size();
        assertThat(steps).isLessThan(10);
        api.put("/api/runs/%d/steps/key".formatted(run), "", null);
        JsonNode verdict = api.get("/api/runs/%d/verdict".formatted(run)).body();
        assertThat(verdict.get("steps").asInt()).isEqualTo(steps);
        assertThat(verdict.get("done").asInt()).isEqualTo(1);
    }

    @Test
    void theReportSaysItsFiguresInWords() {
        JsonNode line = api.get("/api/scenes/%d/match".formatted(scene)).body().at("/shots/1/lines/0");
        assertThat(line.at("/now/said").asText()).matches("\\d\\.\\d stops");
        assertThat(line.get("differenceSaid").asText()).matches("[+−]?\\d\\.\\d");
        assertThat(line.get("toleranceSaid").asText()).isEqualTo("±1/3 stop");
    }

    /** Levels of the stand-ins that dim in a straight line, by their kind. */
    private Map<String, Double> levels(long run) {
        return StreamSupport.stream(standIns(run).spliterator(), false)
                .filter(s -> Math.abs(s.get("stops").asDouble()) < 0.02)
                .collect(Collectors.toMap(s -> s.get("kind").asText(), s -> StreamSupport.stream(
                                s.get("settings").spliterator(), false)
                        .filter(v -> v.get("attribute").asText().equals("LEVEL"))
                        .findFirst()
                        .orElseThrow()
                        .at("/value/percent")
                        .asDouble()));
    }

    private JsonNode standIns(long run) {
        return api.get("/api/runs/%d/steps/key/substitutes?unit=true".formatted(run))
                .body()
                .get("substitutes");
    }

    private double facing(String light) {
        JsonNode from = api.post("/api/shots/%d/light".formatted(shot), "{\"changes\":[],\"holds\":[],\"out\":[]}")
                .body()
                .at("/light/marks/0/from");
        return StreamSupport.stream(from.spliterator(), false)
                .filter(f -> f.get("key").asText().equals(light))
                .findFirst()
                .orElseThrow()
                .at("/facing/lux")
                .asDouble();
    }

    private long run() {
        return api.post("/api/shots/%d/runs".formatted(shot), RUN)
                .body()
                .at("/run/id")
                .asLong();
    }

    private long shot(String slate) {
        return api.shotIn(scene, slate);
    }
}
