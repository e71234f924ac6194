package org.oblume.server.recall;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.network.UniverseFrame;

/** Frames a second and how evenly they come while everything fades, received on the same machine: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class LiveOutputMeasuredTest {

    private static final int FADE_S = 10;

    @ParameterizedTest
    @ValueSource(ints = {1, 16, 64})
    void fadingUniverses(int universes) throws Exception {
        Map<Integer, UniverseFrame> frames = new HashMap<>();
        IntStream.rangeClosed(1, universes).forEach(u -> frames.put(u, UniverseFrame.blackout(u)));
        try (Listener listener = new Listener();
                SacnSender sender = new SacnSender(
                        UUID.randomUUID(), "Oblume", null, listener.port(), System::nanoTime, trouble -> {})) {
            sender.send(frames, FADE_S, 100);
            ThreadMXBean threads = ManagementFactory.getThreadMXBean();
            long output = Thread.getAllStackTraces().keySet().stream()
                    .filter(t -> t.getName().equals("sACN output"))
                    .findFirst()
                    .orElseThrow()
                    .getId();
            TimeUnit.SECONDS.sleep(2);
            int from = listener.all().size();
            long cpu = threads.getThreadCpuTime(output);
            long began = System.nanoTime();
            TimeUnit.SECONDS.sleep(6);
            double seconds = (System.nanoTime() - began) / 1e9;
            double share = (threads.getThreadCpuTime(output) - cpu) / 1e9 / seconds;
            List<Listener.Heard> heard = listener.all();
            heard = heard.subList(from, heard.size());
            double[] gaps = gaps(heard, 1);
            Arrays.sort(gaps);
            double mean = Arrays.stream(gaps).average().orElseThrow();
            double spread = Math.sqrt(Arrays.stream(gaps)
                    .map(g -> (g - mean) * (g - mean))
                    .average()
                    .orElseThrow());
            assertThat(gaps).isNotEmpty();
            System.out.printf(
                    Locale.ROOT,
                    "MEASURED output of %d universes: %.2f frames a second (limit 44), a gap %.2f ms on average, spread %.2f ms, 99th percentile %.2f, longest %.2f; %d packets heard; CPU of the output thread %.1f %% of a core%n",
                    universes,
                    1000 / mean,
                    mean,
                    spread,
                    gaps[(int) (gaps.length * 0.99)],
                    gaps[gaps.length - 1],
                    heard.size(),
                    100 * share);
        }
    }

    private static double[] gaps(List<Listener.Heard> heard, int universe) {
        long[] at = heard.stream()
                .filter(h -> h.packet().universe() == universe)
                .mapToLong(Listener.Heard::nanos)
                .toArray();
        return IntStream.range(1, at.length)
                .mapToDouble(i -> (at[i] - at[i - 1]) / 1e6)
                .toArray();
    }
}
