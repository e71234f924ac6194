package org.oblume.server.proof;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** How far a crew's lights and meters stray is its own to say, and what a rebuild reads is judged by it. */
@ServerTest
class SpreadOverHttpTest {

    @Autowired
    private Api api;

    private JsonNode diagnosis(long run) {
        return api.get("/api/runs/%d/diagnosis".formatted(run)).body();
    }

    private static String change(JsonNode seen, JsonNode spread) {
        return "{\"seen\":%s,\"spread\":%s}".formatted(seen, spread);
    }

    @Test
    void whatStraysNoFurtherThanTheCrewSaysIsNoFault() {
        long shot = api.shot("22A");
        long run = api.post("/api/shots/%d/runs".formatted(shot), "{\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        JsonNode usual = diagnosis(run).get("spread");
        String path = "/api/productions/%d/spread"
                .formatted(diagnosis(run).get("productionId").asLong());
        assertThat(usual.at("/light/stops").asDouble()).isEqualTo(0.08);

        ObjectNode loose = usual.deepCopy();
        ((ObjectNode) loose.get("light")).put("stops", 0.5);
        assertThat(api.put(path, change(usual, loose), null).status()).isEqualTo(200);
        assertThat(diagnosis(run).at("/spread/light/stops").asDouble()).isEqualTo(0.5);

        assertThat(api.put(path, change(usual, usual), null).status())
                .as("changed on what somebody else has changed since")
                .isEqualTo(409);
        ObjectNode exact = usual.deepCopy();
        ((ObjectNode) exact.get("meter")).put("stops", 0);
        Api.Answer refused = api.put(path, change(loose, exact), null);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("A meter");
        assertThat(api.put(path, change(loose, usual), null).status()).isEqualTo(200);
    }
}
