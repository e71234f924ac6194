package org.oblume.server.note;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Permission;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.PictureFile;
import org.oblume.server.set.SetService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.team.TeamService;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class NoteService {

    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_TAKE_NOTE = 500;
    private static final int LAST_TAKE = 999;
    /** What was taken out can be brought back for so long. */
    private static final Duration KEPT = Duration.ofDays(30);

    private final TakeRepository takes;
    private final NoteRepository notes;
    private final NotePhotoRepository photos;
    private final ShotService shots;
    private final SceneService scenes;
    private final SetService sets;
    private final TeamService team;
    private final Clock clock;

    NoteService(
            TakeRepository takes,
            NoteRepository notes,
            NotePhotoRepository photos,
            ShotService shots,
            SceneService scenes,
            SetService sets,
            TeamService team,
            Clock clock) {
        this.team = team;
        this.takes = takes;
        this.notes = notes;
        this.photos = photos;
        this.shots = shots;
        this.scenes = scenes;
        this.sets = sets;
        this.clock = clock;
    }

    /** @param number of the take, from 1; null for the next */
    record TakeCard(@Nullable Integer number, @Nullable String note, boolean circled) {}

    /** When the first take of each shot was written down from one time until another; a shot without one is left out. */
    @Transactional(readOnly = true)
    public Map<Long, Instant> firstTakes(Collection<Long> shotIds, Instant from, Instant until) {
        return takes.findByShotIdIn(shotIds).stream()
                .filter(t -> !t.at().isBefore(from) && t.at().isBefore(until))
                .collect(Collectors.toMap(TakeEntity::shotId, TakeEntity::at, (a, b) -> a.isBefore(b) ? a : b));
    }

    @Transactional(readOnly = true)
    List<Take> takes(long shotId) {
        return takes.findByShotIdOrderByNumber(shotId).stream()
                .map(TakeEntity::toTake)
                .toList();
    }

    Take addTake(long shotId, TakeCard card, String author) {
        scenes.lockForUpdate(shots.get(shotId).sceneId());
        List<Take> all = takes(shotId);
        int number = card.number() != null
                ? card.number()
                : 1 + all.stream().mapToInt(Take::number).max().orElse(0);
        refuseTaken(all, 0, number);
        return takes.saveAndFlush(
                        new TakeEntity(shotId, author, clock.instant()).fill(number, checked(card), card.circled()))
                .toTake();
    }

    /** @throws EditConflict when somebody changed it since that version */
    Take changeTake(long id, TakeCard card, long version) {
        TakeEntity take = take(id, version);
        int number = card.number() == null ? take.toTake().number() : card.number();
        refuseTaken(takes(take.shotId()), id, number);
        return takes.saveAndFlush(take.fill(number, checked(card), card.circled()))
                .toTake();
    }

    /** @throws AccessDeniedException when it is somebody else's, and the person does not lead */
    void deleteTake(long id, long version, String author) {
        TakeEntity take = take(id, version);
        refuseTakingOut(take.toTake().author(), author);
        takes.delete(take);
    }

    private void refuseTakingOut(String writer, String person) {
        if (!writer.equals(person) && !team.hasPermission(person, Permission.LEAD)) {
            throw new AccessDeniedException(
                    "%s wrote this: only %s or a lead takes it out. Write a note beside it instead."
                            .formatted(writer, writer));
        }
    }

    private TakeEntity take(long id, long version) {
        TakeEntity take =
                takes.findById(id).orElseThrow(() -> new NotFoundException("There is no such take any more."));
        if (take.toTake().version() != version) {
            throw new EditConflict(
                    "Someone changed this take since you opened it. Nothing of yours was kept yet.", take.toTake());
        }
        return take;
    }

    private static @Nullable String checked(TakeCard card) {
        return card.note() == null || card.note().isBlank()
                ? null
                : Checks.prose("The note", card.note(), LONGEST_TAKE_NOTE);
    }

    private static void refuseTaken(List<Take> all, long id, int number) {
        Checks.within("number", "The number of the take", number, 1, LAST_TAKE, "");
        if (all.stream().anyMatch(t -> t.id() != id && t.number() == number)) {
            throw new Refusal("number", "There is a take %d already: give it another number.".formatted(number));
        }
    }

    @Transactional(readOnly = true)
    public List<Note> ofShot(long shotId) {
        Shot shot = shots.get(shotId);
        Map<Long, String> names = scenes.placed(shot.sceneId()).stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().name()));
        return notes.findByShotIdOrderByIdDesc(shotId).stream()
                .map(n -> n.toNote(shot.card().slate(), n.placementId() == null ? null : names.get(n.placementId())))
                .toList();
    }

    /** The photographs of several shots, the oldest first. */
    @Transactional(readOnly = true)
    public List<ScenePhoto> photosOf(Collection<Long> shotIds) {
        return photos.ofShots(shotIds);
    }

    /** @throws NotFoundException when there is no such photograph of a shot any more */
    @Transactional(readOnly = true)
    public ScenePhoto photograph(long id) {
        return photos.one(id).orElseThrow(NoteService::gone);
    }

    /** The photographs of a shot, the oldest first. */
    @Transactional(readOnly = true)
    public List<ShotPhoto> photosOf(long shotId) {
        return photos.ofShot(shotId);
    }

    @Transactional(readOnly = true)
    List<Note> ofSet(long setId) {
        return notes.findBySetIdOrderByIdDesc(setId).stream()
                .map(n -> n.toNote(null, null))
                .toList();
    }

    /** @param placement key of the thing that it is of, or null for the shot itself */
    Note addToShot(long shotId, @Nullable String placement, String text, byte @Nullable [] photo, String author) {
        Shot shot = shots.get(shotId);
        PlacedPiece of = placement == null
                ? null
                : scenes.placed(shot.sceneId()).stream()
                        .filter(p -> p.placement().key().equals(placement))
                        .findFirst()
                        .orElseThrow(
                                () -> new NotFoundException("The scene has no placement “%s”.".formatted(placement)));
        return keep(
                        new NoteEntity(
                                shotId,
                                of == null ? null : of.id(),
                                null,
                                text(text, photo),
                                photo != null,
                                author,
                                clock.instant()),
                        photo)
                .toNote(shot.card().slate(), of == null ? null : of.placement().name());
    }

    /** @param photo as it would be kept */
    @Transactional(readOnly = true)
    public boolean hasPhotograph(long shotId, byte[] photo) {
        return photos.ofLength(shotId, photo.length).stream().anyMatch(kept -> Arrays.equals(kept, photo));
    }

    /** @return id of its note */
    public long addPhotograph(long shotId, String text, byte[] photo, String author) {
        return addToShot(shotId, null, text, photo, author).id();
    }

    Note addToSet(long setId, String text, byte @Nullable [] photo, String author) {
        return keep(
                        new NoteEntity(
                                null,
                                null,
                                sets.get(setId).id(),
                                text(text, photo),
                                photo != null,
                                author,
                                clock.instant()),
                        photo)
                .toNote(null, null);
    }

    private NoteEntity keep(NoteEntity note, byte @Nullable [] photo) {
        NoteEntity kept = notes.saveAndFlush(note);
        if (photo != null) {
            photos.saveAndFlush(new NotePhotoEntity(kept.id(), PictureFile.photo(photo)));
        }
        return kept;
    }

    private static String text(String text, byte @Nullable [] photo) {
        return photo != null && text.isBlank() ? "" : Checks.prose("The note", text, LONGEST_NOTE);
    }

    /** @throws AccessDeniedException when it is somebody else's, and the person does not lead */
    void delete(long id, String author) {
        NoteEntity note = notes.findById(id).orElseThrow(NoteService::gone);
        refuseTakingOut(note.author(), author);
        Instant now = clock.instant();
        notes.forgetTakenOut(now.minus(KEPT));
        note.takeOut(now);
        notes.saveAndFlush(note);
    }

    /** Brings a note back that was taken out within thirty days. */
    void bringBack(long id, String author) {
        refuseTakingOut(notes.authorOfTakenOut(id).orElseThrow(NoteService::gone), author);
        notes.bringBack(id);
    }

    @Transactional(readOnly = true)
    public PictureFile photo(long id) {
        if (!notes.existsById(id)) {
            throw gone();
        }
        return photos.findById(id).orElseThrow(NoteService::gone).toFile();
    }

    /** The takes of a shot, for a file. */
    @Transactional(readOnly = true)
    public List<WrittenTake> writtenTakes(long shotId) {
        return takes(shotId).stream()
                .map(t -> new WrittenTake(t.number(), t.note(), t.circled(), t.author(), t.at()))
                .toList();
    }

    /**
     * The notes of a shot that have words, oldest first, for a file.
     *
     * @param keys of the placements by their ids
     */
    @Transactional(readOnly = true)
    public List<WrittenNote> writtenNotes(long shotId, Map<Long, String> keys) {
        return notes.findByShotIdOrderByIdDesc(shotId).stream()
                .filter(n -> !n.text().isEmpty())
                .sorted(Comparator.comparing(NoteEntity::id))
                .map(n -> new WrittenNote(
                        n.text(), n.placementId() == null ? null : keys.get(n.placementId()), n.author(), n.at()))
                .toList();
    }

    /**
     * Keeps takes and notes from a file.
     *
     * @param ids of the placements by their keys
     */
    public void importAll(long shotId, List<WrittenTake> takenIn, List<WrittenNote> written, Map<String, Long> ids) {
        takenIn.forEach(
                t -> takes.save(new TakeEntity(shotId, t.author(), t.at()).fill(t.number(), t.note(), t.circled())));
        written.forEach(n -> notes.save(new NoteEntity(
                shotId,
                n.placement() == null ? null : ids.get(n.placement()),
                null,
                n.text(),
                false,
                n.author(),
                n.at())));
        takes.flush();
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such note any more.");
    }
}
