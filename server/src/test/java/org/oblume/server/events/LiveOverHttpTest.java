package org.oblume.server.events;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class LiveOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Test
    void othersHearOfAnEditAndOfWhoIsWhereAndNotOfWhatOnlyAsks() throws Exception {
        long shot = api.shotFrom("4V" + ++made, api.shot("4A"));
        try (Api.Stream stream = api.as("READER").listen("tablet")) {
            stream.until("presence", "\"person\":\"visitor\",\"device\":\"tablet\"");
            api.post("/api/shots/" + shot + "/say", "{\"text\":\"key 45%\"}");
            api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"MATCH\"}", 0);
            assertThat(stream.next("changed"))
                    .contains("/api/shots/%d/placements/key/LEVEL".formatted(shot), "\"person\":\"best boy\"");
            api.tie(shot, "key", "LEVEL", "{\"text\":\"450\",\"reason\":\"MATCH\"}", 1);
            api.tie(shot, "edge", "LEVEL", "{\"text\":\"45\",\"reason\":\"MATCH\"}", 0);
            assertThat(stream.next("changed")).contains("/edge/LEVEL");
            try (Api.Stream other = api.listen("phone")) {
                stream.until("presence", "\"device\":\"phone\"");
                api.put("/api/live/phone", "{\"shotId\":%d}".formatted(shot), null);
                stream.until("presence", "\"device\":\"phone\",\"shotId\":" + shot);
                assertThat(other).isNotNull();
            }
        }
    }

    @Test
    void aCallWithAKeyIsDoneOnceHoweverOftenItArrives() {
        long shot = api.shotFrom("4V" + ++made, api.shot("4A"));
        String notes = "/api/shots/" + shot + "/notes";
        Answer first = api.once("k1").post(notes, "{\"text\":\"moved the flag\"}");
        assertThat(first.status()).isEqualTo(201);
        assertThat(api.once("k1").post(notes, "{\"text\":\"moved the flag\"}").status())
                .isEqualTo(204);
        assertThat(api.get(notes).body().get("notes")).hasSize(1);
        assertThat(api.once("k2").post(notes, "{\"text\":\"\"}").status()).isEqualTo(400);
        assertThat(api.once("k2").post(notes, "{\"text\":\"and the net\"}").status())
                .isEqualTo(201);
        assertThat(api.get(notes).body().get("notes")).hasSize(2);
    }

    @Test
    void sentEightTimesAtOnceItIsStillDoneOnce() {
        long shot = api.shotFrom("4V" + ++made, api.shot("4A"));
        String notes = "/api/shots/" + shot + "/notes";
        List<CompletableFuture<Answer>> sent = IntStream.range(0, 8)
                .mapToObj(i ->
                        CompletableFuture.supplyAsync(() -> api.once("race").post(notes, "{\"text\":\"once\"}")))
                .toList();
        assertThat(sent.stream().map(CompletableFuture::join).map(Answer::status))
                .containsOnly(201, 204)
                .containsOnlyOnce(201);
        assertThat(api.get(notes).body().get("notes")).hasSize(1);
    }
}
