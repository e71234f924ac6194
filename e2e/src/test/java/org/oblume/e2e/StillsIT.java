package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Frames that were shot, laid beside one another. */
class StillsIT {

    private static final String PICTURE = "[aria-label='Still of %s'] button.over";

    private static RunningOblume oblume;
    private static Browser gaffer;
    private static Person person;

    @TempDir
    private Path files;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        person = Person.ofTheDemo(oblume, "LEAD");
        gaffer = new Browser(oblume.address());
        gaffer.goIn("lead");
    }

    @AfterAll
    static void stop() {
        gaffer.close();
        oblume.close();
    }

    private Path columns(String name, int... percents) throws IOException {
        BufferedImage image = new BufferedImage(640, 360, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        for (int i = 0; i < percents.length; i++) {
            int grey = (int) Math.round(2.55 * percents[i]);
            pen.setColor(new Color(grey, grey, grey));
            pen.fillRect(640 * i / percents.length, 0, 640, 360);
        }
        pen.dispose();
        Path file = files.resolve(name);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private void puts(Path... pictures) {
        gaffer.press("Add stills…");
        for (Path picture : pictures) {
            gaffer.upload("input[type=file]", picture);
        }
        gaffer.press("Put in");
        gaffer.gone("[role=dialog]");
    }

    /** Story 19. */
    @Test
    void theCloseShotHoldsTheWidesFaceAndWhatDiffersIsTold() throws Exception {
        gaffer.open("/shots/%d/stills".formatted(person.shot("4C")));
        gaffer.seeText("The face holds");
        String read = gaffer.text("table.points");
        assertThat(read).contains("47 %", "46 %", "16 %", "holds", "does not");
        assertThat(gaffer.text("[aria-label='Read off the still']"))
                .contains("Through BT.709", "Percent divided", "this scene judges by it", "Wall is");
        gaffer.press("Flick");
        gaffer.seeText("Back to 4C");
        gaffer.press("Back to 4C");
    }

    @Test
    void manyArePutInAtOnceMarkedByKeysTakenOutAndBroughtBack() throws Exception {
        gaffer.open("/shots/%d/stills".formatted(person.shot("4D")));
        gaffer.seeText("No still of 4D yet");
        puts(columns("first.png", 40, 20), columns("second.png", 60, 30));
        gaffer.see("[aria-label='Stills of this scene'] section li.here:nth-child(2)");
        gaffer.settled();
        gaffer.see(PICTURE.formatted("4D")).sendKeys(Keys.ARROW_LEFT, Keys.ENTER);
        gaffer.see("table.points [aria-label='Let go of lit cheek']");
        assertThat(gaffer.text("table.points")).contains("60 %");
        gaffer.press("Take out");
        gaffer.gone("table.points [aria-label='Let go of lit cheek']");
        gaffer.press("Bring it back");
        gaffer.see("table.points [aria-label='Let go of lit cheek']");
    }

    @Test
    void whatIsPutInWithoutALineWaitsAndIsSentLater() throws Exception {
        gaffer.open("/shots/%d/stills".formatted(person.shot("4E")));
        gaffer.seeText("No still of 4E yet");
        gaffer.network(false);
        puts(columns("away.png", 50));
        gaffer.seeText("1 wait");
        gaffer.network(true);
        gaffer.see("[aria-label='Still of 4E']");
    }

    @Test
    void dressingIsFoundByItsKindAndLaidBesideThatOfAnotherShot() throws Exception {
        gaffer.open("/shots/%d/stills".formatted(person.shot("4A")));
        gaffer.seeText("the reference");
        gaffer.choose("Which stills", "set dressing");
        gaffer.see("[aria-label^='set dressing of 4C']").click();
        gaffer.seeText("Nothing is read off it");
        gaffer.see("[aria-label='Still of 4A']");
        gaffer.press("Flick");
        gaffer.seeText("Back to 4C");
        gaffer.gone("table.points");
    }

    /** Where a rebuild ends its light is laid beside the recorded one. */
    @Test
    void aRebuildEndsWithAFrameBesideTheRecordedOne() throws Exception {
        long run = person.post(
                        "/api/shots/%d/runs".formatted(person.shot("4C")),
                        "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .at("/run/id")
                .asLong();
        gaffer.open("/runs/%d/verdict".formatted(run));
        gaffer.seeText("Put in a frame of the rebuilt light");
        gaffer.press("Put in a frame…");
        gaffer.upload("input[type=file]", columns("rebuilt.png", 46, 30, 10));
        gaffer.press("Put in");
        gaffer.gone("[role=dialog]");
        gaffer.see("[aria-label='The picture'] li:nth-child(2) img");
        gaffer.seeText("look that they lie on the face");
        gaffer.pressCss("[aria-label='The picture'] a");
        gaffer.seeText("The face does not hold");
        for (String point : List.of("lit cheek", "shadow cheek", "wall")) {
            gaffer.see("table.points [aria-label='Let go of %s']".formatted(point));
        }
    }

    /** On the Bench a still is read that is kept nowhere. */
    @Test
    void aStillIsReadOnTheBenchAndItsRatioTold() throws Exception {
        gaffer.open("/bench/still");
        gaffer.upload("input[type=file]", columns("bench.png", 47, 16));
        String keys = Keys.chord(Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        WebElement picture = gaffer.see("button.over");
        picture.sendKeys(keys, Keys.ENTER, Keys.ARROW_RIGHT.toString().repeat(9), Keys.ENTER);
        gaffer.seeText("lit cheek to shadow cheek 5.");
        assertThat(gaffer.text("[data-found=still]")).contains("47.", "16.");
        gaffer.press("BT.709");
        gaffer.pressCss("[role=option]:last-child");
        gaffer.seeText("lit cheek to shadow cheek 2.9:1");
    }

    @Test
    void aFileThatIsNoPictureIsRefusedByItsName() throws Exception {
        gaffer.open("/shots/%d/stills".formatted(person.shot("4F")));
        Path text = Files.writeString(files.resolve("notes.jpg"), "not a picture");
        gaffer.press("Add stills…");
        gaffer.upload("input[type=file]", text);
        gaffer.press("Put in");
        gaffer.seeText("notes.jpg: This is not a picture");
        gaffer.press("Cancel");
    }
}
