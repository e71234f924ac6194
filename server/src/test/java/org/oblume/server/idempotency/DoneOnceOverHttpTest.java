package org.oblume.server.idempotency;

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
class DoneOnceOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot() {
        return api.shotFrom("4W" + ++made, api.shot("4A"));
    }

    @Test
    void sentAgainACallIsAnsweredAsItWasTheFirstTime() {
        String notes = "/api/shots/" + shot() + "/notes";
        Answer first = api.once("k1").post(notes, "{\"text\":\"moved the flag\"}");
        assertThat(first.status()).isEqualTo(201);
        Answer again = api.once("k1").post(notes, "{\"text\":\"moved the flag\"}");
        assertThat(again.status()).isEqualTo(201);
        assertThat(again.body()).isEqualTo(first.body());
        assertThat(api.get(notes).body().get("notes")).hasSize(1);
    }

    @Test
    void whatWasRefusedWasNotDoneAndMayBeSentRightUnderTheSameKey() {
        String notes = "/api/shots/" + shot() + "/notes";
        assertThat(api.once("k2").post(notes, "{\"text\":\"\"}").status()).isEqualTo(400);
        assertThat(api.once("k2").post(notes, "{\"text\":\"and the net\"}").status())
                .isEqualTo(201);
        assertThat(api.get(notes).body().get("notes")).hasSize(1);
    }

    @Test
    void aKeyIsOfOneCallAndNotTooLong() {
        long shot = shot();
        api.once("k3").post("/api/shots/" + shot + "/notes", "{\"text\":\"one\"}");
        Answer other = api.once("k3").post("/api/shots/" + shot + "/takes", "{\"number\":1,\"circled\":false}");
        assertThat(other.status()).isEqualTo(400);
        assertThat(other.detail()).contains("used for another call");
        Answer tooLong = api.once("k".repeat(61)).post("/api/shots/" + shot + "/notes", "{\"text\":\"two\"}");
        assertThat(tooLong.status()).isEqualTo(400);
        assertThat(tooLong.detail()).contains("1 to 60 characters");
    }

    /** Those that come while it is being done are told to come again; then they hear what the first one heard. */
    @Test
    void sentEightTimesAtOnceItIsStillDoneOnce() {
        String notes = "/api/shots/" + shot() + "/notes";
        List<CompletableFuture<Answer>> sent = IntStream.range(0, 8)
                .mapToObj(i ->
                        CompletableFuture.supplyAsync(() -> api.once("race").post(notes, "{\"text\":\"once\"}")))
                .toList();
        assertThat(sent.stream().map(CompletableFuture::join).map(Answer::status))
                .isSubsetOf(201, 204, 503)
                .contains(201);
        assertThat(api.get(notes).body().get("notes")).hasSize(1);
        assertThat(api.once("race").post(notes, "{\"text\":\"once\"}").status()).isEqualTo(201);
    }
}
