package org.oblume.server.kit;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class StockOverHttpTest {

    private static final String GEL =
            """
            {"name":"%s","kind":"COLOUR","stops":1.2,"miredShift":0,"duvShift":0,"softness":0,"gel":{"red":0.9,"green":0.4,"blue":0.2}}""";

    @Autowired
    private Api api;

    private JsonNode item(String name) {
        return StreamSupport.stream(api.get("/api/kit").body().get("stock").spliterator(), false)
                .filter(i -> i.get("name").asText().equals(name))
                .findFirst()
                .orElse(null);
    }

    private String csv() {
        return api.get("/api/kit/stock.csv").body().asText();
    }

    @Test
    void aGelIsMadeGoesOutAndComesInAsATableAndIsTakenOutAgain() {
        assertThat(api.post("/api/kit/stock", GEL.formatted("Tar pot")).status())
                .isEqualTo(201);
        assertThat(item("Tar pot").get("own").asBoolean()).isTrue();
        assertThat(item("Tar pot").at("/gel/green").asDouble()).isEqualTo(0.4);
        String table = csv();
        assertThat(table).contains("Tar pot,COLOUR,1.2,");
        assertThat(api.delete("/api/kit/stock?name=Tar%20pot", null).status()).isEqualTo(204);
        assertThat(item("Tar pot")).isNull();
        Answer read = api.post("/api/kit/stock.csv", table);
        assertThat(read.status()).as(read.detail()).isEqualTo(200);
        assertThat(read.body().get("changed").asInt()).as("all else was here").isEqualTo(1);
        assertThat(item("Tar pot").at("/gel/red").asDouble()).isEqualTo(0.9);
        api.delete("/api/kit/stock?name=Tar%20pot", null);
    }

    @Test
    void ourFiguresTakeThePlaceOfWhatShipsUntilTheyAreTakenOut() {
        double shipped = item("Full silk").get("stops").asDouble();
        String ours =
                """
                {"name":"Full silk","kind":"DIFFUSION","stops":1.9,"miredShift":2,"duvShift":0,"softness":0.8}""";
        assertThat(api.post("/api/kit/stock", ours).status()).isEqualTo(201);
        assertThat(item("Full silk").get("stops").asDouble()).isEqualTo(1.9);
        assertThat(api.delete("/api/kit/stock?name=Full%20silk", null).status()).isEqualTo(204);
        assertThat(item("Full silk").get("stops").asDouble()).isEqualTo(shipped);
        assertThat(api.delete("/api/kit/stock?name=Full%20silk", null).status()).isEqualTo(404);
    }

    @Test
    void aTableWithAWrongLineChangesNothingAndSaysWhichItIs() {
        String head = csv().lines().findFirst().orElseThrow();
        Answer answer =
                api.post("/api/kit/stock.csv", head + "\nGood one,NET,1,0,0,0,,,,,,\nBad one,CARPET,1,0,0,0,,,,,,\n");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("line 3", "DIFFUSION");
        assertThat(item("Good one")).isNull();
        assertThat(api.post("/api/kit/stock.csv", "").status()).isEqualTo(400);
        assertThat(api.post("/api/kit/stock.csv", "what,ever\n1,2\n").status()).isEqualTo(400);
    }

    @Test
    void aTableFromASpreadsheetWithSemicolonsIsRead() {
        String semicolons =
                csv().lines().findFirst().orElseThrow().replace(',', ';') + "\nOld net;NET;0,7;0;0;0;;;;;;\n";
        Answer answer = api.post("/api/kit/stock.csv", semicolons);
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        assertThat(item("Old net").get("stops").asDouble()).isEqualTo(0.7);
        api.delete("/api/kit/stock?name=Old%20net", null);
    }
}
