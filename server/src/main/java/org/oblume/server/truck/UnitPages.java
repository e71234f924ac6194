package org.oblume.server.truck;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.metering.OutputDrift;
import org.oblume.core.units.Kelvin;
import org.oblume.server.day.DayUse;
import org.oblume.server.day.DayUse.Standing;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.inventory.InventoryViews.UnitUse;
import org.oblume.server.inventory.InventoryViews.UnitView;
import org.oblume.server.metering.MeterView.MeasuredDial;
import org.oblume.server.metering.SoloReadings;
import org.oblume.server.note.NoteService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.truck.TruckViews.DialledPath;
import org.oblume.server.truck.TruckViews.DialledPoint;
import org.oblume.server.truck.TruckViews.LevelHours;
import org.oblume.server.truck.TruckViews.NoteOfUnit;
import org.oblume.server.truck.TruckViews.SoloOfUnit;
import org.oblume.server.truck.TruckViews.UnitPage;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All that is known of one unit, from wherever it was recorded. */
@Service
@Transactional(readOnly = true)
class UnitPages {

    private static final double HOUR_MIN = 60;
    /** Levels are told in tens. */
    private static final double LEVEL_STEP = 10;

    private final InventoryService inventory;
    private final SoloReadings solos;
    private final StoredScenes records;
    private final NoteService notes;
    private final DayUse days;

    UnitPages(InventoryService inventory, SoloReadings solos, StoredScenes records, NoteService notes, DayUse days) {
        this.inventory = inventory;
        this.solos = solos;
        this.records = records;
        this.notes = notes;
        this.days = days;
    }

    UnitPage of(long productionId, long unitId) {
        UnitView unit = inventory.unit(productionId, unitId);
        List<SoloOfUnit> alone = alone(unit);
        return new UnitPage(
                unit,
                solos.curves(productionId).stream()
                        .filter(p -> p.unit().equalsIgnoreCase(unit.unit().name()))
                        .map(p -> new DialledPath(
                                p.path(),
                                p.points().stream()
                                        .map(UnitPages::point)
                                        .sorted(Comparator.comparingDouble(DialledPoint::mired))
                                        .toList()))
                        .toList(),
                alone,
                OutputDrift.of(alone.stream()
                                .map(s -> new OutputDrift.Solo(s.at(), s.overStops()))
                                .toList())
                        .flatMap(OutputDrift::say)
                        .orElse(null),
                hours(productionId, unit),
                notes(unit));
    }

    private static DialledPoint point(MeasuredDial dial) {
        double mired = Kelvin.of(dial.dialledKelvin()).mired();
        return new DialledPoint(
                mired,
                Kelvin.of(dial.measuredKelvin()).mired() - mired,
                dial.measuredDuv() - dial.dialledDuv(),
                dial.dialledKelvin(),
                dial.measuredKelvin());
    }

    private List<SoloOfUnit> alone(UnitView unit) {
        List<SoloOfUnit> all = new ArrayList<>();
        Set<Long> scenes = new LinkedHashSet<>();
        unit.uses().forEach(u -> scenes.add(u.sceneId()));
        for (long scene : scenes) {
            for (SoloReadings.SoloReading read : solos.of(records.of(scene))) {
                unit.uses().stream()
                        .filter(u -> u.shotId() == read.shotId() && u.key().equals(read.key()))
                        .findFirst()
                        .ifPresent(u -> all.add(new SoloOfUnit(
                                u.shotId(), u.slate().toString(), u.name(), read.at(), read.overStops())));
            }
        }
        all.sort(Comparator.comparing(SoloOfUnit::at));
        return all;
    }

    /** Of each day on which a shot with it was shot. */
    private List<LevelHours> hours(long productionId, UnitView unit) {
        Map<Long, UnitUse> uses = new LinkedHashMap<>();
        unit.uses().stream().filter(u -> u.stage() == ShotStage.SHOT).forEach(u -> uses.putIfAbsent(u.shotId(), u));
        Map<Double, Double> minutes = new TreeMap<>();
        for (DayUse.OnDate day : days.all(productionId)) {
            for (Standing standing : day.mine()) {
                UnitUse use = uses.get(standing.shotId());
                if (use != null && Integer.valueOf(day.day()).equals(use.day())) {
                    RecordedShot shot = records.shot(use.shotId());
                    double level =
                            shot.state().isOn(use.key()) ? 100 * shot.state().level(use.key()) : 0;
                    minutes.merge(Math.round(level / LEVEL_STEP) * LEVEL_STEP, standing.takesMin(), Double::sum);
                }
            }
        }
        return minutes.entrySet().stream()
                .filter(e -> e.getKey() > 0)
                .map(e -> new LevelHours(e.getKey(), e.getValue() / HOUR_MIN))
                .toList();
    }

    private List<NoteOfUnit> notes(UnitView unit) {
        Map<Long, String> names = new LinkedHashMap<>();
        unit.uses().forEach(u -> names.putIfAbsent(u.shotId(), u.name()));
        List<NoteOfUnit> all = new ArrayList<>();
        names.forEach((shot, name) -> notes.ofShot(shot).stream()
                .filter(n -> name.equals(n.placement()))
                .forEach(n -> all.add(
                        new NoteOfUnit(n.id(), String.valueOf(n.slate()), n.text(), n.photo(), n.author(), n.at()))));
        return all;
    }
}
