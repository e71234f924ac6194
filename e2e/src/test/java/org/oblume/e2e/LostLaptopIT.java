package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** The laptop dies: what was acknowledged comes back from the second folder, on another machine. */
class LostLaptopIT {

    private static final Duration PATIENCE = Duration.ofSeconds(60);

    @TempDir
    Path second;

    private final Path data = RunningOblume.newData();
    private RunningOblume oblume;

    @AfterEach
    void stop() {
        if (oblume != null) {
            oblume.close();
        }
    }

    @Test
    void theSecondFolderBringsBackAllThatWasAcknowledged() throws Exception {
        Files.writeString(data.resolve("second-folder"), second.toString());
        oblume = RunningOblume.withDemo(data);
        Person gaffer = Person.ofTheDemo(oblume, "LEAD");
        untilEachEditIsElsewhere(gaffer);
        long shot = gaffer.shot("4C");
        long photograph = gaffer.upload("/api/shots/%d/photos".formatted(shot), picture())
                .get("id")
                .asLong();
        byte[] asKept = gaffer.download("/api/notes/%d/photo".formatted(photograph));
        // another copy, so that the first journal has an end
        gaffer.post("/api/copies", "{}");
        for (int i = 0; i < 20; i++) {
            gaffer.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"Before it fell in, %d\"}".formatted(i));
        }
        JsonNode notes = gaffer.get("/api/shots/%d/notes".formatted(shot));
        JsonNode history = gaffer.get("/api/shots/%d/history".formatted(shot));
        oblume.kill();
        deleteAll(data);

        Path other = RunningOblume.newData();
        String said = command("restore", other, second.toString());
        assertThat(said).contains("is back").contains("of the journal after it");
        oblume = RunningOblume.withDemo(other);
        gaffer.goOnAt(oblume);
        assertThat(gaffer.get("/api/shots/%d/notes".formatted(shot))).isEqualTo(notes);
        assertThat(gaffer.get("/api/shots/%d/history".formatted(shot))).isEqualTo(history);
        assertThat(gaffer.download("/api/notes/%d/photo".formatted(photograph)))
                .isEqualTo(asKept)
                .isNotEmpty();
    }

    @Test
    void aNewestCopyThatIsDamagedIsMadeUpForByTheOneBeforeAndItsJournal() throws Exception {
        Files.writeString(data.resolve("second-folder"), second.toString());
        oblume = RunningOblume.withDemo(data);
        Person gaffer = Person.ofTheDemo(oblume, "LEAD");
        untilEachEditIsElsewhere(gaffer);
        long shot = gaffer.shot("4C");
        gaffer.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"Between the copies\"}");
        gaffer.post("/api/copies", "{}");
        gaffer.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"After both\"}");
        oblume.kill();
        Path newest;
        try (Stream<Path> files = Files.list(second)) {
            newest = files.filter(f -> f.toString().endsWith(".zip"))
                    .sorted()
                    .reduce((a, b) -> b)
                    .orElseThrow();
        }
        byte[] copy = Files.readAllBytes(newest);
        java.util.Arrays.fill(copy, copy.length / 3, copy.length / 2, (byte) 7);
        Files.write(newest, copy);

        Path other = RunningOblume.newData();
        assertThat(command("restore", other, second.toString()))
                .contains("does not open")
                .contains("is back");
        oblume = RunningOblume.withDemo(other);
        gaffer.goOnAt(oblume);
        assertThat(gaffer.get("/api/shots/%d/notes".formatted(shot)).findValuesAsText("text"))
                .contains("Between the copies", "After both");
    }

    @Test
    void whereNoSecondFolderWasNamedThePageSaysWhatCouldBeLost() throws Exception {
        oblume = RunningOblume.withDemo(data);
        Person gaffer = Person.ofTheDemo(oblume, "LEAD");
        JsonNode safety = gaffer.get("/api/copies");
        assertThat(safety.get("couldBeLost").asText())
                .isEqualTo(
                        "If the server’s machine is lost, so is the record: its copies are beside it. Name a second folder, such as a memory stick: ./oblume run --second FOLDER");
        assertThat(safety.get("journal").asBoolean()).isFalse();
        assertThat(safety.has("heldElsewhere")).isFalse();
        // asked for at the machine while it runs, and used after it
        assertThat(command("backup", data, second.toString())).contains("it opens");
        oblume.stop();
        Path other = RunningOblume.newData();
        assertThat(command("restore", other, second.toString())).contains("is back");
        assertThat(command("reset-lead", other, "")).contains("The passphrase of gaffer is now");
    }

    @Test
    void whereNoneWasNamedTheDevicesBringWhatTheyKept() throws Exception {
        oblume = RunningOblume.withDemo(data);
        try (Browser crew = new Browser(oblume.address())) {
            Person gaffer = Person.ofTheDemo(oblume, "LEAD");
            long shot = gaffer.shot("4D");
            crew.open("/shots/%d/log".formatted(shot));
            assertThat(command("backup", data, second.toString())).contains("it opens");
            crew.see("[aria-label='New note']").sendKeys("Net slipped at take 2");
            crew.press("Add note");
            crew.seeText("Net slipped at take 2");
            crew.open("/shots/%d/plot".formatted(shot));
            crew.see("#say-it").sendKeys("ambience 31%");
            crew.seeText("31 %");
            crew.press(Keys.ENTER);
            crew.until("have it kept", d -> level(gaffer, shot).equals("31 %") ? true : null);
            oblume.kill();

            Path other = RunningOblume.newData();
            assertThat(command("restore", other, second.toString())).contains("is back");
            oblume = oblume.inItsPlace(other);
            Person script = Person.ofTheDemo(oblume, "CONTINUITY");
            crew.until(
                    "bring back what was noted and changed since the copy",
                    d -> noted(script, shot).contains("Net slipped at take 2")
                                    && level(script, shot).equals("31 %")
                            ? true
                            : null);
        }
    }

    private static List<String> noted(Person person, long shot) {
        return read(person, "/api/shots/%d/notes".formatted(shot)).findValuesAsText("text");
    }

    private static String level(Person person, long shot) {
        for (JsonNode placed :
                read(person, "/api/shots/%d/plot".formatted(shot)).get("placements")) {
            if (placed.at("/placement/name").asText().equals("Ambience")) {
                return placed.at("/values/LEVEL/say/metric").asText();
            }
        }
        return "";
    }

    private static JsonNode read(Person person, String path) {
        try {
            return person.get(path);
        } catch (IOException | InterruptedException notThere) {
            throw new IllegalStateException(notThere);
        }
    }

    @Test
    void aRecordThatIsInUseIsNotRestoredOver() throws Exception {
        oblume = RunningOblume.withDemo(data);
        assertThat(command("backup", data, second.toString())).contains("it opens");
        assertThat(command("restore", data, second.toString()))
                .contains("Oblume is running on this data: stop it first, then restore.");
        assertThat(command("restore", data, second.resolve("gone").toString())).contains("is not there");
    }

    private static void untilEachEditIsElsewhere(Person gaffer) throws Exception {
        Instant end = Instant.now().plus(PATIENCE);
        while (!gaffer.get("/api/copies").get("journal").asBoolean()) {
            assertThat(Instant.now()).as("a copy in the second folder").isBefore(end);
            Thread.onSpinWait();
        }
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(320, 240, BufferedImage.TYPE_INT_RGB), "png", png);
        return png.toByteArray();
    }

    /** What a command at the machine says. */
    private static String command(String command, Path data, String about) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        "oblume.jar",
                        "org.oblume.server.copies.CopyCommand",
                        command,
                        data.toString(),
                        about))
                .directory(Path.of(System.getProperty("oblume.app")).toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }

    private static void deleteAll(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted((a, b) -> b.compareTo(a)).toList()) {
                Files.delete(file);
            }
        }
    }
}
