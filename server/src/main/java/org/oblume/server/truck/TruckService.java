package org.oblume.server.truck;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.kit.CutPlan;
import org.oblume.core.kit.DayNeed;
import org.oblume.core.kit.KitItem;
import org.oblume.core.kit.KitOnDay;
import org.oblume.core.kit.KitOnDay.KitLine;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.Needed;
import org.oblume.core.rebuild.Substitute;
import org.oblume.core.rigging.HangingLoad;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayUse;
import org.oblume.server.day.DayUse.OnDate;
import org.oblume.server.day.DayUse.Standing;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.inventory.InventoryService.Inventory;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.truck.KitNeeds.DayKit;
import org.oblume.server.truck.TruckViews.AbsentOnDay;
import org.oblume.server.truck.TruckViews.CutOf;
import org.oblume.server.truck.TruckViews.DayKitView;
import org.oblume.server.truck.TruckViews.DayStandIns;
import org.oblume.server.truck.TruckViews.FreeUnit;
import org.oblume.server.truck.TruckViews.FreeUnits;
import org.oblume.server.truck.TruckViews.HangingOfSet;
import org.oblume.server.truck.TruckViews.KitAhead;
import org.oblume.server.truck.TruckViews.NeedLine;
import org.oblume.server.truck.TruckViews.SceneKitView;
import org.oblume.server.truck.TruckViews.ShortDay;
import org.oblume.server.truck.TruckViews.ShotKitView;
import org.oblume.server.truck.TruckViews.StandInsOf;
import org.oblume.server.truck.TruckViews.WornFilter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What shots, scenes and days need of the kit, and what of it is short. */
@Service
@Transactional(readOnly = true)
public class TruckService {

    private static final double HOUR_MIN = 60;
    /** Of a thing that is short: more are no help. */
    private static final int MOST_STAND_INS = 2;

    private final KitNeeds needs;
    private final StandIns standIns;
    private final DayUse days;
    private final InventoryService inventory;
    private final StoredScenes records;

    TruckService(KitNeeds needs, StandIns standIns, DayUse days, InventoryService inventory, StoredScenes records) {
        this.needs = needs;
        this.standIns = standIns;
        this.days = days;
        this.inventory = inventory;
        this.records = records;
    }

    /** What a day needs, and of it what is short. */
    public DayKitView ofDay(long productionId, int number) {
        DayKit day = needs.ofDay(productionId, number);
        boolean counted = !day.inventory().isEmpty();
        return new DayKitView(
                productionId,
                number,
                day.on().date(),
                day.asOf(),
                counted,
                day.kit().lines().stream()
                        .map(l -> line(l, day.kit().cuts(), counted))
                        .toList(),
                counted ? cuts(day.kit().cuts()) : List.of(),
                counted
                        ? day.kit().free().stream()
                                .map(u -> new FreeUnit(u.tag(), u.name(), u.what()))
                                .toList()
                        : List.of(),
                hanging(day.on()),
                counted ? notices(day) : List.of());
    }

    private List<HangingOfSet> hanging(OnDate on) {
        Map<String, Map<String, HangingLoad>> bySet = new LinkedHashMap<>();
        for (Standing standing : on.mine()) {
            RecordedShot shot = records.shot(standing.shotId());
            hanging(shot).forEach(load -> bySet.computeIfAbsent(
                            shot.scene().set().name(), s -> new LinkedHashMap<>())
                    .merge(load.from().toLowerCase(Locale.ROOT), load, (a, b) -> b.massKg() > a.massKg() ? b : a));
        }
        return bySet.entrySet().stream()
                .map(e -> new HangingOfSet(e.getKey(), List.copyOf(e.getValue().values())))
                .toList();
    }

    private static List<HangingLoad> hanging(RecordedShot shot) {
        return HangingLoad.of(shot.record().placements(), shot.state());
    }

    private static List<CutOf> cuts(Map<String, CutPlan> cuts) {
        return cuts.entrySet().stream()
                .filter(e -> e.getValue().sheets() > 0
                        || e.getValue().rollM() > 0
                        || e.getValue().toBuyRollM() > 0)
                .map(e -> new CutOf(
                        e.getKey(),
                        e.getValue().sheets(),
                        Phrase.metres(e.getValue().rollM()),
                        e.getValue().leftOver(),
                        e.getValue().toBuyRollM() > 0
                                ? Phrase.metres(e.getValue().toBuyRollM())
                                : null))
                .toList();
    }

    private static List<Phrase> notices(DayKit day) {
        List<Phrase> all = new ArrayList<>();
        for (KitLine line : day.kit().lines()) {
            line.absent()
                    .forEach(a -> all.add(Phrase.of("%s, wanted for %s: %s."
                            .formatted(a.unit(), String.join(", ", line.need().shots()), a.why()))));
        }
        day.kit().lines().stream()
                .filter(l -> l.missing() > 0)
                .map(l -> missing(l, day.kit().cuts()))
                .forEach(all::add);
        return all;
    }

    private static Phrase missing(KitLine line, Map<String, CutPlan> cuts) {
        DayNeed need = line.need();
        CutPlan cut = cuts.get(need.item().what());
        Phrase buy = need.item().sort() == KitItem.Sort.FLAT && cut != null && cut.toBuyRollM() > 0
                ? Phrase.format(" %s of roll would give what is missing.", Phrase.metres(cut.toBuyRollM()))
                : Phrase.of("");
        return Phrase.format(
                "%s: %d of %d%s%s.%s",
                need.item().phrase(),
                line.there(),
                need.count() + need.worn(),
                need.shots().isEmpty() ? "" : " for ",
                String.join(", ", need.shots()),
                buy);
    }

    private static NeedLine line(KitLine line, Map<String, CutPlan> cuts, boolean counted) {
        DayNeed need = line.need();
        return new NeedLine(
                need.item().sort(),
                need.item().what(),
                need.item().phrase(),
                need.count(),
                need.worn(),
                line.there(),
                counted ? line.missing() : 0,
                line.tags(),
                counted ? line.absent() : List.of(),
                need.shots(),
                need.by(),
                counted ? how(need, cuts) : null);
    }

    private static @Nullable Phrase how(DayNeed need, Map<String, CutPlan> cuts) {
        CutPlan plan =
                need.item().sort() == KitItem.Sort.FLAT ? cuts.get(need.item().what()) : null;
        return plan == null
                ? null
                : plan.pieces().stream()
                        .filter(c -> c.size().equals(need.item().size()))
                        .findFirst()
                        .map(TruckService::how)
                        .orElse(null);
    }

    private static @Nullable Phrase how(CutPlan.Cut cut) {
        List<String> parts = new ArrayList<>();
        part(parts, cut.cloths(), "whole");
        part(parts, cut.fromSheets(), "from sheets");
        part(parts, cut.fromRoll() - cut.joined(), "off the roll");
        part(parts, cut.joined(), "joined from widths of the roll");
        return parts.isEmpty() ? null : Phrase.of(String.join(", ", parts));
    }

    private static void part(List<String> parts, int count, String how) {
        if (count > 0) {
            parts.add("%d %s".formatted(count, how));
        }
    }

    /** What could stand in for each thing that is short or away, of what is free that day. */
    public DayStandIns standIns(long productionId, int number) {
        DayKit day = needs.ofDay(productionId, number);
        StandIns.Free free = StandIns.free(day);
        List<StandInsOf> all = new ArrayList<>();
        if (!day.inventory().isEmpty()) {
            Map<KitItem, Wanting> wanting = wanting(day.on());
            for (KitLine line : day.kit().lines()) {
                Wanting first = wanting.get(line.need().item());
                if ((line.missing() > 0 || !line.absent().isEmpty()) && first != null) {
                    all.add(new StandInsOf(
                            line.absent().isEmpty()
                                    ? line.need().item().what()
                                    : line.absent().get(0).unit(),
                            first.shot.slate().toString(),
                            first.needed.by(),
                            instead(first, line.need().item(), free)));
                }
            }
        }
        return new DayStandIns(all);
    }

    /** Who wants a thing first. */
    private record Wanting(RecordedShot shot, Needed needed) {}

    private Map<KitItem, Wanting> wanting(OnDate on) {
        Map<KitItem, Wanting> first = new LinkedHashMap<>();
        for (Standing standing : on.mine()) {
            RecordedShot shot = records.shot(standing.shotId());
            needs.of(shot).forEach(n -> first.putIfAbsent(n.item(), new Wanting(shot, n)));
        }
        return first;
    }

    private List<String> instead(Wanting wanting, KitItem item, StandIns.Free free) {
        boolean unit = item.sort() == KitItem.Sort.THING;
        if (!unit && item.sort() != KitItem.Sort.FLAT) {
            return List.of();
        }
        try {
            return standIns
                    .of(wanting.shot, wanting.needed.key(), unit, unit ? Set.of() : Set.of(item.what()), free)
                    .stream()
                    .limit(MOST_STAND_INS)
                    .map(s -> say(s, unit))
                    .toList();
        } catch (Refusal nothingToReach) {
            return List.of();
        }
    }

    private static String say(Substitute found, boolean unit) {
        return "%s: %s"
                .formatted(
                        unit ? found.piece().called() : "without it, set anew",
                        found.givenUp().isEmpty() ? "reaches the same light" : String.join(", ", found.givenUp()));
    }

    /** What is short on each day, and which filters lamps have burnt. */
    public KitAhead ahead(long productionId) {
        List<DayKit> all = needs.ahead(productionId);
        List<ShortDay> shorts = all.stream()
                .map(d ->
                        new ShortDay(d.on().day(), d.on().date(), d.inventory().isEmpty() ? List.of() : notices(d)))
                .toList();
        return new KitAhead(shorts, worn(all));
    }

    private List<WornFilter> worn(List<DayKit> all) {
        Map<List<String>, Double> minutes = new LinkedHashMap<>();
        for (DayKit day : all) {
            for (Standing standing : day.on().mine()) {
                RecordedShot shot = records.shot(standing.shotId());
                if (shot.shot().card().stage() == ShotStage.SHOT) {
                    needs.of(shot).stream()
                            .filter(Needed::hot)
                            .forEach(n -> minutes.merge(
                                    List.of(
                                            n.item().what(),
                                            n.by(),
                                            String.valueOf(shot.scene()
                                                    .scene()
                                                    .heading()
                                                    .number())),
                                    standing.takesMin(),
                                    Double::sum));
                }
            }
        }
        return minutes.entrySet().stream()
                .map(e -> new WornFilter(
                        e.getKey().get(0),
                        e.getKey().get(1),
                        e.getKey().get(2),
                        e.getValue() / HOUR_MIN,
                        e.getValue() >= DayNeed.WORN_AFTER_H * HOUR_MIN))
                .toList();
    }

    /** What a shot needs, and which of its units are not there on one of its days. */
    public ShotKitView ofShot(long shotId) {
        RecordedShot shot = records.shot(shotId);
        long productionId = shot.scene().scene().productionId();
        Inventory there = inventory.of(productionId);
        List<DayNeed> need = needs.ofShots(List.of(shot));
        boolean counted = !there.isEmpty();
        KitOnDay kit = KitOnDay.of(need, there.units(), there.counted(), inventory.today());
        List<AbsentOnDay> absent = new ArrayList<>();
        if (counted) {
            List<Needed> own = needs.of(shot);
            for (OnDate day : days.of(shotId)) {
                own.forEach(n -> absent(n, there, day).ifPresent(absent::add));
            }
        }
        return new ShotKitView(
                kit.lines().stream().map(l -> line(l, kit.cuts(), counted)).toList(), absent, hanging(shot));
    }

    private Optional<AbsentOnDay> absent(Needed needed, Inventory there, OnDate day) {
        String unit = needed.unit();
        if (unit == null) {
            return Optional.empty();
        }
        Optional<KitUnit> known = there.units().stream()
                .filter(u -> u.name().equalsIgnoreCase(unit))
                .findFirst();
        Optional<String> why = known.isEmpty()
                ? Optional.of("not in the kit")
                : known.get().whyNot(day.date() == null ? inventory.today() : day.date());
        return why.map(w -> new AbsentOnDay(needed.key(), needed.by(), unit, w, day.day(), day.date()));
    }

    /** Units that are free on the day on which a shot is shot next. */
    public FreeUnits free(long shotId) {
        long productionId = records.shot(shotId).scene().scene().productionId();
        return new FreeUnits(standIns.onItsDay(productionId, shotId).units().stream()
                .map(u -> new FreeUnit(u.tag(), u.name(), u.what()))
                .toList());
    }

    /** What a scene needs, shot by one crew. */
    public SceneKitView ofScene(long sceneId) {
        StoredScene scene = records.of(sceneId);
        List<DayNeed> need = needs.ofShots(
                scene.shots().stream().map(s -> scene.recorded(s.id())).toList());
        Inventory there = inventory.of(scene.scene().productionId());
        KitOnDay kit = KitOnDay.of(need, there.units(), there.counted(), inventory.today());
        boolean counted = !there.isEmpty();
        return new SceneKitView(
                kit.lines().stream().map(l -> line(l, kit.cuts(), counted)).toList());
    }
}
