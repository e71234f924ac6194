package org.oblume.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.White;

/** Lines of equal exposure over the picture of a room with one lamp. */
class IsostopsTest {

    private static Frame frame;

    @BeforeAll
    static void aRoomWithOneLamp() {
        Stage stage = Stage.room(3.0, Surface.grey(0.4), Surface.grey(0.7))
                .withFloor(Surface.grey(0.3))
                .camera(0.6, 3.2)
                .tie("camera", new Lens(20))
                .head("key", Role.KEY, 2, 2.5, 2.4);
        ShotLighting light = stage.light();
        ShotLighting.Metering metering = light.metering().orElseThrow();
        frame = Frame.of(
                new FrameView(
                        CameraFrame.of(stage.placement("camera"), stage.state()).orElseThrow(), 320),
                light.seen(),
                new White(5600, 0).camera(),
                metering.exposure().required(metering.stop()).lux(),
                part -> {});
    }

    private static float stopsAt(double x, double y) {
        return frame.stops(Frame.Of.LIGHT)[(int) y * frame.width() + (int) x];
    }

    @Test
    void aLineRunsWhereTheLightIsThatManyStops() {
        List<Isostops.Line> lines = Isostops.of(frame, Frame.Of.LIGHT, 1);
        assertThat(lines).isNotEmpty();
        for (Isostops.Line line : lines) {
            double sum = 0;
            for (double[] point : line.points()) {
                sum += stopsAt(point[0], point[1]);
            }
            assertThat(sum / line.points().size()).isCloseTo(line.stops(), within(0.25));
        }
    }

    @Test
    void whatIsDarkerLiesToTheRightOfTheWay() {
        int right = 0;
        int left = 0;
        for (Isostops.Line line : Isostops.of(frame, Frame.Of.LIGHT, 1)) {
            for (int i = 1; i < line.points().size(); i++) {
                double[] a = line.points().get(i - 1);
                double[] b = line.points().get(i);
                double length = Math.hypot(b[0] - a[0], b[1] - a[1]);
                double x = (a[0] + b[0]) / 2;
                double y = (a[1] + b[1]) / 2;
                double sideX = -(b[1] - a[1]) / length * 3;
                double sideY = (b[0] - a[0]) / length * 3;
                boolean inside = Math.min(x - 4, y - 4) > 0 && x + 4 < frame.width() && y + 4 < frame.height();
                if (length > 2 && inside) {
                    float darker = stopsAt(x + sideX, y + sideY);
                    float brighter = stopsAt(x - sideX, y - sideY);
                    right += darker < brighter ? 1 : 0;
                    left += darker > brighter ? 1 : 0;
                }
            }
        }
        assertThat(right).as("left of it at edges only: %d", left).isGreaterThan(12 * left);
    }

    @Test
    void thirdsHaveTheWholeStopsAmongThem() {
        List<Double> whole = Isostops.of(frame, Frame.Of.LIGHT, 1).stream()
                .map(Isostops.Line::stops)
                .distinct()
                .toList();
        List<Double> thirds = Isostops.of(frame, Frame.Of.LIGHT, 3).stream()
                .map(Isostops.Line::stops)
                .distinct()
                .toList();
        assertThat(thirds).containsAll(whole).hasSizeGreaterThan(whole.size());
    }

    @Test
    void noLineCrossesFromOneSurfaceToAnother() {
        int[] surfaces = frame.surfaces();
        for (Isostops.Line line : Isostops.of(frame, Frame.Of.PICTURE, 1)) {
            List<Integer> on = line.points().stream()
                    .map(p -> surfaces[(int) p[1] * frame.width() + (int) p[0]])
                    .distinct()
                    .toList();
            assertThat(on.size()).as("%s stops", line.stops()).isLessThanOrEqualTo(2);
        }
    }
}
