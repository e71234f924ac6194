package org.oblume.server.truck;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.oblume.core.filter.StockItem;
import org.oblume.core.kit.DayNeed;
import org.oblume.core.kit.DayNeed.ShotInTime;
import org.oblume.core.kit.KitItem;
import org.oblume.core.kit.KitOnDay;
import org.oblume.core.kit.Needed;
import org.oblume.core.kit.ShotNeed;
import org.oblume.server.day.DayFeeds;
import org.oblume.server.day.DayUse;
import org.oblume.server.day.DayUse.OnDate;
import org.oblume.server.day.DayUse.Standing;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.inventory.InventoryService.Inventory;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Component;

/** Reads what shots and days need, and sets it beside what there is. */
@Component
class KitNeeds {

    private final DayUse days;
    private final DayFeeds feeds;
    private final StoredScenes records;
    private final InventoryService inventory;
    private final KitService kit;

    KitNeeds(DayUse days, DayFeeds feeds, StoredScenes records, InventoryService inventory, KitService kit) {
        this.days = days;
        this.feeds = feeds;
        this.records = records;
        this.inventory = inventory;
        this.kit = kit;
    }

    /** @param asOf the date by which it is told what is there */
    record DayKit(OnDate on, LocalDate asOf, Inventory inventory, KitOnDay kit) {}

    List<Needed> of(RecordedShot shot) {
        return ShotNeed.of(shot.record().placements(), shot.state(), kit.stock());
    }

    /** What a day needs with whoever else shoots on its date, batteries too. */
    DayKit ofDay(long productionId, int number) {
        OnDate on = days.of(productionId, number);
        List<DayNeed> needs = new ArrayList<>(DayNeed.of(Stream.concat(on.mine().stream(), on.others().stream())
                .map(this::inTime)
                .toList()));
        Stream.concat(Stream.of(number), on.others().stream().map(Standing::day))
                .distinct()
                .forEach(day -> needs.addAll(batteries(productionId, day)));
        return beside(on, needs, inventory.of(productionId));
    }

    Inventory there(long productionId) {
        return inventory.of(productionId);
    }

    DayKit beside(OnDate on, List<DayNeed> needs, Inventory there) {
        LocalDate asOf = on.date() == null ? inventory.today() : on.date();
        return new DayKit(on, asOf, there, KitOnDay.of(needs, there.units(), there.counted(), asOf));
    }

    /** Each day of a production by itself, without batteries. */
    List<DayKit> ahead(long productionId) {
        Inventory there = inventory.of(productionId);
        Map<Long, List<Needed>> known = new HashMap<>();
        List<StockItem> stock = kit.stock();
        List<DayKit> all = new ArrayList<>();
        for (OnDate on : days.all(productionId)) {
            List<DayNeed> needs = DayNeed.of(on.mine().stream()
                    .map(s -> new ShotInTime(
                            slate(s.shotId()),
                            s.fromMin(),
                            s.toMin(),
                            s.takesMin(),
                            known.computeIfAbsent(s.shotId(), id -> {
                                RecordedShot shot = records.shot(id);
                                return ShotNeed.of(shot.record().placements(), shot.state(), stock);
                            })))
                    .toList());
            all.add(beside(on, needs, there));
        }
        return all;
    }

    private String slate(long shotId) {
        return records.shot(shotId).slate().toString();
    }

    /** What shots need that one crew shoots one after the other. */
    List<DayNeed> ofShots(Collection<RecordedShot> shots) {
        List<ShotInTime> inOrder = new ArrayList<>();
        for (RecordedShot shot : shots) {
            int place = inOrder.size();
            inOrder.add(new ShotInTime(shot.slate().toString(), place, place + 1, 0, of(shot)));
        }
        return DayNeed.of(inOrder);
    }

    private ShotInTime inTime(Standing shot) {
        RecordedShot recorded = records.shot(shot.shotId());
        return new ShotInTime(recorded.slate().toString(), shot.fromMin(), shot.toMin(), shot.takesMin(), of(recorded));
    }

    private List<DayNeed> batteries(long productionId, int day) {
        return feeds.of(productionId, day, DayFeeds.WhatIf.NOTHING).full().stream()
                .filter(f -> f.count() > 0)
                .map(f -> new DayNeed(
                        KitItem.battery(f.wattHours()),
                        f.count(),
                        Set.of(),
                        List.of(),
                        List.of("full in the morning"),
                        false,
                        0))
                .toList();
    }
}
