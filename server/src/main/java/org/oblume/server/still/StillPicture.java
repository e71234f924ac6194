package org.oblume.server.still;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.oblume.core.still.Signal;
import org.oblume.core.units.Refusal;

/**
 * The dots of a picture as they are coded: colours' profiles, gamma and transparency do not count, a palette is looked up.
 *
 * @param turned which way up it is, 1 to 8, as TIFF numbers it
 */
public record StillPicture(BufferedImage image, int turned) {

    private static final float QUALITY = 0.82f;
    /** A picture of 60 megapixels takes some 200 MB while it is open: one at a time. */
    private static final Semaphore OPEN = new Semaphore(1);

    /** What is made of an open picture. */
    @FunctionalInterface
    public interface Use<T> {

        T of(StillPicture picture) throws IOException;
    }

    /**
     * Opens a picture, one at a time, and lets go of it.
     *
     * @throws Refusal when it is none that can be read
     */
    public static <T> T open(byte[] bytes, int turned, Use<T> use) {
        OPEN.acquireUninterruptibly();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw unreadable();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return use.of(new StillPicture(reader.read(0), turned));
            } finally {
                reader.dispose();
            }
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException damaged) {
            throw unreadable();
        } finally {
            OPEN.release();
        }
    }

    private static Refusal unreadable() {
        return new Refusal("png", "This picture is damaged or cut short: save it again, as PNG or JPEG.");
    }

    private boolean isAside() {
        return turned > 4;
    }

    int width() {
        return isAside() ? image.getHeight() : image.getWidth();
    }

    int height() {
        return isAside() ? image.getWidth() : image.getHeight();
    }

    public Signal signal(boolean videoRange) {
        return new Signal(width(), height(), videoRange, new Dots()::read);
    }

    /** Rows of the upright picture. */
    private final class Dots {

        private final Raster raster = image.getRaster();
        private final int bands = raster.getNumBands();
        private final int[] samples = new int[width() * bands];
        private final double full = (1L << raster.getSampleModel().getSampleSize(0)) - 1;

        void read(int row, double[] components) {
            int across = width();
            boolean mirrored = turned == 2 || turned == 3 || turned == 7 || turned == 6;
            boolean fromBelow = turned == 3 || turned == 4 || turned == 7 || turned == 8;
            if (isAside()) {
                int column = fromBelow ? image.getWidth() - 1 - row : row;
                raster.getPixels(column, 0, 1, across, samples);
            } else {
                raster.getPixels(0, fromBelow ? image.getHeight() - 1 - row : row, across, 1, samples);
            }
            for (int x = 0; x < across; x++) {
                int at = bands * (mirrored ? across - 1 - x : x);
                for (int c = 0; c < 3; c++) {
                    components[3 * x + c] = component(at, c);
                }
            }
        }

        private double component(int at, int c) {
            if (image.getColorModel() instanceof IndexColorModel palette) {
                int entry = samples[at];
                return (c == 0 ? palette.getRed(entry) : c == 1 ? palette.getGreen(entry) : palette.getBlue(entry))
                        / 255.0;
            }
            return samples[bands < 3 ? at : at + c] / full;
        }
    }

    /** Upright, no wider than so many dots, as JPEG. */
    byte[] small(int wide) throws IOException {
        BufferedImage now = image;
        while ((isAside() ? now.getHeight() : now.getWidth()) / 2 >= wide
                && Math.min(now.getWidth(), now.getHeight()) > 1) {
            now = drawn(now, now.getWidth() / 2, now.getHeight() / 2, new AffineTransform());
        }
        double scale = Math.min(1, (double) wide / (isAside() ? now.getHeight() : now.getWidth()));
        int across = Math.max(1, (int) Math.round(scale * now.getWidth()));
        int down = Math.max(1, (int) Math.round(scale * now.getHeight()));
        now = drawn(now, across, down, new AffineTransform());
        BufferedImage upright = drawn(now, isAside() ? down : across, isAside() ? across : down, turn(across, down));
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream to = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.setOutput(to);
            writer.write(null, new IIOImage(upright, null, null), how);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** From the picture as it lies to the upright one. */
    private AffineTransform turn(int across, int down) {
        return switch (turned) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, across, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, across, down);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, down);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, down, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, down, across);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, across);
            default -> new AffineTransform();
        };
    }

    private static BufferedImage drawn(BufferedImage from, int wide, int high, AffineTransform turn) {
        BufferedImage to = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = to.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        if (turn.isIdentity()) {
            pen.drawImage(from, 0, 0, wide, high, null);
        } else {
            pen.drawImage(from, turn, null);
        }
        pen.dispose();
        return to;
    }
}
