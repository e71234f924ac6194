package org.oblume.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.rig.RunningRig;

/** Takes the pictures of docs/screenshots from the demo data: {@code ./oblume screenshots}. */
@Tag("screenshots")
class ScreenshotsIT {

    private static final Path FOLDER = Path.of("../docs/screenshots");
    /** For whoever took them: a view that changed and was not meant to. */
    private static final Path CHANGES = Path.of("target/screenshots.txt");

    /** A day's work on 4C and 4D: ticks, takes and a note. */
    private static final String A_DAYS_WORK =
            """
            const head = { 'Content-Type': 'application/json' };
            await fetch('/api/shots/3/knots', { method: 'POST', headers: head, body: JSON.stringify({ reason: 'FIX', note: 'A little less on the shelves.',
              changes: [{ placement: 'ambience', attribute: 'LEVEL', value: { percent: 5 }, revision: 1 }] }) });
            for (const key of ['mark-1', 'camera', 'ambience', 'bench-lamp', 'valve-glow'])
              await fetch(`/api/shots/4/rebuild/${key}`, { method: 'PUT', headers: head });
            for (const [note, circled] of [['soft on his hands', false], ['lamp flickered', false], ['', true]])
              await fetch('/api/shots/3/takes', { method: 'POST', headers: head, body: JSON.stringify({ note, circled }) });
            await fetch('/api/shots/3/notes?placement=key', { method: 'POST', headers: head, body: JSON.stringify({ text: 'The muslin sags by the door post: clip it twice.' }) });
            for (const key of ['window-net/bring', 'key/shift'])
              await fetch('/api/moves/ticks', { method: 'PUT', headers: head, body: JSON.stringify({ from: 'shot-2', to: 'shot-3', key }) });""";

    /** All that is seen in the demo's pictures of 17A, and what the key points at. */
    private static final String TAPPED =
            """
            const cameras = [[0.5, 0.6, 1.6, 52], [10.4, 0.6, 1.6, 322], [10.3, 5.6, 1.7, 256]];
            const seen = ([cx, cy, cz, bearing], { xM, yM, zM }, { widthPx: w, heightPx: h }) => {
              const turn = (bearing * Math.PI) / 180;
              const deep = (xM - cx) * Math.sin(turn) + (yM - cy) * Math.cos(turn);
              const right = (xM - cx) * Math.cos(turn) - (yM - cy) * Math.sin(turn);
              const f = (24 / 36) * w;
              return deep > 0 ? { u: w / 2 + (f * right) / deep, v: h / 2 - (f * (zM - cz)) / deep } : { u: -1, v: -1 };
            };
            const survey = await (await fetch('/api/shots/9/survey')).json();
            for (const [i, photo] of survey.photos.entries()) {
              const all = [
                ...survey.landmarks.map((l) => [{ landmark: l.name }, { ...l.at, zM: l.heightM }]),
                ...survey.things.filter((t) => t.recorded && t.key !== 'key').map((t) => [{ placement: t.key }, t.recorded]),
                [{ placement: 'key' }, { xM: 7.6, yM: 6.2, zM: 2.4 }],
                [{ aimOf: 'key' }, { xM: 6.2, yM: 4.4, zM: 1 }],
              ];
              const taps = all.map(([of, at]) => ({ ...of, ...seen(cameras[i], at, photo) }))
                .filter((t) => t.u > 0 && t.u < photo.widthPx && t.v > 0 && t.v < photo.heightPx);
              await fetch(`/api/shots/9/survey/photos/${photo.id}`, { method: 'PUT',
                headers: { 'Content-Type': 'application/json', 'If-Match': `"${photo.version}"` }, body: JSON.stringify({ taps }) });
            }""";

    @Test
    void everyMainView() throws IOException {
        try (RunningRig rig = RunningRig.start(0, 0);
                RunningOblume oblume = RunningOblume.withRig(RunningOblume.newData(), rig);
                Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            crew.see("main article");
            crew.fetch(A_DAYS_WORK);
            crew.open("/");
            crew.seeText("Reverse: the visitor at the counter");
            take(crew, "book");

            crew.open("/shots/3/plot");
            crew.pressCss("[data-key=key]");
            crew.seeText("from window post");
            take(crew, "plot");
            crew.open("/shots/3/power");
            crew.seeText("Over day 2");
            take(crew, "power");
            crew.open("/shots/1/frame");
            crew.until(
                    "see the whole picture and the strip",
                    d -> crew.script(
                                            "return document.querySelector('.stage img:not(.coarse)') && !document.querySelector('progress')"
                                                    + " && document.querySelectorAll('nav.strip img').length === 6")
                                    == Boolean.TRUE
                            ? true
                            : null);
            take(crew, "frame");

            crew.open("/shots/3/light");
            crew.choose("Lay another shot’s rose over it", "4A");
            crew.seeText("Roses, 4A and 4C");
            take(crew, "light");

            crew.open("/shots/3/set");
            crew.press("shop window");
            take(crew, "set");

            crew.open("/shots/3/carry");
            crew.press("What to do from 4B to 4C");
            crew.seeText("4B to 4C");
            take(crew, "carry");
            crew.fetch(TAPPED);
            crew.open("/shots/9/survey");
            crew.seeText("Key points another way");
            take(crew, "photographs");

            crew.open("/shots/3/stills");
            crew.seeText("The face holds");
            crew.settled();
            take(crew, "stills");

            crew.open("/shots/3/match");
            crew.pressCss("tr[data-shot='4D'] th button");
            crew.see("tr[data-aspect=RATIO]");
            take(crew, "match");
            aRebuildOfTheCloseShot(crew);
            theNetwork(crew);

            crew.open("/productions/1/days/2");
            crew.press("Best order");
            crew.seeText("Take this order");
            take(crew, "day");
            crew.open("/productions/1/kit?unit=2");
            crew.seeText("Instead: Heron 1");
            crew.seeText("Where it is used");
            crew.settled();
            take(crew, "kit");

            crew.open("/find?q=muslin");
            crew.see("a.row img");
            crew.settled();
            take(crew, "find");
            crew.open("/archive/1");
            crew.seeText("Take it along");
            take(crew, "archive");

            crew.phone();
            crew.open("/shots/4/rebuild");
            crew.seeText("of 10");
            take(crew, "rebuild-phone");
            crew.open("/shots/4/walk");
            crew.pressCss("[aria-label^='Key:']");
            crew.seeText("drawn, not measured");
            take(crew, "walk-phone");
        }
    }

    /** A light on the slots of another; a shot that is live while a knob is turned and a tube came back in another mode. */
    private static void theNetwork(Browser crew) throws IOException {
        crew.fetch(
                """
                const put = (path, body) => fetch(path, { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' }, body: JSON.stringify(body) });
                await put('/api/shots/4/placements/edge/PATCH', { reason: 'FIX', value: { universe: 1, address: 105, slots: 8, mode: '16-bit white' } });
                await put('/api/shots/4/placements/street-sign/PATCH', { reason: 'FIX', value: { universe: 9, address: 1, slots: 6, mode: '8-bit white', path: 'WIRELESS' } });""");
        crew.open("/shots/4/patch");
        crew.seeText("2 conflicts");
        take(crew, "patch");
        crew.open("/shots/3/recall");
        crew.press("Hang it as recorded in 4C");
        crew.press("Arm output…");
        crew.press("Arm output");
        crew.seeText("Armed, nothing is sent");
        crew.fill("fade, seconds", "0");
        crew.press("Recall 4C");
        crew.seeText("All 6 stand as recorded");
        crew.fetch(
                """
                const fail = (unit, kind) => fetch(`/api/rig/units/${unit}/faults`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ kind }) });
                await fail('Wren', 'KNOB');
                await fail('Eel 1', 'WRONG_MODE');""");
        crew.seeText("4 of 6 stand as recorded");
        take(crew, "recall");
        crew.press("Stop all");
    }

    /** Day 4: the close shot is rebuilt and metered. */
    private static void aRebuildOfTheCloseShot(Browser crew) throws IOException {
        Object run = crew.fetch(
                """
                const send = (path, body) => fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }).then(r => r.json());
                const run = (await send('/api/shots/3/runs', { name: 'Day 4, pick-ups', pairs: [], mirrored: false })).run.id;
                for (const key of ['mark-1', 'camera', 'ambience', 'bench-lamp', 'valve-glow', 'key']) await fetch(`/api/runs/${run}/steps/${key}`, { method: 'PUT' });
                for (const line of ['all T2.8, 4240 K, lit 46, shadow 16, background 10', 'key alone 83 lux, 4310 K', 'ambience alone 16 lux, 4980 K', 'edge alone 205 lux, 3200 K'])
                  await send('/api/shots/3/readings', { line, run, sure: true });
                return String(run)""");
        crew.open("/shots/3/meter?run=" + run);
        crew.see("table.log tbody th");
        take(crew, "meter");
    }

    /** Takes a picture and tells how much of it is another than in the one that is kept; one that is the same is left as it is. */
    private static void take(Browser crew, String name) throws IOException {
        crew.fetch(
                "await document.fonts.ready; await new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        Path kept = FOLDER.resolve(name + ".png");
        Path now = Files.createTempFile(name, ".png");
        crew.picture(now);
        double changed = PictureComparison.changed(kept, now);
        if (changed > 0) {
            Files.copy(now, kept, StandardCopyOption.REPLACE_EXISTING);
            Files.writeString(
                    CHANGES,
                    "%s: %.1f %% of it changed%n".formatted(name, 100 * changed),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        }
        Files.delete(now);
    }
}
