package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Measures what docs/performance.md reports of the first page over a slow line, beside its floor: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class FirstPageIT {

    private static final double MBIT_PER_S = 10;
    private static final int LATENCY_MS = 40;
    private static final int ROUNDS = 3;

    @Test
    void theFirstPageIsMeasuredOverASlowLine() {
        try (RunningOblume oblume = RunningOblume.withDemo(RunningOblume.newData())) {
            for (Map.Entry<String, String> view :
                    List.of(Map.entry("/", "main article"), Map.entry("/shots/3/plot", ".placed"))) {
                for (int round = 0; round < ROUNDS; round++) {
                    measure(oblume, view.getKey(), view.getValue());
                }
            }
        }
    }

    /** By a browser that has read nothing before; who is signed in it knows. */
    private static void measure(RunningOblume oblume, String path, String drawn) {
        try (Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            crew.forgetWhatItRead();
            double atOnce = crew.timeUntilDrawn(path, drawn, 1);
            crew.forgetWhatItRead();
            crew.line(MBIT_PER_S, LATENCY_MS);
            double slow = crew.timeUntilDrawn(path, drawn, 1);
            List<?> bytes = (List<?>)
                    crew.script(
                            """
                    const files = performance.getEntriesByType('resource').filter((e) => e.startTime < window.drawnAt);
                    const sum = (of) => files.filter((e) => of.test(e.name)).reduce((all, e) => all + e.encodedBodySize, 0);
                    return [sum(/\\.(js|css)$/), sum(/\\.woff2$/), sum(/\\/api\\//)];
                    """);
            double kb =
                    bytes.stream().mapToDouble(b -> ((Number) b).doubleValue()).sum() / 1000;
            assertThat(kb).isPositive();
            System.out.printf(
                    "MEASURED first page %s over %.0f Mbit/s and %d ms: drawn after %.0f ms; script and style %.0f kB, type %.0f kB, record %.0f kB, which take %.0f ms on that line; on no line %.0f ms%n",
                    path,
                    MBIT_PER_S,
                    LATENCY_MS,
                    slow,
                    kilo(bytes.get(0)),
                    kilo(bytes.get(1)),
                    kilo(bytes.get(2)),
                    kb * 8 / MBIT_PER_S,
                    atOnce);
        }
    }

    private static double kilo(Object bytes) {
        return ((Number) bytes).doubleValue() / 1000;
    }
}
