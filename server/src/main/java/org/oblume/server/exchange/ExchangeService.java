package org.oblume.server.exchange;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.LookService;
import org.oblume.server.carry.SavedLook;
import org.oblume.server.day.ShotPlans;
import org.oblume.server.day.WrittenPlan;
import org.oblume.server.metering.MeterService;
import org.oblume.server.metering.WrittenReading;
import org.oblume.server.monitor.MonitorCurve;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.note.NoteService;
import org.oblume.server.power.PowerService;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.SetService;
import org.oblume.server.set.StageSet;
import org.oblume.server.shot.ConfirmationService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.ListedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A scene out to a file and in from one. An import is kept whole or not at all. */
@Service
@Transactional
public class ExchangeService {

    /** Nobody recorded anything in it before. */
    private static final Instant FIRST_DAY = Instant.parse("2000-01-01T00:00:00Z");

    private final ProductionService productions;
    private final SetService sets;
    private final SceneService scenes;
    private final ShotService shots;
    private final StoredScenes records;
    private final KnotService knots;
    private final RebuildService rebuild;
    private final LookService looks;
    private final NoteService notes;
    private final MeterService meter;
    private final ConfirmationService confirmations;
    private final MonitorService monitor;
    private final ShotPlans plans;
    private final PowerService power;
    private final SceneFileReader reader;
    private final RecordJson json;
    private final Clock clock;

    ExchangeService(
            ProductionService productions,
            SetService sets,
            SceneService scenes,
            ShotService shots,
            StoredScenes records,
            KnotService knots,
            RebuildService rebuild,
            LookService looks,
            NoteService notes,
            MeterService meter,
            ConfirmationService confirmations,
            MonitorService monitor,
            ShotPlans plans,
            PowerService power,
            SceneFileReader reader,
            RecordJson json,
            Clock clock) {
        this.clock = clock;
        this.looks = looks;
        this.notes = notes;
        this.meter = meter;
        this.confirmations = confirmations;
        this.monitor = monitor;
        this.plans = plans;
        this.power = power;
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
        StoredScene record = records.of(sceneId);
        Production production = productions.get(record.scene().productionId());
        Map<Long, String> keys = record.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        Map<Slate, WrittenPlan> planned = plans.written(record.shots());
        List<SceneFile.ShotPart> parts = record.shots().stream()
                .map(shot -> {
                    ShotCard card = shot.card();
                    return new SceneFile.ShotPart(
                            card.slate(),
                            card.description(),
                            card.day(),
                            record.slate(card.basedOnId()),
                            card.stage(),
                            record.knots().stream()
                                    .filter(k -> k.slate().equals(card.slate()))
                                    .map(this::part)
                                    .toList(),
                            rebuild.ticks(shot.id(), record),
                            notes.writtenTakes(shot.id()),
                            notes.writtenNotes(shot.id(), keys),
                            meter.written(shot.id()),
                            confirmations.written(record.recorded(shot.id())),
                            planned.get(card.slate()));
                })
                .toList();
        MonitorCurve curve = monitor.used(sceneId);
        SceneFile file = new SceneFile(
                SceneFile.FORMAT,
                SceneFile.VERSION,
                new SceneFile.InProduction(production.name(), production.days()),
                record.scene().heading(),
                new StageSet(record.set().name(), record.set().plan().withoutUnderlay()),
                record.record().placements(),
                power.said(record.scene().setId()),
                curve.equals(MonitorCurve.USUAL) ? null : curve,
                parts,
                looks.saved(sceneId));
        return file.at(FormatVersion.of(json.tree(file)));
    }

    /**
     * Imports a scene into the production that the file names, which is made when it is not there.
     *
     * @param number another number for the scene, or null for its own
     * @param person who brings it in, which its history says beside what the file says; null for the demo
     * @return the new scene
     * @throws Refusal with what is wrong with the file; nothing is kept then
     */
    public Scene load(byte[] bytes, @Nullable String number, @Nullable String person) {
        SceneFile file = reader.read(bytes);
        List<Knot> tied = check(file);
        refuseTimesThatCannotBe(tied, file.shots());
        refuseTwice("placement", "name", file.placements().stream().map(p -> p.name()
                .toLowerCase(Locale.ROOT)));
        for (SceneFile.ShotPart part : file.shots()) {
            refuseTwice(
                    "take of " + part.slate(),
                    "number",
                    orNone(part.takes()).stream().map(t -> Integer.toString(t.number())));
        }
        SceneHeading own = file.scene();
        SceneHeading heading = number == null || number.isBlank()
                ? own
                : new SceneHeading(number.strip(), own.heading(), own.location(), own.buildOrder());
        Production production =
                productions.named(file.production().name(), file.production().days());
        Scene scene =
                scenes.create(production.id(), sets.keep(production.id(), file.set()), heading, file.placements());
        Map<Slate, Shot> made = shots.createAll(
                scene.id(), file.shots().stream().map(ExchangeService::listed).toList());
        StoredScene record = records.of(scene.id());
        knots.recordAll(record, tied, person);
        looks.importAll(scene.id(), orNone(file.looks()));
        monitor.importCurve(scene.id(), file.monitor());
        power.importPlan(scene.setId(), file.power());
        Map<String, Long> ids = record.placed().stream()
                .collect(Collectors.toMap(p -> p.placement().key(), PlacedPiece::id));
        record = records.of(scene.id()); // with its knots
        for (SceneFile.ShotPart part : file.shots()) {
            long shotId = Objects.requireNonNull(made.get(part.slate())).id();
            rebuild.importAll(shotId, record, orNone(part.rebuilt()));
            notes.importAll(shotId, orNone(part.takes()), orNone(part.notes()), ids);
            meter.importAll(shotId, orNone(part.readings()));
            confirmations.importAll(record.recorded(shotId), orNone(part.looked()));
        }
        plans.importAll(
                made,
                file.shots().stream()
                        .filter(p -> p.plan() != null)
                        .collect(Collectors.toMap(SceneFile.ShotPart::slate, p -> Objects.requireNonNull(p.plan()))));
        return scene;
    }

    /** A set without a scene, of a production that is made when it is not there. */
    void loadSet(byte[] bytes) {
        SetFile file = json.read(new String(bytes, StandardCharsets.UTF_8), SetFile.class);
        sets.keep(
                productions
                        .named(file.production().name(), file.production().days())
                        .id(),
                file.set());
    }

    private record SetFile(SceneFile.InProduction production, StageSet set) {}

    private static void refuseTwice(String what, String by, Stream<String> all) {
        Set<String> seen = new HashSet<>();
        SceneFileReader.refuse(all.filter(one -> !seen.add(one))
                .map(one -> "More than one %s has the %s %s: give each its own.".formatted(what, by, one))
                .toList());
    }

    private void refuseTimesThatCannotBe(List<Knot> tied, List<SceneFile.ShotPart> shots) {
        Instant end = clock.instant().plus(Duration.ofDays(1));
        Predicate<Instant> cannotBe = at -> at.isBefore(FIRST_DAY) || at.isAfter(end);
        Stream<String> recorded = tied.stream()
                .filter(k -> cannotBe.test(k.attribution().at()))
                .map(k -> told(
                        k.slate(),
                        k.attribute(),
                        k.placement(),
                        "recorded",
                        k.attribution().at()));
        Stream<String> looked = shots.stream().flatMap(s -> orNone(s.looked()).stream()
                .filter(c -> cannotBe.test(c.at()))
                .map(c -> told(s.slate(), c.attribute(), c.placement(), "looked at", c.at())));
        SceneFileReader.refuse(Stream.concat(recorded, looked).toList());
    }

    private static String told(Slate slate, Attribute attribute, String placement, String done, Instant at) {
        return "%s, %s of %s says that it was %s at %s: that cannot be."
                .formatted(slate, attribute.label(), placement, done, at);
    }

    /**
     * A scene as a file has it; nothing is kept.
     *
     * @throws Refusal with what is wrong with the file
     */
    @Transactional(readOnly = true)
    SceneRecord read(byte[] bytes) {
        SceneFile file = reader.read(bytes);
        return record(file, tied(file));
    }

    private static SceneRecord record(SceneFile file, List<Knot> tied) {
        CarryBook book =
                CarryBook.of(file.shots().stream().map(s -> listed(s).node()).toList(), tied);
        SceneRecord scene = SceneRecord.of(file.set().plan(), file.placements(), book);
        SceneFileReader.refuse(scene.problems(tied));
        return scene;
    }

    private List<Knot> tied(SceneFile file) {
        List<String> problems = new ArrayList<>();
        List<Knot> tied = new ArrayList<>();
        for (SceneFile.ShotPart shot : file.shots()) {
            for (SceneFile.KnotPart part : shot.knots()) {
                try {
                    tied.add(new Knot(
                            shot.slate(),
                            part.placement(),
                            json.value(part.attribute(), part.value()),
                            new Attribution(part.reason(), part.note(), part.author(), part.at(), 1)));
                } catch (Refusal refusal) {
                    problems.add("%s, %s of %s: %s"
                            .formatted(shot.slate(), part.attribute().label(), part.placement(), refusal.getMessage()));
                }
            }
        }
        SceneFileReader.refuse(problems);
        return tied;
    }

    /** Everything that the rules say against the file, at once. */
    private List<Knot> check(SceneFile file) {
        List<Knot> tied = tied(file);
        SceneRecord scene = record(file, tied);
        file.shots().stream().flatMap(s -> orNone(s.rebuilt()).stream()).forEach(t -> scene.placement(t.placement()));
        file.shots().stream().flatMap(s -> orNone(s.looked()).stream()).forEach(c -> scene.placement(c.placement()));
        file.shots().stream()
                .flatMap(s -> orNone(s.notes()).stream())
                .filter(n -> n.placement() != null)
                .forEach(n -> scene.placement(n.placement()));
        file.shots().stream()
                .flatMap(s -> orNone(s.readings()).stream())
                .map(WrittenReading::figures)
                .forEach(r -> {
                    scene.placement(r.mark());
                    if (r.alone() != null) {
                        scene.placement(r.alone());
                    }
                });
        for (SavedLook look : orNone(file.looks())) {
            look.values().forEach(v -> scene.check(v.placement(), json.value(v.attribute(), v.value())));
        }
        return tied;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }

    private SceneFile.KnotPart part(Knot knot) {
        AttributeValue value = knot.value();
        Attribution tie = knot.attribution();
        return new SceneFile.KnotPart(
                knot.placement(),
                Attribute.of(value),
                json.tree(value),
                tie.reason(),
                tie.note(),
                tie.author(),
                tie.at());
    }

    private static ListedShot listed(SceneFile.ShotPart part) {
        return new ListedShot(new ShotNode(part.slate(), part.basedOn(), part.stage()), part.description(), part.day());
    }
}
