package org.oblume.server.photo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.Photographed;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.photo.Frame;
import org.oblume.core.photo.PhotoPoint;
import org.oblume.core.photo.PhotoSurvey.Found;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.note.NoteService;
import org.oblume.server.note.ShotPhoto;
import org.oblume.server.photo.SurveyView.TappedPoint;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.rebuild.RunHead;
import org.oblume.server.shot.KnotChange;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.SetDrawing;
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
    private static final int LONGEST_NAME = 60;

    private final PhotoTapsRepository tapped;
    private final NoteService notes;
    private final StoredScenes records;
    private final RebuildService rebuilds;
    private final KnotService knots;
    private final SetDrawing sets;
    private final KnownPoses poses;
    private final RecordJson json;

    SurveyService(
            PhotoTapsRepository tapped,
            NoteService notes,
            StoredScenes records,
            RebuildService rebuilds,
            KnotService knots,
            SetDrawing sets,
            KnownPoses poses,
            RecordJson json) {
        this.tapped = tapped;
        this.notes = notes;
        this.records = records;
        this.rebuilds = rebuilds;
        this.knots = knots;
        this.sets = sets;
        this.poses = poses;
        this.json = json;
    }

    SurveyView view(long shotId, PhotoRound round) {
        return page(records.shot(shotId), round);
    }

    private SurveyView page(RecordedShot shot, PhotoRound round) {
        List<ReadPhotographs.TappedIn> all = all(shot.shot().id());
        return SurveyPages.page(shot.shot().id(), round, rounds(shot, all), read(shot, round, all));
    }

    private List<ReadPhotographs.TappedIn> all(long shotId) {
        List<ShotPhoto> photos = notes.photosOf(shotId).stream()
                .filter(p -> Frame.isUsable(p.widthPx(), p.heightPx()))
                .toList();
        Map<Long, PhotoTapsEntity> kept = new HashMap<>();
        tapped.findAllById(photos.stream().map(ShotPhoto::id).toList()).forEach(t -> kept.put(t.noteId(), t));
        return photos.stream().map(p -> tappedIn(p, kept.get(p.id()))).toList();
    }

    private ReadPhotographs.TappedIn tappedIn(ShotPhoto photo, @Nullable PhotoTapsEntity kept) {
        List<TappedPoint> taps = kept == null ? List.of() : List.of(json.read(kept.taps(), TappedPoint[].class));
        return new ReadPhotographs.TappedIn(photo, kept, taps);
    }

    private static PhotoRound roundOf(ReadPhotographs.TappedIn photo) {
        return photo.kept() == null ? PhotoRound.RECORD : photo.kept().round();
    }

    private ReadPhotographs read(RecordedShot shot, PhotoRound round, List<ReadPhotographs.TappedIn> all) {
        List<ReadPhotographs.TappedIn> of =
                all.stream().filter(p -> roundOf(p).equals(round)).toList();
        Long runId = round.runId();
        if (runId == null) {
            return ReadPhotographs.of(shot.record(), shot.state(), of, poses);
        }
        BuiltRun run = rebuilds.built(runId);
        if (run.shot().id() != shot.shot().id()) {
            throw new NotFoundException("There is no such rebuild of this shot.");
        }
        return ReadPhotographs.of(run.built().scene(), run.built().state(), of, poses);
    }

    /** The record's, then the checks and the rebuilds that have photographs, the newest first. */
    private List<SurveyView.Round> rounds(RecordedShot shot, List<ReadPhotographs.TappedIn> all) {
        Map<String, Integer> photographs = new TreeMap<>(Comparator.reverseOrder());
        int ofRecord = 0;
        for (ReadPhotographs.TappedIn photo : all) {
            String id = roundOf(photo).id();
            if (id == null) {
                ofRecord++;
            } else {
                photographs.merge(id, 1, Integer::sum);
            }
        }
        Map<Long, String> runs = new HashMap<>();
        for (RunHead run : rebuilds.ofShot(shot.shot().id(), shot.scene())) {
            runs.put(run.id(), run.name());
        }
        Stream<SurveyView.Round> later = photographs.entrySet().stream().map(e -> {
            PhotoRound round = PhotoRound.parse(e.getKey());
            Long runId = round.runId();
            return new SurveyView.Round(
                    round.id(), round.began(), runId == null ? null : runs.get(runId), e.getValue());
        });
        return Stream.concat(Stream.of(new SurveyView.Round(null, null, null, ofRecord)), later)
                .toList();
    }

    /**
     * Keeps what is tapped in a photograph, in the place of what was before.
     *
     * @param stood where somebody says that it was taken from, or null
     * @param round what it was taken for from now on
     * @throws EditConflict when somebody else tapped in it since that version
     * @throws Refusal when a tap is outside the picture, or of what is not in the shot, or twice
     */
    @Transactional
    SurveyView tap(
            long shotId,
            long photoId,
            List<TappedPoint> taps,
            @Nullable PlanPoint stood,
            PhotoRound round,
            long version,
            String author) {
        RecordedShot shot = records.shot(shotId);
        ShotPhoto photo = notes.photosOf(shotId).stream()
                .filter(p -> p.id() == photoId)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("This shot has no such photograph any more."));
        Checks.within("taps", "The number of taps", taps.size(), 0, MOST_TAPS, "");
        for (int i = 0; i < taps.size(); i++) {
            TappedPoint tap = taps.get(i);
            check(shot, photo, tap);
            if (taps.subList(0, i).stream().anyMatch(tap::isOf)) {
                throw new Refusal("taps", "One thing is tapped twice in this photograph: leave one of the taps out.");
            }
        }
        PhotoTapsEntity kept = tapped.findById(photoId).orElseGet(() -> new PhotoTapsEntity(photoId));
        if (kept.version() != version) {
            throw new EditConflict(
                    "Someone tapped in this photograph since you opened it. Look again.", kept.version());
        }
        tapped.saveAndFlush(kept.fill(json.write(taps), round, stood, author));
        return page(shot, round);
    }

    private static void check(RecordedShot shot, ShotPhoto photo, TappedPoint tap) {
        Checks.within("taps", "A tap", tap.u(), 0, photo.widthPx(), " pixels from the left");
        Checks.within("taps", "A tap", tap.v(), 0, photo.heightPx(), " pixels from the top");
        if (Stream.of(tap.landmark(), tap.placement(), tap.aimOf())
                        .filter(Objects::nonNull)
                        .count()
                != 1) {
            throw new Refusal("taps", "Say of each tap which landmark, which thing or whose aim it is.");
        }
        if (tap.landmark() == null) {
            shot.record().placement(tap.placement() == null ? Objects.requireNonNull(tap.aimOf()) : tap.placement());
        } else if (tap.landmark().isBlank() || tap.landmark().length() > LONGEST_NAME) {
            throw new Refusal("taps", "Give the landmark a name of 1 to %d letters.".formatted(LONGEST_NAME));
        }
    }

    /**
     * Ties the places that photographs give, heights where they are not recorded or another, and aims.
     *
     * @param things keys of those whose place is kept
     * @param aims keys of those whose aim is
     * @throws Refusal when one of them is not known, or a rebuild is read, and nothing is kept
     */
    @Transactional
    SurveyView keep(
            long shotId,
            PhotoRound round,
            List<String> things,
            List<String> aims,
            @Nullable Reason reason,
            String author) {
        refuseOfRebuild(round);
        RecordedShot shot = records.locked(shotId);
        ReadPhotographs read = read(shot, round, all(shotId));
        List<KnotChange> changes = new ArrayList<>();
        for (String key : things) {
            changes.addAll(places(read, shot.record().placement(key), reason, author));
        }
        for (String key : aims) {
            Placement thing = shot.record().placement(key);
            AttributeValue aim = read.aim(key)
                    .map(SurveyPages::setting)
                    .orElseThrow(() -> new Refusal(
                            "aims", "The photographs do not tell which way %s points.".formatted(thing.name())));
            changes.add(change(thing, Attribute.AIM, aim, reason, author));
        }
        knots.change(shot, changes);
        return view(shotId, round);
    }

    private static void refuseOfRebuild(PhotoRound round) {
        if (round.runId() != null) {
            throw new Refusal(
                    "round",
                    "These photographs are of a rebuild, which leaves the record as it is: put things back, or say in its steps what stands otherwise.");
        }
    }

    private static List<KnotChange> places(
            ReadPhotographs read, Placement thing, @Nullable Reason reason, String author) {
        Found found = Optional.ofNullable(read.things().get(thing.key()))
                .orElseThrow(() -> new Refusal("things", "%s is not on set.".formatted(thing.name())));
        PhotoPoint point = known(found);
        Measured measured = Measured.by(new Photographed(
                point.place().onPlan(),
                point.sigmaFloorM(),
                read.survey().photographsOf(found.target()),
                read.landmarksOf(found)));
        boolean outside =
                read.state().value(thing.key(), Place.class).map(Place::outside).orElse(false);
        List<KnotChange> changes = new ArrayList<>();
        changes.add(change(thing, Attribute.PLACE, Place.of(measured, outside), reason, author));
        point.heightInsteadOf(found.target().heightM())
                .ifPresent(high -> changes.add(change(thing, Attribute.HEIGHT, new Height(high), reason, author)));
        return changes;
    }

    private static PhotoPoint known(Found found) {
        if (found.point() == null) {
            throw Objects.requireNonNull(found.problem());
        }
        return found.point();
    }

    private static KnotChange change(
            Placement thing, Attribute attribute, AttributeValue value, @Nullable Reason reason, String author) {
        return new KnotChange(thing.key(), attribute, value, reason, "by photographs", author, null);
    }

    /**
     * Keeps landmarks that photographs give in the set: new ones, and the heights of those that are drawn without one.
     *
     * @throws Refusal when one of them is not told, and nothing is kept
     */
    @Transactional
    SurveyView keepLandmarks(long shotId, PhotoRound round, List<String> names, String author) {
        refuseOfRebuild(round);
        RecordedShot shot = records.locked(shotId);
        ReadPhotographs read = read(shot, round, all(shotId));
        List<Landmark> found = new ArrayList<>();
        for (String name : names) {
            PhotoPoint point = known(Optional.ofNullable(read.unknown().get(name))
                    .orElseThrow(() -> new Refusal(
                            "names", "%s is a landmark of the set with its height already.".formatted(name))));
            PlanPoint at =
                    read.drawn(name).map(Landmark::point).orElse(point.place().onPlan());
            found.add(new Landmark(name, at, point.heightInsteadOf(null).orElseThrow()));
        }
        sets.keepLandmarks(shot.scene().scene().setId(), found, author);
        return view(shotId, round);
    }
}
