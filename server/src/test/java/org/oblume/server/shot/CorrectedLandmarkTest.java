package org.oblume.server.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** A landmark was drawn wrong, and things were taped from it. */
@ServerTest
class CorrectedLandmarkTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot;
    private long setId;
    private ObjectNode set;
    private long version;

    @BeforeEach
    void aRoomInWhichOneThingWasTaped() {
        long production = api.post("/api/productions", "{\"name\":\"Landmarks %d\",\"days\":1}".formatted(++made))
                .body()
                .get("id")
                .asLong();
        shot = api.post(
                        "/api/productions/%d/scenes".formatted(production),
                        """
                        {"number":"1","heading":"INT. ROOM","location":"Room","buildOrder":"KEY_FIRST",
                         "roomWidth":"6","roomDepth":"5","ceiling":"2.8","firstSlate":"1A"}""")
                .body()
                .get("shotId")
                .asLong();
        Answer taped = api.put(
                Api.path(shot, "mark-1", "PLACE"),
                """
                {"measured":{"tapes":[{"landmark":"near left corner","length":"4 m"},{"landmark":"near right corner","length":"4 m"}]}}""",
                1L);
        assertThat(taped.status()).as(taped.detail()).isEqualTo(200);
        JsonNode drawn = api.get("/api/shots/" + shot + "/plot").body().get("drawn");
        setId = drawn.get("id").asLong();
        version = drawn.get("version").asLong();
        set = drawn.get("set").deepCopy();
        ((ObjectNode) set.at("/plan/landmarks/0/point")).put("xM", 0.4);
    }

    private double x() {
        return api.placed(shot, "mark-1").at("/values/PLACE/value/xM").asDouble();
    }

    @Test
    void itIsAskedWhetherWhatWasTapedFollowsAndNothingIsKeptBefore() {
        Answer asked = api.put("/api/sets/" + setId, set.toString(), version);
        assertThat(asked.status()).isEqualTo(400);
        assertThat(asked.body().get("field").asText()).isEqualTo("taped");
        assertThat(asked.detail()).contains("Mark 1 (1A) in Sc. 1");
        assertThat(x()).isEqualTo(3, within(0.001));
    }

    @Test
    void whatFollowsStandsWhereItsTapesSay() {
        Answer drawn = api.put("/api/sets/" + setId + "?taped=FOLLOWS", set.toString(), version);
        assertThat(drawn.status()).as(drawn.detail()).isEqualTo(200);
        assertThat(x()).isEqualTo(3.2, within(0.001));
        assertThat(api.placed(shot, "mark-1").at("/tapes/own").asBoolean()).isTrue();
        assertThat(api.get("/api/shots/" + shot + "/history")
                        .body()
                        .at("/changes/0/note")
                        .asText())
                .contains("corrected");
    }

    @Test
    void whatWasShotFollowsTooForItNeverStoodElsewhere() {
        JsonNode head = api.get("/api/shots/" + shot + "/plot").body().get("shot");
        api.put(
                "/api/shots/" + shot,
                "{\"slate\":\"1A\",\"description\":\"\",\"stage\":\"SHOT\"}",
                head.get("version").asLong());
        assertThat(api.put("/api/sets/" + setId + "?taped=FOLLOWS", set.toString(), version)
                        .status())
                .isEqualTo(200);
        assertThat(x()).isEqualTo(3.2, within(0.001));
    }

    @Test
    void whatStaysIsToldAsTapedFromALandmarkThatIsDrawnElsewhere() {
        assertThat(api.put("/api/sets/" + setId + "?taped=STAYS", set.toString(), version)
                        .status())
                .isEqualTo(200);
        assertThat(x()).isEqualTo(3, within(0.001));
        JsonNode placed = api.placed(shot, "mark-1");
        assertThat(placed.at("/tapes/own").asBoolean()).isFalse();
        assertThat(placed.at("/findings/0/sentence/metric").asText()).contains("near left corner", "drawn elsewhere");
    }

    @Test
    void aSetIsDrawnForNoSceneYetAndItsLandmarksByTapes() {
        long production = api.post("/api/productions", "{\"name\":\"Outdoors %d\",\"days\":1}".formatted(made))
                .body()
                .get("id")
                .asLong();
        String path = "/api/productions/%d/sets".formatted(production);
        Answer open = api.post(path, "{\"name\":\"Quay\"}");
        assertThat(open.status()).as(open.detail()).isEqualTo(201);
        assertThat(api.post(path, "{\"name\":\"quay\"}").detail()).contains("another name");
        assertThat(api.post(path, "{\"name\":\"Half\",\"roomWidth\":\"4\"}").detail())
                .contains("width and a depth");
        String asked =
                """
                {"plan":{"northDeg":0,"walls":[],"openings":[],"furniture":[],
                  "landmarks":[{"name":"bollard","point":{"xM":0,"yM":0}},{"name":"ring","point":{"xM":4,"yM":0}}]},
                 "tapes":[{"landmark":"bollard","length":"3 m"},{"landmark":"ring","length":"5 m"}]%s}""";
        Answer which = api.post("/api/sets/taped", asked.formatted(""));
        assertThat(which.body().get("field").asText()).isEqualTo("side");
        JsonNode found = api.post("/api/sets/taped", asked.formatted(",\"side\":\"LEFT\""))
                .body();
        assertThat(found.at("/point/xM").asDouble()).isEqualTo(0, within(1e-9));
        assertThat(found.at("/point/yM").asDouble()).isEqualTo(3, within(1e-9));
    }
}
