package org.oblume.core.transport;

import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;

/** Cuts a panel into patches. */
final class Grid {

    private Grid() {}

    /** All of a panel, from its front ({@code side} 1) or what comes through it from behind (−1). */
    static void whole(Patches patches, Panel panel, double size, int most, double[] sends, double side, int owner) {
        int across = Math.max(1, Math.min(most, (int) Math.ceil(panel.widthM() / size - 1e-9)));
        int up = Math.max(1, Math.min(most, (int) Math.ceil(panel.heightM() / size - 1e-9)));
        double width = panel.widthM() / across;
        double height = panel.heightM() / up;
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < up; j++) {
                put(
                        patches,
                        panel,
                        -panel.widthM() / 2 + (i + 0.5) * width,
                        -panel.heightM() / 2 + (j + 0.5) * height,
                        width,
                        height,
                        1,
                        sends,
                        side,
                        owner,
                        false);
            }
        }
    }

    static void put(
            Patches patches,
            Panel panel,
            double across,
            double up,
            double width,
            double height,
            double part,
            double[] sends,
            double side,
            int owner,
            boolean enclosed) {
        Direction r = panel.right();
        Direction u = panel.up();
        double shrunk = Math.sqrt(part) / 2;
        patches.add(
                new double[] {
                    panel.middle().xM() + across * r.x() + up * u.x(),
                    panel.middle().yM() + across * r.y() + up * u.y(),
                    panel.middle().zM() + across * r.z() + up * u.z()
                },
                new double[] {
                    panel.normal().x(), panel.normal().y(), panel.normal().z()
                },
                side,
                width * height * part,
                new double[] {r.x() * width * shrunk, r.y() * width * shrunk, r.z() * width * shrunk},
                new double[] {u.x() * height * shrunk, u.y() * height * shrunk, u.z() * height * shrunk},
                sends,
                owner,
                enclosed);
    }
}
