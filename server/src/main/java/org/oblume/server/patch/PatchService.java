package org.oblume.server.patch;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotState;
import org.oblume.core.cue.CueSheet;
import org.oblume.core.network.AutoPatch;
import org.oblume.core.network.Conflict;
import org.oblume.core.network.FreeSlots;
import org.oblume.core.network.Mode;
import org.oblume.core.network.NetworkNode;
import org.oblume.core.network.PatchCheck;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The patch of a shot, and what it would be. Nothing is kept here: patches are knots like any other value. */
@Service
@Transactional(readOnly = true)
public class PatchService {

    private final StoredScenes records;
    private final KitService kit;
    private final NodeService nodes;

    PatchService(StoredScenes records, KitService kit, NodeService nodes) {
        this.records = records;
        this.kit = kit;
        this.nodes = nodes;
    }

    /** A shot's lights and the nodes of its production. */
    public record PatchedShot(
            Shot shot,
            long productionId,
            ShotState state,
            List<PatchedUnit> units,
            List<NetworkNode> nodes,
            CueSheet cues) {}

    public PatchedShot patched(long shotId) {
        return patched(shotId, 0);
    }

    /** @param cue how many of its cues have run */
    public PatchedShot patched(long shotId, int cue) {
        RecordedShot shot = records.shot(shotId);
        long productionId = shot.scene().scene().productionId();
        CueSheet cues = CueSheet.of(shot.record().placements(), shot.state());
        ShotState state = cues.after(cue);
        return new PatchedShot(
                shot.shot(),
                productionId,
                state,
                PatchedUnit.of(shot.record(), state, kit::modesOf),
                nodes.of(productionId),
                cues);
    }

    PatchPage page(long shotId) {
        PatchedShot patched = patched(shotId);
        List<PatchedUnit> units = patched.units();
        TreeSet<Integer> numbers = units.stream()
                .map(u -> u.patch().universe())
                .filter(Objects::nonNull)
                .collect(Collectors.toCollection(TreeSet::new));
        patched.nodes().forEach(n -> numbers.addAll(n.ports()));
        if (numbers.isEmpty()) {
            numbers.add(1);
        }
        FreeSlots free = FreeSlots.around(units);
        List<PatchPage.UniverseStrip> strips = numbers.stream()
                .map(u -> new PatchPage.UniverseStrip(
                        u,
                        free.left(u),
                        patched.nodes().stream()
                                .filter(n -> n.carries(u))
                                .map(NetworkNode::name)
                                .toList()))
                .toList();
        return new PatchPage(
                shotId,
                patched.shot().card().slate(),
                patched.productionId(),
                strips,
                units.stream().map(PatchService::light).toList(),
                nodes.known(patched.productionId()),
                conflicts(patched, List.of(), null));
    }

    /**
     * What cannot work in a shot's patch.
     *
     * @param sources heard on the network
     * @param us under what we send, or null
     */
    public List<PatchPage.PatchConflict> conflicts(
            PatchedShot patched, Collection<PatchCheck.SacnSource> sources, @Nullable String us) {
        Map<String, PatchedUnit> byKey = patched.units().stream()
                .collect(Collectors.toMap(u -> u.placement().key(), u -> u));
        return PatchCheck.of(patched.units(), patched.nodes(), sources, us).stream()
                .map(c -> new PatchPage.PatchConflict(
                        c.kind(),
                        c.about(),
                        c.sentence(),
                        c.fix(),
                        c.proposal().entrySet().stream()
                                .map(e -> repatched(Objects.requireNonNull(byKey.get(e.getKey())), e.getValue()))
                                .toList()))
                .toList();
    }

    /**
     * New addresses one after the other.
     *
     * @param keys the units to patch; all when it is empty
     */
    PatchPage.PatchPlan plan(
            long shotId, AutoPatch.Order order, FreeSlots.Spot from, int every, Collection<String> keys) {
        PatchedShot patched = patched(shotId);
        Collection<String> wanted = keys.isEmpty()
                ? patched.units().stream()
                        .filter(u -> u.isPatched() || u.patch().reachedBy().isNetwork())
                        .map(u -> u.placement().key())
                        .toList()
                : keys;
        List<PatchPage.Repatched> changes =
                AutoPatch.plan(patched.units(), wanted, patched.state(), order, from, every).stream()
                        .map(r -> repatched(r.unit(), r.to()))
                        .toList();
        return planned(patched, changes, List.of());
    }

    /** Patches out of a table. */
    PatchPage.PatchPlan read(long shotId, String csv) {
        PatchedShot patched = patched(shotId);
        PatchTable.ReadPatches read = PatchTable.read(csv, patched.units());
        return planned(
                patched,
                read.patches().entrySet().stream()
                        .filter(e -> !e.getValue().equals(e.getKey().patch()))
                        .map(e -> repatched(e.getKey(), e.getValue()))
                        .toList(),
                read.problems());
    }

    String table(long shotId) {
        return PatchTable.write(patched(shotId).units());
    }

    private static PatchPage.PatchPlan planned(
            PatchedShot patched, List<PatchPage.Repatched> changes, List<String> problems) {
        Map<String, Patch> to =
                changes.stream().collect(Collectors.toMap(PatchPage.Repatched::key, PatchPage.Repatched::value));
        List<PatchedUnit> after = new ArrayList<>();
        for (PatchedUnit unit : patched.units()) {
            after.add(new PatchedUnit(
                    unit.placement(),
                    to.getOrDefault(unit.placement().key(), unit.patch()),
                    unit.modes(),
                    unit.values(),
                    unit.menu()));
        }
        return new PatchPage.PatchPlan(
                changes,
                PatchCheck.of(after, patched.nodes(), List.of(), null).stream()
                        .map(Conflict::sentence)
                        .toList(),
                problems);
    }

    private static PatchPage.Repatched repatched(PatchedUnit unit, Patch to) {
        return new PatchPage.Repatched(
                unit.placement().key(), unit.placement().name(), unit.patch().say(), to.say(), to);
    }

    private static PatchPage.PatchedLight light(PatchedUnit unit) {
        Function<Mode, PatchPage.ModeChoice> choice = m -> new PatchPage.ModeChoice(m.name(), m.slots(), m.say());
        return new PatchPage.PatchedLight(
                unit.placement().key(),
                unit.placement().name(),
                unit.placement().piece().unit(),
                unit.placement().piece().what(),
                unit.placement().role(),
                unit.patch(),
                unit.patch().say(),
                unit.patch().reachedBy(),
                unit.slots(),
                unit.last(),
                unit.modes().stream().map(choice).toList(),
                unit.values().say(),
                unit.menu().equals(Menu.NOTHING) ? null : unit.menu().say(),
                unit.atTheHead());
    }
}
