package org.oblume.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Archives that are none, or are made to do harm: refused in a sentence, and the record is as it was. */
@ServerTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ArchiveRefusalsTest {

    private static final String SHOTS = "record/shot.json";

    @Autowired
    private Api crew;

    private Api lead;
    private byte[] sound;

    @BeforeAll
    void aSoundOne() throws Exception {
        lead = crew.as("LEAD");
        sound = lead.file("/api/productions/1/archive");
    }

    @Test
    void oneThatIsCutShort() {
        assertThat(refused(Arrays.copyOf(sound, sound.length * 2 / 3)))
                .isEqualTo(
                        "The archive is cut short or damaged: take it out of the other Oblume again. Nothing was kept.");
    }

    @Test
    void oneInWhichBytesAreWrong() throws IOException {
        byte[] damaged = sound.clone();
        int at = new String(damaged, StandardCharsets.ISO_8859_1).indexOf(SHOTS) + 200;
        damaged[at] ^= 0x55;
        damaged[at + 7] ^= 0x2a;
        assertThat(refused(damaged)).startsWith("The archive is cut short or damaged");
    }

    @Test
    void whatIsNoZipOrNoArchive() throws IOException {
        assertThat(refused("slate".getBytes(StandardCharsets.UTF_8))).startsWith("The archive is cut short or damaged");
        assertThat(refused(changed(files -> files.remove("manifest.json"))))
                .isEqualTo("This is no archive of a production: it has no manifest.json.");
    }

    @Test
    void oneOfANewerVersion() throws IOException {
        assertThat(refused(changed(files -> replace(files, "manifest.json", "\"version\":1", "\"version\":2"))))
                .isEqualTo(
                        "This archive is version 2; this Oblume reads version 1. Update Oblume on this machine first. Nothing was kept.");
        assertThat(refused(changed(
                        files -> replace(files, SHOTS, "\"slate\":\"4A\"", "\"slate\":\"4A\",\"mood\":\"blue\""))))
                .isEqualTo(
                        "shots in it have “mood”, which this Oblume does not know: update it first. Nothing was kept.");
    }

    @Test
    void aPathThatClimbsOut() throws IOException {
        assertThat(refused(changed(files -> files.put("../../oblume.mv.db", new byte[] {1}))))
                .isEqualTo("“../../oblume.mv.db” does not belong in an archive. Nothing was unpacked.");
        assertThat(refused(changed(files -> files.put("pictures/../../x.jpg", new byte[] {1}))))
                .contains("does not belong in an archive");
    }

    @Test
    void tenThousandFilesThatNothingNames() throws IOException {
        byte[] many = changed(files -> {
            for (int i = 0; i < 10_000; i++) {
                files.put("photo-%d.jpg".formatted(i), new byte[] {1});
            }
        });
        assertThat(refused(many)).contains("does not belong in an archive");
    }

    /** 64 MB of one row, in a file of 64 KB. */
    @Test
    void aRowThatSwellsWhenItIsUnpacked() throws IOException {
        byte[] bomb = changed(files ->
                files.put(SHOTS, ("[{\"uid\":\"" + "0".repeat(64 << 20) + "\"}]").getBytes(StandardCharsets.US_ASCII)));
        assertThat(bomb.length).isLessThan(sound.length + (1 << 20));
        assertThat(refused(bomb)).isEqualTo("A row in it is larger than 8 MB. Nothing was kept.");
    }

    @Test
    void rowsThatNameOnesThatAreNotThere() throws IOException {
        byte[] torn = changed(files -> files.put("record/placement.json", "[]".getBytes(StandardCharsets.UTF_8)));
        Answer looked = lead.upload("/api/archives", anotherProduction(torn));
        Answer taken =
                lead.post("/api/archives/" + looked.body().get("id").asText(), "{\"name\":\"Torn\",\"answers\":[]}");
        assertThat(taken.status()).isEqualTo(400);
        assertThat(taken.detail()).contains("name one that is not in it. Nothing was kept.");
        assertThat(lead.get("/api/book").body().toString()).doesNotContain("Torn");
    }

    @Test
    void onlyALeadTakesOneIn() {
        assertThat(crew.upload("/api/archives", sound).status()).isEqualTo(403);
    }

    private String refused(byte[] archive) {
        int before = productions();
        Answer answer = lead.upload("/api/archives", archive);
        assertThat(answer.status()).as(answer.toString()).isEqualTo(400);
        assertThat(productions()).isEqualTo(before);
        return answer.detail();
    }

    /** Of the archive's name; others come and go beside this test. */
    private int productions() {
        return lead.get("/api/book").body().findValues("name").stream()
                .filter(n -> n.asText().startsWith("Saltmarsh Line"))
                .toList()
                .size();
    }

    /** All uids are others, as of a production that was never here. */
    private static byte[] anotherProduction(byte[] archive) throws IOException {
        Map<String, byte[]> files = files(archive);
        Map<String, byte[]> other = new LinkedHashMap<>();
        files.forEach((name, bytes) -> {
            if (!name.startsWith("pictures/") && !name.contains("own_")) {
                String text = new String(bytes, StandardCharsets.UTF_8);
                other.put(
                        name,
                        text.replaceAll("\"([0-9a-f]{8})-([0-9a-f]{4})-4", "\"$1-$2-5")
                                .getBytes(StandardCharsets.UTF_8));
            }
        });
        return zipped(other);
    }

    private byte[] changed(Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> files = files(sound);
        change.accept(files);
        return zipped(files);
    }

    private static void replace(Map<String, byte[]> files, String name, String what, String by) {
        String text = new String(files.get(name), StandardCharsets.UTF_8);
        assertThat(text).contains(what);
        files.put(name, text.replace(what, by).getBytes(StandardCharsets.UTF_8));
    }

    private static Map<String, byte[]> files(byte[] archive) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        return files;
    }

    private static byte[] zipped(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return out.toByteArray();
    }
}
