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
            if (!landmark.has("heightM")) {
                continue;
            }
            tap(
                    taps,
                    "\"landmark\":" + landmark.get("name"),
                    seen(
                            camera,
                            landmark.at("/at/xM").asDouble(),
                            landmark.at("/at/yM").asDouble(),
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
        assertThat(key.at("/found/at/xM").asDouble()).isCloseTo(7.6, within(0.01));
        assertThat(key.at("/found/at/zM").asDouble()).isCloseTo(2.4, within(0.01));
        assertThat(key.at("/found/photographs").asInt()).isEqualTo(2);
        assertThat(key.at("/off/metric").asText()).isEqualTo("447 mm");

        assertThat(api.as("READER")
                        .post("/api/shots/%d/survey/places".formatted(shot), keeping("key"))
                        .status())
                .isEqualTo(403);
        Answer kept = api.post("/api/shots/%d/survey/places".formatted(shot), keeping("key"));
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        assertThat(thing(kept.body(), "key").get("isElsewhere").asBoolean()).isFalse();
        JsonNode file =
                api.get("/api/scenes/%d/export".formatted(api.sceneOf(shot))).body();
        assertThat(file.get("version").asInt()).isGreaterThanOrEqualTo(6);
        assertThat(file.toString()).contains("\"photographed\":{\"point\"").contains("\"heightM\":2.4");
        assertThat(api.post("/api/shots/%d/survey/places".formatted(shot), keeping("fill"))
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
            if (thing.get("found").has("at")) {
                placed++;
                assertThat(Math.hypot(
                                thing.at("/found/at/xM").asDouble() - at[0],
                                thing.at("/found/at/yM").asDouble() - at[1]))
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
        assertThat(put(fromDoor, "{\"taps\":[{\"landmark\":\" \",\"u\":1,\"v\":1}]}", 1)
                        .detail())
                .contains("Give the landmark a name");
        assertThat(put(fromDoor, "{\"taps\":[{\"landmark\":\"desk\",\"aimOf\":\"key\",\"u\":1,\"v\":1}]}", 1)
                        .detail())
                .contains("which landmark, which thing or whose aim");
        assertThat(survey().at("/photos/0/taps").size()).isGreaterThan(4);
    }

    private static String keeping(String thing) {
        return "{\"things\":[\"%s\"],\"aims\":[]}".formatted(thing);
    }

    /** What is tapped of the landmarks and the key as recorded, and something more. */
    private String tapsWith(double[] camera, String what, double... at) {
        List<String> more = new ArrayList<>();
        tap(more, what, seen(camera, at), WIDE, HIGH);
        return taps(camera, 7.2, 6.4, 2.2).replaceFirst("]}$", "," + more.get(0) + "]}");
    }

    @Test
    void theSpotThatALightPointsAtTellsItsAimAndTheAimIsKept() {
        put(fromDoor, tapsWith(BY_THE_DOOR, "\"aimOf\":\"key\"", 6.2, 4.4, 1.0), 0);
        JsonNode both = put(fromDesk, tapsWith(BY_THE_DESK, "\"aimOf\":\"key\"", 6.2, 4.4, 1.0), 0)
                .body();
        JsonNode aim = thing(both, "key").get("aim");
        assertThat(aim.get("bearingDeg").asDouble()).isCloseTo(180 + Math.toDegrees(Math.atan2(1.0, 2.0)), within(0.5));
        assertThat(aim.get("isWorthKeeping").asBoolean()).isTrue();
        String aims = "{\"things\":[],\"aims\":[\"key\"]}";
        JsonNode kept =
                api.post("/api/shots/%d/survey/places".formatted(shot), aims).body();
        assertThat(thing(kept, "key").at("/aim/isElsewhere").asBoolean()).isFalse();
        assertThat(api.post("/api/shots/%d/survey/places".formatted(shot), aims.replace("key", "fill"))
                        .detail())
                .contains("do not tell which way Fill points");
    }

    @Test
    void aLandmarkThatTheSetDoesNotHaveIsFoundAndKept() {
        String kiosk = "\"landmark\":\"kiosk corner\"";
        put(fromDoor, tapsWith(BY_THE_DOOR, kiosk, 6.0, 5.0, 1.25), 0);
        JsonNode both =
                put(fromDesk, tapsWith(BY_THE_DESK, kiosk, 6.0, 5.0, 1.25), 0).body();
        JsonNode last = both.get("landmarks").get(both.get("landmarks").size() - 1);
        assertThat(last.get("name").asText()).isEqualTo("kiosk corner");
        assertThat(last.get("isWorthKeeping").asBoolean()).isTrue();
        Answer kept = api.post("/api/shots/%d/survey/landmarks".formatted(shot), "{\"names\":[\"kiosk corner\"]}");
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        JsonNode now = kept.body().get("landmarks").get(both.get("landmarks").size() - 1);
        assertThat(now.get("heightM").asDouble()).isCloseTo(1.25, within(0.01));
        assertThat(now.at("/at/xM").asDouble()).isCloseTo(6.0, within(0.01));
        assertThat(api.post("/api/shots/%d/survey/landmarks".formatted(shot), "{\"names\":[\"kiosk corner\"]}")
                        .detail())
                .contains("with its height already");
    }

    @Test
    void aCheckWithOnePhotographTellsWhatWasMovedAndLeavesThePhotographsOfTheRecordAlone() {
        put(fromDoor, taps(BY_THE_DOOR, 7.2, 6.4, 2.2), 0);
        String check = taps(BY_THE_DESK, 7.6, 6.2, 2.2).replaceFirst("}$", ",\"round\":\"check-1764500000\"}");
        JsonNode checked = put(fromDesk, check, 0).body();
        assertThat(checked.get("photos")).hasSize(1);
        assertThat(thing(checked, "key").get("isElsewhere").asBoolean()).isTrue();
        JsonNode record = survey();
        assertThat(record.get("photos")).hasSize(1);
        assertThat(thing(record, "key").get("isElsewhere").asBoolean()).isFalse();
        assertThat(record.at("/rounds/1/began").asText()).startsWith("2025-11-30T");
        assertThat(api.get("/api/shots/%d/survey?round=attic".formatted(shot)).detail())
                .contains("no round of photographs");
    }

    @Test
    void photographsOfARebuildAreReadAgainstItAndLeaveTheRecordAsItIs() {
        long run = api.post(
                        "/api/shots/%d/runs".formatted(shot), "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        String round = "run-" + run;
        JsonNode rebuilt = put(
                        fromDesk,
                        taps(BY_THE_DESK, 7.6, 6.2, 2.2).replaceFirst("}$", ",\"round\":\"" + round + "\"}"),
                        0)
                .body();
        assertThat(thing(rebuilt, "key").get("isElsewhere").asBoolean()).isTrue();
        assertThat(rebuilt.at("/rounds/1/run").asText()).isEqualTo("Day 4");
        assertThat(api.post(
                                "/api/shots/%d/survey/places".formatted(shot),
                                keeping("key").replaceFirst("}$", ",\"round\":\"" + round + "\"}"))
                        .detail())
                .contains("leaves the record as it is");
    }

    /** Half of the tapes of a walk can be left out so: what photographs tell counts as measured. */
    @Test
    void aPlaceThatWasOnlyDrawnIsMeasuredByPhotographsAndNobodyHasToGuessIt() {
        assertThat(gaps("key")).contains("PLACE");
        put(fromDoor, taps(BY_THE_DOOR, 7.2, 6.4, 2.2), 0);
        JsonNode both = put(fromDesk, taps(BY_THE_DESK, 7.2, 6.4, 2.2), 0).body();
        assertThat(thing(both, "key").get("isElsewhere").asBoolean()).isFalse();
        assertThat(thing(both, "key").get("isWorthKeeping").asBoolean()).isTrue();
        JsonNode kept = api.post("/api/shots/%d/survey/places".formatted(shot), keeping("key"))
                .body();
        assertThat(thing(kept, "key").get("isWorthKeeping").asBoolean()).isFalse();
        assertThat(gaps("key")).doesNotContain("PLACE");
    }

    private List<String> gaps(String key) {
        List<String> gaps = new ArrayList<>();
        for (JsonNode placed :
                api.get("/api/shots/%d/plot".formatted(shot)).body().get("placements")) {
            if (placed.at("/placement/key").asText().equals(key)) {
                placed.get("findings").forEach(f -> gaps.add(f.get("gap").asText()));
            }
        }
        return gaps;
    }
}
