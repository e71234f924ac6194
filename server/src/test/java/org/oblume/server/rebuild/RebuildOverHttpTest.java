package org.oblume.server.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class RebuildOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot;

    @BeforeEach
    void aShotOfItsOwn() {
        shot = api.shotFrom("4R" + ++made, api.shot("4A"));
    }

    @Test
    void theSheetFollowsTheScenesBuildOrder() {
        assertThat(steps().stream().map(s -> s.at("/placed/placement/key").asText()))
                .containsExactly(
                        "mark-1",
                        "camera",
                        "ambience",
                        "bench-lamp",
                        "valve-glow",
                        "key",
                        "negative-fill",
                        "edge",
                        "street-sign");
    }

    @Test
    void aStepTellsAllThatIsNeededToPutTheHeadBack() {
        JsonNode key = step("key").get("placed");
        assertThat(key.at("/tapes/a/landmark").asText()).isEqualTo("window post");
        assertThat(key.at("/tapes/a/length/metric").asText()).isEqualTo("2.36 m");
        assertThat(key.at("/tapes/b/landmark").asText()).isEqualTo("door post");
        assertThat(key.at("/values/HEIGHT/say/metric").asText()).isEqualTo("2.07 m");
        assertThat(key.at("/aim/bearing").asText()).isEqualTo("220°");
        assertThat(key.at("/values/MODIFIERS/say/metric").asText()).isEqualTo("Quarter CTO; Muslin, unbleached");
        assertThat(key.at("/values/LEVEL/say/metric").asText()).isEqualTo("70 %");
        assertThat(key.at("/values/PATCH/say/metric").asText()).isEqualTo("1 / 101, 16-bit white");
        assertThat(step("key").get("cautions").get(0).asText()).contains("high leg");
    }

    @Test
    void aTickStaysUntilItIsTakenBack() {
        api.put(tick("key"), "", null);
        assertThat(step("key").at("/done/author").asText()).isEqualTo("best boy");
        assertThat(step("key").at("/done/changedSince").asBoolean()).isFalse();
        assertThat(step("edge").has("done")).isFalse();
        api.delete(tick("key"), null);
        assertThat(step("key").has("done")).isFalse();
    }

    @Test
    void aTickOnWhatWasChangedSinceIsDoubted() {
        api.put(tick("key"), "", null);
        api.tie(
                shot,
                "mark-1",
                "PLACE",
                "{\"value\":{\"xM\":3.5,\"yM\":2.7,\"outside\":false},\"reason\":\"LOOK\"}",
                0);
        assertThat(step("key").at("/done/changedSince").asBoolean())
                .as("the key is aimed at the mark that moved")
                .isTrue();
    }

    @Test
    void whatIsStruckHasNoStepAndCannotBeTicked() {
        api.tie(shot, "edge", "STANDING", "{\"text\":\"struck\",\"reason\":\"LOOK\"}", 0);
        assertThat(steps()).hasSize(8);
        assertThat(api.put(tick("edge"), "", null).detail()).startsWith("Edge is not on set in 4R");
    }

    private String tick(String placement) {
        return "/api/shots/%d/rebuild/%s".formatted(shot, placement);
    }

    private List<JsonNode> steps() {
        return StreamSupport.stream(
                        api.get("/api/shots/" + shot + "/rebuild")
                                .body()
                                .get("steps")
                                .spliterator(),
                        false)
                .toList();
    }

    private JsonNode step(String placement) {
        return steps().stream()
                .filter(s -> s.at("/placed/placement/key").asText().equals(placement))
                .findFirst()
                .orElseThrow();
    }
}
