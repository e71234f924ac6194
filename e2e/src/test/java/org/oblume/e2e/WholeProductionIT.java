package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A production as a whole: two units become one again, what was recorded is found, and what is done is closed. */
class WholeProductionIT {

    private RunningOblume main;
    private Browser crew;
    private Person lead;

    @BeforeEach
    void start() throws Exception {
        main = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(main.address());
        lead = Person.ofTheDemo(main, "LEAD");
    }

    @AfterEach
    void stop() {
        crew.close();
        main.close();
    }

    /** Story 23. */
    @Test
    void theSecondUnitsArchiveBecomesPartOfTheRecordAndTheOneValueThatBothChangedIsAsked(@TempDir Path stick)
            throws Exception {
        Path out = Files.write(stick.resolve("out.oblume.zip"), lead.download("/api/productions/1/archive"));
        Path home = stick.resolve("home.oblume.zip");
        try (RunningOblume island = RunningOblume.empty(RunningOblume.newData());
                Browser second = new Browser(island.address())) {
            second.open("/");
            second.press("take in an archive");
            second.upload("input[type=file]", out);
            second.seeText("No such production is here yet.");
            second.press("Take it in");
            second.seeText("Saltmarsh Line is in.");
            second.press("To the book");
            second.seeText("Close on the repairer at the bench");

            Person there = Person.stranger(island);
            there.post("/api/session", "{\"name\":\"gaffer\",\"passphrase\":\"%s\"}".formatted(Person.PASSPHRASE));
            level(there, "key", 42);
            level(there, "edge", 33);
            there.post("/api/shots/%d/notes".formatted(there.shot("4D")), "{\"text\":\"gulls in every take\"}");
            Files.write(home, there.download("/api/productions/1/archive"));
        }
        level(lead, "key", 61);

        crew.open("/");
        crew.press("Archive");
        crew.upload("input[type=file]", home);
        crew.seeText("Both changed");
        crew.seeText("1 of 1 to answer");
        assertThat(crew.text("fieldset")).contains("Key: level", "Sc. 4, 4D", "61 %", "42 %");
        crew.press("The later of both");
        crew.seeText("all answered");
        crew.pressCss("fieldset label:last-child");
        crew.press("Merge");
        crew.seeText("Saltmarsh Line is in.");
        assertThat(say(lead, "key")).isEqualTo("42 %");
        assertThat(say(lead, "edge")).isEqualTo("33 %");

        crew.upload("input[type=file]", home);
        crew.seeText("It brings nothing that is not here.");
        crew.press("Leave it");

        crew.open("/find");
        crew.see("input[type=search]").sendKeys("gulls");
        crew.until("find the note", d -> crew.text("main").contains("gulls in every take") ? true : null);
        assertThat(crew.text("main")).contains("1 shot").contains("4D");
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void aShotIsFoundByWhatIsInItAndByHowItIsLit() throws Exception {
        crew.open("/");
        crew.press("Find");
        crew.see("input[type=search]").sendKeys("BENCH lamp");
        crew.until("find shots", d -> crew.text("main").contains("6 shots") ? true : null);
        assertThat(crew.texts("mark")).contains("Bench", "lamp");
        crew.pressCss("main li:nth-child(3) a");
        crew.see(".ladder svg");
        assertThat(crew.path()).isEqualTo("/shots/%d/plot".formatted(lead.shot("4C")));

        crew.open("/shots/%d/light".formatted(lead.shot("4C")));
        crew.press("Lit like this");
        crew.until("look at all scenes", d -> crew.text("main").contains("4 of 4 scenes") ? true : null);
        assertThat(crew.text("main")).contains("4C", "4B", "stops between the cheeks", "A model of three figures");
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void whatIsClosedTakesNoEditsAndWhatWasDeletedComesBack() throws Exception {
        crew.open("/archive/1");
        crew.press("Close Sc. 22");
        crew.seeText("Open again");
        Person.Answer note =
                lead.send("POST", "/api/shots/%d/notes".formatted(lead.shot("22A")), "{\"text\":\"late\"}", null);
        assertThat(note.status()).isEqualTo(400);
        assertThat(note.body().get("detail").asText()).startsWith("Sc. 22 is closed");

        crew.press("Delete Sc. 17…");
        crew.seeText("A lead can bring it back within thirty days");
        crew.press("Delete Sc. 17");
        crew.press("Bring back Sc. 17");
        crew.until("see nothing deleted", d -> crew.text("main").contains("Bring back") ? null : true);
        crew.open("/");
        crew.seeText("FERRY WAITING ROOM");
        assertThat(crew.text("main")).contains("Slipway, closed");
        assertThat(crew.complaints()).isEmpty();
    }

    private static void level(Person person, String thing, int percent) throws Exception {
        long shot = person.shot("4D");
        JsonNode placed = placed(person, thing);
        Person.Answer answer = person.put(
                "/api/shots/%d/placements/%s/LEVEL".formatted(shot, thing),
                "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(percent),
                placed.at("/revisions/LEVEL").asLong(0),
                "unit");
        assertThat(answer.status()).isEqualTo(200);
    }

    private static String say(Person person, String thing) throws Exception {
        return placed(person, thing).at("/values/LEVEL/say/metric").asText();
    }

    private static JsonNode placed(Person person, String thing) throws Exception {
        return StreamSupport.stream(
                        person.get("/api/shots/%d/plot".formatted(person.shot("4D")))
                                .get("placements")
                                .spliterator(),
                        false)
                .filter(p -> p.at("/placement/key").asText().equals(thing))
                .findFirst()
                .orElseThrow();
    }
}
