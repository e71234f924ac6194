package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What percents are read through is chosen where they are told. */
class MonitorCurveIT {

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

    private String points() {
        gaffer.gone("progress");
        return gaffer.text(".points");
    }

    @Test
    void aTableOfTheCrewsOwnTellsThePercentsOfTheScene() throws Exception {
        gaffer.open("/shots/%d/frame".formatted(person.shot("4A")));
        gaffer.seeText("read through BT.709");
        gaffer.see(".points .figure");
        String before = points();
        assertThat(before).contains("%");
        Path table = Files.writeString(files.resolve("day log.csv"), "percent;light\n5;0\n40;0,18\n60;0,5\n95;8\n");
        gaffer.press("change…");
        gaffer.upload("[role=dialog] input[type=file]", table);
        gaffer.seeText("day log: A grey card at the camera's stop reads 40 %");
        gaffer.press("Read by this");
        gaffer.gone("[role=dialog]");
        gaffer.seeText("read through day log");
        gaffer.settled();
        assertThat(points()).isNotEqualTo(before);

        gaffer.open("/shots/%d/match".formatted(person.shot("4C")));
        gaffer.seeText("read through day log");
        gaffer.press("change…");
        gaffer.press("Cancel");

        gaffer.open("/shots/%d/frame".formatted(person.shot("4A")));
        gaffer.seeText("read through day log");
        Path falling = Files.writeString(files.resolve("falling.csv"), "5,0\n40,0.18\n50,0.1\n");
        gaffer.press("change…");
        gaffer.upload("[role=dialog] input[type=file]", falling);
        gaffer.seeText("look at point 3");
        gaffer.press("Cancel");
    }

    @Test
    void aScenesCurveIsChangedAndPutBackOnTheSpot() throws Exception {
        gaffer.open("/shots/%d/frame".formatted(person.shot("17A")));
        gaffer.seeText("read through BT.709");
        gaffer.press("change…");
        gaffer.pressCss("[role=dialog] button[aria-haspopup=listbox]");
        gaffer.press("HLG");
        gaffer.press("Read by this");
        gaffer.seeText("read through HLG");
        gaffer.press("undo");
        gaffer.seeText("read through BT.709");
    }
}
