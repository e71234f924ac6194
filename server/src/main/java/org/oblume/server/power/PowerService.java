package org.oblume.server.power;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.power.CableRun;
import org.oblume.core.power.PhaseSpread;
import org.oblume.core.power.PowerLoad;
import org.oblume.core.power.PowerNotice;
import org.oblume.core.power.PowerPlan;
import org.oblume.core.units.Refusal;
import org.oblume.server.earlier.EarlierVersions;
import org.oblume.server.earlier.Said;
import org.oblume.server.power.PowerView.CableDrop;
import org.oblume.server.power.PowerView.CableWay;
import org.oblume.server.power.PowerView.DrawnLoad;
import org.oblume.server.power.PowerView.EarlierPower;
import org.oblume.server.power.PowerView.PoweredBattery;
import org.oblume.server.power.PowerView.PoweredCircuit;
import org.oblume.server.power.PowerView.PoweredSource;
import org.oblume.server.power.PowerView.UnfedLight;
import org.oblume.server.set.SetService;
import org.oblume.server.shot.PlacedView.TapeView.LengthView;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What feeds a set, and what a shot draws from it. */
@Service
@Transactional
public class PowerService {

    private final SetPowerRepository plans;
    private final SetService sets;
    private final StoredScenes records;
    private final EarlierVersions earlier;
    private final RecordJson json;

    PowerService(
            SetPowerRepository plans, SetService sets, StoredScenes records, EarlierVersions earlier, RecordJson json) {
        this.plans = plans;
        this.sets = sets;
        this.records = records;
        this.earlier = earlier;
        this.json = json;
    }

    /** What is said of a set; null while nothing is. */
    @Transactional(readOnly = true)
    public @Nullable PowerPlan said(long setId) {
        return plans.findBySetId(setId)
                .map(row -> json.read(row.plan(), PowerPlan.class))
                .orElse(null);
    }

    /** Keeps what a file says of a set of which nothing is said yet. */
    public void importPlan(long setId, @Nullable PowerPlan plan) {
        if (plan != null && plans.findBySetId(setId).isEmpty()) {
            plans.save(new SetPowerEntity(setId).say(json.write(plan)));
        }
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void keep(long setId, PowerPlan plan, long version, String author) {
        sets.get(setId);
        SetPowerEntity row = plans.findBySetId(setId).orElseGet(() -> new SetPowerEntity(setId));
        if (row.version() != version) {
            throw new EditConflict(
                    "Someone changed what feeds this set since you opened it. Nothing of yours was kept yet.",
                    row.plan().isEmpty() ? PowerPlan.NOTHING_SAID : json.read(row.plan(), PowerPlan.class));
        }
        if (!row.plan().isEmpty()) {
            earlier.keep(Said.POWER_OF_SET, setId, json.read(row.plan(), PowerPlan.class), author);
        }
        plans.saveAndFlush(row.say(json.write(plan)));
    }

    /** What was said of a set before, the latest first. */
    @Transactional(readOnly = true)
    List<EarlierPower> earlier(long setId) {
        sets.get(setId);
        return earlier.of(Said.POWER_OF_SET, setId, PowerPlan.class).stream()
                .map(e -> new EarlierPower(e.until(), e.by(), e.was()))
                .toList();
    }

    /**
     * @param lowerStops how much lower all lights are taken, stops, 0 to 6
     * @throws Refusal when that is out of range
     */
    @Transactional(readOnly = true)
    PowerView view(long shotId, double lowerStops) {
        RecordedShot shot = records.shot(shotId);
        long setId = shot.scene().scene().setId();
        SetPowerEntity row = plans.findBySetId(setId).orElse(null);
        PowerPlan plan = row == null ? PowerPlan.NOTHING_SAID : json.read(row.plan(), PowerPlan.class);
        PowerLoad load = PowerLoad.of(plan, shot.record().placements(), shot.state(), lowerStops);
        return new PowerView(
                shot.scene().scene().productionId(),
                shot.shot().card().day(),
                setId,
                shot.scene().set().name(),
                plan,
                row == null ? 0 : row.version(),
                lowerStops,
                load.circuits().stream().map(c -> circuit(plan, c)).toList(),
                load.sources().stream()
                        .map(s -> new PoweredSource(
                                s.source().name(),
                                s.phaseAmps(),
                                s.unbalance(),
                                s.kva(),
                                s.share(),
                                s.over(),
                                s.feederAmps(),
                                s.feederLimitAmps(),
                                drop(s.drop())))
                        .toList(),
                load.batteries().stream()
                        .map(b -> new PoweredBattery(b.key(), b.name(), b.tag(), b.wattHours(), b.watts(), b.minutes()))
                        .toList(),
                load.unfed().stream()
                        .map(u -> new UnfedLight(u.key(), u.name(), u.watts(), u.circuit()))
                        .toList(),
                PhaseSpread.of(plan, shot.record().placements(), shot.state()),
                CableRun.of(plan, shot.record().set(), shot.record().placements(), shot.state()).stream()
                        .map(PowerService::way)
                        .toList(),
                PowerNotice.of(load));
    }

    private static PoweredCircuit circuit(PowerPlan plan, PowerLoad.CircuitLoad load) {
        double volts = plan.voltsOf(load.circuit());
        List<DrawnLoad> drawn = load.drawn().stream()
                .map(d -> new DrawnLoad(
                        d.key(),
                        d.name(),
                        d.watts(),
                        d.fullWatts(),
                        d.amps(volts),
                        d.fullAmps(volts),
                        d.when(),
                        drop(d.drop())))
                .toList();
        return new PoweredCircuit(
                load.circuit().name(),
                load.circuit().source(),
                load.circuit().phase(),
                load.circuit().breakerAmps(),
                load.circuit().where(),
                drawn,
                load.takesAmps(),
                load.peakAmps(),
                load.fullAmps(),
                load.limitAmps(),
                load.over(),
                load.overInTakes(),
                drop(load.drop()));
    }

    private static @Nullable CableDrop drop(PowerLoad.@Nullable Drop drop) {
        return drop == null ? null : new CableDrop(drop.volts(), drop.part());
    }

    private static CableWay way(CableRun run) {
        return new CableWay(
                run.key(),
                run.name(),
                run.circuit(),
                run.path(),
                LengthView.of(run.lengthM()),
                run.saidM() == null ? null : LengthView.of(run.saidM()),
                run.isShort(),
                run.crosses());
    }
}
