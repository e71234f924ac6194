package org.oblume.server.recall;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Mode;
import org.oblume.core.network.NetworkNode;
import org.oblume.core.network.PatchCheck;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.network.ReadBack;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UnitAnswer;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.plot.Effect;
import org.oblume.core.units.Refusal;
import org.oblume.server.patch.PatchPage;
import org.oblume.server.patch.PatchService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;

/** Recalls a shot over the network and reads back what the rig stands at. */
@Service
class RecallService {

    /** Steps of a mode by which a read-back may differ: what rounding to slots may cost. */
    private static final double STEPS = 1;

    private final PatchService patches;
    private final LiveOutput output;
    private final RigClient rig;
    private final StopRule stopRule;
    private final Clock clock;

    RecallService(PatchService patches, LiveOutput output, RigClient rig, Clock clock, StopRule stopRule) {
        this.stopRule = stopRule;
        this.patches = patches;
        this.output = output;
        this.rig = rig;
        this.clock = clock;
    }

    OutputView output() {
        LiveOutput.RecalledShot live = output.live();
        return output.view(live == null ? null : revised(live), rig.lastAnswered(), stopRule.now());
    }

    private @Nullable String revised(LiveOutput.RecalledShot live) {
        try {
            return stateDigest(patches.patched(live.shotId()).units()).equals(live.stateDigest())
                    ? null
                    : "%s was changed after it was recalled: what is sent is how it was then. Recall it again."
                            .formatted(live.slate());
        } catch (NotFoundException gone) {
            return "%s is not there any more: what is sent is how it was.".formatted(live.slate());
        }
    }

    RecallView.RecallPreview preview(long shotId) {
        PatchService.PatchedShot shot = patches.patched(shotId);
        Optional<RigState> state = rig.state();
        Map<String, UnitAnswer> answers = state.map(s -> s.units().stream()
                        .map(RigState.RigUnit::answer)
                        .collect(Collectors.toMap(UnitAnswer::unit, a -> a)))
                .orElse(Map.of());
        List<RecallView.NetworkUnit> told = new ArrayList<>();
        List<RecallView.FixtureUnit> byHand = new ArrayList<>();
        for (PatchedUnit unit : shot.units()) {
            String key = unit.placement().key();
            if (unit.isPatched()) {
                UnitAnswer answer = answers.get(unit.unit());
                String now = answer == null ? null : answer.dialled().say();
                String then = unit.values().say();
                boolean changes = answer == null
                        || !ReadBack.of(List.of(unit), List.of(answer), STEPS).isEmpty();
                told.add(new RecallView.NetworkUnit(key, unit.placement().name(), now, then, changes));
            }
            if (!unit.atTheHead().isEmpty()) {
                byHand.add(new RecallView.FixtureUnit(
                        key,
                        unit.placement().name(),
                        unit.isPatched() ? "at the head" : unit.patch().say(),
                        unit.atTheHead()));
            }
        }
        told.sort(Comparator.comparing(t -> !t.changes()));
        List<String> cautions = shot.units().stream()
                .map(u -> caution(u))
                .filter(Objects::nonNull)
                .toList();
        List<String> conflicts =
                patches.conflicts(shot, state.map(RigState::sources).orElse(List.of()), output.sourceId()).stream()
                        .map(PatchPage.PatchConflict::sentence)
                        .toList();
        return new RecallView.RecallPreview(
                shot.shot().card().slate(),
                stateDigest(shot.units()),
                told,
                byHand,
                cautions,
                conflicts,
                CueRecall.cues(shot),
                state.isPresent());
    }

    /** A shot as it is to stand now: with the cues that have run, where it is live. */
    private PatchService.PatchedShot standing(long shotId) {
        LiveOutput.RecalledShot live = output.live();
        return patches.patched(shotId, live != null && live.shotId() == shotId ? live.cue() : 0);
    }

    private static @Nullable String caution(PatchedUnit unit) {
        Effect effect = unit.values().effect();
        String caution = effect.caution();
        return caution == null ? null : "%s, %s: %s".formatted(unit.placement().name(), effect.say(), caution);
    }

    /**
     * Sends a shot.
     *
     * @param mark of the state that the person looked at
     * @param warned whether cast and crew were warned of its effects
     * @throws EditConflict when the record has moved on since
     * @throws Refusal when output is off, or nobody was warned
     */
    void recall(long shotId, double fadeSeconds, int priority, String mark, boolean warned, String by) {
        PatchService.PatchedShot shot = patches.patched(shotId);
        if (!stateDigest(shot.units()).equals(mark)) {
            throw new EditConflict(
                    "%s was changed since you looked. Nothing was sent: look at what would change now, and recall again."
                            .formatted(shot.shot().card().slate()),
                    preview(shotId));
        }
        Optional<String> caution = shot.units().stream()
                .map(RecallService::caution)
                .filter(Objects::nonNull)
                .findFirst();
        if (caution.isPresent() && !warned) {
            throw new Refusal("warned", "%s Say that they are warned, and recall again.".formatted(caution.get()));
        }
        send(shot, fadeSeconds, priority, 0, by);
    }

    private void send(PatchService.PatchedShot shot, double fadeSeconds, int priority, int cue, String by) {
        Map<Integer, UniverseFrame> frames = UniverseFrame.of(shot.units());
        if (frames.isEmpty()) {
            throw new Refusal("Nothing in %s is on the network: patch a light first."
                    .formatted(shot.shot().card().slate()));
        }
        output.send(
                frames,
                new LiveOutput.RecalledShot(
                        shot.shot().id(),
                        shot.shot().card().slate(),
                        by,
                        clock.instant(),
                        fadeSeconds,
                        priority,
                        stateDigest(
                                cue == 0
                                        ? shot.units()
                                        : patches.patched(shot.shot().id()).units()),
                        cue));
    }

    /**
     * Sends the record again: mode, address and menu of what the network reaches, then what it is dialled to.
     *
     * @param keys the units, all when it is empty
     */
    void sendAgain(long shotId, Collection<String> keys, String by) {
        if (!output.isArmed()) {
            throw new Refusal("Output is off: arm it, then send the record again.");
        }
        PatchService.PatchedShot shot = standing(shotId);
        Map<String, UnitAnswer> answers = rig.ask().units().stream()
                .map(RigState.RigUnit::answer)
                .collect(Collectors.toMap(UnitAnswer::unit, a -> a));
        for (PatchedUnit unit : shot.units()) {
            UnitAnswer answer = answers.get(unit.unit());
            boolean wanted = unit.isPatched()
                    && (keys.isEmpty() || keys.contains(unit.placement().key()));
            if (wanted && answer != null && answer.powered() && answer.linked()) {
                rig.set(unit.unit(), RigUnitSpec.Settings.of(unit));
            }
        }
        LiveOutput.RecalledShot live = output.live();
        int cue = live != null && live.shotId() == shotId ? live.cue() : 0;
        send(shot, 0, live == null ? SacnPacket.USUAL_PRIORITY : live.priority(), cue, by);
    }

    /** @throws Refusal when no rig answers */
    RecallView.ReadBackView readBack(long shotId) {
        PatchService.PatchedShot shot = standing(shotId);
        RigState state = rig.ask();
        List<UnitAnswer> answers =
                state.units().stream().map(RigState.RigUnit::answer).toList();
        Map<String, String> names = shot.units().stream()
                .collect(Collectors.toMap(
                        u -> u.placement().key(), u -> u.placement().name()));
        List<RecallView.DriftView> drift = ReadBack.of(shot.units(), answers, STEPS).stream()
                .map(d -> new RecallView.DriftView(
                        d.key(),
                        Objects.requireNonNull(names.get(d.key())),
                        d.attribute(),
                        d.sentence(),
                        d.rigs(),
                        d.status(),
                        d.bySending()))
                .toList();
        int asked = (int) shot.units().stream().filter(PatchedUnit::isPatched).count();
        int differ =
                (int) drift.stream().map(RecallView.DriftView::key).distinct().count();
        List<String> sources = PatchCheck.of(List.of(), List.of(), state.sources(), output.sourceId()).stream()
                .map(c -> c.sentence() + " " + c.fix())
                .toList();
        return new RecallView.ReadBackView(shot.shot().card().slate(), asked, asked - differ, drift, sources);
    }

    /** Hangs the simulated rig as a shot is recorded: what a crew does with real units at their menus. */
    RigState patchFixtures(long shotId) {
        PatchService.PatchedShot shot = patches.patched(shotId);
        List<RigUnitSpec> units = new ArrayList<>();
        for (PatchedUnit unit : shot.units()) {
            Optional<Mode> mode = unit.mode().filter(Mode::isKnown);
            if (unit.isPatched()
                    && mode.isPresent()
                    && units.stream().noneMatch(u -> u.unit().equals(unit.unit()))) {
                units.add(RigUnitSpec.of(unit, mode.get()));
            }
        }
        return rig.patchFixtures(
                units, shot.nodes().stream().map(RecallService::node).toList());
    }

    private static RigState.RigNode node(NetworkNode node) {
        return new RigState.RigNode(node.name(), node.ports(), true);
    }

    /** Tells one state of a shot's control from another: a hash (SHA-256) of all slots, and of the menus in words. */
    static String stateDigest(List<PatchedUnit> units) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            new TreeMap<>(UniverseFrame.of(units)).forEach((universe, frame) -> {
                digest.update(
                        ByteBuffer.allocate(Integer.BYTES).putInt(universe).array());
                digest.update(frame.slots());
            });
            units.forEach(unit ->
                    digest.update((unit.key() + " " + unit.menu().say() + "\n").getBytes(StandardCharsets.UTF_8)));
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
