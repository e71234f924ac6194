package org.oblume.server.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.still.Signal;
import org.oblume.core.still.StillLines;

/** How long a JPEG of 24 megapixels takes to be read as a still, beside the bare decode of it. Asserts no time. */
@Tag("measure")
class StillMeasuredTest {

    private static final int WIDE = 6000;
    private static final int HIGH = 4000;
    private static final int RUNS = 7;

    @Test
    void aStillOfTwentyFourMegapixelsIsMeasured() throws Exception {
        byte[] jpeg = jpeg();
        double decoded = median(() -> ImageIO.read(new ByteArrayInputStream(jpeg)));
        double read = median(() -> StillPicture.open(jpeg, 1, picture -> picture.signal(false)));
        double turned = median(() -> StillPicture.open(jpeg, 6, picture -> picture.signal(false)));
        double small = median(
                () -> StillPicture.open(jpeg, 1, picture -> new byte[][] {picture.small(200), picture.small(1280)}));
        Signal signal = StillPicture.open(jpeg, 1, picture -> picture.signal(false));
        double point = median(() -> signal.percent(0.4, 0.6));
        double reeds = median(() -> signal.reeds(103));
        double found = median(() -> new Signal.Spot[] {signal.hottest(), signal.darkest()});
        double lines = median(() -> StillLines.of(signal, ShippedCurve.BT709, 412, 1));
        assertThat(signal.percent(0.5, 0.5)).isBetween(0.0, 100.0);
        System.out.printf(
                Locale.ROOT,
                "MEASURED still of 24 megapixels, JPEG of %.1f MB, ms: bare decode %.0f; decode and signal %.0f, turned %.0f; small pictures at upload %.0f; a point %.2f, reeds %.0f, hottest and darkest %.0f, lines %.0f%n",
                jpeg.length / 1e6,
                decoded,
                read,
                turned,
                small,
                point,
                reeds,
                found,
                lines);
    }

    private static byte[] jpeg() throws IOException {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        Random grain = new Random(3);
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                int grey = Math.max(0, Math.min(255, (x + y) * 255 / (WIDE + HIGH) + grain.nextInt(13) - 6));
                image.setRGB(x, y, grey << 16 | grey << 8 | grey);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return out.toByteArray();
    }

    private static double median(Callable<?> what) throws Exception {
        double[] ms = new double[RUNS];
        for (int i = -2; i < RUNS; i++) {
            long start = System.nanoTime();
            what.call();
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[RUNS / 2];
    }
}
