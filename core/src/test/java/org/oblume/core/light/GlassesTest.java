package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Bearing;

/** The face at (0, 0) looks north; the camera is north of it. */
class GlassesTest {

    private static final double WIDE_DEG = Math.toDegrees(Math.asin(0.025 / 0.088));
    private static final double HIGH_DEG = Math.toDegrees(Math.asin(0.019 / 0.088));

    /** Looks along a ray from the camera to each bit of a lens, whether what it sees there is near the source. */
    private static double nearestDeg(SpacePoint camera, MarkLight mark, SpacePoint source, int side) {
        SpacePoint lens = Direction.of(Bearing.ofDegrees(90), 0).from(mark.face(), side * 0.032);
        Direction toCamera = Direction.between(lens, camera);
        Direction toSource = Direction.between(lens, source);
        double nearest = 180;
        for (double aside = -WIDE_DEG; aside <= WIDE_DEG; aside += 0.5) {
            for (double up = -HIGH_DEG; up <= HIGH_DEG; up += 0.5) {
                Direction normal = Direction.of(Bearing.ofDegrees(side * 5 + aside), up - 8);
                double twice = 2 * normal.dot(toCamera);
                double seen = (twice * normal.x() - toCamera.x()) * toSource.x()
                        + (twice * normal.y() - toCamera.y()) * toSource.y()
                        + (twice * normal.z() - toCamera.z()) * toSource.z();
                nearest = Math.min(nearest, Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, seen)))));
            }
        }
        return nearest;
    }

    @Test
    void glassesShowALightExactlyWhenARaySaysSo() {
        int shown = 0;
        int hidden = 0;
        for (double offDeg = -75; offDeg <= 75; offDeg += 7.5) {
            for (double height = 0.6; height <= 4; height += 0.2) {
                double turn = Math.toRadians(offDeg);
                Stage stage = Stage.outdoors()
                        .camera(0, 4)
                        .head("key", Role.KEY, 4 * Math.sin(turn), 4 * Math.cos(turn), height);
                MarkLight mark = stage.tie("camera", new Height(1.5)).mark();
                MarkLight.SourceAtMark key = mark.of("key");
                SpacePoint camera = new SpacePoint(0, 4, 1.5);
                SpacePoint source = key.direction().from(mark.face(), key.throwM());
                double off = Math.min(nearestDeg(camera, mark, source, -1), nearestDeg(camera, mark, source, 1));
                double reach = 2 * 2 + key.angularSizeDeg() / 2;
                boolean mirrored = Glasses.mirror(camera, mark, key);
                if (off < 0.5 || off > 1.5 * reach + 0.5) {
                    assertThat(mirrored)
                            .as("%.1f° off, at %.1f m", offDeg, height)
                            .isEqualTo(off < 0.5);
                    shown += mirrored ? 1 : 0;
                    hidden += mirrored ? 0 : 1;
                }
            }
        }
        assertThat(shown).isGreaterThan(20);
        assertThat(hidden).isGreaterThan(100);
    }
}
