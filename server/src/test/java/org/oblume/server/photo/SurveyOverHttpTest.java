package org.oblume.server.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The ferry waiting room in two photographs, tapped as a camera would see it. */
@ServerTest
class SurveyOverHttpTest {

    private static final int WIDE = 400;
    private static final int HIGH = 300;
    private static final double[] BY_THE_DOOR = {0.5, 0.6, 1.6, 55};
    private static final double[] BY_THE_DESK = {10.4, 0.6, 1.6, 320};
    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private ObjectMapper json;

    private long shot;
    private long fromDoor;
    private long fromDesk;

    @BeforeEach
    void twoPhotographsOfAnUntouchedCopy() throws IOException {
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("17A"))))
                .body();
        file.get("shots").forEach(s -> ((ObjectNode) s).remove(List.of("readings", "rebuilt")));
        shot = api.shotIn(
                api.post("/api/scenes/import?number=PH" + ++made, file.toString())
                        .body()
                        .get("sceneId")
                        .asLong(),
                "17A");
        fromDoor = photo();
        fromDesk = photo();
    }

    private long photo() throws IOException {
        return api.upload(
                        "/api/shots/%d/photos".formatted(shot),
                        StandInPictures.jpeg(new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB)))
                .body()
                .get("id")
                .asLong();
    }

    private static double[] seen(double[] camera, double... at) {
        return StandInPictures.seen(camera, at, WIDE, HIGH);
    }

    private static void tap(List<String> taps, String what, double[] at, int wide, int high) {
        if (at[2] > 0 && at[0] >= 0 && at[0] <= wide && at[1] >= 0 && at[1] <= high) {
            taps.add(String.format(Locale.ROOT, "{%s,\"u\":%.3f,\"v\":%.3f}", what, at[0], at[1]));
        }
    }

    private String taps(double[] camera, double keyX, double keyY, double keyZ) {
        List<String> taps = new ArrayList<>();
        for (JsonNode landmark : survey().get("landmarks")) {
            tap(
                    taps,
                    "\"landmark\":" + landmark.get("name"),
                    seen(
                            camera,
                            landmark.get("xM").asDouble(),
                            landmark.get("yM").asDouble(),
                            landmark.get("heightM").asDouble()),
                    WIDE,
                    HIGH);
        }
        tap(taps, "\"placement\":\"key\"", seen(camera, keyX, keyY, keyZ), WIDE, HIGH);
        return "{\"taps\":[%s]}".formatted(String.join(",", taps));
    }

    private JsonNode survey() {
        return api.get("/api/shots/%d/survey".formatted(shot)).body();
    }

    private Answer put(long photo, String taps, long version) {
        return api.put("/api/shots/%d/survey/photos/%d".formatted(shot, photo), taps, version);
    }

    private static JsonNode thing(JsonNode survey, String key) {
        for (JsonNode thing : survey.get("things")) {
            if (thing.get("key").asText().equals(key)) {
                return thing;
            }
        }
        throw new AssertionError(key);
    }

    @Test
    void twoPhotographsSayWhereOneStoodAndWhereTheKeyStandsAndItIsKept() {
        assertThat(survey().at("/photos/0/focal35").asDouble()).isEqualTo(StandInPictures.FOCAL_MM);
        assertThat(survey().at("/photos/0/problem").asText()).contains("Tap four landmarks or more");
        JsonNode one = put(fromDoor, taps(BY_THE_DOOR, 7.6, 6.2, 2.4), 0).body();
        assertThat(one.at("/photos/0/pose/at/xM").asDouble()).isCloseTo(0.5, within(0.01));
        assertThat(one.at("/photos/0/pose/bearingDeg").asDouble()).isCloseTo(55, within(0.1));
        assertThat(one.at("/photos/0/expected").toString()).contains("mark-1");
        JsonNode both = put(fromDesk, taps(BY_THE_DESK, 7.6, 6.2, 2.4), 0).body();
        JsonNode key = thing(both, "key");
        assertThat(key.at("/found/xM").asDouble()).isCloseTo(7.6, within(0.01));
        assertThat(key.at("/found/zM").asDouble()).isCloseTo(2.4, within(0.01));
        assertThat(key.get("photographs").asInt()).isEqualTo(2);
        assertThat(key.at("/off/metric").asText()).isEqualTo("447 mm");

        assertThat(api.as("READER")
                        .post("/api/shots/%d/survey/places".formatted(shot), "{\"things\":[\"key\"]}")
                        .status())
                .isEqualTo(403);
        Answer kept = api.post("/api/shots/%d/survey/places".formatted(shot), "{\"things\":[\"key\"]}");
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        assertThat(thing(kept.body(), "key").get("isElsewhere").asBoolean()).isFalse();
        JsonNode file =
                api.get("/api/scenes/%d/export".formatted(api.sceneOf(shot))).body();
        assertThat(file.get("version").asInt()).isEqualTo(6);
        assertThat(file.toString()).contains("\"photographed\":{\"point\"").contains("\"heightM\":2.4");
        assertThat(api.post("/api/shots/%d/survey/places".formatted(shot), "{\"things\":[\"fill\"]}")
                        .detail())
                .contains("Fill is tapped in no photograph");
    }

    /** The demo's own pictures, tapped to the pixel. */
    @Test
    void threeDrawnPicturesPlaceSixThingsWithinTenCentimetresAndTellTheOneThatWasMoved() throws IOException {
        JsonNode scene =
                json.readTree(Path.of("src/main/resources/demo/scene-17.json").toFile());
        Map<String, double[]> truth = StandInPictures.things(scene);
        shot = api.shot("17A");
        JsonNode told = survey();
        for (int i = 0; i < StandInPictures.CAMERAS.size(); i++) {
            double[] camera = StandInPictures.CAMERAS.get(i);
            JsonNode photo = told.get("photos").get(i);
            List<String> taps = new ArrayList<>();
            int wide = photo.get("widthPx").asInt();
            int high = photo.get("heightPx").asInt();
            for (JsonNode landmark : scene.at("/set/plan/landmarks")) {
                double[] at = {
                    landmark.at("/point/xM").asDouble(),
                    landmark.at("/point/yM").asDouble(),
                    landmark.get("heightM").asDouble()
                };
                tap(
                        taps,
                        "\"landmark\":" + landmark.get("name"),
                        StandInPictures.seen(camera, at, wide, high),
                        wide,
                        high);
            }
            truth.forEach((key, at) -> tap(
                    taps,
                    "\"placement\":\"%s\"".formatted(key),
                    StandInPictures.seen(camera, at, wide, high),
                    wide,
                    high));
            told = put(
                            photo.get("id").asLong(),
                            "{\"taps\":[%s]}".formatted(String.join(",", taps)),
                            photo.get("version").asLong())
                    .body();
        }
        int placed = 0;
        for (JsonNode thing : told.get("things")) {
            double[] at = truth.get(thing.get("key").asText());
            if (thing.has("found")) {
                placed++;
                assertThat(Math.hypot(
                                thing.at("/found/xM").asDouble() - at[0],
                                thing.at("/found/yM").asDouble() - at[1]))
                        .as(thing.get("name").asText())
                        .isLessThan(0.1);
            }
            assertThat(thing.get("isElsewhere").asBoolean())
                    .as(thing.get("name").asText())
                    .isEqualTo(thing.get("key").asText().equals("key"));
        }
        assertThat(placed).isGreaterThanOrEqualTo(5);
        for (JsonNode photo : told.get("photos")) {
            put(photo.get("id").asLong(), "{\"taps\":[]}", photo.get("version").asLong());
        }
    }

    @Test
    void aPictureThatIsTooSmallToTapInKeepsNobodyFromTheOthers() throws IOException {
        api.upload(
                "/api/shots/%d/photos".formatted(shot),
                StandInPictures.jpeg(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB)));
        assertThat(survey().get("photos")).hasSize(2);
    }

    @Test
    void whatIsTappedOutsideTwiceOrOnWhatSomebodyElseTappedIsRefusedAndNothingIsLost() {
        String right = taps(BY_THE_DOOR, 7.2, 6.4, 2.2);
        assertThat(put(fromDoor, right, 0).status()).isEqualTo(200);
        assertThat(put(fromDoor, "{\"taps\":[]}", 0).status()).isEqualTo(409);
        String twice = "{\"taps\":[{\"placement\":\"key\",\"u\":1,\"v\":1},{\"placement\":\"key\",\"u\":2,\"v\":2}]}";
        assertThat(put(fromDoor, twice, 1).detail()).contains("tapped twice");
        assertThat(put(fromDoor, "{\"taps\":[{\"placement\":\"key\",\"u\":401,\"v\":1}]}", 1)
                        .detail())
                .contains("pixels from the left");
        assertThat(put(fromDoor, "{\"taps\":[{\"landmark\":\"moat\",\"u\":1,\"v\":1}]}", 1)
                        .detail())
                .contains("no landmark moat");
        assertThat(survey().at("/photos/0/taps").size()).isGreaterThan(4);
    }
}
