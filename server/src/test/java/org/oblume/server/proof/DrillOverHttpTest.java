package org.oblume.server.proof;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Something is hidden, looked for with the meter and named; nothing of it is kept. */
@ServerTest
class DrillOverHttpTest {

    @Autowired
    private Api api;

    private long shot;

    @BeforeEach
    void aShotThatIsLit() {
        shot = api.shot("4A");
    }

    private JsonNode begin(String body) {
        return api.post("/api/shots/%d/drills".formatted(shot), body).body();
    }

    private int readings() {
        return api.get("/api/shots/%d/readings".formatted(shot))
                .body()
                .get("readings")
                .size();
    }

    private static String key(JsonNode drill, String hidden) {
        for (JsonNode light : drill.get("lights")) {
            if (hidden.startsWith(light.get("name").asText() + ":")) {
                return light.get("key").asText();
            }
        }
        return "";
    }

    @Test
    void whatIsHiddenIsFoundOnceAndNothingIsKept() {
        JsonNode drill = begin("{\"difficulty\":\"PLAIN\",\"seed\":3}");
        String path = "/api/drills/" + drill.get("id").asText();
        assertThat(drill.get("things").asInt()).isEqualTo(1);
        int before = readings();
        JsonNode read = api.post(path + "/readings", "{\"reading\":0}").body();
        assertThat(read.get("readings")).hasSize(1);
        assertThat(read.at("/readings/0/read/metric").asText()).contains("lux", "K");
        assertThat(readings()).isEqualTo(before);

        assertThat(api.post(path + "/answer", "{\"things\":[]}").status()).isEqualTo(400);
        JsonNode told = api.post(path + "/answer", "{\"things\":[\"nothing\"]}").body();
        assertThat(told.at("/answered/right").asBoolean()).isFalse();
        assertThat(told.at("/answered/told")).hasSize(1);
        String hidden = told.at("/answered/hidden/0").asText();
        assertThat(hidden).contains("recorded");
        assertThat(api.post(path + "/readings", "{\"reading\":0}").detail()).contains("is answered");

        JsonNode again = begin("{\"difficulty\":\"PLAIN\",\"seed\":3}");
        assertThat(api.post(
                                "/api/drills/%s/answer"
                                        .formatted(again.get("id").asText()),
                                "{\"things\":[\"%s\"]}".formatted(key(again, hidden)))
                        .body()
                        .at("/answered/right")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void whatCannotBeReadAndADrillThatIsOverAreSaidInWords() {
        JsonNode drill = begin("{\"difficulty\":\"TWO\"}");
        Answer refused =
                api.post("/api/drills/%s/readings".formatted(drill.get("id").asText()), "{\"reading\":999}");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("choose one of the list");
        assertThat(api.post("/api/drills/none/answer", "{\"things\":[\"key\"]}").status())
                .isEqualTo(404);
    }
}
