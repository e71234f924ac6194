package org.oblume.server.monitor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** What percents on the monitor are read through is said once, for the production or for a scene, and holds wherever one is told. */
@ServerTest
class MonitorOverHttpTest {

    private static final String LOG = "{\"name\":\"Day log\",\"points\":[{\"percent\":5,\"light\":0},"
            + "{\"percent\":40,\"light\":0.18},{\"percent\":95,\"light\":8}]}";
    private static int made;

    @Autowired
    private Api api;

    private ObjectNode file;
    private long scene;

    @BeforeEach
    void aSceneInAProductionOfItsOwn() {
        file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        ((ObjectNode) file.get("production")).put("name", "Curves " + ++made);
        scene = imported();
    }

    private long imported() {
        Answer answer = api.post("/api/scenes/import", file.toString());
        assertThat(answer.status()).as(answer.detail()).isEqualTo(201);
        return answer.body().get("sceneId").asLong();
    }

    private JsonNode monitor() {
        return api.get("/api/scenes/%d/monitor".formatted(scene)).body();
    }

    private Answer keep(String curve, long version) {
        return api.put("/api/scenes/%d/monitor".formatted(scene), "{\"curve\":%s}".formatted(curve), version);
    }

    private JsonNode picture() throws IOException, InterruptedException {
        List<JsonNode> steps = api.lines(
                "/api/shots/%d/light/frame".formatted(api.shotIn(scene, "4A")),
                "{\"changes\":[],\"holds\":[],\"out\":[],\"width\":160,\"of\":\"LIGHT\",\"perStop\":1,\"touched\":[]}");
        return steps.get(steps.size() - 1).get("frame");
    }

    @Test
    void aSceneIsReadAsItsProductionUntilItHasACurveOfItsOwn() {
        assertThat(monitor().get("label").asText()).isEqualTo("BT.709");
        long production = monitor().get("productionId").asLong();
        assertThat(api.put("/api/productions/%d/monitor".formatted(production), "{\"shipped\":\"HLG\"}", 0L)
                        .status())
                .isEqualTo(204);
        assertThat(monitor().get("label").asText()).isEqualTo("HLG");
        assertThat(keep("{\"table\":%s}".formatted(LOG), 0).body().get("label").asText())
                .isEqualTo("Day log");
        assertThat(keep("null", 1).body().get("label").asText()).isEqualTo("HLG");
    }

    @Test
    void percentsOfThePictureAreToldByTheScenesCurve() throws IOException, InterruptedException {
        JsonNode before = picture();
        keep("{\"table\":%s}".formatted(LOG), 0);
        JsonNode after = picture();
        assertThat(after.get("curve").asText()).isEqualTo("Day log");
        JsonNode lit = before.at("/points/0");
        double light = Math.pow((lit.get("percent").asDouble() / 100 + 0.099) / 1.099, 1 / 0.45);
        assertThat(light).isGreaterThan(0.18);
        assertThat(after.at("/points/0/percent").asDouble()).isCloseTo(40 + 55 * (light - 0.18) / 7.82, within(1e-6));
        assertThat(api.get("/api/scenes/%d/match".formatted(scene))
                        .body()
                        .get("curve")
                        .asText())
                .isEqualTo("Day log");
    }

    @Test
    void twoWhoChooseAtOnceDoNotOverwriteEachOther() {
        assertThat(keep("{\"shipped\":\"HLG\"}", 0).status()).isEqualTo(200);
        Answer second = keep("{\"shipped\":\"NONE\"}", 0);
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.detail()).contains("Someone changed the curve");
        assertThat(monitor().get("label").asText()).isEqualTo("HLG");
    }

    @Test
    void theCurveGoesWithTheSceneInItsFile() {
        keep("{\"table\":%s}".formatted(LOG), 0);
        file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(scene)).body();
        assertThat(file.get("version").asInt()).isGreaterThanOrEqualTo(7);
        ((ObjectNode) file.get("production")).put("name", "Elsewhere " + made);
        scene = imported();
        assertThat(monitor().at("/own/table/points/1/light").asDouble()).isEqualTo(0.18);
        ((ObjectNode) file.at("/monitor/table/points/1")).put("light", 9);
        ((ObjectNode) file.get("production")).put("name", "Nowhere at all");
        Answer falls = api.post("/api/scenes/import", file.toString());
        assertThat(falls.status()).isEqualTo(400);
        assertThat(falls.detail()).contains("point 3");
        assertThat(api.get("/api/book").body().toString()).doesNotContain("Nowhere at all");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "percent,light\\n0,0\\n50,0.25\\n100,1",
                "0;0\\n50;0,25\\n100;1\\n",
                "\\ufeffPercent;Light\\r\\n0;0\\r\\n50;0,25\\r\\n100;1",
                "0,0\\n\\n50,0.25\\n100,1"
            })
    void aTableIsReadAsASpreadsheetWroteIt(String csv) {
        Answer read = api.upload("/api/monitor/table?name=Ours", unescaped(csv).getBytes(StandardCharsets.UTF_8));
        assertThat(read.status()).as(read.detail()).isEqualTo(200);
        assertThat(read.body().at("/table/points/1/light").asDouble()).isEqualTo(0.25);
        assertThat(read.body().at("/table/points")).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "percent,light\\n0,0\\n50,dark|Line 3 needs two figures",
                "percent,light\\n0,0\\n50|Line 3 needs two figures",
                "0,0\\n50,0.3\\n60,0.2|look at point 3",
                "0,0\\n50,NaN|Line 2: A light",
                "percent,light|2 to 256 points",
                "\"0,0\\n50,1|no table that can be read"
            })
    void whatIsNoTableIsToldByItsLine(String csv, String says) {
        Answer refused =
                api.upload("/api/monitor/table?name=Ours", unescaped(csv).getBytes(StandardCharsets.UTF_8));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains(says);
    }

    @Test
    void aCurveIsTakenAwayAsTheTableThatItIs() throws IOException, InterruptedException {
        keep("{\"table\":%s}".formatted(LOG), 0);
        String csv = new String(api.file("/api/scenes/%d/monitor.csv".formatted(scene)), StandardCharsets.UTF_8);
        assertThat(csv.lines()).containsExactly("percent,light", "5.0,0.0", "40.0,0.18", "95.0,8.0");
        Answer read = api.upload("/api/monitor/table?name=Again", csv.getBytes(StandardCharsets.UTF_8));
        assertThat(read.body().at("/table/points/2/percent").asDouble()).isEqualTo(95);
    }

    private static String unescaped(String text) {
        return text.replace("\\n", "\n").replace("\\r", "\r").replace("\\ufeff", "\ufeff");
    }
}
