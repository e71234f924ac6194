package org.oblume.e2e;

import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Takes the pictures of docs/screenshots from the demo data: {@code ./oblume screenshots}. */
@Tag("screenshots")
class ScreenshotsIT {

    private static final Path FOLDER = Path.of("../docs/screenshots");
    /** Makes 4C from 4A and 4D from 4C, the way the README's guide does, and answers their ids. */
    private static final String CLOSE_SHOT_AND_REVERSE = """
            const head = { 'Content-Type': 'application/json' };
            const shot = async (slate, description, basedOnId) => (await (await fetch('/api/scenes/1/shots', { method: 'POST', headers: head,
              body: JSON.stringify({ slate, description, day: 1, stage: 'PLANNED', basedOnId }) })).json()).id;
            const tie = (id, key, attribute, body) => fetch(`/api/shots/${id}/placements/${key}/${attribute}`,
              { method: 'PUT', headers: { ...head, 'If-Match': '0' }, body: JSON.stringify(body) });
            const close = await shot('4C', 'Close on the repairer at the bench', 1);
            await tie(close, 'key', 'PLACE', { value: { xM: 5.0, yM: 3.95, outside: false }, reason: 'MATCH', note: 'In for the close-up; the frame comes along.' });
            await tie(close, 'key', 'LEVEL', { text: '24', reason: 'MATCH' });
            await tie(close, 'edge', 'PLACE', { value: { xM: 2.5, yM: 3.6, outside: false }, reason: 'CHEAT', note: 'Off the reflection in the shelf glass.' });
            await tie(close, 'camera', 'PLACE', { value: { xM: 6.4, yM: 1.6, outside: false }, reason: 'LOOK' });
            await tie(close, 'camera', 'LENS', { text: '50', reason: 'LOOK' });
            const reverse = await shot('4D', 'Reverse from the counter', close);
            for (const key of ['mark-1', 'camera', 'ambience', 'bench-lamp', 'valve-glow'])
              await fetch(`/api/shots/${reverse}/rebuild/${key}`, { method: 'PUT', headers: head });
            return close + ' ' + reverse""";

    @Test
    void everyMainView() {
        try (RunningOblume oblume = RunningOblume.withDemo(RunningOblume.newData());
                Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            crew.see("main article");
            String[] ids = ((String) crew.fetch(CLOSE_SHOT_AND_REVERSE)).split(" ");
            crew.open("/");
            crew.seeText("Reverse from the counter");
            take(crew, "book");

            crew.open("/shots/" + ids[0] + "/plot");
            crew.see("[data-key=key]");
            crew.seeText("Changed from 4A");
            take(crew, "plot-shot");
            crew.pressCss("[data-key=key]");
            crew.seeText("from window post");
            take(crew, "plot");
            crew.press("Daylight");
            take(crew, "plot-daylight");
            crew.press("Dark set");

            crew.see("#say-it").sendKeys("edge down 1 stop, key closer 40 cm hold");
            crew.until("hear it", d -> crew.text("#say-echo").contains("held at") ? true : null);
            take(crew, "plot-say");
            crew.press("Not that Esc");

            crew.open("/shots/" + ids[0] + "/light");
            crew.choose("Lay another shot’s rose over it", "4A");
            crew.seeText("Roses, 4A and 4C");
            take(crew, "light");

            crew.open("/shots/" + ids[0] + "/set");
            crew.press("shop window");
            take(crew, "set");

            threeTries(crew);
            take(crew, "tries");

            for (String bench : new String[] {"colour", "correction", "exposure", "distance", "tape", "power"}) {
                crew.open("/bench/" + bench);
                crew.see("[data-found], [data-rank]");
                take(crew, "bench-" + bench);
            }

            crew.open("/shots/" + ids[1] + "/rebuild");
            crew.seeText("5 of 9 done");
            take(crew, "rebuild");
            crew.phone();
            crew.open("/shots/" + ids[1] + "/rebuild");
            crew.seeText("of 9");
            take(crew, "rebuild-phone");
        }
    }

    /** Three ways with the ceiling tubes of 17A, compared. */
    private static void threeTries(Browser crew) {
        Object id = crew.fetch("return (await (await fetch('/api/book')).json()).productions[0].scenes.flatMap(s => s.shots).find(s => s.slate == '17A').id");
        crew.open("/shots/" + id + "/plot");
        crew.see(".ladder svg");
        for (String line : new String[] {"key 4371 tint +0.007, fill 4150 tint +0.009 no half plus green", "ceiling tubes half minus green",
            "camera white 4150 +0.009"}) {
            crew.see("#say-it").sendKeys(line);
            crew.press("Try first Ctrl Enter");
            crew.press("Record");
        }
        crew.press("Compare");
        crew.seeText("Compared on Passenger");
    }

    private static void take(Browser crew, String name) {
        crew.fetch("await document.fonts.ready; await new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        crew.picture(FOLDER.resolve(name + ".png"));
    }
}
