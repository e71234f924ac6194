package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Measures what docs/performance.md reports of dragging a head on a busy plot: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class DraggingIT {

    private static final int WARM_UP = 60;
    private static final int ROUNDS = 60;
    private static final String TRIED =
            """
            {"changes":[{"placement":"head-7","attribute":"PLACE","value":{"xM":%.2f,"yM":3.1,"outside":false}}],"holds":[],"out":[]}""";
    /** Drags a head round in a circle for some seconds, a step each frame, and tells the time between frames. */
    private static final String DRAG =
            """
            const head = document.querySelector('[data-key=head-7]'), box = head.getBoundingClientRect();
            const [cx, cy] = [box.left + box.width / 2, box.top + box.height / 2];
            const at = (type, x, y) => new PointerEvent(type, { clientX: x, clientY: y, pointerId: 1, button: 0, bubbles: true });
            const svg = head.closest('svg'); svg.setPointerCapture = () => {};
            let asked = 0; const real = window.fetch; window.fetch = (...a) => { if (String(a[0]).endsWith('/light')) asked++; return real(...a) };
            head.dispatchEvent(at('pointerdown', cx, cy));
            const gaps = []; let last = performance.now(); const start = last;
            await new Promise(done => { const step = now => {
              gaps.push(now - last); last = now;
              const t = (now - start) / 400;
              svg.dispatchEvent(at('pointermove', cx + 40 * Math.sin(t), cy + 40 - 40 * Math.cos(t)));
              now - start < 5000 ? requestAnimationFrame(step) : done();
            }; requestAnimationFrame(step) });
            svg.dispatchEvent(at('pointerup', cx, cy)); window.fetch = real;
            gaps.sort((a, b) => a - b);
            return JSON.stringify({ frames: gaps.length, median: gaps[gaps.length >> 1], p95: gaps[Math.floor(gaps.length * .95)], asked });""";

    @Test
    void draggingIsMeasured() throws Exception {
        for (int heads : new int[] {10, 40, 80}) {
            try (RunningOblume oblume = RunningOblume.asShipped(RunningOblume.newData())) {
                Person gaffer = Person.lead(oblume);
                gaffer.post("/api/scenes/import", BusyPlot.file(heads));
                long shot = gaffer.get("/api/book")
                        .at("/productions/0/scenes/0/shots/0/id")
                        .asLong();
                List<Double> times = new ArrayList<>();
                for (int i = 0; i < WARM_UP + ROUNDS; i++) {
                    long start = System.nanoTime();
                    JsonNode answer = gaffer.post("/api/shots/" + shot + "/light", TRIED.formatted(2 + i / 100.0));
                    if (i >= WARM_UP) {
                        times.add((System.nanoTime() - start) / 1e6);
                    }
                    assertThat(answer.at("/light/marks")).hasSize(BusyPlot.MARKS);
                }
                Collections.sort(times);
                System.out.printf(
                        "MEASURED a tried move of %d heads, over HTTP: median %.1f ms, 95th percentile %.1f ms%n",
                        heads, times.get(ROUNDS / 2), times.get((int) (ROUNDS * 0.95)));
                try (Browser crew = new Browser(oblume.address())) {
                    crew.open("/shots/" + shot + "/plot");
                    crew.see(".ladder svg");
                    crew.fetch(DRAG);
                    System.out.printf(
                            "MEASURED dragging one of %d heads for 5 s, browser: %s%n", heads, crew.fetch(DRAG));
                }
            }
        }
    }
}
