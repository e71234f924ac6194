package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;

class PictureComparisonIT {

    private static BufferedImage panel(int width, int lineAt, boolean button) {
        BufferedImage picture = new BufferedImage(width, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = picture.createGraphics();
        pen.setColor(new Color(0x17, 0x1a, 0x1d));
        pen.fillRect(0, 0, width, 400);
        pen.setColor(new Color(0x2c, 0x33, 0x39));
        pen.drawLine(0, lineAt, width, lineAt);
        if (button) {
            pen.setColor(new Color(0xd8, 0xe0, 0x8a));
            pen.fillRect(100, 100, 80, 40);
        }
        pen.dispose();
        return picture;
    }

    @Test
    void aHairlineThatMovedByAPixelIsTheSamePicture() {
        assertThat(PictureComparison.changed(panel(400, 200, true), panel(400, 201, true)))
                .isZero();
    }

    @Test
    void aButtonThatIsGoneIsSeenByItsSize() {
        assertThat(PictureComparison.changed(panel(400, 200, true), panel(400, 200, false)))
                .isCloseTo(80 * 40 / (400.0 * 400), within(0.002));
    }

    @Test
    void anotherSizeIsAnotherPicture() {
        assertThat(PictureComparison.changed(panel(400, 200, true), panel(390, 200, true)))
                .isEqualTo(1);
    }
}
