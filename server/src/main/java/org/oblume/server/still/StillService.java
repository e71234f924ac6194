package org.oblume.server.still;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.note.NoteService;
import org.oblume.server.note.ScenePhoto;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.set.PictureFile;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.still.StillViews.MarkedPoint;
import org.oblume.server.still.StillViews.RunStill;
import org.oblume.server.still.StillViews.StillHead;
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
    private static final int SMALL_WIDE = 200;
    private static final int SHOWN_WIDE = 1280;
    private final StillRepository stills;
    private final StillSmallRepository smalls;
    private final NoteService notes;
    private final StoredScenes records;
    private final RebuildService rebuild;
    private final StillReader reading;
    private final RecordJson json;

    StillService(
            StillRepository stills,
            StillSmallRepository smalls,
            NoteService notes,
            StoredScenes records,
            RebuildService rebuild,
            StillReader reading,
            RecordJson json) {
        this.stills = stills;
        this.smalls = smalls;
        this.notes = notes;
        this.records = records;
        this.rebuild = rebuild;
        this.reading = reading;
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

    private StillReader.Whole whole(long id) {
        ScenePhoto photo = notes.photograph(id);
        StoredScene record = records.shot(photo.shotId()).scene();
        Shot shot = records.shot(photo.shotId()).shot();
        StillEntity said = stills.findById(id).orElse(null);
        return new StillReader.Whole(
                head(record, shot, photo, said), record.scene().id(), points(said == null ? "[]" : said.points()));
    }

    private List<MarkedPoint> points(String kept) {
        return Arrays.asList(json.read(kept, MarkedPoint[].class));
    }

    @Transactional(readOnly = true)
    StillView view(long id) {
        return reading.view(whole(id));
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
        StillReader.Whole still = whole(id);
        stills.findByShotIdIn(records.of(still.sceneId()).shots().stream()
                        .map(Shot::id)
                        .toList())
                .forEach(other -> other.hold(false));
        chosen.hold(true);
        stills.saveAndFlush(chosen);
    }

    @Transactional(readOnly = true)
    StillPair beside(long first, long second) {
        return reading.beside(whole(first), whole(second));
    }

    /** Upright, as JPEG; made when it is first asked for, of what was kept before there were small pictures. */
    byte[] picture(long id, int wide) {
        notes.photograph(id); // unless it was taken out
        StillSmallEntity small = smalls.findById(id)
                .orElseGet(() -> smalls.saveAndFlush(smallOf(notes.photo(id)).of(id)));
        return wide <= SMALL_WIDE ? small.listed() : small.shown();
    }
}
