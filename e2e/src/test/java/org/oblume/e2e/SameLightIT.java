package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** Readings, what they bring together, the match of a scene, and a rebuild that is metered and signed. */
class SameLightIT {

    private static final String BOTH =
            "Muslin, unbleached hangs in Overhead cloth in place of Full silk; and Quarter CTO hangs in place of Eighth CTO at Sun.";

    /** Five places, two lights alone, as the light of the shot would be with the two things otherwise. */
    private static final String READ_WITH_TWO_THINGS_WRONG =
            """
            const hung = (placement, name, stops, miredShift, duvShift, softens) => ({ placement, attribute: 'MODIFIERS', value: { items: [{ name, stops, miredShift, duvShift, softens }] } });
            const changes = [hung('sun', 'Quarter CTO', 0.3, 42, 0, false), hung('overhead', 'Muslin, unbleached', 2.3333, 12, 0.001, true)];
            const marks = async (out) => (await (await fetch('/api/shots/%s/light', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ changes, holds: [], out }) })).json()).light.marks;
            const white = (at) => `${Math.round(at.kelvin)} K ${at.duv < 0 ? '-' : '+'}${Math.abs(at.duv).toFixed(4)}`;
            const place = (name, at) => `${name} ${at.lux.toFixed(1)} lux ${white(at)}`;
            const alone = async (key, name) => {
              const [mark] = await marks(['sun', 'sky', 'ambience', 'edge'].filter((k) => k !== key));
              const facing = mark.from.find((f) => f.key === key).facing.lux;
              return `${name} alone ${facing.toFixed(1)} lux ${white(mark.lit)}`;
            };
            const [face, streak] = await marks([]);
            return [
              `all ${place('lit', face.lit)}, ${place('shadow', face.shadow)}, ${place('background', face.background)}`,
              `streak all ${place('lit', streak.lit)}, ${place('shadow', streak.shadow)}`,
              await alone('sun', 'Sun'),
              await alone('sky', 'Morning sky'),
            ];
            """;

    private static RunningOblume oblume;
    private static Browser gaffer;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        gaffer = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        gaffer.close();
        oblume.close();
    }

    @BeforeEach
    void sitDown() {
        gaffer.laptop();
    }

    @AfterEach
    void leave() {
        assertThat(gaffer.complaints()).isEmpty();
    }

    /** Story 2: tubes that stay on. */
    @Test
    void tubesThatStayOnAreAgreedWithInOneOfThreeWaysAndTheReasonStays() {
        String shot = shot("17A");
        gaffer.open("/shots/%s/plot".formatted(shot));
        gaffer.pressCss("[data-key=key]");
        gaffer.type("CCT", "4150");
        gaffer.reads("CCT", "4150 K");
        gaffer.open("/shots/%s/meter".formatted(shot));
        read("Ceiling tubes alone 4150 K +0.009");
        read("Key alone 3950 K +0.002");
        choose("white-of", "Ceiling tubes");
        check("Key");
        gaffer.seeText("Key: dial 4371 K, 0.007");
        gaffer.seeText("hang Half minus green");
        gaffer.seeText("Set the camera’s white");
        gaffer.press("Try each of them on the mark");
        gaffer.seeText("Try C");
        gaffer.press("Compare");
        gaffer.until(
                "see all three compared",
                d -> gaffer.text("[role=dialog]").contains("Try C")
                                && gaffer.text("[role=dialog]").contains("4371 K")
                        ? true
                        : null);
        gaffer.press("Close");
        gaffer.pressCss("[aria-label=Tries] .chip.tried");
        gaffer.press("Keep try A");
        gaffer.fill("Why this one; it stays with the record", "The tubes cannot be reached to gel them");
        gaffer.press("Keep it");
        gaffer.gone("[role=dialog]");
        gaffer.open("/shots/%s/log".formatted(shot));
        gaffer.seeText("The tubes cannot be reached to gel them");
        gaffer.open("/shots/%s/plot".formatted(shot));
        gaffer.pressCss("[data-key=key]");
        gaffer.reads("CCT", "4371 K");
        gaffer.reads("TINT", "+0.007 green");
    }

    /** Story 7: the reverse. */
    @Test
    void aKeyThatCrossesIsReportedUntilItIsCalledACheatAndThenTheCheckKeepsQuiet() {
        String shot = shot("4D");
        move(shot, "match", "1.90, 1.20", "Out of the picture");
        gaffer.open("/shots/%s/match".formatted(shot));
        gaffer.until(
                "see that the key jumped",
                d -> gaffer.text("tr[data-shot='4D']").contains("Key comes from the other side of the world")
                        ? true
                        : null);
        move(shot, "cheat", "1.95, 1.20", "On its own side the stand would show in the glass");
        gaffer.open("/shots/%s/match".formatted(shot));
        gaffer.until(
                "see it called a cheat", d -> gaffer.text("tr[data-shot='4D']").contains("cheat") ? true : null);
        assertThat(gaffer.text("tr[data-shot='4D']")).doesNotContain("other side of the world");
        assertThat(gaffer.text("[aria-label=Explained]"))
                .contains("On its own side the stand would show in the glass", "gaffer", "keeps quiet");
        gaffer.press("All figures of 4D");
        gaffer.until(
                "see the line stilled",
                d -> gaffer.see("[data-aspect=KEY_SIDE]")
                                .getDomAttribute("data-verdict")
                                .equals("WAIVED")
                        ? true
                        : null);
    }

    @Test
    void aLineThatIsRightByEyeIsStilledWithItsReasonAndTolerancesAreEdited() {
        gaffer.open("/shots/%s/match".formatted(shot("4F")));
        gaffer.press("All figures of 4F");
        String aspect = gaffer.see("tr[data-verdict=OUT]").getDomAttribute("data-aspect");
        gaffer.pressCss("tr[data-aspect=%s] .remedy button".formatted(aspect));
        gaffer.fill("Why it is right by eye", "an insert may be darker");
        gaffer.press("Say it");
        gaffer.until(
                "see it stilled",
                d -> gaffer.text("[aria-label=Explained]").contains("an insert may be darker") ? true : null);
        gaffer.press("sweeten");
        gaffer.until(
                "see looser tolerances",
                d -> gaffer.text("tr[data-aspect=RATIO]").contains("±2/3 stop") ? true : null);
    }

    /** Story 9: three lamps that should match. */
    @Test
    void lampsDialledTheSameAreEachGivenADialThatMeasuresTheSame() {
        String shot = shot("4F");
        for (int i = 1; i <= 3; i++) {
            String key = "lantern-" + i;
            assertThat(gaffer.open("/shots/%s/plot".formatted(shot))
                            .fetch(
                                    """
                    const at = '/api/shots/%s/placements/valve-glow/copies';
                    const made = await fetch(at, { method: 'POST', headers: { 'Content-Type': 'application/json' },
                      body: JSON.stringify({ name: 'Lantern %d', place: { xM: %d, yM: 2, outside: false }, reason: 'LOOK' }) });
                    const dialled = await fetch('/api/shots/%s/placements/%s/CCT', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': '"1"' },
                      body: JSON.stringify({ text: '2900', reason: 'LOOK' }) });
                    return made.status + ' ' + dialled.status"""
                                            .formatted(shot, i, i + 1, shot, key)))
                    .isEqualTo("201 200");
        }
        gaffer.open("/shots/%s/meter".formatted(shot));
        read("Lantern 1 alone 2900 K");
        read("Lantern 2 alone 3080 K");
        read("Lantern 3 alone 2760 K");
        choose("white-of", "Lantern 1");
        check("Lantern 2");
        check("Lantern 3");
        gaffer.seeText("Lantern 2: dial 2740 K");
        gaffer.seeText("Lantern 3: dial 3055 K");
        gaffer.press("Try each of them on the mark");
        gaffer.pressCss("[aria-label=Tries] .chip.tried");
        gaffer.press("Keep try A");
        gaffer.press("match");
        gaffer.press("Keep it");
        gaffer.gone("[role=dialog]");
        gaffer.open("/shots/%s/plot".formatted(shot));
        gaffer.pressCss("[data-key=lantern-2]");
        gaffer.reads("CCT", "2740 K");
    }

    /** Story 8: back on day 4, with less. Two people on one run, one of them on a phone. */
    @Test
    void backOnDayFourWithLessTheLightIsTheSameAndTheLeadSigns() {
        String shot = shot("4C");
        assertThat(gaffer.fetch(
                        "const d = await (await fetch('/api/productions/1/days/4')).json(); return (await fetch('/api/productions/1/days/4/order', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': `\"${d.version}\"` }, body: JSON.stringify({ shots: [...d.slots.map((s) => s.shotId), %s] }) })).status"
                                .formatted(shot)))
                .isEqualTo(200L);
        String run = rebuilt(shot, "Day 4, pick-ups");
        try (Browser grip = new Browser(oblume.address())) {
            grip.phone();
            grip.goIn("crew");
            grip.open("/shots/%s/rebuild?run=%s".formatted(shot, run));
            grip.seeText("Day 4, pick-ups");
            grip.press("Done");
            gaffer.seeText("1 of 10 done");
            theKeyIsReplaced(grip);
            aTapeIsReadWrongAndTheThirdShowsIt(grip);
            grip.press("Done");
            gaffer.seeText("2 of 10 done");
            assertThat(grip.complaints()).isEmpty();
        }
        theMeterAgrees(shot, run);
        gaffer.press("Sign this verdict");
        gaffer.seeText("Signed by gaffer");
        assertThat(gaffer.fetch(
                        "const pdf = await fetch('/api/runs/%s/paper/verdict.pdf'); return pdf.status + ' ' + pdf.headers.get('Content-Type')"
                                .formatted(run)))
                .isEqualTo("200 application/pdf");
        gaffer.open("/shots/%s/match".formatted(shot));
        gaffer.until(
                "see the rebuild in the scene's report",
                d -> gaffer.text("tr[data-run='%s']".formatted(run)).contains("signed by gaffer") ? true : null);
    }

    /** Story 18: the key has the wrong gel, and the cloth that hangs over all of it is the unbleached one. */
    @Test
    void twoWrongThingsAreBothNamedAndHoldsCannotBeSignedBefore() {
        String shot = shot("11B");
        String run = rebuilt(shot, "Pick-ups");
        gaffer.open("/runs/%s/verdict".formatted(run));
        gaffer.seeText("Not proved.");
        assertThat(gaffer.see("form .button").isEnabled()).isFalse();
        List<?> lines = (List<?>) gaffer.fetch(READ_WITH_TWO_THINGS_WRONG.formatted(shot));
        gaffer.open("/shots/%s/meter?run=%s".formatted(shot, run));
        lines.forEach(line -> read(String.valueOf(line)));
        gaffer.seeText(BOTH);
        assertThat(gaffer.text("[aria-label='What is wrong'] li"))
                .startsWith("likely")
                .contains(BOTH);
        gaffer.open("/runs/%s/verdict".formatted(run));
        gaffer.seeText("Does not hold");
        gaffer.press("Sign this verdict");
        gaffer.seeText("Signed by gaffer");
        assertThat(gaffer.text("[aria-label='What is wrong']"))
                .as("what the readings said stays on the signed page")
                .contains(BOTH)
                .doesNotContain("To tell them apart");
    }

    @Test
    void theShopBuiltOnTheStageIsFittedByItsLandmarksAndSaysWhatDoesNotFit() {
        gaffer.open("/shots/%s/rebuild".formatted(shot("4A")));
        gaffer.press("Rebuild anew…");
        gaffer.press("in the same place");
        gaffer.press("Repair shop, built on the stage");
        gaffer.seeText("The plan is turned by 90°.");
        gaffer.until(
                "see what does not fit",
                d -> gaffer.text("[aria-label='What does not fit']")
                                .contains("Camera would stand 0.30 m outside the walls.")
                        ? true
                        : null);
        check("built the other way round: left and right change places");
        gaffer.until(
                "see that mirrored it lies elsewhere",
                d -> gaffer.text("[role=dialog]").contains("turned by 90°") ? null : true);
        gaffer.see("[role=dialog] input[type=checkbox]").click();
        gaffer.seeText("The plan is turned by 90°.");
        gaffer.fill("What it is called", "On the stage");
        gaffer.press("Begin");
        gaffer.seeText("in Repair shop, built on the stage");
        gaffer.press("Skip step");
        gaffer.until(
                "see it at its step",
                d -> gaffer.text(".scroll").contains("Camera would stand 0.30 m outside the walls.") ? true : null);
    }

    @Test
    void aShotThatIsChangedWhileItIsRebuiltSaysSoAndOneGoesOn() {
        String shot = shot("17B");
        gaffer.open("/shots/%s/rebuild".formatted(shot));
        gaffer.press("Done");
        gaffer.seeText("1 of 7 done");
        assertThat(gaffer.fetch(
                        "return (await fetch('/api/shots/%s/placements/key/LEVEL', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': '\"1\"' }, body: JSON.stringify({ text: '55', reason: 'FIX' }) })).status"
                                .formatted(shot)))
                .isEqualTo(200L);
        gaffer.open("/shots/%s/rebuild".formatted(shot));
        gaffer.seeText("was changed since this rebuild began");
        gaffer.seeText("70 to 55 %");
        gaffer.press("Go on with it as it is now");
        gaffer.until("see no more of it", d -> gaffer.text().contains("was changed since") ? null : true);
        gaffer.seeText("1 of 7 done");
    }

    /** Begins a rebuild of that name. */
    private static String rebuilt(String shot, String name) {
        gaffer.open("/shots/%s/rebuild".formatted(shot));
        gaffer.press("Rebuild anew…");
        gaffer.fill("What it is called", name);
        gaffer.press("Begin");
        gaffer.until("be in the rebuild", d -> gaffer.path().contains("run=") ? true : null);
        return gaffer.path().replaceAll(".*run=", "");
    }

    private static void theKeyIsReplaced(Browser grip) {
        while (!grip.text("article h2").startsWith("Key")) {
            String before = grip.text("article h2");
            grip.press("Skip step");
            grip.until("see another step", d -> grip.text("article h2").equals(before) ? null : true);
        }
        grip.seeText("Heron 2 is out on hire until 20 Nov: not there on day 4.");
        grip.press("Not as recorded");
        check(grip, "the unit, Heron 2");
        check(grip, "Quarter CTO");
        grip.press("What reaches the same light?");
        grip.see("[aria-label=Substitutes] [data-reaches=true]");
        assertThat(grip.text("[aria-label=Substitutes] [data-reaches=true]"))
                .startsWith("Heron 1, Bicolour LED spot 300 W");
        assertThat(grip.text("[aria-label=Substitutes]")).doesNotContain("Gannet", "Pipit", "Sprat");
        grip.pressCss("[aria-label=Substitutes] [data-reaches=true] button");
        grip.gone("[role=dialog]");
        grip.seeText("Heron 1");
        assertThat(grip.text("article")).contains("Not as recorded:", "missing: unit, Quarter CTO");
    }

    private static void aTapeIsReadWrongAndTheThirdShowsIt(Browser grip) {
        grip.press("Check the tapes…");
        var labels = grip.texts("[role=dialog] label span span:first-child");
        var right = grip.texts("[role=dialog] label span span:last-child").stream()
                .map(t -> t.replaceAll("[^\\d.]", ""))
                .toList();
        assertThat(labels).hasSize(3);
        grip.fill(labels.get(0), "%.2f".formatted(Double.parseDouble(right.get(0)) + 0.2));
        grip.fill(labels.get(1), right.get(1));
        grip.fill(labels.get(2), right.get(2));
        grip.press("Check");
        grip.until(
                "see the wrong tape named",
                d -> grip.text("[role=dialog] [role=status]")
                                .contains("the tape from " + labels.get(0).replace("A from ", ""))
                        ? true
                        : null);
        grip.fill(labels.get(0), right.get(0));
        grip.press("Check");
        grip.until(
                "see them agree",
                d -> grip.text("[role=dialog] [role=status]").contains("stands where it should") ? true : null);
        grip.press("Close");
        grip.gone("[role=dialog]");
    }

    private void theMeterAgrees(String shot, String run) {
        gaffer.open("/runs/%s/verdict".formatted(run));
        gaffer.seeText("Key alone: stop and colour");
        gaffer.seeText("Not proved. Nobody read in this rebuild: all lights at Repairer, lit cheek and shadow cheek.");
        gaffer.seeText("Nothing was read yet.");
        assertThat(gaffer.see("form .button").isEnabled())
                .as("nobody signs it without a reason")
                .isFalse();
        gaffer.press("To the meter");
        gaffer.see("input[aria-label=Reading]");
        Object lux = gaffer.fetch(
                "return String((await (await fetch('/api/shots/%s/readings?run=%s')).json()).lights.find(l => l.key == 'key').predicted.metric.replace(/.*?([\\d.]+) lux/, '$1'))"
                        .formatted(shot, run));
        gaffer.fill("Reading", "Key alone %.0f lux".formatted(Double.parseDouble(String.valueOf(lux)) * 30));
        gaffer.see("input[aria-label=Reading]").sendKeys(Keys.ENTER);
        gaffer.seeText("over what is predicted. Likely: level, distance or beam");
        read("Key alone %s lux, 4200 K".formatted(lux));
        read("all 88 lux, 4160 K, lit 46, shadow 16, background 10");
        gaffer.open("/runs/%s/verdict".formatted(run));
        gaffer.until(
                "see the key hold",
                d -> gaffer.see("tr[data-head=key]")
                                .getDomAttribute("data-verdict")
                                .equals("HOLDS")
                        ? true
                        : null);
        gaffer.seeText("Holds.");
        gaffer.seeText("What the readings say");
        gaffer.seeText("missing: unit, Quarter CTO");
    }

    private void read(String line) {
        int before = gaffer.texts("table.log tbody tr").size();
        gaffer.fill("Reading", line);
        gaffer.see("input[aria-label=Reading]").sendKeys(Keys.ENTER);
        gaffer.until(
                "see “%s” kept".formatted(line),
                d -> gaffer.texts("table.log tbody tr").size() > before ? true : null);
    }

    private void move(String shot, String reason, String place, String note) {
        gaffer.open("/shots/%s/plot".formatted(shot));
        gaffer.pressCss("[data-key=key]");
        gaffer.press(reason);
        gaffer.fill("Note kept with the next change", note);
        gaffer.type("PLACE", place);
        gaffer.reads("PLACE", place.replace(", ", " m right, ") + " m up");
    }

    private void choose(String id, String option) {
        gaffer.until("choose " + option, d -> gaffer.see("#" + id).findElements(By.tagName("option")).stream()
                .filter(o -> o.getText().equals(option))
                .findFirst()
                .map(o -> {
                    o.click();
                    return true;
                })
                .orElse(null));
    }

    private void check(String label) {
        check(gaffer, label);
    }

    private static void check(Browser who, String label) {
        who.until(
                "check " + label, d -> d
                        .findElements(
                                By.xpath("//label[normalize-space()=\"%s\"]/input[@type='checkbox']".formatted(label)))
                        .stream()
                        .findFirst()
                        .map(box -> {
                            if (!box.isSelected()) {
                                box.click();
                            }
                            return box.isSelected() ? true : null;
                        })
                        .orElse(null));
    }

    private String shot(String slate) {
        return String.valueOf(gaffer.open("/")
                .fetch(
                        "return String((await (await fetch('/api/book')).json()).productions.flatMap(p => p.scenes).flatMap(s => s.shots).find(s => s.slate == '%s').id)"
                                .formatted(slate)));
    }
}
