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

    /** Less of a patch than this between openings is left out. */
    private static final double LEAST_PART = 0.01;

    /** How it is looked at. */
    public Skin skin() {
        return new Skin(panel, holes, List.of(), List.of(), sends, 1);
    }

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
        double area = width * height;
        double momentX = area * middleX;
        double momentY = area * middleY;
        for (Sheet.Hole hole : holes) {
            double left = Math.max(middleX - width / 2, hole.fromM());
            double right = Math.min(middleX + width / 2, hole.toM());
            double bottom = Math.max(middleY - height / 2, hole.bottomM());
            double top = Math.min(middleY + height / 2, hole.topM());
            if (right > left && top > bottom) {
                double open = (right - left) * (top - bottom);
                area -= open;
                momentX -= open * (left + right) / 2;
                momentY -= open * (bottom + top) / 2;
            }
        }
        double part = area / (width * height);
        if (part > LEAST_PART) {
            Grid.put(
                    patches,
                    panel,
                    momentX / area,
                    momentY / area,
                    width,
                    height,
                    part,
                    sends,
                    1,
                    Patches.OF_THE_SET,
                    enclosed);
        }
    }
}
