package org.oblume.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.oblume.core.bust.Bust;
import org.oblume.core.bust.OwnShadow;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.LitSet;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
import org.oblume.core.plot.White;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;

/** The predicted picture of a grey room of 10 by 10 m, in which somebody at its middle looks north to the camera. */
class FrameTest {

    private static final int WIDE = 160;
    private static final int LARGE = 240;
    private static final double FLARE = 1e-4;

    private static Stage room() {
        return Stage.room(3.0, Surface.grey(0.4), Surface.grey(0.7))
                .withFloor(Surface.grey(0.3))
                .camera(0.6, 3.2)
                .tie("camera", new Lens(20));
    }

    private static FrameView view(Stage stage, int width) {
        return new FrameView(
                CameraFrame.of(stage.placement("camera"), stage.state()).orElseThrow(), width);
    }

    private static Frame frame(Stage stage, int width, Set<String> out) {
        ShotLighting light = stage.light(out);
        ShotLighting.Metering metering = light.metering().orElseThrow();
        return Frame.of(
                view(stage, width),
                light.seen(),
                new White(5600, 0).camera(),
                metering.exposure().required(metering.stop()).lux(),
                part -> {});
    }

    private static Frame frame(Stage stage) {
        return frame(stage, WIDE, Set.of());
    }

    private static double light(float stops) {
        return Float.isNaN(stops) ? 0 : Math.pow(2, stops);
    }

    @Test
    void theLightOfAnyDotIsWhatTheLightViewTellsThere() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4)
                .head("edge", Role.EDGE, -2.5, -3, 2.6)
                .grip("board", PlacementKind.BOUNCE, 1.2, 1.2, Surface.grey(0.8), -2, 1, 1.5, 110, 0);
        ShotLighting light = stage.light();
        LitSet set = light.seen();
        ShotLighting.Metering metering = light.metering().orElseThrow();
        Frame frame = frame(stage, LARGE, Set.of());
        float[] stops = frame.stops(Frame.Of.LIGHT);
        Random random = new Random(4);
        List<Double> apart = new ArrayList<>();
        while (apart.size() < 120) {
            int dot = random.nextInt(stops.length);
            double x = (dot % LARGE + 0.5) / LARGE;
            double y = (Math.floorDiv(dot, LARGE) + 0.5) / frame.height();
            SeenAt seen = SeenAt.of(view(stage, LARGE), light, set, x, y).orElse(null);
            if (seen != null && seen.light().lux() > 0) {
                double over = metering.over(seen.light().lux()).value();
                apart.add(Math.abs(over - stops[dot]));
            }
        }
        apart.sort(Double::compare);
        assertThat(apart.get(apart.size() / 2)).as("in the median").isLessThan(0.05);
        assertThat(apart.get(apart.size() * 95 / 100)).as("of 95 in a hundred").isLessThan(1 / 6.0);
    }

    /** Nothing comes back off: a wall gets what one lamp sends, by the cosine and the square of the way. */
    @Test
    void aWallInABlackRoomIsLitAsTheClosedFormSays() {
        Stage stage =
                Stage.blackRoom().camera(0.6, 3.2).tie("camera", new Lens(20)).head("key", Role.KEY, 0, 2, 1.5);
        ShotLighting light = stage.light();
        double required = light.metering()
                .orElseThrow()
                .exposure()
                .required(TStop.of(Math.pow(2, 1.5)))
                .lux();
        // the wall 7 m before the lamp, straight on, is hidden by the bust: three metres beside that
        SeenAt.Spot spot = SeenAt.spot(
                        view(stage, WIDE).camera(),
                        light.seen(),
                        PlanPoint.of(-3, -5).at(1.5))
                .orElseThrow();
        assertThat(spot.seen()).isTrue();
        int dot = (int) (spot.y() * 90) * WIDE + (int) (spot.x() * WIDE);
        double way = Math.hypot(3, 7);
        double angle = Math.toDegrees(Math.atan2(3, 7));
        double candela = Stage.PEAK * Math.pow(2, -Math.pow(angle / 20, 2));
        double lux = candela * (7 / way) / (way * way);
        assertThat(frame(stage).stops(Frame.Of.LIGHT)[dot])
                .isCloseTo((float) (Math.log(lux / required) / Math.log(2)), within(0.06f));
    }

    /** As a matt ball: what a facet gets of a light that is far goes with the cosine. */
    @Test
    void facetsThatNothingShadesFollowTheCosine() {
        Stage stage =
                Stage.outdoors().head("key", Role.KEY, 0, 40, Stage.FACE_M).camera(0.6, 3.2);
        ShotLighting light = stage.light();
        double full = light.marks().get(0).sources().get(0).facingLux();
        double[] ahead = {1, 0, 0};
        double[] reached = OwnShadow.reached(ahead);
        var bust = light.seen().busts().get(0);
        for (int f = 0; f < Bust.plain().facets().size(); f++) {
            double cosine = Bust.plain().facets().get(f).normal()[0];
            if (reached[f] > 0.999 && cosine > 0.2) {
                assertThat(bust.on(f).lux() / full).as("facet %d", f).isCloseTo(cosine, within(0.02));
            }
        }
    }

    @Test
    void turningTheRoomAndTheCameraTogetherChangesNothing() {
        Frame straight = frame(turned(0));
        Frame turned = frame(turned(37));
        float[] one = straight.stops(Frame.Of.PICTURE);
        float[] other = turned.stops(Frame.Of.PICTURE);
        long apart = IntStream.range(0, one.length)
                .filter(dot -> Math.abs(light(one[dot]) - light(other[dot])) > 0.06 * light(one[dot]) + 1e-3)
                .count();
        assertThat(apart).as("dots at edges, by rounding").isLessThan(one.length / 100);
    }

    private static Stage turned(double degrees) {
        double turn = Math.toRadians(degrees);
        List<PlanPoint> round = new ArrayList<>();
        for (int[] corner : new int[][] {{-4, -4}, {4, -4}, {4, 4}, {-4, 4}, {-4, -4}}) {
            round.add(at(corner[0], corner[1], turn));
        }
        PlanPoint camera = at(0.6, 3.2, turn);
        PlanPoint key = at(2, 2.5, turn);
        return Stage.outdoors()
                .with(new SetPlan(
                        3.0,
                        0,
                        List.of(new Wall(round, null, Surface.grey(0.4))),
                        List.of(),
                        List.of(),
                        List.of(),
                        Surface.grey(0.7),
                        Surface.grey(0.3),
                        null,
                        null,
                        null))
                .tie("mark", AimSetting.along(degrees, 0))
                .camera(camera.xM(), camera.yM())
                .tie("camera", new Lens(20))
                .head("key", Role.KEY, key.xM(), key.yM(), 2.4);
    }

    private static PlanPoint at(double x, double y, double clockwise) {
        return PlanPoint.of(
                x * Math.cos(clockwise) + y * Math.sin(clockwise), y * Math.cos(clockwise) - x * Math.sin(clockwise));
    }

    @Test
    void twiceTheIsoIsOneIsostopUpEverywhere() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4);
        for (Frame.Of of : Frame.Of.values()) {
            float[] slow = frame(stage.tie("camera", new Speed(400))).stops(of);
            float[] fast = frame(stage.tie("camera", new Speed(800))).stops(of);
            for (int dot = 0; dot < slow.length; dot++) {
                if (of == Frame.Of.LIGHT && !Float.isNaN(slow[dot])) {
                    assertThat(fast[dot] - slow[dot]).isCloseTo(1f, within(1e-3f));
                } else if (slow[dot] < 1) { // brighter ones are cut where edges are mended
                    assertThat(light(fast[dot]))
                            .isCloseTo(2 * light(slow[dot]), within(FLARE + 0.2 * light(slow[dot])));
                }
            }
        }
    }

    @Test
    void onePictureAndAnotherAddUpToBoth() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4).head("edge", Role.EDGE, -2.5, -3, 2.6);
        float[] both = frame(stage).stops(Frame.Of.LIGHT);
        float[] key = frame(stage, WIDE, Set.of("edge")).stops(Frame.Of.LIGHT);
        float[] edge = frame(stage, WIDE, Set.of("key")).stops(Frame.Of.LIGHT);
        int summed = 0;
        for (int dot = 0; dot < both.length; dot++) {
            if (!Float.isNaN(both[dot])) { // where a lamp itself is seen, the wall behind it is seen without it
                assertThat(light(both[dot]))
                        .isCloseTo(light(key[dot]) + light(edge[dot]), within(1e-5 + 1e-4 * light(both[dot])));
                summed++;
            }
        }
        assertThat(summed).isGreaterThan(both.length / 2);
    }

    @Test
    void aBlackFlagBrightensNothing() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4);
        float[] without = frame(stage).stops(Frame.Of.LIGHT);
        stage.grip("flag", PlacementKind.FLAG, 0.8, 0.8, null, 1.2, 1.4, 2.1, 220, -20);
        Frame flagged = frame(stage);
        float[] with = flagged.stops(Frame.Of.LIGHT);
        int[] surfaces = flagged.surfaces();
        LitSet set = stage.light().seen();
        int darker = 0;
        for (int dot = 0; dot < with.length; dot++) {
            int surface = surfaces[dot];
            boolean flag = surface >= 0
                    && surface < set.skins().size()
                    && "flag".equals(set.surface(surface).placement());
            darker += light(with[dot]) < 0.8 * light(without[dot]) ? 1 : 0;
            if (!flag) {
                assertThat(light(with[dot])).as("dot %d", dot).isLessThan(1.04 * light(without[dot]) + 2e-3);
            }
        }
        assertThat(darker).as("its shadow").isGreaterThan(100);
    }

    @Test
    void aLampInTheFrameShowsItsOwnBrightness() {
        Stage stage = room().head("edge", Role.EDGE, -0.6, -2.5, 2.0);
        Frame frame = frame(stage, 320, Set.of());
        float[] stops = frame.stops(Frame.Of.PICTURE);
        SeenAt.Spot lamp = SeenAt.spot(
                        view(stage, 320).camera(),
                        stage.light().seen(),
                        PlanPoint.of(-0.6, -2.5).at(2.0))
                .orElseThrow();
        int dot = (int) (lamp.y() * frame.height()) * 320 + (int) (lamp.x() * 320);
        assertThat(stops[dot]).as("far over").isGreaterThan(2);
        assertThat(frame.dots()[dot] & 0xff).isGreaterThan(240);
    }

    /** What was worked out of a picture is kept; a lamp that has moved in it has moved. */
    @Test
    void aLampThatIsMovedInTheFrameIsSeenWhereItIsNow() {
        Stage stage = room().head("edge", Role.EDGE, -0.6, -2.5, 2.0);
        int[] before = frame(stage, 320, Set.of()).dots();
        stage.tie("edge", new Place(-1.6, -2.5, true));
        Frame moved = frame(stage, 320, Set.of());
        SeenAt.Spot lamp = SeenAt.spot(
                        view(stage, 320).camera(),
                        stage.light().seen(),
                        PlanPoint.of(-1.6, -2.5).at(2.0))
                .orElseThrow();
        int dot = (int) (lamp.y() * moved.height()) * 320 + (int) (lamp.x() * 320);
        assertThat(moved.dots()[dot] & 0xff).isGreaterThan(240);
        assertThat(before[dot] & 0xff).isLessThan(200);
        assertThat(frame(stage, 320, Set.of("edge")).dots()[dot] & 0xff)
                .as("taken out, it is dark")
                .isLessThan(10);
    }

    @Test
    void whatIsTouchedHasANameAndWhatIsBehindAFaceIsWhatTheLadderSays() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4);
        ShotLighting light = stage.light();
        LitSet set = light.seen();
        FrameView view = view(stage, WIDE);
        SeenAt.Spot cheek = SeenAt.cheek(
                        view.camera(), set, 0, light.marks().get(0).leftIsLit())
                .orElseThrow();
        assertThat(cheek.seen()).isTrue();
        assertThat(SeenAt.of(view, light, set, cheek.x(), cheek.y())
                        .orElseThrow()
                        .on())
                .isEqualTo("face");
        assertThat(SeenAt.of(view, light, set, 0.5, 0.995).orElseThrow().on()).isIn("clothes", "floor");
        SeenAt behind = SeenAt.behind(view.camera(), light, set, 0).orElseThrow();
        assertThat(behind.on()).isEqualTo("wall");
        assertThat(behind.light().lux())
                .isCloseTo(light.marks().get(0).background().lux(), within(1e-6));
    }

    @Test
    void whoNoLongerWaitsStopsTheWork() {
        Stage stage = room().head("key", Role.KEY, 2, 2.5, 2.4).head("edge", Role.EDGE, -2.5, -3, 2.7);
        LitSet set = stage.light().seen();
        List<Double> told = new ArrayList<>();
        assertThatThrownBy(() -> Frame.of(view(stage, 48), set, new White(5600, 0).camera(), 100, part -> {
                    told.add(part);
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(told).hasSize(1);
    }

    @Test
    void aPictureIsNoWiderThanItCanBe() {
        Stage stage = room();
        assertThatThrownBy(() -> view(stage, 5000))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("The width of a picture");
    }
}
