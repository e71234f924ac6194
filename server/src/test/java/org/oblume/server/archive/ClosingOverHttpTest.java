package org.oblume.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

@ServerTest
class ClosingOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private JdbcTemplate sql;

    @Autowired
    private ClosingService closing;

    private Api lead;
    private String name;
    private long production;
    private long scene;
    private long shot;

    @BeforeEach
    void aProductionOfOneScene() {
        lead = api.as("LEAD");
        name = "Done with " + ++made;
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        ((ObjectNode) file.get("production")).put("name", name);
        JsonNode imported = lead.post("/api/scenes/import", file.toString()).body();
        production = imported.get("productionId").asLong();
        scene = imported.get("sceneId").asLong();
        shot = api.shotIn(scene, "4C");
    }

    private Answer put(String what, long id, String standing) {
        return lead.put("/api/%s/%d/standing".formatted(what, id), "{\"standing\":\"%s\"}".formatted(standing), null);
    }

    @Test
    void whatIsClosedIsReadAndTakesNoEditsUntilItIsOpenedAgain() {
        assertThat(put("scenes", scene, "CLOSED").status()).isEqualTo(204);
        Answer edit = api.tie(shot, "key", "LEVEL", "{\"text\":\"33\",\"reason\":\"MATCH\"}", 0);
        assertThat(edit.status()).isEqualTo(400);
        assertThat(edit.detail())
                .isEqualTo("Sc. 4 is closed: it can be read, and takes no edits. A lead opens it again.");
        assertThat(api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"late\"}")
                        .status())
                .isEqualTo(400);
        assertThat(api.get("/api/shots/%d/plot".formatted(shot)).status()).isEqualTo(200);
        assertThat(api.post("/api/shots/%d/light".formatted(shot), "{\"changes\":[],\"holds\":[],\"out\":[]}")
                        .status())
                .isEqualTo(200);

        assertThat(api.post("/api/looks", "{\"name\":\"late\",\"shotId\":%d}".formatted(shot))
                        .status())
                .isEqualTo(400);

        put("productions", production, "CLOSED");
        put("scenes", scene, "OPEN");
        assertThat(api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"late\"}")
                        .detail())
                .startsWith(name + " is closed");
        put("productions", production, "OPEN");
        assertThat(api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"late\"}")
                        .status())
                .isEqualTo(201);
    }

    @Test
    void aDeletedSceneIsInNoListAndComesBackWithEverything() {
        String before = api.get("/api/shots/%d/plot".formatted(shot)).body().toString();
        assertThat(put("scenes", scene, "DELETED").status()).isEqualTo(204);
        assertThat(api.get("/api/shots/%d/plot".formatted(shot)).status()).isEqualTo(404);
        assertThat(api.get("/api/productions/%d/days".formatted(production)).status())
                .isEqualTo(200);
        assertThat(api.get("/api/productions/%d/kit".formatted(production)).status())
                .isEqualTo(200);
        JsonNode deleted = lead.get("/api/deleted").body();
        assertThat(deleted.toString()).contains("\"id\":%d,\"name\":\"Sc. 4\"".formatted(scene));

        assertThat(put("scenes", scene, "OPEN").status()).isEqualTo(204);
        assertThat(api.get("/api/shots/%d/plot".formatted(shot)).body().toString())
                .isEqualTo(before);
    }

    @Test
    void itsNumberIsFreeMeanwhile() {
        put("scenes", scene, "DELETED");
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        ((ObjectNode) file.get("production")).put("name", name);
        assertThat(lead.post("/api/scenes/import", file.toString()).status()).isEqualTo(201);
        put("scenes", scene, "OPEN");
        assertThat(api.get("/api/scenes/%d/export".formatted(scene))
                        .body()
                        .at("/scene/number")
                        .asText())
                .isEqualTo("4-2");
    }

    @Test
    void aProductionGoesWithAllItsScenesAndComesBack() {
        put("productions", production, "DELETED");
        assertThat(api.get("/api/book").body().toString()).doesNotContain(name);
        assertThat(api.get("/api/search?q=" + name.replace(" ", "%20")).body().get("shots"))
                .isEmpty();
        assertThat(api.get("/api/shots/%d/plot".formatted(shot)).status()).isEqualTo(404);
        assertThat(api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"late\"}")
                        .status())
                .isEqualTo(404);
        put("productions", production, "OPEN");
        assertThat(api.get("/api/book").body().toString()).contains(name);
        assertThat(api.get("/api/shots/%d/plot".formatted(shot)).status()).isEqualTo(200);
    }

    @Test
    void afterThirtyDaysItIsGoneForGoodAndNothingElseIs() {
        long other = api.sceneOf(api.shot("4A"));
        Long shots = shotsOf(other);
        put("scenes", scene, "DELETED");
        sql.update("update scene set deleted_at = ? where id = ?", longAgo(), scene);
        closing.forgetOld();
        assertThat(sql.queryForObject("select count(*) from scene where id = ?", Long.class, scene))
                .isZero();
        assertThat(shotsOf(scene)).isZero();
        assertThat(shotsOf(other)).isGreaterThanOrEqualTo(shots).isPositive();
        assertThat(api.get("/api/book").body().toString()).contains(name);

        put("productions", production, "DELETED");
        sql.update("update production set deleted_at = ? where id = ?", longAgo(), production);
        closing.forgetOld();
        assertThat(sql.queryForObject("select count(*) from production where id = ?", Long.class, production))
                .isZero();
        assertThat(sql.queryForObject("select count(*) from stage_set where production_id = ?", Long.class, production))
                .isZero();
    }

    private static OffsetDateTime longAgo() {
        return OffsetDateTime.now(ZoneOffset.UTC).minusDays(31);
    }

    private Long shotsOf(long of) {
        return sql.queryForObject("select count(*) from shot where scene_id = ?", Long.class, of);
    }

    @Test
    void onlyALeadDoesThat() {
        assertThat(api.put("/api/scenes/%d/standing".formatted(scene), "{\"standing\":\"DELETED\"}", null)
                        .status())
                .isEqualTo(403);
    }
}
