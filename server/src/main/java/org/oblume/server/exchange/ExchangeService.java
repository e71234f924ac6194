package org.oblume.server.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotLine;
import org.oblume.core.carry.Tie;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.LookService;
import org.oblume.server.carry.SavedLook;
import org.oblume.server.location.SetService;
import org.oblume.server.location.StageSet;
import org.oblume.server.meter.MeterService;
import org.oblume.server.meter.WrittenReading;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.ListedShot;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.JsonText;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A scene out to a file and in from one. An import is kept whole or not at all. */
@Service
@Transactional
public class ExchangeService {

    private final ProductionService productions;
    private final SetService sets;
    private final SceneService scenes;
    private final ShotService shots;
    private final SceneRecords records;
    private final KnotService knots;
    private final RebuildService rebuild;
    private final LookService looks;
    private final NoteService notes;
    private final MeterService meter;
    private final SceneFileReader reader;
    private final JsonText json;

    ExchangeService(ProductionService productions, SetService sets, SceneService scenes, ShotService shots,
            SceneRecords records, KnotService knots, RebuildService rebuild, LookService looks, NoteService notes, MeterService meter, SceneFileReader reader,
            JsonText json) {
        this.looks = looks;
        this.notes = notes;
        this.meter = meter;
        this.productions = productions;
        this.sets = sets;
        this.scenes = scenes;
        this.shots = shots;
        this.records = records;
        this.knots = knots;
        this.rebuild = rebuild;
        this.reader = reader;
        this.json = json;
    }

    @Transactional(readOnly = true)
    SceneFile export(long sceneId) {
        SceneRecord record = records.of(sceneId);
        Production production = productions.get(record.scene().productionId());
        Map<Long, String> keys = record.placed().stream().collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        List<SceneFile.ShotPart> parts = record.shots().stream().map(shot -> {
            ShotCard card = shot.card();
            return new SceneFile.ShotPart(card.slate(), card.description(), card.day(), record.slate(card.basedOnId()),
                    card.stage(), record.knots().stream().filter(k -> k.slate().equals(card.slate())).map(this::part).toList(),
                    rebuild.ticks(shot.id(), record), notes.writtenTakes(shot.id()), notes.writtenNotes(shot.id(), keys), meter.written(shot.id()));
        }).toList();
        return new SceneFile(SceneFile.FORMAT, SceneFile.VERSION,
                new SceneFile.InProduction(production.name(), production.days()), record.scene().heading(),
                new StageSet(record.set().name(), record.set().plan().withoutUnderlay()),
                record.recording().placements(), parts, looks.saved(sceneId));
    }

    /**
     * Imports a scene into the production that the file names, which is made when it is not there.
     *
     * @param number another number for the scene, or null for its own
     * @return the new scene
     * @throws Refusal with what is wrong with the file; nothing is kept then
     */
    public Scene load(byte[] bytes, @Nullable String number) {
        SceneFile file = reader.read(bytes);
        List<Knot> tied = check(file);
        SceneHeading own = file.scene();
        SceneHeading heading = number == null || number.isBlank() ? own
                : new SceneHeading(number.strip(), own.heading(), own.location(), own.buildOrder());
        Production production = productions.named(file.production().name(), file.production().days());
        Scene scene = scenes.create(production.id(), sets.keep(production.id(), file.set()), heading, file.placements());
        Map<String, Shot> made = shots.createAll(scene.id(), file.shots().stream().map(ExchangeService::listed).toList());
        SceneRecord record = records.of(scene.id());
        knots.keepAll(record, tied);
        looks.keepAll(scene.id(), orNone(file.looks()));
        Map<String, Long> ids = record.placed().stream().collect(Collectors.toMap(p -> p.placement().key(), PlacedPiece::id));
        for (SceneFile.ShotPart part : file.shots()) {
            rebuild.keepAll(made.get(part.slate()).id(), record, orNone(part.rebuilt()));
            notes.keepAll(made.get(part.slate()).id(), orNone(part.takes()), orNone(part.notes()), ids);
            meter.keepAll(made.get(part.slate()).id(), orNone(part.readings()));
        }
        return scene;
    }

    /** A set without a scene, of a production that is made when it is not there. */
    void loadSet(byte[] bytes) {
        SetFile file = json.read(new String(bytes, StandardCharsets.UTF_8), SetFile.class);
        sets.keep(productions.named(file.production().name(), file.production().days()).id(), file.set());
    }

    private record SetFile(SceneFile.InProduction production, StageSet set) {
    }

    /** Everything that the rules say against the file, at once. */
    private List<Knot> check(SceneFile file) {
        List<String> problems = new ArrayList<>();
        List<Knot> tied = new ArrayList<>();
        for (SceneFile.ShotPart shot : file.shots()) {
            for (SceneFile.KnotPart part : shot.knots()) {
                try {
                    tied.add(new Knot(shot.slate(), part.placement(), json.value(part.attribute(), part.value()),
                            new Tie(part.reason(), part.note(), part.author(), part.at(), 1)));
                } catch (Refusal refusal) {
                    problems.add("%s, %s of %s: %s".formatted(shot.slate(), part.attribute().label(), part.placement(),
                            refusal.getMessage()));
                }
            }
        }
        SceneFileReader.refuse(problems);
        CarryBook book = CarryBook.of(
                file.shots().stream().map(s -> listed(s).line()).toList(), tied);
        Recording recording = Recording.of(file.set().plan(), file.placements(), book);
        SceneFileReader.refuse(recording.problems(tied));
        file.shots().stream().flatMap(s -> orNone(s.rebuilt()).stream()).forEach(t -> recording.placement(t.placement()));
        file.shots().stream().flatMap(s -> orNone(s.notes()).stream()).filter(n -> n.placement() != null).forEach(n -> recording.placement(n.placement()));
        file.shots().stream().flatMap(s -> orNone(s.readings()).stream()).map(WrittenReading::figures).forEach(r -> {
            recording.placement(r.mark());
            if (r.alone() != null) {
                recording.placement(r.alone());
            }
        });
        for (SavedLook look : orNone(file.looks())) {
            look.values().forEach(v -> recording.check(v.placement(), json.value(v.attribute(), v.value())));
        }
        return tied;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }

    private SceneFile.KnotPart part(Knot knot) {
        AttributeValue value = knot.value();
        Tie tie = knot.tie();
        return new SceneFile.KnotPart(knot.placement(), Attribute.of(value), json.tree(value), tie.reason(), tie.note(),
                tie.author(), tie.at());
    }

    private static ListedShot listed(SceneFile.ShotPart part) {
        return new ListedShot(new ShotLine(part.slate(), part.basedOn(), part.stage()), part.description(), part.day());
    }
}
