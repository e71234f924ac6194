package org.oblume.server.set;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class SetOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot;
    private long set;

    @BeforeEach
    void aSceneInARoomOfItsOwn() {
        String number = "8" + ++made;
        shot = api.post(
                        "/api/productions/1/scenes",
                        """
                {"number":"%s","heading":"INT. BOATHOUSE, NIGHT","location":"Boathouse %s","buildOrder":"KEY_FIRST","roomWidth":"6","roomDepth":"5","ceiling":"2.8","firstSlate":"%sA"}"""
                                .formatted(number, number, number))
                .body()
                .get("shotId")
                .asLong();
        set = api.get("/api/shots/" + shot + "/plot").body().at("/drawn/id").asLong();
    }

    @Test
    void aSetIsDrawnAnewForEveryShotInIt() {
        ObjectNode drawn = drawn();
        ObjectNode plan = (ObjectNode) drawn.at("/set/plan");
        plan.withArray("openings")
                .addObject()
                .put("name", "boat door")
                .put("kind", "DOOR")
                .put("sillM", 0)
                .put("headM", 2.2)
                .setAll(java.util.Map.of("from", point(2, 0), "to", point(4, 0)));
        ((ObjectNode) plan.at("/walls/0"))
                .put("heightM", 2.4)
                .putObject("surface")
                .put("reflectance", 0.3)
                .put("miredShift", 20)
                .put("duvShift", 0);
        assertThat(put(drawn).status()).isEqualTo(200);
        JsonNode there = api.get("/api/shots/" + shot + "/plot").body().at("/drawn/set/plan");
        assertThat(there.at("/openings/0/name").asText()).isEqualTo("boat door");
        assertThat(there.at("/walls/0/surface/reflectance").asDouble()).isEqualTo(0.3);
    }

    @Test
    void twoWhoDrawAtOnceDoNotOverwriteEachOther() {
        ObjectNode drawn = drawn();
        ((ObjectNode) drawn.at("/set/plan")).put("northDeg", 20);
        assertThat(put(drawn).status()).isEqualTo(200);
        Answer late = put(drawn);
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.body().at("/conflict/version").asLong())
                .isEqualTo(drawn.get("version").asLong() + 1);
    }

    @Test
    void wallsThatWouldLeaveTheCameraOutsideAreRefusedWithItsName() {
        ObjectNode drawn = drawn();
        JsonNode points = drawn.at("/set/plan/walls/0/points");
        points.forEach(p -> ((ObjectNode) p).put("yM", p.get("yM").asDouble() + 2));
        assertThat(put(drawn).detail()).startsWith("The set is not kept yet.").contains("Camera would stand");
        assertThat(drawn()).isEqualTo(api.get("/api/sets/" + set).body().get("drawn"));
    }

    @Test
    void anotherSceneIsLitInTheSameSet() {
        Answer other = api.post(
                "/api/productions/1/scenes",
                """
                {"number":"9%d","heading":"INT. BOATHOUSE, DAY","location":"Boathouse","buildOrder":"KEY_FIRST","firstSlate":"9%dA","setId":%d}"""
                        .formatted(made, made, set));
        assertThat(other.status()).as(other.detail()).isEqualTo(201);
        assertThat(api.get("/api/sets/" + set).body().get("scenes")).hasSize(2);
    }

    @Test
    void wallsArePacedOutAndAPictureIsScaledByAKnownDistance() {
        assertThat(api.post("/api/sets/paces", "{\"start\":{\"xM\":0,\"yM\":0},\"text\":\"6 right, 4 up, close\"}")
                        .body()
                        .get("points"))
                .hasSize(4);
        JsonNode scaled = api.post(
                        "/api/sets/underlay",
                        """
                {"underlay":{"picture":1,"widthPx":800,"heightPx":600,"metresPerPx":0.01,"corner":{"xM":0,"yM":0}},
                 "first":{"xM":1,"yM":1},"second":{"xM":3,"yM":1},"distance":"5 m"}""")
                .body();
        assertThat(scaled.get("metresPerPx").asDouble()).isEqualTo(0.025);
    }

    @Test
    void aPictureIsTakenByWhatIsInItAndServedSoThatNothingInItRuns() throws Exception {
        Answer png = api.upload("/api/sets/" + set + "/pictures", image("png"));
        assertThat(png.status()).isEqualTo(201);
        assertThat(png.body().get("widthPx").asDouble()).isEqualTo(40);
        byte[] svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 300 200'><script>1</script></svg>"
                .getBytes(StandardCharsets.UTF_8);
        Answer drawn = api.upload("/api/sets/" + set + "/pictures", svg);
        assertThat(drawn.body().get("heightPx").asDouble()).isEqualTo(200);
        assertThat(api.header("/api/pictures/" + drawn.body().get("id").asLong(), "Content-Security-Policy"))
                .contains("sandbox")
                .contains("default-src 'none'");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "not a picture",
                "<html><body>no</body></html>",
                "<svg",
                "<svg xmlns='http://www.w3.org/2000/svg' width='Infinity' height='10'/>",
                "<svg xmlns='http://www.w3.org/2000/svg' width='10' height='1e308'/>",
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 NaN 10'/>",
                ""
            })
    void whatIsNoPictureIsRefusedInWords(String bytes) {
        Answer answer = api.upload("/api/sets/" + set + "/pictures", bytes.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("This is not a picture that can be read");
    }

    @Test
    void aDrawingThatDeclaresTextOfItsOwnOrIsNestedWithoutEndIsNotTaken() {
        String declared =
                "<!DOCTYPE svg [<!ENTITY a %s>]><svg xmlns='http://www.w3.org/2000/svg' width='5' height='5'>&a;</svg>";
        for (String entity : List.of("SYSTEM 'file:///etc/passwd'", "'ha'")) {
            Answer answer = api.upload(
                    "/api/sets/" + set + "/pictures", declared.formatted(entity).getBytes(StandardCharsets.UTF_8));
            assertThat(answer.status()).isEqualTo(400);
            assertThat(answer.detail()).contains("entities").contains("plain SVG");
        }
        String deep = "<svg xmlns='http://www.w3.org/2000/svg' width='5' height='5'>" + "<g>".repeat(5000)
                + "</g>".repeat(5000) + "</svg>";
        assertThat(api.upload("/api/sets/" + set + "/pictures", deep.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(400);
    }

    private ObjectNode drawn() {
        return (ObjectNode) api.get("/api/sets/" + set).body().get("drawn");
    }

    private Answer put(ObjectNode drawn) {
        return api.put(
                "/api/sets/" + set,
                drawn.get("set").toString(),
                drawn.get("version").asLong());
    }

    private static ObjectNode point(double xM, double yM) {
        return com.fasterxml.jackson.databind.node.JsonNodeFactory.instance
                .objectNode()
                .put("xM", xM)
                .put("yM", yM);
    }

    private static byte[] image(String format) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), format, out);
            return out.toByteArray();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }
}
