package org.oblume.server.book;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.stream.StreamSupport;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class BookOverHttpTest {

    @Autowired
    private Api api;

    @Autowired
    private EntityManagerFactory factory;

    @Test
    void theDemoHasItsFourScenes() {
        assertThat(api.get("/api/book").body().at("/productions/0/scenes").findValuesAsText("number"))
                .containsExactly("4", "11", "17", "22");
    }

    @Test
    void aSceneStartsAsABareRoomWithACameraAndAMark() {
        long production = api.post("/api/productions", "{\"name\":\"Second unit\",\"days\":2}")
                .body()
                .get("id")
                .asLong();
        Answer started = api.post(
                "/api/productions/%d/scenes".formatted(production),
                """
                {"number":"30","heading":"INT. BOATHOUSE, DAY","location":"Boathouse","buildOrder":"KEY_FIRST",
                 "roomWidth":"19'8\\"","roomDepth":"5","ceiling":"2.8","firstSlate":"30A"}""");
        assertThat(started.status()).as(started.detail()).isEqualTo(201);
        long shot = started.body().get("shotId").asLong();
        assertThat(api.say(shot, "camera", "LENS")).isEqualTo("35 mm");
        assertThat(api.say(shot, "camera", "AIM")).isEqualTo("at Mark 1, 1.50 m up");
        assertThat(api.get("/api/shots/%d/rebuild".formatted(shot)).body().get("steps"))
                .hasSize(2);
        assertThat(api.post("/api/productions", "{\"name\":\"Second unit\",\"days\":2}")
                        .detail())
                .contains("already");
    }

    @Test
    void aRoomThatCannotBeIsRefused() {
        Answer answer = api.post(
                "/api/productions/1/scenes",
                """
                {"number":"31","heading":"INT. X","location":"X","buildOrder":"KEY_FIRST","roomWidth":"wide","roomDepth":"5",
                 "ceiling":"2.8","firstSlate":"31A"}""");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("“wide” is not a length");
        assertThat(api.get("/api/book").body().toString()).doesNotContain("INT. X");
    }

    /** As many statements for a shot with a long chain as for one with none: no query stands in a loop. What is known is not read again. */
    @Test
    void aPlotIsReadInAFixedNumberOfQueries() {
        long first = api.shot("4A");
        long last = first;
        for (int i = 0; i < 6; i++) {
            last = api.shotFrom("4Q" + i, last);
            api.tie(last, "key", "LEVEL", "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(10 + i), 0);
        }
        statementsFor(first);
        statementsFor(last);
        api.tie(last, "key", "LEVEL", "{\"text\":\"19\",\"reason\":\"MATCH\"}", 1);
        long afterAnEdit = statementsFor(last);
        api.tie(last, "key", "LEVEL", "{\"text\":\"20\",\"reason\":\"MATCH\"}", 2);
        assertThat(afterAnEdit).isEqualTo(statementsFor(first)).isLessThanOrEqualTo(11);
        assertThat(statementsFor(first))
                .as("what this person could undo and redo, no more")
                .isLessThanOrEqualTo(3);
    }

    @Test
    void whatIsLongLeavesTheServerCompressed() throws Exception {
        assertThat(api.header("/api/kit", "Content-Encoding", "Accept-Encoding", "gzip"))
                .isEqualTo("gzip");
        assertThat(api.header("/api/kit", "Content-Encoding")).isEmpty();
    }

    @Test
    void theKitTellsOfEachStockItemAllThatABenchNeeds() {
        var stock = api.get("/api/kit").body().get("stock");
        var quarter = StreamSupport.stream(stock.spliterator(), false)
                .filter(s -> s.get("name").asText().equals("Quarter CTO"))
                .findFirst()
                .orElseThrow();
        assertThat(quarter.get("miredShift").asDouble()).isEqualTo(42);
        assertThat(quarter.get("kind").asText()).isEqualTo("CORRECTION");
        assertThat(quarter.get("heat").asText()).isNotBlank();
        assertThat(quarter.has("reflectance")).isFalse();
        assertThat(stock.findValues("gel")).hasSizeGreaterThanOrEqualTo(12);
    }

    @Test
    void theInterfaceAnswersItsOwnPagesAndMissingFilesStayMissing() {
        assertThat(api.get("/api/nothing-here").status()).isEqualTo(404);
        assertThat(api.get("/assets/none.js").status()).isEqualTo(404);
    }

    private long statementsFor(long shot) {
        Statistics statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        api.get("/api/shots/" + shot + "/plot");
        return statistics.getPrepareStatementCount();
    }
}
