package org.oblume.server.note;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class NotesOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shot;

    @BeforeEach
    void aShotOfItsOwn() {
        shot = api.shotFrom("4P" + ++made, api.shot("4A"));
    }

    @Test
    void takesCountUpAndAreCircledAndRenumberedWithoutClashing() {
        Api script = api.as("CONTINUITY");
        script.post(takes(), "{\"circled\":false}");
        Answer second = script.post(takes(), "{\"note\":\"lamp flickered\",\"circled\":true}");
        assertThat(second.body().get("number").asInt()).isEqualTo(2);
        assertThat(second.body().get("author").asText()).isEqualTo("script supervisor");
        long id = second.body().get("id").asLong();
        assertThat(script.put("/api/takes/" + id, "{\"number\":1,\"circled\":true}", 0L)
                        .detail())
                .isEqualTo("There is a take 1 already: give it another number.");
        assertThat(script.put("/api/takes/" + id, "{\"number\":7,\"circled\":true}", 0L)
                        .status())
                .isEqualTo(200);
        assertThat(script.put("/api/takes/" + id, "{\"circled\":false}", 0L).status())
                .isEqualTo(409);
        assertThat(script.post(takes(), "{\"circled\":false}")
                        .body()
                        .get("number")
                        .asInt())
                .isEqualTo(8);
        assertThat(script.delete("/api/takes/" + id, 1L).status()).isEqualTo(204);
        assertThat(api.as("READER").post(takes(), "{\"circled\":false}").status())
                .isEqualTo(403);
    }

    @Test
    void aNoteIsOfAShotAThingOrASetAndOnlyItsAuthorTakesItAway() {
        Api script = api.as("CONTINUITY");
        Answer note = script.post(notes("?placement=key"), "{\"text\":\"<img src=x onerror=alert(1)> cloth sags\"}");
        assertThat(note.body().get("placement").asText()).isEqualTo("Key");
        assertThat(note.body().get("text").asText()).isEqualTo("<img src=x onerror=alert(1)> cloth sags");
        assertThat(script.post(notes("?placement=nobody"), "{\"text\":\"x\"}").status())
                .isEqualTo(404);
        assertThat(script.post(notes(""), "{\"text\":\"  \"}").status()).isEqualTo(400);
        long id = note.body().get("id").asLong();
        assertThat(api.delete("/api/notes/" + id, null).status()).isEqualTo(403);
        assertThat(script.delete("/api/notes/" + id, null).status()).isEqualTo(204);
        assertThat(script.post("/api/sets/1/notes", "{\"text\":\"door sticks\"}")
                        .status())
                .isEqualTo(201);
        assertThat(api.get("/api/sets/1/notes").body().at("/notes/0/text").asText())
                .isEqualTo("door sticks");
    }

    @Test
    void aPhotoIsKeptAsItIsAndServedSoThatNothingInItRuns() throws Exception {
        Answer kept = api.upload("/api/shots/" + shot + "/photos?text=from%20the%20door", png(40, 30));
        assertThat(kept.status()).isEqualTo(201);
        assertThat(kept.body().get("text").asText()).isEqualTo("from the door");
        String at = kept.body().get("photo").asText();
        assertThat(api.header(at, "Content-Type")).isEqualTo("image/png");
        assertThat(api.header(at, "X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(api.header(at, "Cache-Control")).as("asked for each time").isEqualTo("no-cache, private");
        assertThat(api.header(at, "ETag")).as("and told apart").startsWith("\"");
        assertThat(api.stranger().get(at).status()).isEqualTo(401);
    }

    @Test
    void whatIsNoPhotoOrHasTooManyPixelsIsRefusedAndNothingIsKept() throws Exception {
        assertThat(photo("GIF89a not one".getBytes(StandardCharsets.UTF_8)).detail())
                .contains("This is not a picture that can be read");
        assertThat(photo("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><script>alert(1)</script></svg>"
                                .getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(400);
        assertThat(photo(new byte[0]).status()).isEqualTo(400);
        assertThat(photo(claiming(png(2, 2), 10_000, 10_000)).detail())
                .isEqualTo("This picture has 100 megapixels: save it with 60 or fewer.");
        assertThat(photo(new byte[16 * 1024 * 1024]).status()).isEqualTo(413);
        assertThat(api.get(notes("")).body().get("notes")).isEmpty();
    }

    private Answer photo(byte[] bytes) {
        return api.upload("/api/shots/" + shot + "/photos", bytes);
    }

    @Test
    void aTakeThatSomebodyElseWroteIsTakenOutByALeadAlone() {
        Answer written = api.as("CONTINUITY").post(takes(), "{\"circled\":false}");
        String take = "/api/takes/" + written.body().get("id").asLong();
        Answer refused = api.as("CONTROL").delete(take, 0L);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail()).contains("lead");
        assertThat(api.get(takes()).body().findValuesAsText("id"))
                .contains(written.body().get("id").asText());
        assertThat(api.as("LEAD").delete(take, 0L).status()).isEqualTo(204);
    }

    private String takes() {
        return "/api/shots/" + shot + "/takes";
    }

    private String notes(String query) {
        return "/api/shots/" + shot + "/notes" + query;
    }

    private static byte[] png(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    /** The same file, whose head claims another size. */
    private static byte[] claiming(byte[] png, int width, int height) {
        byte[] bytes = Arrays.copyOf(png, png.length);
        ByteBuffer head = ByteBuffer.wrap(bytes);
        head.putInt(16, width).putInt(20, height);
        CRC32 crc = new CRC32();
        crc.update(bytes, 12, 17);
        head.putInt(29, (int) crc.getValue());
        return bytes;
    }
}
