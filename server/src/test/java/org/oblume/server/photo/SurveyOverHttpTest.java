package org.oblume.server.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The ferry waiting room in two photographs, tapped as a camera would see it. */
@ServerTest
class SurveyOverHttpTest {

    private static final double FOCAL_MM = 24;
    private static final int WIDE = 400;
    private static final int HIGH = 300;
    private static final double[] BY_THE_DOOR = {0.5, 0.6, 1.6, 55};
    private static final double[] BY_THE_DESK = {10.4, 0.6, 1.6, 320};
    private static int made;

    @Autowired
    private Api api;

    private long shot;
    private long fromDoor;
    private long fromDesk;

    @BeforeEach
    void twoPhotographsOfAnUntouchedCopy() throws IOException {
        ObjectNode file = (ObjectNode) api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("17A"))))
                .body();
        file.get("shots").forEach(s -> ((ObjectNode) s).remove(List.of("readings", "rebuilt")));
        shot = api.shotIn(
                api.post("/api/scenes/import?number=P" + ++made, file.toString())
                        .body()
                        .get("sceneId")
                        .asLong(),
                "17A");
        fromDoor = photo();
        fromDesk = photo();
    }

    private long photo() throws IOException {
        return api.upload("/api/shots/%d/photos".formatted(shot), taken())
                .body()
                .get("id")
                .asLong();
    }

    /** A grey picture whose file says how long its lens was. */
    private static byte[] taken() throws IOException {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB), "jpeg", jpeg);
        ByteBuffer tiff = ByteBuffer.allocate(44);
        tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 1)
                .putShort((short) 0x8769)
                .putShort((short) 4)
                .putInt(1)
                .putInt(26)
                .putInt(0);
        tiff.putShort((short) 1).putShort((short) 0xA405).putShort((short) 3).putInt(1);
        tiff.putShort((short) FOCAL_MM).putShort((short) 0).putInt(0);
        byte[] plain = jpeg.toByteArray();
        ByteArrayOutputStream with = new ByteArrayOutputStream();
        with.write(plain, 0, 2);
        with.writeBytes(ByteBuffer.allocate(10 + tiff.capacity())
                .putShort((short) 0xFFE1)
                .putShort((short) (8 + tiff.capacity()))
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                .put(tiff.array())
                .array());
        with.write(plain, 2, plain.length - 2);
        return with.toByteArray();
    }

    /** Where a level camera at a place, turned to a bearing, sees a point: by hand, not by the rules. */
    private static double[] seen(double[] camera, double x, double y, double z) {
        double turn = Math.toRadians(camera[3]);
        double deep = (x - camera[0]) * Math.sin(turn) + (y - camera[1]) * Math.cos(turn);
        double right = (x - camera[0]) * Math.cos(turn) - (y - camera[1]) * Math.sin(turn);
        double focal = FOCAL_MM / 36 * WIDE;
        return new double[] {
            WIDE / 2.0 + focal * right / deep, HIGH / 2.0 - focal * (z - camera[2]) / deep, deep,
        };
    }

    private static void tap(List<String> taps, String what, double[] at) {
        if (at[2] > 0 && at[0] >= 0 && at[0] <= WIDE && at[1] >= 0 && at[1] <= HIGH) {
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
                            landmark.get("heightM").asDouble()));
        }
        tap(taps, "\"placement\":\"key\"", seen(camera, keyX, keyY, keyZ));
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
        assertThat(survey().at("/photos/0/focal35").asDouble()).isEqualTo(FOCAL_MM);
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
