package org.oblume.server.photo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.Photographed;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.Frame;
import org.oblume.core.photo.PhotoFix.Mark;
import org.oblume.core.photo.PhotoFix.Photo;
import org.oblume.core.photo.PhotoFix.Target;
import org.oblume.core.photo.PhotoFix.TargetTap;
import org.oblume.core.photo.PhotoHelp;
import org.oblume.core.photo.PhotoPoint;
import org.oblume.core.photo.PhotoSurvey;
import org.oblume.core.photo.Resection;
import org.oblume.core.photo.Tap;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.note.NoteService;
import org.oblume.server.note.ShotPhoto;
import org.oblume.server.photo.SurveyView.TappedPoint;
import org.oblume.server.shot.KnotChange;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works out where photographs were taken from and where things stand, as they are tapped, and ties what is kept. */
@Service
@Transactional(readOnly = true)
class SurveyService {

    private static final int MOST_TAPS = 64;
    private static final double ELSEWHERE_SIGMAS = 3;
    /** A height that photographs say again within this is left as it is, metres. */
    private static final double SAME_HEIGHT_M = 0.05;

    private static final double CENTIMETRES = 100;

    private final PhotoTapsRepository tapped;
    private final NoteService notes;
    private final StoredScenes records;
    private final KnotService knots;
    private final RecordJson json;

    SurveyService(
            PhotoTapsRepository tapped, NoteService notes, StoredScenes records, KnotService knots, RecordJson json) {
        this.tapped = tapped;
        this.notes = notes;
        this.records = records;
        this.knots = knots;
        this.json = json;
    }

    /** The photographs of a shot with their taps, and what they tell. */
    private record Looked(
            RecordedShot shot,
            List<ShotPhoto> photos,
            Map<Long, PhotoTapsEntity> kept,
            List<List<TappedPoint>> taps,
            Map<String, SpacePoint> landmarks,
            PhotoSurvey survey) {}

    SurveyView view(long shotId) {
        Looked looked = looked(records.shot(shotId));
        RecordedShot shot = looked.shot;
        return new SurveyView(
                shotId,
                IntStream.range(0, looked.photos.size())
                        .mapToObj(i -> photo(looked, i))
                        .toList(),
                shot.record().set().landmarks().stream()
                        .map(l -> new SurveyView.SurveyLandmark(
                                l.name(), l.point().xM(), l.point().yM(), l.heightM()))
                        .toList(),
                looked.survey.found().stream().map(f -> thing(looked, f)).toList());
    }

    private Looked looked(RecordedShot shot) {
        List<ShotPhoto> photos = notes.photosOf(shot.shot().id()).stream()
                .filter(p -> Frame.isUsable(p.widthPx(), p.heightPx()))
                .toList();
        Map<Long, PhotoTapsEntity> kept = new HashMap<>();
        tapped.findAllById(photos.stream().map(ShotPhoto::id).toList()).forEach(t -> kept.put(t.noteId(), t));
        List<List<TappedPoint>> taps = photos.stream()
                .map(p -> Optional.ofNullable(kept.get(p.id()))
                        .map(t -> List.of(json.read(t.taps(), TappedPoint[].class)))
                        .orElse(List.of()))
                .toList();
        Map<String, SpacePoint> landmarks = new LinkedHashMap<>();
        for (Landmark landmark : shot.record().set().landmarks()) {
            if (landmark.heightM() != null) {
                landmarks.put(
                        landmark.name(),
                        new SpacePoint(landmark.point().xM(), landmark.point().yM(), landmark.heightM()));
            }
        }
        List<Photo> asked = IntStream.range(0, photos.size())
                .mapToObj(i -> new Photo(
                        frame(photos.get(i)),
                        taps.get(i).stream()
                                .flatMap(t -> t.landmark() == null
                                        ? Stream.empty()
                                        : Stream.of(new Mark(t.landmark(), new Tap(t.u(), t.v()))))
                                .toList()))
                .toList();
        List<Target> targets = shot.record().placements().stream()
                .filter(p -> p.kind().isThing() && shot.state().isOnSet(p.key()))
                .map(p -> new Target(p.name(), taps(p, taps), height(shot, p)))
                .toList();
        return new Looked(shot, photos, kept, taps, landmarks, PhotoSurvey.of(asked, landmarks, targets));
    }

    private static Frame frame(ShotPhoto photo) {
        return new Frame((int) photo.widthPx(), (int) photo.heightPx(), photo.focal35());
    }

    private static List<TargetTap> taps(Placement thing, List<List<TappedPoint>> taps) {
        List<TargetTap> all = new ArrayList<>();
        for (int i = 0; i < taps.size(); i++) {
            for (TappedPoint tap : taps.get(i)) {
                if (thing.key().equals(tap.placement())) {
                    all.add(new TargetTap(i, new Tap(tap.u(), tap.v())));
                }
            }
        }
        return all;
    }

    private static @Nullable Double height(RecordedShot shot, Placement thing) {
        return shot.state()
                .value(thing.key(), Height.class)
                .map(Height::heightM)
                .orElse(null);
    }

    private static SurveyView.TappedPhoto photo(Looked looked, int index) {
        ShotPhoto photo = looked.photos.get(index);
        PhotoSurvey.Taken taken = looked.survey.photos().get(index);
        List<TappedPoint> taps = looked.taps.get(index);
        PhotoTapsEntity kept = looked.kept.get(photo.id());
        Resection from = taken.from();
        return new SurveyView.TappedPhoto(
                photo.id(),
                photo.text(),
                (int) photo.widthPx(),
                (int) photo.heightPx(),
                photo.focal35(),
                taps,
                kept == null ? 0 : kept.version(),
                kept == null ? null : kept.author(),
                from == null ? null : pose(from.pose(), taken.photo().frame()),
                from == null
                        ? null
                        : from.other().map(o -> pose(o, taken.photo().frame())).orElse(null),
                taken.problem() == null ? null : taken.problem().getMessage(),
                expected(looked, taken, taps));
    }

    private static SurveyView.CameraPose pose(Resection.Pose pose, Frame frame) {
        return new SurveyView.CameraPose(
                pose.place(), pose.bearingDeg(), CENTIMETRES * pose.rmsPx() / frame.longerSidePx());
    }

    private static List<TappedPoint> expected(Looked looked, PhotoSurvey.Taken taken, List<TappedPoint> taps) {
        List<TappedPoint> expected = new ArrayList<>();
        looked.landmarks.forEach((name, at) -> {
            if (taps.stream().noneMatch(t -> name.equals(t.landmark()))) {
                taken.sees(at).ifPresent(t -> expected.add(new TappedPoint(name, null, t.u(), t.v())));
            }
        });
        for (Placement thing : looked.shot.record().placements()) {
            if (taps.stream().noneMatch(t -> thing.key().equals(t.placement()))) {
                looked.shot
                        .state()
                        .position(thing.key())
                        .flatMap(taken::sees)
                        .ifPresent(t -> expected.add(new TappedPoint(null, thing.key(), t.u(), t.v())));
            }
        }
        return expected;
    }

    private static SurveyView.SurveyedThing thing(Looked looked, PhotoSurvey.Found found) {
        Placement thing = named(looked.shot, found.target().name());
        SpacePoint recorded = looked.shot.state().position(thing.key()).orElse(null);
        PhotoPoint point = found.point();
        Double offM = recorded == null || point == null
                ? null
                : Double.valueOf(recorded.onPlan().distanceM(point.place().onPlan()));
        PhotoHelp help = point == null || point.quality() != Crossing.POOR
                ? null
                : looked.survey.help(found, looked.landmarks).orElse(null);
        return new SurveyView.SurveyedThing(
                thing.key(),
                thing.name(),
                recorded,
                point == null ? null : point.place(),
                point == null ? null : Phrase.width(point.sigmaFloorM()),
                point == null ? null : point.floor(),
                point == null ? null : point.quality(),
                looked.survey.photographsOf(found.target()),
                offM == null ? null : Phrase.width(offM),
                offM != null
                        && offM
                                > ELSEWHERE_SIGMAS
                                        * Objects.requireNonNull(point).sigmaFloorM(),
                help == null ? null : said(help),
                help == null ? null : help.from(),
                found.problem() == null || found.target().taps().isEmpty()
                        ? null
                        : found.problem().getMessage());
    }

    private static String said(PhotoHelp help) {
        return help.landmark() == null
                ? "another photograph helps most, from the dashed place on the plan"
                : "%s in photograph %d helps most: tap it".formatted(help.landmark(), help.photo() + 1);
    }

    private static Placement named(RecordedShot shot, String name) {
        return shot.record().placements().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Keeps what is tapped in a photograph, in the place of what was before.
     *
     * @throws EditConflict when somebody else tapped in it since that version
     * @throws Refusal when a tap is outside the picture, or of what is not in the shot, or twice
     */
    @Transactional
    SurveyView tap(long shotId, long photoId, List<TappedPoint> taps, long version, String author) {
        RecordedShot shot = records.shot(shotId);
        ShotPhoto photo = notes.photosOf(shotId).stream()
                .filter(p -> p.id() == photoId)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("This shot has no such photograph any more."));
        Checks.within("taps", "The number of taps", taps.size(), 0, MOST_TAPS, "");
        Set<String> names = new HashSet<>();
        for (TappedPoint tap : taps) {
            check(shot, photo, tap);
            if (!names.add(tap.landmark() == null ? "thing " + tap.placement() : "landmark " + tap.landmark())) {
                throw new Refusal("taps", "One thing is tapped twice in this photograph: leave one of the taps out.");
            }
        }
        PhotoTapsEntity kept = tapped.findById(photoId).orElseGet(() -> new PhotoTapsEntity(photoId));
        if (kept.version() != version) {
            throw new EditConflict(
                    "Someone tapped in this photograph since you opened it. Look again.", kept.version());
        }
        tapped.saveAndFlush(kept.fill(json.write(taps), author));
        return view(shotId);
    }

    private static void check(RecordedShot shot, ShotPhoto photo, TappedPoint tap) {
        Checks.within("taps", "A tap", tap.u(), 0, photo.widthPx(), " pixels from the left");
        Checks.within("taps", "A tap", tap.v(), 0, photo.heightPx(), " pixels from the top");
        if ((tap.landmark() == null) == (tap.placement() == null)) {
            throw new Refusal("taps", "Say of each tap which landmark or which thing it is.");
        }
        if (tap.placement() != null) {
            shot.record().placement(tap.placement());
        } else if (shot.record().set().landmarks().stream()
                .noneMatch(l -> l.name().equals(tap.landmark()))) {
            throw new Refusal("taps", "The set has no landmark %s any more: tap another.".formatted(tap.landmark()));
        }
    }

    /**
     * Ties the places that photographs give, and heights where they are not recorded or another.
     *
     * @throws Refusal when one of them is not known, and nothing is kept
     */
    @Transactional
    SurveyView keep(long shotId, List<String> things, @Nullable Reason reason, String author) {
        Looked looked = looked(records.locked(shotId));
        List<KnotChange> changes = new ArrayList<>();
        for (String key : things) {
            Placement thing = looked.shot.record().placement(key);
            PhotoSurvey.Found found = looked.survey.found().stream()
                    .filter(f -> f.target().name().equals(thing.name()))
                    .findFirst()
                    .orElseThrow();
            PhotoPoint point = found.point();
            if (point == null) {
                throw Objects.requireNonNull(found.problem());
            }
            changes.addAll(changes(looked, thing, found.target(), point, reason, author));
        }
        knots.change(looked.shot, changes);
        return view(shotId);
    }

    private static List<KnotChange> changes(
            Looked looked, Placement thing, Target target, PhotoPoint point, @Nullable Reason reason, String author) {
        RecordedShot shot = looked.shot;
        Set<String> used = Set.copyOf(looked.survey.landmarksOf(target, looked.landmarks.keySet()));
        Measured measured = Measured.by(new Photographed(
                point.place().onPlan(),
                point.sigmaFloorM(),
                looked.survey.photographsOf(target),
                shot.record().set().landmarks().stream()
                        .filter(l -> used.contains(l.name()))
                        .toList()));
        boolean outside =
                shot.state().value(thing.key(), Place.class).map(Place::outside).orElse(false);
        List<KnotChange> changes = new ArrayList<>();
        changes.add(change(thing, Attribute.PLACE, Place.of(measured, outside), reason, author));
        double high = Math.round(point.place().zM() * CENTIMETRES) / CENTIMETRES;
        Double recorded = height(shot, thing);
        if (recorded == null || Math.abs(recorded - high) > Math.max(SAME_HEIGHT_M, 2 * point.sigmaHeightM())) {
            changes.add(change(thing, Attribute.HEIGHT, new Height(high), reason, author));
        }
        return changes;
    }

    private static KnotChange change(
            Placement thing, Attribute attribute, AttributeValue value, @Nullable Reason reason, String author) {
        return new KnotChange(thing.key(), attribute, value, reason, "by photographs", author, null);
    }
}
