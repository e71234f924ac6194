package org.oblume.server.still;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.picture.Isostops;
import org.oblume.core.still.Signal;
import org.oblume.core.still.StillFigure;
import org.oblume.core.still.StillLines;
import org.oblume.core.still.StillMatch;
import org.oblume.core.still.StillPart;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.light.FrameService;
import org.oblume.server.light.FrameService.PredictedSpot;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.note.NoteService;
import org.oblume.server.note.ScenePhoto;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.set.PictureFile;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
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
        stills.findFirstByShotIdAndDigest(shotId, file.digest()).ifPresent(same -> {
            if (exists(same)) {
                throw new Refusal("This picture is among the stills of this shot already: it is not kept twice.");
            }
        });
        StillSmallEntity small = smallOf(file);
        long id = notes.addPhotograph(shotId, text, bytes, author);
        smalls.save(small.of(id));
        stills.saveAndFlush(new StillEntity(id, shotId).of(run, kind, file.digest()));
        return whole(id).head();
    }

    private static StillSmallEntity smallOf(PictureFile file) {
        return StillPicture.open(
                file.bytes(),
                file.turned(),
                picture -> new StillSmallEntity(0, picture.small(SMALL_WIDE), picture.small(SHOWN_WIDE)));
    }

    private boolean exists(StillEntity still) {
        return notes.photosOf(List.of(still.shotId())).stream().anyMatch(p -> p.id() == still.noteId());
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
        Looked looked = looked(still.head);
        Signal signal = looked.signal;
        List<StillFigure> points = figures(still, signal, curve);
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
                predicted(still.head.shotId(), points, curve),
                still.head.kind() == StillKind.FRAME ? meterLine(points).orElse(null) : null);
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
    private List<PredictedAt> predicted(long shotId, List<StillFigure> points, SignalCurve curve) {
        Set<String> face = Set.of(StillMatch.LIT, StillMatch.SHADOW, MeterPlace.BACKGROUND.label());
        List<StillFigure> elsewhere =
                points.stream().filter(p -> !face.contains(p.name())).toList();
        return frames.at(
                        shotId,
                        elsewhere.stream().map(p -> new double[] {p.x(), p.y()}).toList())
                .map(spots -> points.stream()
                        .flatMap(p -> {
                            PredictedSpot spot = p.name().equals(StillMatch.LIT)
                                    ? spots.lit()
                                    : p.name().equals(StillMatch.SHADOW)
                                            ? spots.shadow()
                                            : face.contains(p.name())
                                                    ? spots.background()
                                                    : spots.elsewhere().get(elsewhere.indexOf(p));
                            return Optional.ofNullable(spot).map(s -> at(p, s, curve)).stream();
                        })
                        .toList())
                .orElse(List.of());
    }

    private static PredictedAt at(StillFigure read, PredictedSpot spot, SignalCurve curve) {
        Double predicted = spot.percent() == null || spot.clipped() ? null : StillFigure.stops(spot.percent(), curve);
        return new PredictedAt(
                read.name(),
                spot.on(),
                spot.percent(),
                predicted == null || read.stops() == null || read.clipped() ? null : read.stops() - predicted);
    }

    /** As it is typed where readings are. */
    private static Optional<String> meterLine(List<StillFigure> points) {
        Map<String, String> words =
                Map.of(StillMatch.LIT, "lit", StillMatch.SHADOW, "shadow", MeterPlace.BACKGROUND.label(), "background");
        String line = points.stream()
                .filter(p -> words.containsKey(p.name()))
                .map(p -> "%s %s".formatted(words.get(p.name()), Math.round(TENTHS * p.percent()) / TENTHS))
                .collect(Collectors.joining(", "));
        return line.isEmpty() ? Optional.empty() : Optional.of(line);
    }

    /** @throws EditConflict when somebody else said more of it since that version */
    void say(long id, StillKind kind, boolean videoRange, List<MarkedPoint> points, long version) {
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
        StillEntity still = entity(id);
        if (still.version() != version) {
            throw new EditConflict(
                    "Someone marked this still since you opened it. Nothing of yours was kept yet.",
                    whole(id).head());
        }
        stills.saveAndFlush(still.say(kind, videoRange, json.write(points)));
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
        SignalCurve curve = monitor.curve(one.sceneId);
        double tolerance = Objects.requireNonNull(Tolerances.HOLD.of().get(Aspect.EXPOSURE));
        List<StillFigure> there = figures(one, looked(one.head).signal, curve);
        List<StillFigure> here = figures(other, looked(other.head).signal, curve);
        StillMatch match = StillMatch.of(there, here, curve, tolerance);
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
                counts ? match.say() : "As seen, which is no reading. " + match.say());
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
