package org.oblume.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Path;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class ExchangeOverHttpTest {

    private static int copies;

    @Autowired
    private Api api;

    @Autowired
    private ObjectMapper json;

    @Test
    void whatCameFromAFileSaysWhoBroughtItIn() {
        ObjectNode out = export(api.shot("11A"));
        Answer imported = api.post("/api/scenes/import?number=Y" + ++copies, out.toString());
        long scene = imported.body().get("sceneId").asLong();
        long shot = api.get("/api/book").body().findValues("scenes").stream()
                .flatMap(scenes -> StreamSupport.stream(scenes.spliterator(), false))
                .filter(one -> one.get("id").asLong() == scene)
                .findFirst()
                .orElseThrow()
                .at("/shots/0/id")
                .asLong();
        JsonNode change =
                api.get("/api/shots/%d/history".formatted(shot)).body().at("/changes/0");
        assertThat(change.get("importer").asText()).isEqualTo("best boy");
        assertThat(change.get("author").asText()).isNotEqualTo("best boy");
    }

    @Test
    void aFileCannotSayThatSomethingWasRecordedWhenItCannotHaveBeen() {
        ObjectNode out = export(api.shot("11A"));
        ((ObjectNode) out.at("/shots/0/knots/0")).put("at", "0001-01-01T00:00:00Z");
        Answer refused = api.post("/api/scenes/import?number=Y" + ++copies, out.toString());
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("says that it was recorded at 0001-01-01T00:00:00Z: that cannot be.");
    }

    @Test
    void aNameThatIsThereTwiceInAFileIsTold() {
        ObjectNode out = export(api.shot("11A"));
        ((ObjectNode) out.at("/placements/1")).set("name", out.at("/placements/0/name"));
        Answer refused = api.post("/api/scenes/import?number=Y" + ++copies, out.toString());
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("More than one placement has the name");
    }

    @ParameterizedTest
    @ValueSource(strings = {"4A", "11A", "17A", "22A"})
    void aSceneExportedAndImportedIsTheSameScene(String slate) {
        long shot = api.shot(slate);
        api.put("/api/shots/%d/rebuild/camera".formatted(shot), "", null);
        api.post("/api/shots/%d/takes".formatted(shot), "{\"note\":\"lamp flickered\",\"circled\":true}");
        api.post("/api/shots/%d/notes?placement=key".formatted(shot), "{\"text\":\"of the key\"}");
        api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"of the shot\"}");
        api.post("/api/looks", "{\"name\":\"As in %s\",\"shotId\":%d}".formatted(slate, shot));
        ObjectNode out = export(shot);
        assertThat(out.at("/looks/0/values").size()).isGreaterThan(10);
        Answer imported = api.post("/api/scenes/import?number=X" + ++copies, out.toString());
        assertThat(imported.status()).as(imported.detail()).isEqualTo(201);
        ObjectNode back = (ObjectNode)
                api.get("/api/scenes/" + imported.body().get("sceneId").asLong() + "/export")
                        .body();
        assertThat(back.at("/scene/number").asText()).isEqualTo("X" + copies);
        ((ObjectNode) back.get("scene")).set("number", out.at("/scene/number"));
        assertThat(back).isEqualTo(out);
    }

    @Test
    void anExportKeepsToThePublishedSchema() throws IOException {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(json.readTree(
                        Path.of("../docs/format/oblume-scene.schema.json").toFile()));
        assertThat(schema.validate(export(api.shot("4A")))).isEmpty();
    }

    static Stream<Broken> brokenFiles() {
        return Stream.of(
                new Broken(
                        "of a newer version",
                        f -> f.put("version", 10),
                        "This file is version 10; this Oblume reads version 9."),
                new Broken(
                        "with a shot after one that is not there",
                        f -> ((ObjectNode) f.at("/shots/0/plan")).put("after", "99Z"),
                        "there is no such other shot in the scene"),
                new Broken(
                        "with takes of no minutes",
                        f -> ((ObjectNode) f.at("/shots/0/plan")).put("shootMinutes", 0),
                        "shootMinutes"),
                new Broken("of something else", f -> f.put("format", "recipe"), "This is not an Oblume scene"),
                new Broken("without its set", f -> f.remove("set"), "set"),
                new Broken(
                        "with a look of what is not there",
                        f -> f.putArray("looks")
                                .addObject()
                                .put("name", "Dusk")
                                .put("author", "gaffer")
                                .put("at", "2026-11-16T18:00:00Z")
                                .putArray("values")
                                .addObject()
                                .put("placement", "nobody")
                                .put("attribute", "LEVEL")
                                .putObject("value")
                                .put("percent", 5),
                        "The scene has no placement “nobody”"),
                new Broken("with a level over full", f -> knot(f, "LEVEL").put("percent", 140), "percent"),
                new Broken(
                        "with a head outside the walls",
                        f -> knot(f, "PLACE").put("xM", 40.0).remove("measured"),
                        "outside the walls"),
                new Broken(
                        "with tapes that give another place",
                        f -> knot(f, "PLACE").put("xM", 4.0),
                        "gives another place than the one beside it"),
                new Broken(
                        "with somebody who looked before there was anything to look at",
                        f -> ((ObjectNode) f.at("/shots/0"))
                                .putArray("looked")
                                .addObject()
                                .put("placement", "key")
                                .put("attribute", "HEIGHT")
                                .put("author", "grip")
                                .put("at", "1066-10-14T09:00:00Z"),
                        "that cannot be"),
                new Broken("with an unknown field", f -> f.put("colour", "mauve"), "colour"),
                new Broken(
                        "with a cycle", f -> ((ObjectNode) f.at("/shots/0")).put("basedOn", "4B"), "base it on itself"),
                new Broken(
                        "based on a shot that is not there",
                        f -> ((ObjectNode) f.at("/shots/1")).put("basedOn", "9Z"),
                        "9Z"),
                new Broken(
                        "with two shots of one slate", f -> ((ObjectNode) f.at("/shots/1")).put("slate", "4A"), "4A"),
                new Broken(
                        "with a knot on nothing",
                        f -> ((ObjectNode) f.at("/shots/0/knots/0")).put("placement", "ghost"),
                        "ghost"),
                new Broken(
                        "with a lamp dialled out of its range",
                        f -> knot(f, "CCT").put("kelvin", 20000),
                        "out of range"));
    }

    @ParameterizedTest
    @MethodSource("brokenFiles")
    void aFileThatIsNotSoundIsRefusedWhole(Broken broken) {
        ObjectNode file = export(api.shot("4A"));
        ((ObjectNode) file.get("scene")).put("number", "99");
        ((ObjectNode) file.get("production")).put("name", "Nowhere");
        broken.damage().accept(file);
        Answer answer = api.post("/api/scenes/import", file.toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains(broken.says());
        assertThat(api.get("/api/book").body().toString()).doesNotContain("Nowhere");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "[]", "null", "{\"format\":\"oblume-scene\",\"version\":1,\"prod", "not json at all"})
    void aFileThatWasCutOffIsRefused(String text) {
        Answer answer = api.post("/api/scenes/import", text);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).isNotBlank();
    }

    @Test
    void aSceneNumberThatIsTakenIsRefused() {
        Answer answer = api.post("/api/scenes/import", export(api.shot("4A")).toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("has a scene 4 already");
    }

    @Test
    void aFileOver10MegabytesIsRefusedInWords() {
        Answer answer = api.post("/api/scenes/import", "{\"format\":\"" + "x".repeat(11 * 1024 * 1024) + "\"}");
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.detail()).contains("larger than 10 MB").contains("Nothing was imported");
    }

    record Broken(String what, java.util.function.Consumer<ObjectNode> damage, String says) {

        @Override
        public String toString() {
            return what;
        }
    }

    private ObjectNode export(long shotId) {
        return (ObjectNode)
                api.get("/api/scenes/" + api.sceneOf(shotId) + "/export").body();
    }

    /** The value of the key's first knot of an attribute. */
    private static ObjectNode knot(ObjectNode file, String attribute) {
        for (JsonNode knot : file.at("/shots/0/knots")) {
            if (knot.get("attribute").asText().equals(attribute)
                    && knot.get("placement").asText().equals("key")) {
                return (ObjectNode) knot.get("value");
            }
        }
        throw new IllegalStateException(attribute);
    }
}
