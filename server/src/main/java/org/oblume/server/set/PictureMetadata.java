package org.oblume.server.set;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Takes out of a photograph what it tells beside the picture: where and when it was taken, with what, by whom. The picture itself, its
 * colours' profile and which way up it is stay, bit for bit.
 */
final class PictureMetadata {

    private static final int MARKER = 0xFF;
    private static final int START = 0xD8;
    private static final int SCAN = 0xDA;
    private static final int APP0 = 0xE0;
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final int APP14 = 0xEE;
    private static final int APP15 = 0xEF;
    private static final int COMMENT = 0xFE;
    private static final int ORIENTATION = 0x0112;
    private static final int MORE_ENTRIES = 0x8769;
    private static final int FOCAL_ON_FILM = 0xA405;
    /** TIFF's number for four bytes. */
    private static final int LONG = 4;

    private static final double LONGEST_MM = 300;
    private static final double SHORTEST_MM = 8;
    private static final byte[] EXIF = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final Set<String> PNG_TELLS = Set.of("tEXt", "zTXt", "iTXt", "eXIf", "tIME");
    private static final int CHUNK = 12;

    private PictureMetadata() {}

    /**
     * What a camera tells of how a picture was taken.
     *
     * @param turned which way up it is, 1 to 8, as TIFF numbers it
     * @param focal35 focal length as if on 36 mm of film, 8 to 300 mm, or null
     */
    record Taken(int turned, @Nullable Double focal35) {

        static final Taken UNKNOWN = new Taken(1, null);

        boolean isUpright() {
            return turned <= 4;
        }
    }

    /** What is told of how it was taken; of one that is not as it should be nothing is. */
    static Taken taken(byte[] picture) {
        try {
            for (int at = 2; at(picture, 0) == MARKER && at(picture, at + 1) != SCAN; ) {
                int whole = 2 + (at(picture, at + 2) << 8) + at(picture, at + 3);
                if (at(picture, at + 1) == APP1 && startsWith(picture, at + 4, EXIF)) {
                    ByteBuffer tiff = tiff(picture, at, whole);
                    int more = entry(tiff, tiff.getInt(4), MORE_ENTRIES, 0);
                    double focal = more == 0 ? 0 : entry(tiff, more, FOCAL_ON_FILM, 0);
                    return new Taken(
                            orientation(tiff),
                            focal >= SHORTEST_MM && focal <= LONGEST_MM ? Double.valueOf(focal) : null);
                }
                at += whole;
            }
            return Taken.UNKNOWN;
        } catch (IndexOutOfBoundsException | IllegalArgumentException odd) {
            return Taken.UNKNOWN;
        }
    }

    private static ByteBuffer tiff(byte[] picture, int at, int whole) {
        ByteBuffer tiff = ByteBuffer.wrap(picture, at + 4 + EXIF.length, whole - 4 - EXIF.length)
                .slice();
        return tiff.order(tiff.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    }

    /** The picture without them; one that is not as it should be stays as it is. */
    static byte[] without(byte[] picture) {
        try {
            if (startsWith(picture, 0, PNG)) {
                return png(picture);
            }
            return picture.length > 3 && at(picture, 0) == MARKER && at(picture, 1) == START ? jpeg(picture) : picture;
        } catch (IndexOutOfBoundsException | IllegalArgumentException odd) {
            return picture;
        }
    }

    /** Whether a PNG is of several pictures in turn. */
    static boolean moves(byte[] picture) {
        ByteBuffer in = ByteBuffer.wrap(picture);
        for (int at = PNG.length; startsWith(picture, 0, PNG) && at >= PNG.length && at + CHUNK <= picture.length; ) {
            String name = new String(picture, at + Integer.BYTES, Integer.BYTES, StandardCharsets.US_ASCII);
            if (!name.equals("acTL") && !name.equals("IDAT")) {
                at += in.getInt(at) + CHUNK;
                continue;
            }
            return name.equals("acTL");
        }
        return false;
    }

    private static byte[] png(byte[] picture) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(picture.length);
        out.write(picture, 0, PNG.length);
        ByteBuffer in = ByteBuffer.wrap(picture);
        for (int at = PNG.length; at < picture.length; ) {
            int whole = Math.addExact(in.getInt(at), CHUNK);
            String name = new String(picture, at + Integer.BYTES, Integer.BYTES, StandardCharsets.US_ASCII);
            if (!PNG_TELLS.contains(name)) {
                out.write(picture, at, whole);
            }
            at += whole;
            if ("IEND".equals(name)) {
                break;
            }
        }
        return out.toByteArray();
    }

    private static byte[] jpeg(byte[] picture) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(picture.length);
        out.write(picture, 0, 2);
        int turned = 1;
        ByteArrayOutputStream rest = new ByteArrayOutputStream(picture.length);
        int at = 2;
        while (at(picture, at + 1) != SCAN) {
            if (at(picture, at) != MARKER) {
                throw new IllegalArgumentException("no marker");
            }
            int kind = at(picture, at + 1);
            int whole = 2 + (at(picture, at + 2) << 8) + at(picture, at + 3);
            if (kind == APP1 && startsWith(picture, at + 4, EXIF)) {
                turned = orientation(tiff(picture, at, whole));
            }
            boolean tells = kind == COMMENT || (kind >= APP1 && kind <= APP15 && kind != APP2 && kind != APP14);
            if (kind == APP0) {
                out.write(picture, at, whole); // it comes first
            } else if (!tells) {
                rest.write(picture, at, whole);
            }
            at += whole;
        }
        rest.write(picture, at, picture.length - at);
        if (turned != 1) {
            out.writeBytes(exif(turned));
        }
        out.writeBytes(rest.toByteArray());
        return out.toByteArray();
    }

    /** Which way up the picture is, 1 to 8, as TIFF numbers it. */
    private static int orientation(ByteBuffer tiff) {
        int turned = entry(tiff, tiff.getInt(4), ORIENTATION, 1);
        return turned >= 1 && turned <= 8 ? turned : 1;
    }

    /** The value of an entry of a directory: a short one, or a long one. */
    private static int entry(ByteBuffer tiff, int directory, int tag, int otherwise) {
        int entries = Short.toUnsignedInt(tiff.getShort(directory));
        for (int i = 0; i < entries; i++) {
            int entry = directory + 2 + CHUNK * i;
            if (Short.toUnsignedInt(tiff.getShort(entry)) == tag) {
                return tiff.getShort(entry + 2) == LONG
                        ? tiff.getInt(entry + 8)
                        : Short.toUnsignedInt(tiff.getShort(entry + 8));
            }
        }
        return otherwise;
    }

    /** A directory with that one entry. */
    private static byte[] exif(int turned) {
        ByteBuffer tiff = ByteBuffer.allocate(26);
        tiff.put(new byte[] {'M', 'M'}).putShort((short) 42).putInt(8);
        tiff.putShort((short) 1);
        tiff.putShort((short) ORIENTATION)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) turned)
                .putShort((short) 0);
        tiff.putInt(0);
        int length = 2 + EXIF.length + tiff.capacity();
        return ByteBuffer.allocate(2 + length)
                .put((byte) MARKER)
                .put((byte) APP1)
                .putShort((short) length)
                .put(EXIF)
                .put(tiff.array())
                .array();
    }

    private static boolean startsWith(byte[] bytes, int from, byte[] what) {
        return bytes.length >= from + what.length
                && java.util.Arrays.equals(bytes, from, from + what.length, what, 0, what.length);
    }

    private static int at(byte[] bytes, int i) {
        return Byte.toUnsignedInt(bytes[i]);
    }
}
