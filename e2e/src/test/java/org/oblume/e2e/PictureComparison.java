package org.oblume.e2e;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/** How much of a view changed since its picture was taken. What anti-aliasing and a moved hairline do does not count. */
final class PictureComparison {

    /** Pictures are compared in squares of so many pixels, by the mean of each. */
    private static final int SQUARE = 4;
    /** A square whose mean is no farther off in any channel, of 255, is the same. */
    private static final int TOLERANCE = 12;

    private PictureComparison() {}

    /** Part of the picture that changed, 0 to 1; 1 for one that is new or of another size. */
    static double changed(Path before, Path now) throws IOException {
        if (!Files.exists(before)) {
            return 1;
        }
        return changed(ImageIO.read(before.toFile()), ImageIO.read(now.toFile()));
    }

    static double changed(BufferedImage before, BufferedImage now) {
        if (before.getWidth() != now.getWidth() || before.getHeight() != now.getHeight()) {
            return 1;
        }
        int across = now.getWidth() / SQUARE;
        int down = now.getHeight() / SQUARE;
        int changed = 0;
        for (int y = 0; y < down; y++) {
            for (int x = 0; x < across; x++) {
                if (differs(before, now, x * SQUARE, y * SQUARE)) {
                    changed++;
                }
            }
        }
        return changed / (double) (across * down);
    }

    private static boolean differs(BufferedImage before, BufferedImage now, int x, int y) {
        for (int shift = 0; shift <= 16; shift += 8) {
            int off = 0;
            for (int dy = 0; dy < SQUARE; dy++) {
                for (int dx = 0; dx < SQUARE; dx++) {
                    off += (now.getRGB(x + dx, y + dy) >> shift & 255) - (before.getRGB(x + dx, y + dy) >> shift & 255);
                }
            }
            if (Math.abs(off) > TOLERANCE * SQUARE * SQUARE) {
                return true;
            }
        }
        return false;
    }
}
