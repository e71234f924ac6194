package org.oblume.server.truck;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.StockForm;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.GripSubstitutes;
import org.oblume.core.rebuild.Substitute;
import org.oblume.core.rebuild.Substitutes;
import org.oblume.server.day.DayUse;
import org.oblume.server.day.DayUse.OnDate;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.kit.Kit;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.truck.KitNeeds.DayKit;
import org.springframework.stereotype.Component;

/** What could stand in for something, of what is free on the day that it is wanted. Of a kit of which nothing is said, all kinds are. */
@Component
class StandIns {

    private final KitNeeds needs;
    private final DayUse days;
    private final InventoryService inventory;
    private final KitService kit;
    private final LightCalibrations calibrations;

    StandIns(KitNeeds needs, DayUse days, InventoryService inventory, KitService kit, LightCalibrations calibrations) {
        this.needs = needs;
        this.days = days;
        this.inventory = inventory;
        this.kit = kit;
        this.calibrations = calibrations;
    }

    /** What there is to stand in. */
    record Free(List<KitUnit> units, List<CountedStock> counted, boolean all) {

        /** Of a kit of which nothing is said. */
        static final Free ALL = new Free(List.of(), List.of(), true);
    }

    /** The day of a shot that is meant now: today's, else the next, else the last; empty when it is on none with a date. */
    private Optional<OnDate> dayOf(long shotId) {
        LocalDate today = inventory.today();
        List<OnDate> dated = days.of(shotId).stream()
                .filter(d -> d.date() != null)
                .sorted(Comparator.comparing(OnDate::date, Comparator.nullsLast(Comparator.naturalOrder())))
                .toList();
        return dated.stream()
                .filter(d -> d.date() != null && !d.date().isBefore(today))
                .findFirst()
                .or(() -> dated.stream().reduce((a, b) -> b));
    }

    /** What is free on the day on which a shot is shot, or shot again. */
    Free onItsDay(long productionId, long shotId) {
        if (inventory.of(productionId).isEmpty()) {
            return Free.ALL;
        }
        return dayOf(shotId).map(d -> free(needs.ofDay(productionId, d.day()))).orElseGet(() -> {
            InventoryService.Inventory all = inventory.of(productionId);
            return new Free(
                    all.units().stream()
                            .filter(u -> u.isThere(inventory.today()))
                            .toList(),
                    all.counted(),
                    false);
        });
    }

    static Free free(DayKit day) {
        return day.inventory().isEmpty()
                ? Free.ALL
                : new Free(day.kit().free(), day.inventory().counted(), false);
    }

    /** Of a rebuild. */
    List<Substitute> of(BuiltRun run, String placement, boolean unit, Set<String> missing) {
        Free free = onItsDay(run.record().scene().productionId(), run.shot().id());
        return of(run.built(), run.record(), placement, unit, missing, free);
    }

    /** Of a shot as it is recorded. */
    List<Substitute> of(RecordedShot shot, String placement, boolean unit, Set<String> missing, Free free) {
        AsBuilt built = AsBuilt.of(
                shot.scene().record(), shot.state(), shot.scene().set().plan(), PlanFit.NONE, List.of());
        return of(built, shot.scene(), placement, unit, missing, free);
    }

    private List<Substitute> of(
            AsBuilt built, StoredScene record, String key, boolean unit, Set<String> missing, Free free) {
        Placement placement = built.scene().placement(key);
        List<Piece> pieces = unit
                ? pieces(free, f -> placement.kind().isLight() ? f.kind().isLight() : f.kind() == placement.kind())
                        .stream()
                        .filter(p ->
                                !free.all || !p.what().equals(placement.piece().what()))
                        .toList()
                : List.of(placement.piece());
        List<StockItem> stock = stock(free);
        if (!placement.kind().isLight()) {
            return GripSubstitutes.of(
                    placement,
                    built.state().value(key, Modifiers.class).orElse(Modifiers.NONE),
                    missing,
                    pieces,
                    stock);
        }
        Calibration found = calibrations.of(record).getOrDefault(key, Calibration.NONE);
        return sameKindFirst(placement, Substitutes.of(built, key, found, missing, pieces, stock));
    }

    /** Of those that reach the light another of the very kind comes first: it looks the same too. */
    private static List<Substitute> sameKindFirst(Placement placement, List<Substitute> found) {
        return found.stream()
                .sorted(Comparator.comparing(s -> !s.reaches()
                        || !s.piece().what().equals(placement.piece().what())))
                .toList();
    }

    /** One of each kind, by the name of its unit. */
    private List<Piece> pieces(Free free, Predicate<Kit.Fixture> suits) {
        Map<String, @Nullable Piece> found = new LinkedHashMap<>();
        for (Kit.Fixture fixture : kit.fixtures()) {
            Piece piece = fixture.piece();
            if (!suits.test(fixture)) {
                continue;
            }
            if (free.all) {
                found.put(piece.what(), piece);
                continue;
            }
            free.units.stream()
                    .filter(u -> u.what().equalsIgnoreCase(piece.what()))
                    .findFirst()
                    .map(u -> piece.as(u.name()))
                    .or(() -> free.counted.stream()
                            .filter(c -> c.form() == StockForm.PIECE
                                    && c.count() > 0
                                    && c.what().equalsIgnoreCase(piece.what()))
                            .findFirst()
                            .map(c -> piece))
                    .ifPresent(p -> found.put(p.what(), p));
        }
        return new ArrayList<>(found.values());
    }

    /** Filters and cloths that there are any of; all while none is counted. */
    private List<StockItem> stock(Free free) {
        boolean none = free.counted.stream().noneMatch(c -> c.form().isCut() || c.form() == StockForm.CLOTH);
        return kit.stock().stream()
                .filter(s -> free.all
                        || none
                        || free.counted.stream()
                                .anyMatch(c -> c.count() > 0 && c.what().equalsIgnoreCase(s.name()))
                        || free.units.stream().anyMatch(u -> u.what().equalsIgnoreCase(s.name())))
                .toList();
    }
}
