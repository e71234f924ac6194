package org.oblume.server.light;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.Kept;
import org.oblume.core.light.LitSet;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.picture.Frame;
import org.oblume.core.picture.FrameView;
import org.oblume.core.picture.Isostops;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.White;
import org.oblume.core.units.Refusal;
import org.oblume.server.light.FrameViews.FramePoint;
import org.oblume.server.light.FrameViews.FrameStep;
import org.oblume.server.light.FrameViews.IsostopLine;
import org.oblume.server.light.FrameViews.PointKind;
import org.oblume.server.light.FrameViews.PredictedFrame;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.ComputesAtLength;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;

/** Predicts what a camera sees of a shot. Nothing is kept here. */
@Service
public class FrameService {

    private static final int COARSE = 160;
    private static final int ON_PAPER = 800;
    private static final double COARSE_DONE = 0.2;
    private static final double WHOLE_DONE = 0.9;
    private static final int MOST_POINTS = 12;
    private static final double TENTHS = 10;
    private static final int SMALL_PICTURES = 400;

    private final StoredScenes records;
    private final LightService light;
    private final MonitorService monitor;
    private final Kept<List<Object>, byte[]> small = new Kept<>(SMALL_PICTURES);

    FrameService(StoredScenes records, LightService light, MonitorService monitor) {
        this.records = records;
        this.light = light;
        this.monitor = monitor;
    }

    /** A place in a frame: from its left and its upper edge, 0 to 1. */
    record FrameSpot(double x, double y) {}

    /**
     * What is wanted of a frame.
     *
     * @param camera key of one of the cameras, or null for the first on set
     * @param of what lines tell
     * @param perStop how many lines there are to a stop: 1, 3, or 0 for none
     * @param touched places that are asked about, 12 at most
     */
    record Wanted(@Nullable String camera, int width, Frame.Of of, int perStop, List<FrameSpot> touched) {

        Wanted {
            if (perStop != 0 && perStop != 1 && perStop != 3) {
                throw new Refusal(
                        "Lines of equal exposure are for whole stops or for thirds: ask for 1 or 3 to a stop.");
            }
            if (touched.size() > MOST_POINTS) {
                throw new Refusal("%d points are looked at at once: let go of one first.".formatted(MOST_POINTS));
            }
        }
    }

    /** A frame, ready to be worked out. */
    record Prepared(
            Wanted wanted,
            LitState lit,
            Lights lights,
            FrameView view,
            String key,
            White white,
            double requiredLux,
            SignalCurve curve) {

        PredictedFrame told(Frame frame, boolean coarse, List<IsostopLine> lines, List<FramePoint> points) {
            return new PredictedFrame(
                    coarse, frame.width(), frame.height(), url(frame), lines, points, key, curve.label());
        }
    }

    /**
     * @throws NotFoundException when there is no such camera on set
     * @throws Refusal as when changes are tried, or when the camera's place, lens or exposure is not recorded
     */
    @ComputesAtLength
    public Prepared prepare(long shotId, LightService.Tried tried, Wanted wanted) {
        RecordedShot shot = records.shot(shotId);
        return prepare(shot.scene(), LitState.of(light.trial(shot, tried)), tried.out(), wanted);
    }

    private Prepared prepare(StoredScene record, LitState lit, Set<String> out, Wanted wanted) {
        Placement camera = camera(lit, wanted.camera());
        CameraFrame frame = CameraFrame.of(camera, lit.state())
                .orElseThrow(() -> new Refusal(
                        "%s has no frame yet: record its place, height, aim and lens first.".formatted(camera.name())));
        ShotLighting.Metering metering = lit.light()
                .metering(camera)
                .orElseThrow(() -> new Refusal("The picture shows what %s sees: record its stop, ISO and shutter first."
                        .formatted(camera.name())));
        return new Prepared(
                wanted,
                lit,
                LightService.lights(record, lit.state(), lit.light(), out),
                new FrameView(frame, wanted.width()),
                camera.key(),
                lit.light().white(camera),
                metering.exposure().required(metering.stop()).lux(),
                monitor.curve(record.scene().id()));
    }

    private static Placement camera(LitState lit, @Nullable String key) {
        List<Placement> placements = lit.scene().placements();
        if (key == null) {
            return lit.state()
                    .camera(placements)
                    .orElseThrow(
                            () -> new Refusal("There is no camera on set: place one, then it shows what it sees."));
        }
        return placements.stream()
                .filter(p -> p.kind() == PlacementKind.CAMERA
                        && p.key().equals(key)
                        && lit.state().isOnSet(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such camera on set any more."));
    }

    /**
     * Works a frame out, a coarse one first.
     *
     * @param told each step, in turn; it throws when nobody waits any more, and then the work stops
     */
    void paint(Prepared prepared, Consumer<FrameStep> told) {
        LitSet set = prepared.lit.light().seen();
        Waiting waiting = new Waiting(told);
        if (prepared.view.width() > COARSE) {
            Frame coarse = frame(prepared, prepared.view.of(COARSE), set, waiting.from(0, COARSE_DONE));
            told.accept(new FrameStep(COARSE_DONE, prepared.told(coarse, true, List.of(), List.of()), null));
        }
        Frame whole = frame(prepared, prepared.view, set, waiting.from(COARSE_DONE, WHOLE_DONE));
        List<IsostopLine> lines = prepared.wanted.perStop() == 0
                ? List.of()
                : Isostops.of(whole, prepared.wanted.of(), prepared.wanted.perStop()).stream()
                        .map(FrameService::line)
                        .toList();
        told.accept(new FrameStep(1, prepared.told(whole, false, lines, new FramePoints(prepared, set).all()), null));
    }

    /**
     * A picture with its lines of equal exposure, for paper.
     *
     * @param lines of the light, whole stops
     * @param stop of the camera, which they count from
     */
    public record Pictured(Frame frame, List<Isostops.Line> lines, String stop) {}

    /**
     * What is predicted at a place of a frame.
     *
     * @param on name of what is there
     * @param percent on the monitor, or null in the dark
     */
    public record PredictedSpot(String on, @Nullable Double percent, boolean clipped) {}

    /** What is predicted at points of a shot's frame: of a mark its cheeks and what is behind it, and elsewhere what is there. */
    public record PredictedSpots(
            @Nullable PredictedSpot lit,
            @Nullable PredictedSpot shadow,
            @Nullable PredictedSpot background,
            List<PredictedSpot> elsewhere) {}

    /**
     * A shot as it is recorded, at places of its frame; empty when its camera does not know yet what it sees.
     *
     * @param face where a face is in the frame, from the left and from the upper edge, 0 to 1: the mark that is nearest to it is told of; the
     *     first without one
     * @param places likewise
     */
    @ComputesAtLength
    public Optional<PredictedSpots> at(long shotId, double @Nullable [] face, List<double[]> places) {
        try {
            Prepared prepared = prepare(
                    shotId,
                    new LightService.Tried(List.of(), List.of(), Set.of(), 0),
                    new Wanted(
                            null,
                            COARSE,
                            Frame.Of.LIGHT,
                            0,
                            places.stream().map(p -> new FrameSpot(p[0], p[1])).toList()));
            List<FramePoint> points =
                    new FramePoints(prepared, prepared.lit.light().seen()).all();
            String mark = mark(points, face);
            return Optional.of(new PredictedSpots(
                    of(points, PointKind.LIT, mark),
                    of(points, PointKind.SHADOW, mark),
                    of(points, PointKind.BACKGROUND, mark),
                    points.stream()
                            .filter(p -> p.kind() == PointKind.TOUCHED)
                            .map(FrameService::spot)
                            .toList()));
        } catch (Refusal | NotFoundException notYet) {
            return Optional.empty();
        }
    }

    /** Of the marks that are seen the nearest to a face. */
    private static @Nullable String mark(List<FramePoint> points, double @Nullable [] face) {
        return points.stream()
                .filter(p -> p.mark() != null && (face == null || p.x() != null))
                .min(Comparator.comparingDouble(p -> face == null || p.x() == null || p.y() == null
                        ? 0
                        : Math.hypot(p.x() - face[0], p.y() - face[1])))
                .or(() -> points.stream().filter(p -> p.mark() != null).findFirst())
                .map(FramePoint::mark)
                .orElse(null);
    }

    private static @Nullable PredictedSpot of(List<FramePoint> points, PointKind kind, @Nullable String mark) {
        return points.stream()
                .filter(p -> p.kind() == kind && Objects.equals(p.mark(), mark))
                .findFirst()
                .map(FrameService::spot)
                .orElse(null);
    }

    private static PredictedSpot spot(FramePoint point) {
        return new PredictedSpot(point.on(), point.percent(), point.clipped());
    }

    /** A shot as it is recorded; empty when its camera does not know yet what it sees. */
    @ComputesAtLength
    public Optional<Pictured> pictured(long shotId) {
        try {
            Prepared prepared = prepare(
                    shotId,
                    new LightService.Tried(List.of(), List.of(), Set.of(), 0),
                    new Wanted(null, ON_PAPER, Frame.Of.LIGHT, 1, List.of()));
            Frame frame = frame(prepared, prepared.view, prepared.lit.light().seen(), part -> {});
            String stop = prepared.lit
                    .light()
                    .metering(prepared.lit.scene().placement(prepared.key))
                    .map(m -> m.stop().label())
                    .orElseThrow();
            return Optional.of(new Pictured(frame, Isostops.of(frame, Frame.Of.LIGHT, 1), stop));
        } catch (Refusal | NotFoundException notYet) {
            return Optional.empty();
        }
    }

    /**
     * A state of a scene, small, as a PNG.
     *
     * @throws Refusal when its camera does not know yet what it sees
     */
    public byte[] small(StoredScene record, RecordedState state) {
        return small(prepare(
                record, light.lit(record, state), Set.of(), new Wanted(null, COARSE, Frame.Of.LIGHT, 0, List.of())));
    }

    /** Small, as a PNG; kept while the shot is in the same light. */
    byte[] small(Prepared prepared) {
        LitSet set = prepared.lit.light().seen();
        List<Object> key =
                new ArrayList<>(List.of(prepared.view, set.surfacesKey(), prepared.white, prepared.requiredLux));
        for (int i = 0; i < set.sources(); i++) {
            key.add(set.layerKey(i));
            for (double gain : set.gains(i)) {
                key.add(gain);
            }
        }
        return small.get(key, () -> png(frame(prepared, prepared.view, set, new Waiting(step -> {}).from(0, 1))));
    }

    private static Frame frame(Prepared prepared, FrameView view, LitSet set, Frame.Waiting waiting) {
        return Frame.of(view, set, prepared.white.camera(), prepared.requiredLux, waiting);
    }

    /** Who waits for a frame: told how far it is. */
    private record Waiting(Consumer<FrameStep> told) {

        Frame.Waiting from(double least, double most) {
            return part -> told.accept(new FrameStep(least + part * (most - least), null, null));
        }
    }

    private static IsostopLine line(Isostops.Line line) {
        List<Double> dots = new ArrayList<>();
        for (double[] point : line.points()) {
            dots.add(Math.round(point[0] * TENTHS) / TENTHS);
            dots.add(Math.round(point[1] * TENTHS) / TENTHS);
        }
        return new IsostopLine(line.stops(), dots);
    }

    private static String url(Frame frame) {
        return "data:image/png;base64," + Base64.getEncoder().encodeToString(png(frame));
    }

    private static byte[] png(Frame frame) {
        BufferedImage image = new BufferedImage(frame.width(), frame.height(), BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, frame.width(), frame.height(), frame.dots(), 0, frame.width());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
