package org.oblume.server.set;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PictureMetadataTest {

    private static final String PLACE = "GPS 54.32 N 9.87 E, phone of somebody";

    @ParameterizedTest
    @ValueSource(strings = {"II", "MM"})
    void aJpegLosesWhereItWasTakenAndStaysUpright(String order) throws IOException {
        byte[] plain = picture("jpeg");
        byte[] told = with(plain, exif(order, 6), segment(0xFE, PLACE.getBytes(StandardCharsets.US_ASCII)));
        byte[] kept = PictureMetadata.without(told);
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("GPS");
        assertThat(pixels(kept)).isEqualTo(pixels(plain));
        // one directory with one entry: the orientation, turned to the right
        assertThat(kept).containsSequence(0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6);
        assertThat(PictureMetadata.without(kept))
                .as("there is nothing left to take")
                .isEqualTo(kept);
    }

    @Test
    void aJpegThatTellsNothingStaysAsItIs() throws IOException {
        byte[] plain = picture("jpeg");
        assertThat(PictureMetadata.without(plain)).isEqualTo(plain);
    }

    @Test
    void aPngLosesItsWords() throws IOException {
        byte[] plain = picture("png");
        byte[] words = ("Comment\0" + PLACE).getBytes(StandardCharsets.ISO_8859_1);
        CRC32 sum = new CRC32();
        sum.update("tEXt".getBytes(StandardCharsets.US_ASCII));
        sum.update(words);
        ByteBuffer chunk = ByteBuffer.allocate(words.length + 12)
                .putInt(words.length)
                .put("tEXt".getBytes(StandardCharsets.US_ASCII))
                .put(words)
                .putInt((int) sum.getValue());
        int afterHead = 8 + 25;
        byte[] told = ByteBuffer.allocate(plain.length + chunk.capacity())
                .put(plain, 0, afterHead)
                .put(chunk.array())
                .put(plain, afterHead, plain.length - afterHead)
                .array();
        assertThat(PictureMetadata.without(told)).isEqualTo(plain);
    }

    @Test
    void whatIsCutOffOrNoPictureStaysAsItIs() throws IOException {
        byte[] torn = java.util.Arrays.copyOf(with(picture("jpeg"), exif("II", 3)), 30);
        assertThat(PictureMetadata.without(torn)).isEqualTo(torn);
        byte[] svg = "<svg/>".getBytes(StandardCharsets.UTF_8);
        assertThat(PictureMetadata.without(svg)).isEqualTo(svg);
    }

    private static byte[] picture(String format) throws IOException {
        BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
        image.setRGB(3, 4, 0xFFCC88);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private static int[] pixels(byte[] picture) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(picture)).getRGB(0, 0, 40, 30, null, 0, 40);
    }

    /** A camera's block: orientation, and where it was. */
    private static byte[] exif(String order, int turned) {
        ByteBuffer tiff = ByteBuffer.allocate(26 + PLACE.length())
                .order("II".equals(order) ? java.nio.ByteOrder.LITTLE_ENDIAN : java.nio.ByteOrder.BIG_ENDIAN);
        tiff.put(order.getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 1)
                .putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) turned);
        tiff.putShort((short) 0).putInt(0).put(PLACE.getBytes(StandardCharsets.US_ASCII));
        return segment(
                0xE1,
                ByteBuffer.allocate(6 + tiff.capacity())
                        .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                        .put(tiff.array())
                        .array());
    }

    private static byte[] segment(int kind, byte[] content) {
        return ByteBuffer.allocate(content.length + 4)
                .put((byte) 0xFF)
                .put((byte) kind)
                .putShort((short) (content.length + 2))
                .put(content)
                .array();
    }

    /** After the first segment, where cameras put theirs. */
    private static byte[] with(byte[] jpeg, byte[]... segments) {
        int head = 4 + Byte.toUnsignedInt(jpeg[5]);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, head);
        for (byte[] one : segments) {
            out.writeBytes(one);
        }
        out.write(jpeg, head, jpeg.length - head);
        return out.toByteArray();
    }
}
