package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A scene is planned: changes are said, tried and compared on the mark before anyone lifts a stand. */
class PlannedLightIT {

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
        Demo.openTheWideForChanges(crew);
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    @Test
    void aCloserKeyIsHeldAndASecondClothCannotBe() {
        crew.open("/shots/1/plot");
        shotFrom("4A", "4G");
        shotFrom("4G", "4H");
        openSlate("4G");

        say("key 1.7 m hold");
        // less than by the distances alone: the room's part does not grow with them
        echoes("Key level 70 % to 26", "+1.4 stops, held at 26", "5.9° to 10.1° as Repairer sees it");
        say("key 1.7 m full grid cloth hold");
        echoes(
                "Key is short by 1.0 stop",
                "open the stop to T2,",
                "ISO 25",
                "shutter 1/24 s",
                "closer, from 1.70 m to about 1.",
                "a stronger unit: Tungsten Fresnel 2 kW");
        crew.pressCss("#say-it");
        crew.press(Keys.ESCAPE);

        say("key 1.7 m hold");
        echoes("held at 26");
        crew.press("Keep Enter");
        crew.seeText("Changed from 4A");
        crew.pressCss("[data-key=key]");
        crew.reads("LEVEL", "26.");
        assertThat(crew.fetch(valueOf("4G", "LEVEL") + ".reason")).isEqualTo("MATCH");
        assertThat(crew.fetch(valueOf("4A", "LEVEL") + ".say.metric")).isEqualTo("70 %");
        assertThat(crew.fetch(valueOf("4H", "LEVEL") + ".from")).isEqualTo("4G");

        crew.press("Undo");
        crew.reads("LEVEL", "70 %");
        crew.reads("PLACE", "5.68 m right, 4.81 m up");
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void threeWaysWithTheTubesAreTriedComparedAndOneIsKept() {
        crew.open("/shots/1/plot");
        openSlate("17A");
        crew.press("Try without saving");
        say("key 4371 tint +0.007, fill 4150 tint +0.009 no half plus green");
        echoes("Key CCT 5000 K to 4371 K", "Fill modifiers");
        crew.press("Into the try Enter");
        crew.press("Record");
        crew.press("Another try");
        say("ceiling tubes half minus green");
        echoes("Ceiling tubes modifiers");
        crew.press("Into the try Enter");
        crew.press("Record");
        crew.press("Another try");
        say("camera white 4150 +0.009");
        echoes("Camera camera white 4300 K to 4150 K");
        crew.press("Into the try Enter");
        assertThat(crew.fetch(
                        "return (await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json()).placements"
                                + ".find(p => p.placement.key == 'camera').values.WHITE.say.metric"))
                .isEqualTo("4300 K");

        crew.press("Compare");
        crew.seeText("Compared on Passenger");
        crew.until(
                "see three ways beside the record",
                d -> crew.texts("[role=dialog] th[scope=col]").equals(List.of("Record", "Try A", "Try B", "Try C"))
                        ? true
                        : null);
        List<String> tints = crew.texts("[role=dialog] tbody tr:nth-child(8) td");
        assertThat(Double.parseDouble(tints.get(0).replace('−', '-'))).isPositive();
        // the tubes give less then, and the other cheek is the darker one
        assertThat(tints.get(2)).isNotEqualTo(tints.get(0));
        assertThat(crew.texts("[role=dialog] tbody tr:nth-child(9) td").get(3)).contains("4150 K +0.009");
        crew.press("Close");

        crew.press("Keep try C");
        crew.fill("Why this one; it stays with the record", "The tubes cannot be gelled before the boat leaves");
        crew.press("Keep it");
        crew.until(
                "see the camera's white kept",
                d -> "The tubes cannot be gelled before the boat leaves"
                                .equals(
                                        crew.fetch(
                                                "return (await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json()).placements.find(p => p.placement.key == 'camera').values.WHITE.note"))
                        ? true
                        : null);
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void theStreakComesBackFromAHardHeadAndParallelByAMirror() {
        crew.open("/shots/1/plot");
        openSlate("11A");
        crew.pressCss("[data-key=sun]");
        say("sun aim at streak, sun from 118 up 24 at 9.7 m");
        echoes("Sun place", "Sun height");
        crew.press("Keep Enter");
        crew.pressCss("[data-key=mark-2]");
        crew.press("Back to 11A");
        crew.pressCss("[data-key=sun]");
        crew.seeText("118°");
        atTheStreak("fan through end pane 7.0°", "a bar’s edge there 89 mm", "24° up");

        crew.press("Place…");
        crew.fill("What", "mirror");
        crew.press("Mirror board 1 m");
        crew.fill("What the crew calls it here", "Board");
        crew.press("Place it");
        crew.until("see the board", d -> crew.text("aside h2").equals("Board") ? true : null);
        say("board aim at streak outside from 118 up 24 at 8.2 m");
        echoes("Board place");
        crew.press("Keep Enter");
        crew.gone("#say-echo .told");
        crew.pressCss("[data-key=sun]");
        crew.type("PLACE", "13.03, 6.48 outside");
        crew.reads("PLACE", "13.03 m right, 6.48 m up");
        crew.type("HEIGHT", "4.29");
        crew.reads("HEIGHT", "4.29 m");
        say("board send sun to streak");
        echoes("Board aim", "Sun aim");
        crew.press("Keep Enter");
        crew.gone("#say-echo .told");
        atTheStreak("fan through end pane 3.8°", "reads as parallel", "a bar’s edge there 48 mm", "comes off grip");
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void eachSourceIsSeenAloneAndTheRigIsBuiltUpFromDark() {
        crew.open("/shots/1/light");
        crew.seeText("Stop ladder, Repairer");
        crew.pressCss("[data-source=key] button:nth-of-type(2)");
        crew.until(
                "see the key alone",
                d -> crew.texts(".ladder .rung").stream()
                                .filter(t -> !t.isBlank())
                                .allMatch(t -> t.startsWith("Key"))
                        ? true
                        : null);
        crew.press("All on");
        crew.press("Dark");
        crew.seeText("Build up, 0 of 6");
        crew.press("The next one");
        crew.seeText("Build up, 1 of 6");
        crew.until(
                "see the ambience first",
                d -> crew.texts(".ladder .rung .word").stream().allMatch(t -> t.startsWith("Ambience")) ? true : null);
        crew.press("All on");
        crew.until("see all of it again", d -> crew.text(".ladder").contains("5:1") ? true : null);
        assertThat(crew.complaints()).isEmpty();
    }

    private void atTheStreak(String... words) {
        crew.until(
                "choose the streak",
                d -> crew.fetch(
                                        "const s = document.querySelector('.ladder select');"
                                                + "if (s && s.value !== 'mark-2') { s.value = 'mark-2'; s.dispatchEvent(new Event('change')) } return s?.value")
                                .equals("mark-2")
                        ? true
                        : null);
        for (String word : words) {
            crew.until(
                    "read “" + word + "” of the sun",
                    d -> crew.text("[aria-label='At the mark']")
                                    .replaceAll("\\s+", " ")
                                    .contains(word)
                            ? true
                            : null);
        }
    }

    private void say(String line) {
        crew.see("#say-it").sendKeys(Keys.chord(Keys.CONTROL, "a"), line);
    }

    private void echoes(String... words) {
        for (String word : words) {
            crew.until(
                    "hear “" + word + "”",
                    d -> crew.text("#say-echo").replaceAll("\\s+", " ").contains(word) ? true : null);
        }
        crew.until(
                "have it understood",
                d -> d.findElements(org.openqa.selenium.By.cssSelector(".say .button-main:not(:disabled)"))
                                        .isEmpty()
                                && !words[0].contains("short")
                        ? null
                        : true);
    }

    private void shotFrom(String base, String slate) {
        crew.press("New shot from " + base);
        crew.fill("Slate", slate);
        crew.press("Make shot");
        crew.until("be in " + slate, d -> crew.text("header h1").equals(slate) ? true : null);
    }

    private void openSlate(String slate) {
        Object id = crew.fetch("const book = await (await fetch('/api/book')).json();"
                + "return book.productions[0].scenes.flatMap(s => s.shots).find(s => s.slate == '" + slate + "').id");
        crew.open("/shots/" + id + "/plot");
        crew.until("be in " + slate, d -> crew.text("header h1").equals(slate) ? true : null);
        crew.see(".ladder svg");
    }

    private static String valueOf(String slate, String attribute) {
        return "const book = await (await fetch('/api/book')).json();"
                + "const id = book.productions[0].scenes.flatMap(s => s.shots).find(s => s.slate == '" + slate
                + "').id;"
                + "return (await (await fetch('/api/shots/' + id + '/plot')).json()).placements.find(p => p.placement.key == 'key').values."
                + attribute;
    }
}
