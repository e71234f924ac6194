package org.oblume.server.still;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import org.oblume.core.units.Refusal;

/** Whether a PNG is all there (ISO/IEC 15948): a reader shows what it has of one that is cut short. */
public final class WholePng {

    private static final byte[] START = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final int NAME = 4;
    /** Length, name and check sum. */
    private static final int AROUND = 12;

    private static final int SIZE_AT = 16;

    private WholePng() {}

    /** Dots. */
    public record Size(int width, int height) {}

    /** @throws Refusal when it is no PNG, or not all of one */
    public static Size of(byte[] bytes) {
        if (bytes.length < START.length || !Arrays.equals(START, Arrays.copyOf(bytes, START.length))) {
            throw new Refusal("png", "This is no PNG: save the picture as one.");
        }
        ByteBuffer png = ByteBuffer.wrap(bytes);
        boolean dots = false;
        for (int at = START.length; bytes.length - at >= AROUND; ) {
            int length = png.getInt(at);
            if (length < 0 || length > bytes.length - at - AROUND) {
                break;
            }
            CRC32 sum = new CRC32();
            sum.update(bytes, at + NAME, NAME + length);
            if ((int) sum.getValue() != png.getInt(at + NAME + NAME + length)) {
                break;
            }
            String name = new String(bytes, at + NAME, NAME, StandardCharsets.US_ASCII);
            dots |= "IDAT".equals(name);
            if ("IEND".equals(name) && dots) {
                return new Size(png.getInt(SIZE_AT), png.getInt(SIZE_AT + NAME));
            }
            at += AROUND + length;
        }
        throw new Refusal("png", "This PNG is not all there: save or send it again.");
    }
}
