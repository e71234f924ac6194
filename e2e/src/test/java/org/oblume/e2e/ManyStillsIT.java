package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Measures what docs/performance.md reports of many stills: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class ManyStillsIT {

    private static final int LARGE = 30;
    private static final int TOGETHER = 4;
    private static final int STILLS = 200;
    private static final int OF_THE_DEMO = 4;
    private static final int ROUNDS = 7;
    private static final String DRAWN = "[aria-label=\"Stills of this scene\"] img";

    @Test
    void thirtyAtOnceAndTwoHundredInASceneAreMeasured() throws Exception {
        try (RunningOblume oblume = RunningOblume.withDemo(RunningOblume.newData())) {
            Person gaffer = Person.ofTheDemo(oblume, "LEAD");
            String add = "/api/shots/%d/stills?kind=FRAME".formatted(gaffer.shot("4D"));
            String page = "/shots/%d/stills".formatted(gaffer.shot("4A"));
            say("a scene of %d stills drawn, browser".formatted(OF_THE_DEMO), drawn(oblume, page, OF_THE_DEMO));
            for (int i = OF_THE_DEMO; i < STILLS; i++) {
                gaffer.upload(add, frame(640, 360, i));
            }
            say("a scene of %d stills drawn, browser".formatted(STILLS), drawn(oblume, page, STILLS));
            long before = oblume.mostMemoryMb();
            long start = System.nanoTime();
            upload(gaffer, add);
            System.out.printf(
                    "MEASURED %d stills of 24 megapixels uploaded, %d at a time: %.0f s; most memory of the process %d MB, before %d MB%n",
                    LARGE, TOGETHER, (System.nanoTime() - start) / 1e9, oblume.mostMemoryMb(), before);
        }
    }

    private static void upload(Person gaffer, String add) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(TOGETHER);
        try {
            List<Callable<Object>> all = new ArrayList<>();
            for (int i = 0; i < LARGE; i++) {
                int which = i;
                all.add(() -> gaffer.upload(add, frame(6000, 4000, which)));
            }
            for (Future<Object> sent : pool.invokeAll(all)) {
                assertThat(sent.get()).isNotNull();
            }
        } finally {
            pool.shutdown();
        }
    }

    private static List<Double> drawn(RunningOblume oblume, String page, int count) {
        List<Double> drawn = new ArrayList<>();
        try (Browser crew = new Browser(oblume.address())) {
            crew.goIn("lead");
            for (int i = -1; i < ROUNDS; i++) {
                double ms = crew.timeUntilDrawn(page, DRAWN, count);
                if (i >= 0) {
                    drawn.add(ms);
                }
            }
        }
        return drawn;
    }

    /** Grey patches, another each. */
    private static byte[] frame(int wide, int high, int seed) throws IOException {
        BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        Random random = new Random(seed);
        for (int i = 0; i < 400; i++) {
            int grey = random.nextInt(256);
            pen.setColor(new Color(grey, grey, grey));
            pen.fillRect(random.nextInt(wide), random.nextInt(high), wide / 8, high / 8);
        }
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return out.toByteArray();
    }

    private static void say(String what, List<Double> times) {
        Collections.sort(times);
        System.out.printf("MEASURED %s: median %.0f ms, %d rounds%n", what, times.get(times.size() / 2), times.size());
    }
}
