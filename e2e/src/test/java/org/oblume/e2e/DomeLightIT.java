package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.oblume.rig.RunningRig;

/** What changes within a shot, as the person at the board records and runs it. */
class DomeLightIT {

    private static final String SHOT = "/shots/11/";
    private static final String LIGHT = "[aria-label='Light at the mark']";
    private static RunningRig rig;
    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() throws IOException {
        rig = RunningRig.start(0, 0);
        oblume = RunningOblume.withRig(RunningOblume.newData(), rig);
        crew = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
        rig.close();
    }

    private static Object api(String method, String path, String body) {
        return crew.fetch(
                "const r = await fetch('%s', { method: '%s', headers: { 'Content-Type': 'application/json', 'If-Match': '\"1\"' }, body: '%s' }); return r.status"
                        .formatted(path, method, body));
    }

    private static void cue(String order, String when, String wait, String name, String level, String fade) {
        crew.press("Add a cue…");
        crew.see("[role=dialog]");
        crew.fill("Which it is", order);
        crew.fill("When", when);
        crew.fill("Seconds later", wait);
        crew.fill("What it is called", name);
        crew.choose("light", "Cabin light");
        crew.fill("level, %", level);
        crew.fill("fade, s", fade);
        crew.press("Keep");
        crew.seeText("Change…");
        crew.press("Back to 22A");
    }

    /** Story 17. */
    @Test
    void theDomeLightGoesOutFourSecondsAfterTheHatchShuts() {
        crew.open(SHOT + "plot");
        crew.press("Place…");
        crew.see("[role=dialog]");
        crew.press("Bicolour LED spot 60 W");
        crew.fill("What the crew calls it here", "Cabin light");
        crew.fill("Which unit", "Cabin 1");
        crew.press("Place it");
        crew.until("see it placed", d -> crew.text("aside h2").equals("Cabin light") ? true : null);
        assertThat(api(
                        "PUT",
                        "/api/shots/11/placements/cabin-light/PATCH",
                        "{\"value\":{\"path\":\"WIRED\",\"universe\":3,\"address\":41,\"mode\":\"8-bit white\"}}"))
                .as("it is on the network")
                .isEqualTo(200L);
        crew.open(SHOT + "plot");
        cue("2", "the hatch opens", "0", "Hatch opens", "100", "0");
        cue("3", "the hatch shuts", "4", "Hatch shuts", "0", "0.5");
        crew.seeText("3. the hatch shuts, 4 s later: Cabin light 0 % in 0.5 s");

        assertThat(api("POST", "/api/rig/units", "{\"shotId\":11}"))
                .as("it hangs")
                .isEqualTo(200L);
        crew.open(SHOT + "recall");
        crew.press("Arm output…");
        crew.see("[role=dialog]");
        crew.press("Arm output");
        crew.seeText("Armed, nothing is sent");
        crew.fill("fade, seconds", "0");
        crew.press("Recall 22A");
        crew.seeText("22A is live");
        crew.seeText("stand as recorded");
        crew.pressCss("body");
        crew.type("1");
        crew.seeText("At the head, now: Lantern 40 % in 3 s.");
        crew.type("2");
        crew.until("see the cabin light on", d -> level() == 100 ? true : null);
        long shut = System.nanoTime();
        crew.type("3");
        crew.until("see it wait", d -> crew.text("[aria-label=Output]").contains("fading") ? true : null);
        assertThat(level()).as("it waits four seconds").isEqualTo(100);
        crew.until("see the cabin light go out", d -> level() == 0 ? true : null);
        assertThat((System.nanoTime() - shut) / 1e9)
                .as("seconds until it is out")
                .isGreaterThan(4);
        crew.pressCss("[aria-label=Cues] button");
        crew.until("see it on again, at once", d -> level() == 100 ? true : null);
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void theLightIsAskedBeforeAndAfter() {
        crew.open(SHOT + "plot");
        String before = crew.until(
                "see the light at the start", d -> crew.text(LIGHT).contains("meter") ? crew.text(LIGHT) : null);
        crew.press("Light after it");
        crew.until("see other light", d -> crew.text(LIGHT).equals(before) ? null : true);
        crew.press("At the start");
        crew.until("see it as it was", d -> crew.text(LIGHT).equals(before) ? true : null);

        crew.open(SHOT + "frame");
        String start = picture("");
        crew.pressCss(".tile.moment");
        assertThat(picture(start)).as("the picture after it").isNotEqualTo(start);
        crew.pressCss(".tile.moment");
        assertThat(picture("")).isNotEmpty();
    }

    /** Another whole picture than that. */
    private static String picture(String than) {
        return crew.until("see the picture", d -> {
            Object whole = crew.script(
                    "return document.querySelector('progress') ? null : document.querySelector('.stage img:not(.coarse)')?.src");
            return whole == null || whole.equals(than) ? null : whole.toString();
        });
    }

    /** What the bulb of the simulated rig hears, percent; -1 while none hangs. */
    private static long level() {
        Object heard = crew.fetch(
                "const u = (await (await fetch('/api/rig')).json()).units.find((u) => u.answer.unit === 'Cabin 1'); return u ? Math.round(u.answer.dialled.levelPercent) : -1");
        return ((Number) heard).longValue();
    }
}
