package org.oblume.server.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The predicted picture of the demo's shots. */
@ServerTest
class FrameOverHttpTest {

    private static final String WHOLE = "\"width\":240,\"of\":\"LIGHT\",\"perStop\":1,\"touched\":[%s]";
    private static int made;

    @Autowired
    private Api api;

    private long wide;

    @BeforeEach
    void aWideShotOfItsOwn() {
        wide = api.shotFrom("4K" + ++made, api.shot("4A"));
    }

    private static String asked(String changes, String out, String more) {
        return "{\"changes\":[%s],\"holds\":[],\"out\":[%s],%s}".formatted(changes, out, more);
    }

    private List<JsonNode> steps(String out, String touched) throws IOException, InterruptedException {
        return api.lines("/api/shots/" + wide + "/light/frame", asked("", out, WHOLE.formatted(touched)));
    }

    private JsonNode whole(String out, String touched) throws IOException, InterruptedException {
        List<JsonNode> steps = steps(out, touched);
        return steps.get(steps.size() - 1).get("frame");
    }

    private static BufferedImage picture(JsonNode frame) throws IOException {
        String url = frame.get("picture").asText();
        return ImageIO.read(new ByteArrayInputStream(Base64.getDecoder().decode(url.substring(url.indexOf(',') + 1))));
    }

    private static double brightness(BufferedImage image) {
        long sum = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                sum += image.getRGB(x, y) >> 8 & 0xff;
            }
        }
        return (double) sum / image.getWidth() / image.getHeight();
    }

    private static JsonNode point(JsonNode frame, String kind) {
        return StreamSupport.stream(frame.get("points").spliterator(), false)
                .filter(p -> p.get("kind").asText().equals(kind))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aCoarsePictureComesFirstThenTheWholeOneWithItsLines() throws IOException, InterruptedException {
        List<JsonNode> steps = steps("", "");
        List<JsonNode> frames = steps.stream()
                .filter(s -> s.hasNonNull("frame"))
                .map(s -> s.get("frame"))
                .toList();
        assertThat(frames).hasSize(2);
        assertThat(frames.get(0).get("coarse").asBoolean()).isTrue();
        assertThat(picture(frames.get(0)).getWidth()).isEqualTo(160);
        BufferedImage whole = picture(frames.get(1));
        assertThat(whole.getWidth()).isEqualTo(240);
        assertThat(whole.getHeight()).isEqualTo(135);
        assertThat(frames.get(1).get("lines")).isNotEmpty();
        double before = 0;
        for (JsonNode step : steps) {
            assertThat(step.get("done").asDouble()).isGreaterThanOrEqualTo(before);
            before = step.get("done").asDouble();
        }
        assertThat(before).isEqualTo(1);
    }

    @Test
    void thePointsOfAMarkAreWhatTheLightViewTells() throws IOException, InterruptedException {
        JsonNode frame = whole("", "");
        JsonNode mark = api.post("/api/shots/" + wide + "/light", "{\"changes\":[],\"holds\":[],\"out\":[]}")
                .body()
                .at("/light/marks/0");
        assertThat(point(frame, "LIT").at("/light/overStops").asDouble())
                .isEqualTo(mark.at("/lit/overStops").asDouble());
        assertThat(point(frame, "SHADOW").at("/light/overStops").asDouble())
                .isEqualTo(mark.at("/shadow/overStops").asDouble());
        assertThat(point(frame, "BACKGROUND").at("/light/overStops").asDouble())
                .isCloseTo(mark.at("/background/overStops").asDouble(), within(1e-3));
        // a quarter of the light comes back off a face: 0 stops are 49 % through BT.709
        assertThat(point(frame, "LIT").get("percent").asDouble()).isCloseTo(50, within(2.0));
        assertThat(frame.get("curve").asText()).isEqualTo("BT.709");
    }

    @Test
    void withoutTheKeyThePictureIsDarkerAndATouchedPointTellsWhatIsLeft() throws IOException, InterruptedException {
        JsonNode lit = whole("", "{\"x\":0.9,\"y\":0.97}");
        JsonNode dark = whole("\"key\"", "{\"x\":0.9,\"y\":0.97}");
        assertThat(brightness(picture(dark))).isLessThan(0.9 * brightness(picture(lit)));
        assertThat(point(lit, "TOUCHED").get("on").asText()).isEqualTo("workbench");
        assertThat(point(dark, "TOUCHED").at("/light/lux").asDouble())
                .isLessThan(point(lit, "TOUCHED").at("/light/lux").asDouble());
        assertThat(point(dark, "TOUCHED").get("sources").findValuesAsText("key"))
                .doesNotContain("key");
    }

    @Test
    void aSmallPictureIsServedAsAFile() throws IOException, InterruptedException {
        BufferedImage small =
                ImageIO.read(new ByteArrayInputStream(api.file("/api/shots/" + wide + "/frame.png?width=112")));
        assertThat(small.getWidth()).isEqualTo(112);
        assertThat(small.getHeight()).isEqualTo(63);
    }

    @Test
    void whatCannotBeShownIsSaidInASentence() {
        String path = "/api/shots/" + wide + "/light/frame";
        Answer tooWide = api.post(path, asked("", "", "\"width\":9000,\"of\":\"LIGHT\",\"perStop\":1,\"touched\":[]"));
        assertThat(tooWide.detail()).contains("The width of a picture");
        Answer fifths = api.post(path, asked("", "", "\"width\":240,\"of\":\"LIGHT\",\"perStop\":5,\"touched\":[]"));
        assertThat(fifths.detail()).contains("for whole stops or for thirds");
        Answer gone = api.post(
                path,
                asked("", "", "\"camera\":\"attic\",\"width\":240,\"of\":\"LIGHT\",\"perStop\":1,\"touched\":[]"));
        assertThat(gone.status()).isEqualTo(404);
        assertThat(gone.detail()).contains("no such camera");
        long bare = api.shotFrom("5Q" + made, wide);
        api.tie(bare, "camera", "STANDING", "{\"text\":\"struck\",\"reason\":\"LOOK\"}", 0);
        Answer none = api.post("/api/shots/" + bare + "/light/frame", asked("", "", WHOLE.formatted("")));
        assertThat(none.detail()).contains("no camera on set");
    }

    /** A look that is compared with a shot stays as it was kept. */
    @Test
    void aLookHasAPictureToo() throws IOException, InterruptedException {
        String look = "look-"
                + api.post("/api/looks", "{\"name\":\"Bright %d\",\"shotId\":%d}".formatted(made, wide))
                        .body()
                        .get("id")
                        .asLong();
        byte[] before = api.file("/api/compare/frame.png?side=" + look);
        api.tie(wide, "key", "LEVEL", "{\"value\":{\"percent\":3},\"reason\":\"LOOK\"}", 0);
        BufferedImage now =
                ImageIO.read(new ByteArrayInputStream(api.file("/api/compare/frame.png?side=shot-" + wide)));
        BufferedImage kept = ImageIO.read(new ByteArrayInputStream(api.file("/api/compare/frame.png?side=" + look)));
        assertThat(api.file("/api/compare/frame.png?side=" + look)).isEqualTo(before);
        assertThat(brightness(kept)).isGreaterThan(1.2 * brightness(now));
        double lit = api.get("/api/compare/bust?side=" + look)
                .body()
                .get("litOverStops")
                .asDouble();
        double dimmed = api.get("/api/compare/bust?side=shot-" + wide)
                .body()
                .get("litOverStops")
                .asDouble();
        assertThat(lit - dimmed).isGreaterThan(1);
    }
}
