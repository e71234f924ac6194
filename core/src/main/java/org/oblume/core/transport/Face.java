package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.geometry.Panel;

/**
 * An upright or level rectangle that sends light on evenly, from its front.
 *
 * @param panel whose normal is the front
 * @param holes of it
 * @param sends of what it gets, part of each channel
 * @param enclosed whether it is of a closed room, seen from inside
 */
public record Face(Panel panel, List<Sheet.Hole> holes, double[] sends, boolean enclosed) {

    private static final int TRIED = 4;

    void into(Patches patches, double size) {
        int across = Math.max(1, (int) Math.ceil(panel.widthM() / size - 1e-9));
        int up = Math.max(1, (int) Math.ceil(panel.heightM() / size - 1e-9));
        double width = panel.widthM() / across;
        double height = panel.heightM() / up;
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < up; j++) {
                cell(
                        patches,
                        -panel.widthM() / 2 + (i + 0.5) * width,
                        -panel.heightM() / 2 + (j + 0.5) * height,
                        width,
                        height);
            }
        }
    }

    private void cell(Patches patches, double middleX, double middleY, double width, double height) {
        double sumX = 0;
        double sumY = 0;
        int left = 0;
        for (int i = 0; i < TRIED; i++) {
            for (int j = 0; j < TRIED; j++) {
                double x = middleX + ((i + 0.5) / TRIED - 0.5) * width;
                double y = middleY + ((j + 0.5) / TRIED - 0.5) * height;
                if (holes.stream().noneMatch(h -> x > h.fromM() && x < h.toM() && y > h.bottomM() && y < h.topM())) {
                    sumX += x;
                    sumY += y;
                    left++;
                }
            }
        }
        if (left == 0) {
            return;
        }
        double part = left / (double) (TRIED * TRIED);
        Grid.put(patches, panel, sumX / left, sumY / left, width, height, part, sends, 1, Patches.OF_THE_SET, enclosed);
    }
}
