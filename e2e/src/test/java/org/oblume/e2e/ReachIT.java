package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whoever sees little or works by keyboard reaches all of it: axe finds nothing against WCAG 2.2 A and AA, in either theme. */
class ReachIT {

    private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");
    private static RunningOblume oblume;
    private static Browser crew;
    private static String axe;

    @BeforeAll
    static void start() throws IOException {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
        axe = Files.readString(AXE);
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    static List<String> views() {
        return EverySizeIT.VIEWS;
    }

    @ParameterizedTest
    @MethodSource("views")
    void axeIsSilentInBothThemes(String view) throws Exception {
        crew.open(EverySizeIT.path(oblume, view));
        List<String> found = new ArrayList<>();
        for (String theme : List.of("dark", "daylight")) {
            crew.script("document.documentElement.dataset.theme = '%s'".formatted(theme));
            crew.settled();
            crew.script(axe);
            for (Object problem : (List<?>)
                    crew.fetch(
                            """
                    const found = await axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] });
                    // A cell of the carry board has a name to be read, not to be called: what is seen in it stands there in another order.
                    const called = (v, n) => v.id !== 'label-content-name-mismatch' || !document.querySelector(n.target[0])?.matches('[role=gridcell]');
                    return found.violations.flatMap((v) => v.nodes.filter((n) => called(v, n)).slice(0, 4).map((n) => v.id + ': ' + n.target.join(' ') + ' ' + (n.any[0]?.message ?? n.all[0]?.message ?? n.none[0]?.message ?? '')));
                    """)) {
                found.add("%s: %s".formatted(theme, problem));
            }
        }
        assertThat(found).isEmpty();
    }
}
