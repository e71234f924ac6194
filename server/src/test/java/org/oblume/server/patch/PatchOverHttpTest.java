package org.oblume.server.patch;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The patch over HTTP, on a copy of scene 4 for each test. */
@ServerTest
class PatchOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot;

    @BeforeEach
    void aSceneOfItsOwn() {
        JsonNode file = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        long scene = api.post("/api/scenes/import?number=P" + ++made, file.toString())
                .body()
                .get("sceneId")
                .asLong();
        shot = api.shotIn(scene, "4C");
    }

    private JsonNode page() {
        return api.get("/api/shots/%d/patch".formatted(shot)).body();
    }

    private JsonNode unit(String key) {
        return StreamSupport.stream(page().get("units").spliterator(), false)
                .filter(u -> u.get("key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private List<String> conflicts() {
        return page().get("conflicts").findValuesAsText("sentence");
    }

    private JsonNode placedIn(long shotId, String key) {
        return StreamSupport.stream(
                        api.get("/api/shots/%d/plot".formatted(shotId))
                                .body()
                                .get("placements")
                                .spliterator(),
                        false)
                .filter(p -> p.at("/placement/key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private void patch(String key, String value) {
        JsonNode placed = placedIn(shot, key);
        Answer answer = api.put(
                "/api/shots/%d/placements/%s/PATCH".formatted(shot, key),
                "{\"value\":%s,\"reason\":\"FIX\"}".formatted(value),
                placed.at("/revisions/PATCH").asLong());
        assertThat(answer.status()).as("%s", answer).isEqualTo(200);
    }

    @Test
    void theDemosPatchIsShownWithItsFootprintsAndHasNoConflict() {
        JsonNode page = page();
        assertThat(page.get("conflicts")).isEmpty();
        assertThat(page.get("universes").get(0).get("universe").asInt()).isEqualTo(1);
        assertThat(page.get("universes").get(0).get("carriedBy").get(0).asText())
                .isEqualTo("Cart node");
        assertThat(page.get("universes").get(0).get("left").asInt()).isEqualTo(512 - 8 - 8 - 8 - 6 - 1 - 2);
        assertThat(unit("key").get("last").asInt()).isEqualTo(108);
        assertThat(unit("street-sign").get("path").asText()).isEqualTo("WIRELESS");
        assertThat(unit("key").get("modes").findValuesAsText("say")).contains("level 16, cct 16, tint 16, zoom 16");
    }

    @Test
    void twoLightsOnOneAddressAreToldAndMendedByTheAddressThatIsOffered() {
        patch("edge", "{\"universe\":1,\"address\":105,\"slots\":8,\"mode\":\"16-bit white\"}");
        JsonNode conflict = page().get("conflicts").get(0);
        assertThat(conflict.get("kind").asText()).isEqualTo("OVERLAP");
        JsonNode mend = conflict.get("fixes").get(0);
        patch(mend.get("key").asText(), mend.get("value").toString());
        assertThat(conflicts()).isEmpty();
    }

    @Test
    void aUniverseThatNoNodeCarriesAndAModeThatLacksTheColourAreTold() {
        patch("key", "{\"universe\":9,\"address\":1,\"slots\":8,\"mode\":\"16-bit white\"}");
        assertThat(conflicts()).anyMatch(s -> s.startsWith("No node carries universe 9: Key"));
        patch("key", "{\"universe\":1,\"address\":101,\"slots\":8,\"mode\":\"dimmer\"}");
        assertThat(conflicts())
                .anyMatch(s -> s.contains("is in mode “dimmer”, which Bicolour LED spot 300 W does not have"));
    }

    @Test
    void aPlanIsLookedAtBeforeItIsKept() {
        JsonNode plan = api.as("READER")
                .post(
                        "/api/shots/%d/patch/plan".formatted(shot),
                        "{\"order\":\"ROLE\",\"universe\":2,\"address\":1,\"every\":10}")
                .body();
        assertThat(plan.get("changes").findValuesAsText("name").get(0)).isEqualTo("Ambience");
        assertThat(plan.get("changes").get(0).get("to").asText()).isEqualTo("2 / 1, 16-bit white");
        assertThat(plan.get("conflicts")).isEmpty();
        assertThat(unit("ambience").get("patch").get("universe").asInt())
                .as("nothing is kept")
                .isEqualTo(1);
        assertThat(api.post(
                                "/api/shots/%d/patch/plan".formatted(shot),
                                "{\"order\":\"ROLE\",\"universe\":0,\"address\":1,\"every\":10}")
                        .detail())
                .contains("1 to 63999");
        assertThat(api.post(
                                "/api/shots/%d/patch/plan".formatted(shot),
                                "{\"order\":\"ROLE\",\"universe\":1,\"address\":1,\"every\":0}")
                        .detail())
                .contains("step between addresses");
    }

    @Test
    void aTableGoesOutAndComesBackAndSaysWhichLinesItDoesNotUnderstand() throws Exception {
        String out = new String(api.file("/api/shots/%d/patch.csv".formatted(shot)), StandardCharsets.UTF_8);
        assertThat(out.lines().findFirst()).contains("name,unit,kind,path,universe,address,mode,slots,group");
        assertThat(out).contains("Street sign,Eel 1,Full-colour LED tube 1.2 m,wireless,1,121,8-bit white,6,");
        JsonNode same = api.upload("/api/shots/%d/patch/read".formatted(shot), out.getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(same.get("changes")).as("what went out says the same").isEmpty();
        assertThat(same.get("problems")).isEmpty();
        String changed = out.replace(",wired,1,111,16-bit white,8,", ",wired,2,1,8-bit white,,")
                + "Nobody,,,wired,1,300,,,\r\nKey,,,wired,1,300,,,\r\n";
        JsonNode read = api.upload("/api/shots/%d/patch/read".formatted(shot), changed.getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(read.get("changes").findValuesAsText("to")).containsOnlyOnce("2 / 1, 8-bit white");
        assertThat(read.get("problems")).hasSize(2);
        assertThat(read.get("problems").get(0).asText()).contains("no light on set in this shot is called “Nobody”");
        assertThat(api.upload(
                                "/api/shots/%d/patch/read".formatted(shot),
                                "lamp;where\nkey;1/1".getBytes(StandardCharsets.UTF_8))
                        .detail())
                .contains("This is not a patch as CSV");
    }

    @Test
    void aTableIsReadAsAnySpreadsheetWritesIt() throws Exception {
        String out = new String(api.file("/api/shots/%d/patch.csv".formatted(shot)), StandardCharsets.UTF_8);
        String semicolons = out.replace(',', ';');
        for (byte[] file : List.of(
                semicolons.getBytes(StandardCharsets.UTF_8),
                out.getBytes(StandardCharsets.UTF_16),
                out.replace(',', '\t').getBytes(StandardCharsets.UTF_16))) {
            Answer read = api.upload("/api/shots/%d/patch/read".formatted(shot), file);
            assertThat(read.status()).as(read.detail()).isEqualTo(200);
            assertThat(read.body().get("changes")).isEmpty();
            assertThat(read.body().get("problems")).isEmpty();
        }
    }

    @Test
    void aTableThatLacksSomethingSaysSo() {
        String path = "/api/shots/%d/patch/read".formatted(shot);
        String head = "name,unit,kind,path,universe,address,mode,slots,group\r\n";
        JsonNode read = api.upload(path, (head + "Key,,wired,1,300\r\n").getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(read.get("problems").get(0).asText()).isEqualTo("Line 2: it has 5 cells, the first line 9.");
        assertThat(read.get("changes")).isEmpty();
        assertThat(api.upload(path, head.getBytes(StandardCharsets.UTF_8)).detail())
                .startsWith("There is no light in this file");
        assertThat(api.upload(path, new byte[0]).detail()).startsWith("This is not a patch as CSV");
    }

    @Test
    void whatTheControlRecordsTravelsInTheSceneFile() {
        patch("key", "{\"path\":\"APP\",\"group\":\"Practicals\"}");
        for (String value : List.of(
                "COLOUR|hue 210, saturation 80",
                "EFFECT|flicker 3",
                "MENU|curve s-curve, smoothing on, fan off, output most, 1200 Hz, black, display off, channel 7")) {
            String[] parts = value.split("\\|");
            long revision = placedIn(shot, "street-sign")
                    .path("revisions")
                    .path(parts[0])
                    .asLong();
            assertThat(api.put(
                                    "/api/shots/%d/placements/street-sign/%s".formatted(shot, parts[0]),
                                    "{\"text\":\"%s\",\"reason\":\"LOOK\"}".formatted(parts[1]),
                                    revision)
                            .status())
                    .isEqualTo(200);
        }
        JsonNode out =
                api.get("/api/scenes/%d/export".formatted(api.sceneOf(shot))).body();
        long again = api.post("/api/scenes/import?number=Q" + made, out.toString())
                .body()
                .get("sceneId")
                .asLong();
        JsonNode back = api.get("/api/scenes/%d/export".formatted(again)).body();
        assertThat(back.get("shots")).isEqualTo(out.get("shots"));
        assertThat(out.get("shots").toString())
                .contains("\"group\":\"Practicals\"", "\"hueDeg\":210", "\"rateHz\":3", "\"channel\":7");
    }

    @Test
    void anOlderFileThatOnlyKnowsFootprintsIsPatchedByTheKitsModes() {
        JsonNode file =
                api.get("/api/scenes/%d/export".formatted(api.sceneOf(shot))).body();
        String older = file.toString()
                .replaceAll(
                        "\"modes\":\"8-bit white: level, cct, tint; 16-bit white: level 16, cct 16, tint 16, zoom 16\"",
                        "\"modes\":\"8-bit white: 3; 16-bit white: 8\"");
        long scene = api.post("/api/scenes/import?number=O" + made, older)
                .body()
                .get("sceneId")
                .asLong();
        shot = api.shotIn(scene, "4C");
        assertThat(unit("key").get("modes").findValuesAsText("say")).contains("level 16, cct 16, tint 16, zoom 16");
    }

    @Test
    void nodesAreKeptChangedAndNeverOverwrittenUnseen() {
        long production = page().get("productionId").asLong();
        Answer made = api.post(
                "/api/productions/%d/nodes".formatted(production),
                "{\"name\":\"Truck %s\",\"address\":\"10.0.0.31\",\"mask\":\"255.255.255.0\",\"ports\":[7]}"
                        .formatted(shot));
        assertThat(made.status()).isEqualTo(201);
        long id = made.body().get("id").asLong();
        String card = "{\"name\":\"Truck %s\",\"address\":\"10.0.0.22\",\"mask\":\"255.255.255.0\",\"ports\":[7,8]}"
                .formatted(shot);
        assertThat(api.put("/api/nodes/" + id, card, 0L).status()).isEqualTo(200);
        assertThat(conflicts()).anyMatch(s -> s.contains("have the same address 10.0.0.22"));
        Answer stale = api.put("/api/nodes/" + id, card, 0L);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail()).contains("Someone else changed Truck");
        assertThat(api.put("/api/nodes/" + id, card.replace("255.255.255.0", "255.0.255.0"), 1L)
                        .detail())
                .contains("is not a mask");
        assertThat(api.put("/api/nodes/" + id, card.replace("10.0.0.22", "10.0.0"), 1L)
                        .body()
                        .get("field")
                        .asText())
                .isEqualTo("address");
        assertThat(api.post("/api/productions/%d/nodes".formatted(production), card)
                        .detail())
                .contains("already: choose another name");
        assertThat(api.delete("/api/nodes/" + id, 1L).status()).isEqualTo(204);
        assertThat(conflicts()).isEmpty();
    }

    @Test
    void theControlRoleEditsPatchAndMenuAndNothingElse() {
        Api control = api.as("CONTROL");
        String knots =
                "{\"reason\":\"FIX\",\"changes\":[{\"placement\":\"key\",\"attribute\":\"%s\",\"value\":%s,\"revision\":%d}]}";
        assertThat(control.post("/api/shots/%d/knots".formatted(shot), knots.formatted("MENU", "{\"fan\":\"OFF\"}", 0))
                        .status())
                .isEqualTo(200);
        assertThat(unit("key").get("menu").asText()).isEqualTo("fan off");
        assertThat(control.post(
                                "/api/shots/%d/knots".formatted(shot),
                                knots.formatted("EFFECT", "{\"kind\":\"FLICKER\",\"rateHz\":3}", 0))
                        .status())
                .isEqualTo(403);
        assertThat(api.as("READER").post("/api/output/arm", "{}").status()).isEqualTo(403);
    }
}
