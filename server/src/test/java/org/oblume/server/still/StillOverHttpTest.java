package org.oblume.server.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Frames that were shot, and what is read off them. */
@ServerTest
class StillOverHttpTest {

    private static final String FACE = "{\"name\":\"lit cheek\",\"x\":0.25,\"y\":0.5},"
            + "{\"name\":\"shadow cheek\",\"x\":0.5,\"y\":0.5},{\"name\":\"background\",\"x\":0.75,\"y\":0.5}";
    private static int made;

    @Autowired
    private Api api;

    private long scene;
    private long wide;
    private long close;

    @BeforeEach
    void aSceneOfItsOwn() {
        String file = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body()
                .toString();
        scene = api.post("/api/scenes/import?number=ST" + ++made, file)
                .body()
                .get("sceneId")
                .asLong();
        wide = api.shotIn(scene, "4A");
        close = api.shotIn(scene, "4C");
    }

    /** Three columns of grey, percents of full. */
    static byte[] columns(String format, double... percents) throws IOException {
        BufferedImage image = new BufferedImage(640, 360, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        for (int i = 0; i < percents.length; i++) {
            int grey = (int) Math.round(2.55 * percents[i]);
            pen.setColor(new Color(grey, grey, grey));
            pen.fillRect(640 * i / percents.length, 0, 640 / percents.length + 1, 360);
        }
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private Answer add(long shot, String kind, byte[] bytes) {
        return api.upload("/api/shots/%d/stills?kind=%s&text=line-up".formatted(shot, kind), bytes);
    }

    private JsonNode face(long still, long version) {
        Answer said = api.put(
                "/api/stills/" + still,
                "{\"kind\":\"FRAME\",\"videoRange\":false,\"points\":[%s]}".formatted(FACE),
                version);
        assertThat(said.status()).as(said.detail()).isEqualTo(200);
        return said.body();
    }

    private long frame(long shot, double... percents) throws IOException {
        Answer added = add(shot, "FRAME", columns("png", percents));
        assertThat(added.status()).as(added.detail()).isEqualTo(201);
        long id = added.body().get("id").asLong();
        face(id, added.body().get("version").asLong());
        return id;
    }

    /** Story 19. */
    @Test
    void theCloseShotHoldsTheWidesFaceByBothSchools() throws IOException {
        long one = frame(wide, 47, 17, 24);
        long other = frame(close, 46, 16, 6);
        JsonNode still = api.get("/api/stills/" + one).body();
        assertThat(still.at("/points/0/percent").asDouble()).isCloseTo(47, within(0.3));
        assertThat(still.at("/points/1/percent").asDouble()).isCloseTo(17, within(0.3));
        assertThat(still.at("/ratios/0/through").asText()).isEqualTo("BT.709");
        assertThat(still.at("/ratios/0/stops").asDouble()).isCloseTo(2.4, within(0.05));
        assertThat(still.at("/ratios/1/ratio").asDouble()).isCloseTo(2.8, within(0.05));
        assertThat(still.get("line").asText()).startsWith("lit 47").contains("shadow 1", "background 2");
        JsonNode pair =
                api.get("/api/stills/%d/beside/%d".formatted(one, other)).body();
        assertThat(pair.at("/ratioApart/0").asDouble()).isCloseTo(0.065, within(0.05));
        assertThat(pair.at("/points/0/holds").asBoolean()).isTrue();
        assertThat(pair.at("/points/2/holds").asBoolean()).isFalse();
        assertThat(pair.get("holds").asBoolean()).isTrue();
        assertThat(pair.get("say").asText()).contains("The face holds", "Background is", "under");
        assertThat(api.get("/api/stills/" + other)
                        .body()
                        .at("/predicted/0/percent")
                        .asDouble())
                .isBetween(20.0, 90.0);
    }

    @Test
    void aPhotographIsOneUntilItIsSaidToBeAFrame() throws IOException {
        Answer note = api.upload("/api/shots/%d/photos?text=phone".formatted(close), columns("jpeg", 30, 60));
        long id = note.body().get("id").asLong();
        JsonNode still = api.get("/api/stills/" + id).body();
        assertThat(still.at("/head/kind").asText()).isEqualTo("PHOTOGRAPH");
        assertThat(still.has("line")).isFalse();
        assertThat(api.get("/api/scenes/%d/stills".formatted(scene)).body().get("stills"))
                .anyMatch(s ->
                        s.get("id").asLong() == id && s.get("slate").asText().equals("4C"));
        assertThat(face(id, 0).at("/head/kind").asText()).isEqualTo("FRAME");
        assertThat(api.put("/api/stills/" + id, "{\"kind\":\"FRAME\",\"videoRange\":true,\"points\":[]}", 0L)
                        .status())
                .isEqualTo(409);
    }

    @Test
    void aPhotographBesideAFrameIsOnlySeen() throws IOException {
        long frame = frame(wide, 47, 17, 24);
        long phone = add(close, "PHOTOGRAPH", columns("png", 47, 17, 24))
                .body()
                .get("id")
                .asLong();
        api.put(
                "/api/stills/" + phone,
                "{\"kind\":\"PHOTOGRAPH\",\"videoRange\":false,\"points\":[%s]}".formatted(FACE),
                1L);
        JsonNode pair =
                api.get("/api/stills/%d/beside/%d".formatted(frame, phone)).body();
        assertThat(pair.get("points")).hasSize(3);
        assertThat(pair.hasNonNull("holds")).isFalse();
        assertThat(pair.get("say").asText()).startsWith("As seen, which is no reading.");
    }

    @Test
    void offDressingNothingIsReadAndSaidToBeAFrameAgainItHasItsPoints() throws IOException {
        long id = frame(wide, 40, 20);
        long version = api.get("/api/stills/" + id).body().at("/head/version").asLong();
        JsonNode looked = api.put("/api/stills/" + id, "{\"kind\":\"DRESSING\",\"videoRange\":false}", version)
                .body();
        assertThat(looked.get("points")).isEmpty();
        assertThat(looked.has("hottest")).isFalse();
        JsonNode again = api.put("/api/stills/" + id, "{\"kind\":\"FRAME\",\"videoRange\":false}", version + 1)
                .body();
        assertThat(again.get("points")).hasSize(3);
    }

    @Test
    void oneStillOfASceneIsTheReference() throws IOException {
        long one = frame(wide, 40, 20);
        long other = frame(wide, 41, 20);
        assertThat(api.put("/api/stills/%d/reference".formatted(one), "", null).status())
                .isEqualTo(204);
        assertThat(api.put("/api/stills/%d/reference".formatted(other), "", null)
                        .status())
                .isEqualTo(204);
        assertThat(api.get("/api/scenes/%d/stills".formatted(scene)).body().get("stills"))
                .filteredOn(s -> s.get("reference").asBoolean())
                .extracting(s -> s.get("id").asLong())
                .containsExactly(other);
    }

    @Test
    void whatIsTakenOutCanBeBroughtBackWithItsPoints() throws IOException {
        long id = frame(wide, 44, 22);
        assertThat(api.delete("/api/notes/" + id, null).status()).isEqualTo(204);
        assertThat(api.get("/api/stills/" + id).status()).isEqualTo(404);
        assertThat(api.get("/api/notes/%d/photo".formatted(id)).status()).isEqualTo(404);
        assertThat(api.as("LEAD").post("/api/notes/%d/back".formatted(id), "").status())
                .isEqualTo(204);
        assertThat(api.get("/api/stills/" + id).body().get("points")).hasSize(3);
    }

    @Test
    void theSamePictureIsNotKeptTwiceUnlessItWasTakenOut() throws IOException {
        byte[] picture = columns("png", 33, 34);
        long id = add(close, "FRAME", picture).body().get("id").asLong();
        Answer again = add(close, "FRAME", picture);
        assertThat(again.status()).isEqualTo(400);
        assertThat(again.detail()).contains("already");
        api.delete("/api/notes/" + id, null);
        assertThat(add(close, "FRAME", picture).status()).isEqualTo(201);
    }

    @Test
    void aStillIsShownSmallForListsAndLargerForThePage() throws IOException, InterruptedException {
        long id = frame(wide, 10, 50, 90);
        BufferedImage small =
                ImageIO.read(new ByteArrayInputStream(api.file("/api/stills/%d/picture?wide=200".formatted(id))));
        BufferedImage shown = ImageIO.read(new ByteArrayInputStream(api.file("/api/stills/%d/picture".formatted(id))));
        assertThat(small.getWidth()).isEqualTo(200);
        assertThat(shown.getWidth()).isEqualTo(640);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"a text called .jpg|not a picture", "|not a picture", "GIF89a..........|not a picture"})
    void whatIsNoPictureIsRefusedInWords(String text, String says) {
        byte[] bytes = text == null ? new byte[0] : text.getBytes(StandardCharsets.ISO_8859_1);
        Answer refused = add(close, "FRAME", bytes);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains(says);
    }

    @Test
    void aPictureOfAPhonesOwnKindIsToldWithWhatToDo() {
        byte[] heic = "0000ftypheic0000".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(add(close, "PHOTOGRAPH", heic).detail()).contains("HEIC", "JPEG");
    }

    @Test
    void aPictureThatMovesIsToldToBeOne() throws IOException {
        byte[] still = columns("png", 20, 40);
        byte[] moving = new byte[still.length + 20];
        int head = 33; // signature and the head of the picture
        System.arraycopy(still, 0, moving, 0, head);
        System.arraycopy(new byte[] {0, 0, 0, 8, 'a', 'c', 'T', 'L'}, 0, moving, head, 8);
        System.arraycopy(still, head, moving, head + 20, still.length - head);
        assertThat(add(close, "FRAME", moving).detail()).contains("This picture moves");
    }

    @Test
    void aPictureThatIsCutShortIsRefusedAndNothingIsKept() throws IOException {
        byte[] whole = columns("png", 12, 77);
        Answer refused = add(close, "FRAME", Arrays.copyOf(whole, whole.length / 2));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("cut short");
        assertThat(api.get("/api/scenes/%d/stills".formatted(scene)).body().get("stills"))
                .isEmpty();
    }

    @Test
    void pointsHaveNamesOfTheirOwnAndLieInThePicture() throws IOException {
        long id = frame(wide, 20, 60);
        long version = api.get("/api/stills/" + id).body().at("/head/version").asLong();
        String said = "{\"kind\":\"FRAME\",\"videoRange\":false,\"points\":[%s]}";
        assertThat(api.put("/api/stills/" + id, said.formatted(FACE + "," + FACE), version)
                        .detail())
                .contains("“lit cheek” already");
        assertThat(api.put("/api/stills/" + id, said.formatted("{\"name\":\"a\",\"x\":1.2,\"y\":0}"), version)
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aPhotographOfTheLogIsNotPutInAmongTheStillsAgain() throws IOException {
        byte[] picture = columns("jpeg", 21, 63);
        assertThat(api.upload("/api/shots/%d/photos?text=log".formatted(close), picture)
                        .status())
                .isEqualTo(201);
        assertThat(add(close, "PHOTOGRAPH", picture).detail()).contains("already");
    }

    /** By the curve and divided; a third of a stop at a cheek is told. */
    @ParameterizedTest
    @CsvSource({"42, 15, true", "40, 14, true", "46, 10, false"})
    void aWideAndMediumsKeepFiveToOne(double lit, double shadow, boolean holds) throws IOException {
        long reference = frame(wide, 42, 15, 30);
        long medium = frame(close, lit, shadow, 30.5);
        JsonNode pair =
                api.get("/api/stills/%d/beside/%d".formatted(reference, medium)).body();
        assertThat(pair.get("holds").asBoolean()).isEqualTo(holds);
        assertThat(pair.get("ratioApart")).hasSize(2);
        assertThat(pair.get("say").asText()).startsWith(holds ? "The face holds" : "The face does not hold");
    }

    @Test
    void aFrameOfARebuildIsHeldAgainstTheRecordedOneByTheSamePoints() throws IOException, InterruptedException {
        long recorded = frame(wide, 47, 17, 24);
        long run = api.post(
                        "/api/shots/%d/runs".formatted(wide), "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        assertThat(api.get("/api/runs/%d/still".formatted(run)).body().has("now"))
                .isFalse();
        assertThat(api.upload("/api/shots/%d/stills?kind=FRAME&run=%d".formatted(wide, run), columns("png", 47, 12, 24))
                        .status())
                .isEqualTo(201);
        JsonNode still = api.get("/api/runs/%d/still".formatted(run)).body();
        assertThat(still.at("/recorded/id").asLong()).isEqualTo(recorded);
        assertThat(still.at("/now/run").asLong()).isEqualTo(run);
        assertThat(still.at("/pair/points")).hasSize(3);
        assertThat(still.at("/pair/say").asText()).contains("The face does not hold", "Shadow cheek is", "under");
        try (PDDocument paper = Loader.loadPDF(api.file("/api/runs/%d/paper/verdict.pdf".formatted(run)))) {
            assertThat(new PDFTextStripper().getText(paper))
                    .contains("The stills, as they are marked today: The face does not hold");
        }
    }

    /** Grey through the wide's white, and warmer in the close shot. */
    @Test
    void aPointNamedGreyTellsHowFarTheWhiteIsOff() throws IOException {
        long before = add(wide, "FRAME", card(100, 100, 100)).body().get("id").asLong();
        long after = add(close, "FRAME", card(112, 100, 84)).body().get("id").asLong();
        for (long id : new long[] {before, after}) {
            assertThat(api.put(
                                    "/api/stills/" + id,
                                    "{\"kind\":\"FRAME\",\"videoRange\":false,\"points\":[{\"name\":\"grey\",\"x\":0.5,\"y\":0.5}]}",
                                    1L)
                            .status())
                    .isEqualTo(200);
        }
        JsonNode white = api.get("/api/stills/%d/beside/%d".formatted(before, after))
                .body()
                .get("white");
        assertThat(white.get("mired").asDouble()).isGreaterThan(12);
        assertThat(white.get("holds").asBoolean()).isFalse();
        assertThat(white.get("say").asText()).contains("mired warmer");
    }

    private static byte[] card(int red, int green, int blue) throws IOException {
        BufferedImage image = new BufferedImage(640, 360, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(new Color(red, green, blue));
        pen.fillRect(0, 0, 640, 360);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void aStillOfAnotherShapeIsReadAndToldToBeOne() throws IOException {
        BufferedImage square = new BufferedImage(400, 400, BufferedImage.TYPE_BYTE_GRAY);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(square, "png", out);
        long id = add(wide, "FRAME", out.toByteArray()).body().get("id").asLong();
        assertThat(api.get("/api/stills/" + id).body().get("shape").asText()).contains("1.00 : 1", "1.78 : 1");
        assertThat(api.get("/api/stills/" + frame(wide, 47, 17)).body().has("shape"))
                .isFalse();
    }

    @Test
    void aPictureOfAHundredMegapixelsIsRefusedByItsSize() throws IOException {
        byte[] large = columns("png", 5, 6);
        ByteBuffer.wrap(large).putInt(16, 10_000).putInt(20, 10_000);
        Answer refused = add(wide, "FRAME", large);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).contains("100", "megapixels");
    }

    @Test
    void whatTheMonitorReadsInAPlaceOfTheCrewsOwnCanBeKeptAsAReading() throws IOException {
        long id =
                add(wide, "FRAME", columns("png", 47, 17, 24)).body().get("id").asLong();
        JsonNode said = api.put(
                        "/api/stills/" + id,
                        "{\"kind\":\"FRAME\",\"videoRange\":false,\"points\":[%s,%s,%s]}"
                                .formatted(
                                        "{\"name\":\"lit cheek\",\"x\":0.1,\"y\":0.5}",
                                        "{\"name\":\"papers\",\"x\":0.9,\"y\":0.5}",
                                        "{\"name\":\"point 3\",\"x\":0.5,\"y\":0.5}"),
                        1L)
                .body();
        assertThat(said.get("line").asText()).matches("lit 47[.0-9]*%, on the papers 2[34][.0-9]*%");
        Answer kept = api.post(
                "/api/shots/%d/readings".formatted(wide),
                "{\"line\":\"%s\",\"sure\":false}".formatted(said.get("line").asText()));
        assertThat(kept.status()).as(kept.detail()).isLessThan(300);
    }
}
