package org.oblume.server.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.still.Signal;
import org.oblume.core.units.Refusal;
import org.oblume.server.set.PictureFile;

/** Pictures as cameras, phones and programs write them. */
class StillPictureTest {

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(image, format, out)).isTrue();
        return out.toByteArray();
    }

    /** Four patches of grey: 20 and 40 percent above, 60 and 80 below. */
    private static BufferedImage patches(int type, int wide, int high) {
        BufferedImage image = new BufferedImage(wide, high, type);
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                int grey = 51 * (1 + (x < wide / 2 ? 0 : 1) + (y < high / 2 ? 0 : 2));
                image.setRGB(x, y, new Color(grey, grey, grey).getRGB());
            }
        }
        return image;
    }

    private static Signal signal(byte[] bytes, int turned) {
        return StillPicture.open(bytes, turned, picture -> picture.signal(false));
    }

    private static double[] corners(Signal signal) {
        return new double[] {
            signal.percent(0.2, 0.2), signal.percent(0.8, 0.2), signal.percent(0.2, 0.8), signal.percent(0.8, 0.8)
        };
    }

    @ParameterizedTest
    @CsvSource({
        "1, 20 40 60 80",
        "2, 40 20 80 60",
        "3, 80 60 40 20",
        "4, 60 80 20 40",
        "5, 20 60 40 80",
        "6, 60 20 80 40",
        "7, 80 40 60 20",
        "8, 40 80 20 60"
    })
    void aTurnedPictureIsReadAndShownUpright(int turned, String upright) throws IOException {
        byte[] png = written(patches(BufferedImage.TYPE_INT_RGB, 120, 60), "png");
        double[] wanted = Arrays.stream(upright.split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        Signal signal = signal(png, turned);
        assertThat(signal.width()).isEqualTo(turned > 4 ? 60 : 120);
        assertThat(corners(signal)).containsExactly(wanted, within(0.01));
        byte[] small = StillPicture.open(png, turned, picture -> picture.small(40));
        BufferedImage shown = ImageIO.read(new ByteArrayInputStream(small));
        assertThat(shown.getWidth()).isEqualTo(40);
        assertThat(corners(signal(small, 1))).containsExactly(wanted, within(2.0));
    }

    @ParameterizedTest
    @ValueSource(
            ints = {
                BufferedImage.TYPE_INT_RGB,
                BufferedImage.TYPE_INT_ARGB,
                BufferedImage.TYPE_3BYTE_BGR,
                BufferedImage.TYPE_4BYTE_ABGR,
                BufferedImage.TYPE_BYTE_INDEXED
            })
    void dotsAreReadAsTheyAreCodedHoweverTheyAreStored(int type) throws IOException {
        assertThat(corners(signal(written(patches(type, 128, 72), "png"), 1)))
                .containsExactly(new double[] {20, 40, 60, 80}, within(0.01));
    }

    @Test
    void greyOfSixteenBitIsReadWithAllOfThem() throws IOException {
        BufferedImage image = new BufferedImage(64, 36, BufferedImage.TYPE_USHORT_GRAY);
        for (int y = 0; y < 36; y++) {
            for (int x = 0; x < 64; x++) {
                image.getRaster().setSample(x, y, 0, 30_001);
            }
        }
        assertThat(signal(written(image, "png"), 1).percent(0.5, 0.5)).isCloseTo(100 * 30_001 / 65_535.0, within(1e-4));
    }

    @Test
    void aJpegReadsItsPatchesWithinThreeTenths() throws IOException {
        assertThat(corners(signal(written(patches(BufferedImage.TYPE_INT_RGB, 640, 360), "jpeg"), 1)))
                .containsExactly(new double[] {20, 40, 60, 80}, within(0.3));
    }

    /** As programs for print write it: four inks, inverted. */
    @Test
    void aJpegOfFourInksIsReadAsTheColoursThatItShows() throws IOException {
        byte[] cmyk = getClass().getResourceAsStream("/pictures/four-inks.jpg").readAllBytes();
        assertThat(corners(signal(cmyk, 1))).containsExactly(new double[] {20, 40, 60, 80}, within(6.0));
    }

    @Test
    void aTiffIsKeptAsAPngOfTheSameDots() throws IOException {
        PictureFile kept = PictureFile.photo(written(patches(BufferedImage.TYPE_INT_RGB, 128, 72), "tiff"));
        assertThat(kept.mediaType()).isEqualTo("image/png");
        assertThat(corners(signal(kept.bytes(), kept.turned())))
                .containsExactly(new double[] {20, 40, 60, 80}, within(0.01));
    }

    @Test
    void whatIsCutShortIsRefused() throws IOException {
        byte[] png = written(patches(BufferedImage.TYPE_INT_RGB, 128, 72), "png");
        byte[] cut = Arrays.copyOf(png, png.length - 20);
        assertThatThrownBy(() -> WholePng.of(cut)).isInstanceOf(Refusal.class).hasMessageContaining("not all there");
        byte[] changed = png.clone();
        changed[png.length / 2] ^= 1;
        assertThatThrownBy(() -> WholePng.of(changed)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> signal("no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8), 1))
                .isInstanceOf(Refusal.class);
    }
}
