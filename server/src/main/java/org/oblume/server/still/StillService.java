package org.oblume.server.still;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
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
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.light.FrameService;
import org.oblume.server.light.FrameService.PredictedSpot;
import org.oblume.server.light.FrameService.PredictedSpots;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.note.NoteService;
import org.oblume.server.note.ScenePhoto;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.set.PictureFile;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.still.StillViews.FoundSpot;
import org.oblume.server.still.StillViews.LikePoint;
import org.oblume.server.still.StillViews.MarkedPoint;
import org.oblume.server.still.StillViews.PredictedAt;
import org.oblume.server.still.StillViews.RatioRead;
import org.oblume.server.still.StillViews.ReedStops;
import org.oblume.server.still.StillViews.RunStill;
import org.oblume.server.still.StillViews.StillHead;
import org.oblume.server.still.StillViews.StillLine;
import org.oblume.server.still.StillViews.StillPair;
import org.oblume.server.still.StillViews.StillView;
import org.oblume.server.still.StillViews.WhiteApart;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stills are photographs of a shot, of which more is said: what they are, what counts in them, and what is read there. */
@Service
@Transactional
public class StillService {

    private static final int MOST_POINTS = 12;
    private static final int LONGEST_NAME = 40;
    private static final int REEDS = 103;
    private static final int LINES_WIDE = 412;
    private static final int SMALL_WIDE = 200;
    private static final int SHOWN_WIDE = 1280;
    private static final double TENTHS = 10;
    /** Points that a line of readings has words for. */
    private static final Map<String, String> TYPED = Map.of(
            StillMatch.LIT,
            "lit",
            StillMatch.SHADOW,
            "shadow",
            MeterPlace.BACKGROUND.label(),
            "background",
            "window",
            "window",
            "hottest",
            "hottest");
    /** What else can be called out: words without figures. */
    private static final Pattern CALLED = Pattern.compile("\\p{L}[\\p{L}' -]*");

    private static final Set<String> OF_A_FACE =
            Set.of(StillMatch.LIT, StillMatch.SHADOW, MeterPlace.BACKGROUND.label());
    /** Part by which two shapes may differ and be one: dots are whole. */
    private static final double SAME_SHAPE = 0.02;
    /** Dots of signals that are kept: two of 24 megapixels. */
    private static final long MOST_DOTS = 50_000_000;

    private final StillRepository stills;
    private final StillSmallRepository smalls;
    private final NoteService notes;
    private final StoredScenes records;
    private final RebuildService rebuild;
    private final MonitorService monitor;
    private final FrameService frames;
    private final RecordJson json;
    private final Cache<List<Object>, Looked> signals = Caffeine.newBuilder()
            .maximumWeight(MOST_DOTS)
            .weigher((List<Object> of, Looked at) -> at.signal.width() * at.signal.height())
            .build();

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

    StillService(
            StillRepository stills,
            StillSmallRepository smalls,
            NoteService notes,
            StoredScenes records,
            RebuildService rebuild,
            MonitorService monitor,
            FrameService frames,
            RecordJson json) {
        this.stills = stills;
        this.smalls = smalls;
        this.notes = notes;
        this.records = records;
        this.rebuild = rebuild;
        this.monitor = monitor;
        this.frames = frames;
        this.json = json;
    }

    /** The photographs of a scene's shots with what is said of them. */
    @Transactional(readOnly = true)
    List<StillHead> ofScene(long sceneId) {
        StoredScene record = records.of(sceneId);
        Map<Long, List<ScenePhoto>> photos = notes
                .photosOf(record.shots().stream().map(Shot::id).toList())
                .stream()
                .collect(Collectors.groupingBy(ScenePhoto::shotId));
        Map<Long, StillEntity> said = said(photos.keySet());
        return record.shots().stream()
                .flatMap(shot -> photos.getOrDefault(shot.id(), List.of()).stream()
                        .map(photo -> head(record, shot, photo, said.get(photo.id()))))
                .toList();
    }

    private Map<Long, StillEntity> said(Collection<Long> shotIds) {
        return stills.findByShotIdIn(shotIds).stream().collect(Collectors.toMap(StillEntity::noteId, s -> s));
    }

    private static StillHead head(StoredScene record, Shot shot, ScenePhoto photo, @Nullable StillEntity kept) {
        StillEntity said = kept == null ? new StillEntity(photo.id(), shot.id()) : kept;
        return new StillHead(
                photo.id(),
                shot.id(),
                shot.card().slate(),
                photo.text(),
                record.placed().stream()
                        .filter(p -> Objects.equals(p.id(), photo.placementId()))
                        .map(PlacedPiece::placement)
                        .map(p -> p.name())
                        .findFirst()
                        .orElse(null),
                said.runId(),
                said.kind(),
                said.videoRange(),
                said.reference(),
                photo.widthPx(),
                photo.heightPx(),
                photo.author(),
                photo.at(),
                said.version());
    }

    /**
     * Keeps a still.
     *
     * @param run a rebuild of the shot that it is of, or null
     * @throws Refusal when it is no picture, or is there already
     */
    StillHead add(long shotId, @Nullable Long run, StillKind kind, String text, byte[] bytes, String author) {
        if (run != null) {
            rebuild.requireOpen(run, shotId);
        }
        PictureFile file = PictureFile.photo(bytes);
        if (notes.hasPhotograph(shotId, file.bytes())) {
            throw new Refusal("This picture is among the stills of this shot already: it is not kept twice.");
        }
        StillSmallEntity small = smallOf(file);
        long id = notes.addPhotograph(shotId, text, bytes, author);
        smalls.save(small.of(id));
        StillEntity still = new StillEntity(id, shotId).of(run, kind);
        if (run != null && kind == StillKind.FRAME) {
            // the same camera in the same place: what is looked at is in the same places until somebody says otherwise
            newest(shotId, null)
                    .flatMap(recorded -> stills.findById(recorded.id()))
                    .ifPresent(like -> still.say(kind, like.videoRange(), like.points()));
        }
        stills.saveAndFlush(still);
        return whole(id).head();
    }

    /** The newest frame of the camera of a shot: of a rebuild, or without one of the shot itself. */
    private Optional<StillHead> newest(long shotId, @Nullable Long run) {
        StoredScene record = records.shot(shotId).scene();
        Map<Long, StillEntity> said = said(List.of(shotId));
        return notes.photosOf(List.of(shotId)).stream()
                .map(photo -> head(record, records.shot(shotId).shot(), photo, said.get(photo.id())))
                .filter(head -> head.kind() == StillKind.FRAME && Objects.equals(head.run(), run))
                .reduce((older, newer) -> newer);
    }

    /** A frame of a rebuild beside the recorded one. */
    @Transactional(readOnly = true)
    RunStill ofRun(long runId) {
        long shotId = rebuild.built(runId).shot().id();
        Optional<StillHead> recorded = newest(shotId, null);
        Optional<StillHead> now = newest(shotId, runId);
        return new RunStill(
                recorded.orElse(null),
                now.orElse(null),
                recorded.flatMap(before -> now.map(after -> beside(before.id(), after.id())))
                        .orElse(null));
    }

    /** What a frame of a rebuild says beside the recorded one; empty without both. */
    @Transactional(readOnly = true)
    public Optional<String> saidOfRun(long runId) {
        return Optional.ofNullable(ofRun(runId).pair()).map(StillPair::said);
    }

    private static StillSmallEntity smallOf(PictureFile file) {
        return StillPicture.open(
                file.bytes(),
                file.turned(),
                picture -> new StillSmallEntity(0, picture.small(SMALL_WIDE), picture.small(SHOWN_WIDE)));
    }

    /** A still and the scene that it is of. */
    private record Whole(StillHead head, long sceneId, List<MarkedPoint> points) {}

    private Whole whole(long id) {
        ScenePhoto photo = notes.photograph(id);
        StoredScene record = records.shot(photo.shotId()).scene();
        Shot shot = records.shot(photo.shotId()).shot();
        StillEntity said = stills.findById(id).orElse(null);
        return new Whole(
                head(record, shot, photo, said), record.scene().id(), points(said == null ? "[]" : said.points()));
    }

    private List<MarkedPoint> points(String kept) {
        return Arrays.asList(json.read(kept, MarkedPoint[].class));
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

    @Transactional(readOnly = true)
    StillView view(long id) {
        Whole still = whole(id);
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
                        .map(StillService::line)
                        .toList(),
                predicted.stream()
                        .flatMap(spots -> predicted(spots, points, curve).stream())
                        .toList(),
                still.head.kind() == StillKind.FRAME ? meterLine(points).orElse(null) : null,
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
                        .map(StillService::place)
                        .orElse(null),
                elsewhere(points).stream().map(StillService::place).toList());
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

    /** As it is typed where readings are; a place that has no name there is one of the crew's own. */
    private static Optional<String> meterLine(List<StillFigure> points) {
        String line = points.stream()
                .filter(p ->
                        TYPED.containsKey(p.name()) || CALLED.matcher(p.name()).matches())
                .map(p -> "%s %s%%"
                        .formatted(
                                TYPED.getOrDefault(p.name(), "on the " + p.name()),
                                Math.round(TENTHS * p.percent()) / TENTHS))
                .collect(Collectors.joining(", "));
        return line.isEmpty() ? Optional.empty() : Optional.of(line);
    }

    /** @throws EditConflict when somebody else said more of it since that version */
    void say(long id, StillKind kind, boolean videoRange, @Nullable List<MarkedPoint> points, long version) {
        if (points != null) {
            check(points);
        }
        StillEntity still = entity(id);
        if (still.version() != version) {
            throw new EditConflict(
                    "Someone marked this still since you opened it. Nothing of yours was kept yet.",
                    whole(id).head());
        }
        if (still.runId() != null) {
            rebuild.requireOpen(still.runId(), still.shotId());
        }
        stills.saveAndFlush(still.say(kind, videoRange, points == null ? still.points() : json.write(points)));
    }

    private static void check(List<MarkedPoint> points) {
        if (points.size() > MOST_POINTS) {
            throw new Refusal("points", "%d points are marked in a still: let go of one first.".formatted(MOST_POINTS));
        }
        Set<String> names = new HashSet<>();
        for (MarkedPoint point : points) {
            Checks.text("A point's name", point.name(), LONGEST_NAME);
            Checks.within("x", "A point's place from the left", point.x(), 0, 1, "");
            Checks.within("y", "A point's place from the top", point.y(), 0, 1, "");
            if (!names.add(point.name())) {
                throw new Refusal(
                        "points", "There is a point “%s” already: give it another name.".formatted(point.name()));
            }
        }
    }

    private StillEntity entity(long id) {
        ScenePhoto photo = notes.photograph(id);
        return stills.findById(id).orElseGet(() -> new StillEntity(id, photo.shotId()));
    }

    void hold(long id) {
        StillEntity chosen = entity(id);
        Whole still = whole(id);
        stills.findByShotIdIn(
                        records.of(still.sceneId).shots().stream().map(Shot::id).toList())
                .forEach(other -> other.hold(false));
        chosen.hold(true);
        stills.saveAndFlush(chosen);
    }

    @Transactional(readOnly = true)
    StillPair beside(long first, long second) {
        Whole one = whole(first);
        Whole other = whole(second);
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

    /** Upright, as JPEG; made when it is first asked for, of what was kept before there were small pictures. */
    byte[] picture(long id, int wide) {
        notes.photograph(id); // unless it was taken out
        StillSmallEntity small = smalls.findById(id)
                .orElseGet(() -> smalls.saveAndFlush(smallOf(notes.photo(id)).of(id)));
        return wide <= SMALL_WIDE ? small.listed() : small.shown();
    }
}
