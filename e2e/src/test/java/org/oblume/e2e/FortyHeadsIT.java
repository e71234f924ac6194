package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A plot with forty heads stays readable. */
class FortyHeadsIT {

    private static final int HEADS = 40;
    /** Pairs of names whose boxes have more than a hair in common. */
    private static final String NAMES_ON_EACH_OTHER =
            """
            const boxes = [...document.querySelectorAll('.label .name')].map(t => t.getBoundingClientRect());
            let n = 0;
            for (let i = 0; i < boxes.length; i++) for (let j = 0; j < i; j++) {
              const [a, b] = [boxes[i], boxes[j]];
              const w = Math.min(a.right, b.right) - Math.max(a.left, b.left), h = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
              if (w > 4 && h > 4) n++;
            }
            return n""";

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() throws IOException {
        oblume = RunningOblume.empty(RunningOblume.newData());
        crew = new Browser(oblume.address());
        crew.imports(BusyPlot.file(HEADS));
    }

    @BeforeEach
    void open() {
        crew.open("/shots/1/plot");
        crew.until(
                "see all of it",
                d -> crew.texts(".placed").size() == HEADS + BusyPlot.GRIP + BusyPlot.MARKS + 1 ? true : null);
        crew.see(".ladder svg");
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    @Test
    void namesDoNotLieOnEachOtherAndMoreOfThemShowAsOneComesNearer() {
        assertThat((Long) crew.script(NAMES_ON_EACH_OTHER)).isLessThanOrEqualTo(2);
        long far = crew.texts(".label .name").size();
        assertThat(far).isGreaterThan(20);
        for (int i = 0; i < 3; i++) {
            crew.press("Zoom in");
        }
        crew.until("see more names", d -> crew.texts(".label .name").size() > far ? true : null);
        assertThat((Long) crew.script(NAMES_ON_EACH_OTHER)).isLessThanOrEqualTo(2);
    }

    @Test
    void severalAreMovedTogetherAndTakenBackInOne() {
        crew.see("[data-key=head-1]").sendKeys(Keys.ENTER);
        crew.reads("PLACE", "0.70 m right, 0.80 m up");
        crew.pressWithShift(crew.see("[data-key=head-2]"));
        crew.seeText("And 1 more: moved together");
        crew.drag(crew.see("[data-key=head-1]"), 40, 0);
        crew.until(
                "see the first moved", d -> crew.text("[data-attribute=PLACE]").contains("0.70") ? null : true);
        crew.until(
                "see the second moved with it", d -> place("head-2").equals("1.98 m right, 1.05 m up") ? null : true);
        crew.press("Undo");
        crew.reads("PLACE", "0.70 m right, 0.80 m up");
        crew.until("see the second back", d -> place("head-2").equals("1.98 m right, 1.05 m up") ? true : null);
        assertThat(crew.complaints()).isEmpty();
    }

    private Object place(String key) {
        return crew.fetch(
                "return (await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json()).placements.find(p => p.placement.key == '"
                        + key + "').values.PLACE.say.metric");
    }
}
