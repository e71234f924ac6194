package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLTransientConnectionException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.oblume.server.scene.SceneService;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.ServletWebRequest;

/** Whatever is refused is a problem document whose type says how, and a sentence that says what to do. */
@ServerTest
class ErrorContractTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private SceneService scenes;

    @Autowired
    private TransactionTemplate transaction;

    private long shot() {
        return api.shotFrom("4J" + ++made, api.shot("4A"));
    }

    private static void isA(ProblemType type, Answer answer) {
        assertThat(answer.status())
                .as(answer.toString())
                .isEqualTo(type.status().value());
        assertThat(answer.body().path("type").asText()).isEqualTo(type.uri().toString());
        assertThat(answer.body().path("title").asText()).isEqualTo(type.title());
        assertThat(answer.detail()).matches("(?s).+[.:].*");
    }

    @Test
    void everyTypeStandsInTheOpenApiDocumentWithTheShapeOfAConflict() {
        var schemas = api.get("/v3/api-docs").body().get("components").get("schemas");
        List<String> types = new ArrayList<>();
        schemas.get("Problem").get("properties").get("type").get("enum").forEach(t -> types.add(t.asText()));
        assertThat(types)
                .containsExactlyElementsOf(Arrays.stream(ProblemType.values())
                        .map(t -> t.uri().toString())
                        .toList());
        assertThat(schemas.get("ConflictingValue").get("properties").has("revision"))
                .isTrue();
    }

    @Test
    void eachRefusalSaysOfWhatKindItIs() {
        long shot = shot();
        String key = "/api/shots/" + shot + "/placements/key/LEVEL";
        isA(ProblemType.REFUSED, api.put(key, "{\"text\":\"450\",\"reason\":\"LOOK\"}", 0L));
        isA(ProblemType.UNREADABLE, api.put(key, "{\"txt\":\"45\"}", 0L));
        isA(ProblemType.UNREADABLE, api.put(key, "{", 0L));
        isA(ProblemType.UNREADABLE, api.get("/api/shots/first/plot"));
        isA(ProblemType.NOT_FOUND, api.get("/api/shots/0/plot"));
        isA(ProblemType.VERSION_NEEDED, api.put(key, "{\"text\":\"45\",\"reason\":\"LOOK\"}", null));
        isA(ProblemType.TOO_LARGE, api.post("/api/bench/read", "\"" + "a".repeat(70_000) + "\""));
        isA(ProblemType.NOT_SIGNED_IN, api.stranger().get("/api/book"));
        isA(ProblemType.NOT_ALLOWED, api.as("READER").put(key, "{}", 0L));
        isA(ProblemType.PASS_CHANGED, api.withoutToken().put(key, "{}", 0L));
    }

    @Test
    void whatAnAddressDoesNotTakeKeepsItsOwnStatus() {
        Answer answer = api.delete("/api/book", null);
        assertThat(answer.status()).isEqualTo(405);
        assertThat(answer.body().path("type").asText())
                .isEqualTo(ProblemType.NOT_SUPPORTED.uri().toString());
    }

    @Test
    void aConflictBearsWhatStandsNow() {
        long shot = shot();
        api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"LOOK\"}", 0);
        Answer stale = api.tie(shot, "key", "LEVEL", "{\"text\":\"50\",\"reason\":\"LOOK\"}", 0);
        isA(ProblemType.CONFLICT, stale);
        assertThat(stale.body().at("/conflict/say/metric").asText()).isEqualTo("45 %");
    }

    @Test
    void anEditOnARevisionThatNeverWasIsAConflictWithNothing() {
        Answer never = api.tie(shot(), "key", "LEVEL", "{\"text\":\"50\",\"reason\":\"LOOK\"}", 99);
        isA(ProblemType.CONFLICT, never);
        assertThat(never.body().has("conflict")).isFalse();
        assertThat(never.detail()).startsWith("Nothing was ever recorded for the level of Key here");
    }

    @Test
    void whoMayNotTakeOutSomebodyElsesNoteIsToldWhoMay() {
        long shot = shot();
        long note = api.post("/api/shots/" + shot + "/notes", "{\"text\":\"flag is low\"}")
                .body()
                .get("id")
                .asLong();
        Answer refused = api.as("CONTROL").delete("/api/notes/" + note, null);
        isA(ProblemType.NOT_ALLOWED, refused);
        assertThat(refused.detail()).startsWith("best boy wrote this: only best boy or a lead takes it out.");
        assertThat(api.as("LEAD").delete("/api/notes/" + note, null).status()).isEqualTo(204);
    }

    @Test
    void anEditThatWaitsTooLongForAnotherIsToldToComeAgain() throws Exception {
        long shot = shot();
        long scene = api.sceneOf(shot);
        CountDownLatch locked = new CountDownLatch(1);
        CountDownLatch answered = new CountDownLatch(1);
        try (var other = new AutoCloseableExecutor()) {
            other.run(() -> transaction.executeWithoutResult(status -> {
                scenes.lockForUpdate(scene);
                locked.countDown();
                await(answered);
            }));
            await(locked);
            Answer busy = api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"LOOK\"}", 0);
            answered.countDown();
            isA(ProblemType.BUSY, busy);
        }
        assertThat(api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"LOOK\"}", 0)
                        .status())
                .isEqualTo(200);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private static final class AutoCloseableExecutor implements AutoCloseable {

        private final java.util.concurrent.ExecutorService thread = Executors.newSingleThreadExecutor();

        void run(Runnable task) {
            thread.execute(task);
        }

        @Override
        public void close() {
            thread.shutdown();
        }
    }

    @Test
    void whatMetAnotherWriteAndWhatNobodyThoughtOfAreToldApart() throws Exception {
        ProblemDetailsAdvice advice = new ProblemDetailsAdvice();
        assertThat(advice.metAnother(new DataIntegrityViolationException("unique"))
                        .getType())
                .isEqualTo(ProblemType.COLLISION.uri());
        ServletWebRequest call = new ServletWebRequest(new MockHttpServletRequest("GET", "/api/x"));
        ProblemDetail failed = Objects.requireNonNull(
                advice.failed(new IllegalStateException("boom"), call).getBody());
        assertThat(failed.getStatus()).isEqualTo(500);
        assertThat(failed.getDetail()).matches("The server failed at this \\(failure [0-9a-z]+ in its log\\)\\..*");
        assertThat(failed.getDetail()).doesNotContain("boom");
        ResponseEntity<ProblemDetail> waited = advice.failed(
                new DataAccessResourceFailureException("no", new SQLTransientConnectionException("timed out")), call);
        assertThat(Objects.requireNonNull(waited.getBody()).getType()).isEqualTo(ProblemType.BUSY.uri());
        assertThat(waited.getHeaders().getFirst("Retry-After")).isNotBlank();
    }
}
