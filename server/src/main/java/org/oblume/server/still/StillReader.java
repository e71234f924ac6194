package org.oblume.server.still;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.picture.Isostops;
import org.oblume.core.plot.White;
import org.oblume.core.still.PatchWhite;
import org.oblume.core.still.Signal;
import org.oblume.core.still.StillFigure;
import org.oblume.core.still.StillLines;
import org.oblume.core.still.StillMatch;
import org.oblume.core.still.StillPart;
import org.oblume.core.still.TypedLine;
import org.oblume.core.units.Refusal;
import org.oblume.server.light.FrameService;
import org.oblume.server.light.FrameService.PredictedSpot;
import org.oblume.server.light.FrameService.PredictedSpots;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.note.NoteService;
import org.oblume.server.set.PictureFile;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.still.StillViews.FoundSpot;
import org.oblume.server.still.StillViews.LikePoint;
import org.oblume.server.still.StillViews.MarkedPoint;
import org.oblume.server.still.StillViews.PredictedAt;
import org.oblume.server.still.StillViews.RatioRead;
import org.oblume.server.still.StillViews.ReedStops;
import org.oblume.server.still.StillViews.StillHead;
import org.oblume.server.still.StillViews.StillLine;
import org.oblume.server.still.StillViews.StillPair;
import org.oblume.server.still.StillViews.StillView;
import org.oblume.server.still.StillViews.WhiteApart;
import org.springframework.stereotype.Component;

/** Reads stills: their signal, their points and lines, and what like points of two of them say. */
@Component
class StillReader {

    private static final int REEDS = 103;
    private static final int LINES_WIDE = 412;
    private static final double TENTHS = 10;

    private static final Set<String> OF_A_FACE =
            Set.of(StillMatch.LIT, StillMatch.SHADOW, MeterPlace.BACKGROUND.label());
    /** Part by which two shapes may differ and be one: dots are whole. */
    private static final double SAME_SHAPE = 0.02;
    /** Dots of signals that are kept: two of 24 megapixels. */
    private static final long MOST_DOTS = 50_000_000;

    private final NoteService notes;
    private final StoredScenes records;
    private final MonitorService monitor;
    private final FrameService frames;
    private final Cache<List<Object>, Looked> signals = Caffeine.newBuilder()
            .maximumWeight(MOST_DOTS)
            .weigher((List<Object> of, Looked at) -> at.signal.width() * at.signal.height())
            .build();

    /** A still and the scene that it is of. */
    record Whole(StillHead head, long sceneId, List<MarkedPoint> points) {}

    /** A signal and what is the same of it whatever is marked and through whichever curve it is read. */
    private record Looked(
            Signal signal,
            Signal.Spot hottest,
            Signal.Spot darkest,
            List<StillPart> parts,
            List<Signal.Reed> reeds,
            int wide) {

        static Looked at(Signal signal) {
            int wide = Math.min(LINES_WIDE, signal.width());
            return new Looked(
                    signal, signal.hottest(), signal.darkest(), StillPart.of(signal, wide), signal.reeds(REEDS), wide);
        }
    }

    StillReader(NoteService notes, StoredScenes records, MonitorService monitor, FrameService frames) {
        this.notes = notes;
        this.records = records;
        this.monitor = monitor;
        this.frames = frames;
    }

    private Looked looked(StillHead still) {
        return signals.get(List.of(still.id(), still.videoRange()), key -> {
            PictureFile file = notes.photo(still.id());
            return Looked.at(
                    StillPicture.open(file.bytes(), file.turned(), picture -> picture.signal(still.videoRange())));
        });
    }

    private static List<StillFigure> figures(Whole still, Signal signal, SignalCurve curve) {
        return still.points.stream()
                .map(p -> StillFigure.of(signal, p.name(), p.x(), p.y(), curve))
                .toList();
    }

    /** A still and what is read off it. */
    StillView view(Whole still) {
        SignalCurve curve = monitor.curve(still.sceneId);
        if (!still.head.kind().isRead()) {
            return StillView.lookedAt(still.head, curve.label(), LINES_WIDE);
        }
        Looked looked = looked(still.head);
        Signal signal = looked.signal;
        List<StillFigure> points = figures(still, signal, curve);
        Optional<PredictedSpots> predicted = predicted(still.head.shotId(), points);
        return new StillView(
                still.head,
                curve.label(),
                points,
                ratios(points, curve),
                found(looked.hottest),
                found(looked.darkest),
                signal.clippedShare(),
                signal.blackShare(),
                looked.parts,
                looked.reeds.stream().map(r -> reed(r, curve)).toList(),
                looked.wide,
                signal.downOf(looked.wide),
                StillLines.of(signal, curve, looked.wide, 1).stream()
                        .map(StillReader::line)
                        .toList(),
                predicted.stream()
                        .flatMap(spots -> predicted(spots, points, curve).stream())
                        .toList(),
                still.head.kind() == StillKind.FRAME ? TypedLine.of(points).orElse(null) : null,
                predicted.map(spots -> shape(still.head)).orElse(null));
    }

    private static List<RatioRead> ratios(List<StillFigure> points, SignalCurve curve) {
        List<RatioRead> all = new ArrayList<>();
        for (SignalCurve school : new SignalCurve[] {curve, ShippedCurve.NONE}) {
            StillMatch.ratio(points, school)
                    .map(r -> new RatioRead(school.label(), r.ratio(), r.stops().value()))
                    .ifPresent(all::add);
        }
        return all;
    }

    private static FoundSpot found(Signal.Spot spot) {
        return new FoundSpot(spot.x(), spot.y(), spot.percent());
    }

    private static ReedStops reed(Signal.Reed reed, SignalCurve curve) {
        Function<Double, Double> stops = percent ->
                Optional.ofNullable(StillFigure.stops(percent, curve)).orElse(Isostops.LOWEST - 1.0);
        return new ReedStops(
                stops.apply(reed.lowest()),
                stops.apply(reed.low()),
                stops.apply(reed.high()),
                stops.apply(reed.highest()));
    }

    private static StillLine line(Isostops.Line line) {
        List<Double> dots = new ArrayList<>();
        for (double[] point : line.points()) {
            dots.add(Math.round(point[0] * TENTHS) / TENTHS);
            dots.add(Math.round(point[1] * TENTHS) / TENTHS);
        }
        return new StillLine(line.stops(), dots);
    }

    /** Cheeks and background are those of the face; any other point is looked up where it is in the picture. */
    private Optional<PredictedSpots> predicted(long shotId, List<StillFigure> points) {
        return frames.at(
                shotId,
                points.stream()
                        .filter(p -> OF_A_FACE.contains(p.name()))
                        .findFirst()
                        .map(StillReader::place)
                        .orElse(null),
                elsewhere(points).stream().map(StillReader::place).toList());
    }

    private static List<StillFigure> elsewhere(List<StillFigure> points) {
        return points.stream().filter(p -> !OF_A_FACE.contains(p.name())).toList();
    }

    private static List<PredictedAt> predicted(PredictedSpots spots, List<StillFigure> points, SignalCurve curve) {
        List<StillFigure> elsewhere = elsewhere(points);
        return points.stream()
                .flatMap(p -> {
                    PredictedSpot spot = p.name().equals(StillMatch.LIT)
                            ? spots.lit()
                            : p.name().equals(StillMatch.SHADOW)
                                    ? spots.shadow()
                                    : OF_A_FACE.contains(p.name())
                                            ? spots.background()
                                            : spots.elsewhere().get(elsewhere.indexOf(p));
                    return Optional.ofNullable(spot).map(s -> at(p, s, curve)).stream();
                })
                .toList();
    }

    /** What is said of a still that has another shape than what its camera frames. */
    private static @Nullable String shape(StillHead still) {
        double framed = 1 / CameraFrame.ASPECT;
        double shape = still.widthPx() / still.heightPx();
        return Math.abs(shape / framed - 1) < SAME_SHAPE
                ? null
                : String.format(
                        Locale.ROOT,
                        "This still is %.2f : 1 and its camera frames %.2f : 1: turned, cropped or of another camera. Its points are read as they are; what is predicted at other points than a face's is of other places.",
                        shape,
                        framed);
    }

    private static double[] place(StillFigure point) {
        return new double[] {point.x(), point.y()};
    }

    private static PredictedAt at(StillFigure read, PredictedSpot spot, SignalCurve curve) {
        Double predicted = spot.percent() == null || spot.clipped() ? null : StillFigure.stops(spot.percent(), curve);
        return new PredictedAt(
                read.name(),
                spot.on(),
                spot.percent(),
                predicted == null || read.stops() == null || read.clipped() ? null : read.stops() - predicted);
    }

    /** The second against the first. */
    StillPair beside(Whole one, Whole other) {
        if (one.sceneId != other.sceneId) {
            throw new Refusal("Stills of one scene are laid side by side: choose another.");
        }
        if (!one.head.kind().isRead() || !other.head.kind().isRead()) {
            return new StillPair(0, List.of(), List.of(), null, "Lay them side by side and flick.", null);
        }
        SignalCurve curve = monitor.curve(one.sceneId);
        double tolerance = Objects.requireNonNull(Tolerances.HOLD.of().get(Aspect.EXPOSURE));
        List<StillFigure> there = figures(one, looked(one.head).signal, curve);
        List<StillFigure> here = figures(other, looked(other.head).signal, curve);
        StillMatch match = StillMatch.of(there, here, curve, tolerance);
        Optional<PatchWhite> shift =
                white(one, curve).flatMap(before -> white(other, curve).map(now -> now.from(before)));
        boolean counts = one.head.kind() == StillKind.FRAME && other.head.kind() == StillKind.FRAME;
        return new StillPair(
                tolerance,
                match.points().stream()
                        .map(p -> new LikePoint(
                                p.name(),
                                p.first(),
                                p.second(),
                                p.apart(),
                                match.holds(p).orElse(null)))
                        .toList(),
                apart(ratios(there, curve), ratios(here, curve)),
                counts ? match.faceHolds().orElse(null) : null,
                counts ? match.say() : "As seen, which is no reading. " + match.say(),
                shift.map(w -> new WhiteApart(w.mired(), w.duv(), w.holds(Tolerances.HOLD), w.say()))
                        .orElse(null));
    }

    /** The light on the point that is named grey, from the white of its shot's camera. */
    private Optional<PatchWhite> white(Whole still, SignalCurve curve) {
        RecordedShot shot = records.shot(still.head.shotId());
        White camera = ShotLighting.white(shot.record().placements(), shot.state());
        return still.points.stream()
                .filter(p -> p.name().equals(PatchWhite.NAME))
                .findFirst()
                .flatMap(p -> PatchWhite.of(looked(still.head).signal, p.x(), p.y(), curve, camera));
    }

    private static List<Double> apart(List<RatioRead> one, List<RatioRead> other) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < Math.min(one.size(), other.size()); i++) {
            all.add(other.get(i).stops() - one.get(i).stops());
        }
        return all;
    }
}
