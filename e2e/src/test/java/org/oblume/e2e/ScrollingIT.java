package org.oblume.e2e;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Measures how the carry board of 120 placements and 60 shots scrolls: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class ScrollingIT {

    /** Scrolls down and to the right as fast as frames come, for five seconds, and answers the time from frame to frame. */
    private static final String SCROLL =
            """
            const board = document.querySelector('[role=grid]');
            const times = [];
            let last = performance.now();
            const end = last + 5000;
            await new Promise((done) => {
              const step = (now) => {
                times.push(now - last);
                last = now;
                board.scrollTop = (board.scrollTop + 45) % (board.scrollHeight - board.clientHeight);
                board.scrollLeft = (board.scrollLeft + 30) % (board.scrollWidth - board.clientWidth);
                if (now < end) requestAnimationFrame(step); else done();
              };
              requestAnimationFrame(step);
            });
            times.sort((a, b) => a - b);
            const at = (part) => times[Math.floor(times.length * part)].toFixed(1);
            return `${times.length} frames in 5 s, frame to frame median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, ${board.querySelectorAll('[role=gridcell]').length} cells drawn`;""";

    @Test
    void theBoardIsScrolled() throws Exception {
        try (RunningOblume oblume = RunningOblume.asShipped(RunningOblume.newData());
                Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            crew.imports(BigScene.file());
            Object shot =
                    crew.fetch("return (await (await fetch('/api/book')).json()).productions[0].scenes[0].shots[0].id");
            crew.open("/shots/" + shot + "/carry");
            crew.see("[role=gridcell]");
            crew.fetch(SCROLL);
            System.out.println("MEASURED carry board of 120 × 60, scrolled: " + crew.fetch(SCROLL));
        }
    }
}
