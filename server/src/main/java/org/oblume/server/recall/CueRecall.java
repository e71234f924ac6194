package org.oblume.server.recall;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.cue.CueSheet;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.plot.Cue;
import org.oblume.core.units.Refusal;
import org.oblume.server.patch.PatchService;
import org.springframework.stereotype.Service;

/** Runs what changes within a shot that is live: one cue after the other, and back. */
@Service
class CueRecall {

    private final PatchService patches;
    private final LiveOutput output;
    private final Clock clock;

    CueRecall(PatchService patches, LiveOutput output, Clock clock) {
        this.patches = patches;
        this.output = output;
        this.clock = clock;
    }

    /** The cues of a shot, in order. */
    static List<RecallView.CueView> cues(PatchService.PatchedShot shot) {
        Map<String, PatchedUnit> units =
                shot.units().stream().collect(Collectors.toMap(PatchedUnit::key, u -> u, (a, b) -> a));
        List<RecallView.CueView> views = new ArrayList<>();
        for (CueSheet.Called called : shot.cues().cues()) {
            List<String> told = new ArrayList<>();
            List<String> byHand = new ArrayList<>();
            for (Cue.CueStep step : called.cue().changes()) {
                PatchedUnit unit = units.get(step.placement());
                if (unit != null) {
                    (unit.isPatched() ? told : byHand).add("%s %s".formatted(unit.name(), step.say()));
                }
            }
            views.add(new RecallView.CueView(
                    views.size() + 1,
                    called.placement().key(),
                    called.placement().name(),
                    called.cue().moment(),
                    told,
                    byHand,
                    called.lastsS(),
                    called.caution().orElse(null)));
        }
        return views;
    }

    /**
     * Runs the next cue, or steps back at once.
     *
     * @param number how many cues have run then
     * @param warned whether cast and crew were warned of its effects
     * @throws Refusal when the shot is not live as it is recorded now, a cue would be left out, or nobody was warned
     */
    void run(long shotId, int number, boolean warned, String by) {
        PatchService.PatchedShot begin = patches.patched(shotId);
        Slate slate = begin.shot().card().slate();
        LiveOutput.RecalledShot live = liveAs(begin, slate);
        if (number > live.cue() + 1) {
            throw new Refusal("cue", "Cue %d has not run yet: run it first.".formatted(live.cue() + 1));
        }
        PatchService.PatchedShot then = patches.patched(shotId, number);
        CueSheet.@Nullable Called called =
                number > live.cue() ? then.cues().cues().get(number - 1) : null;
        if (called != null && !warned && called.caution().isPresent()) {
            throw new Refusal(
                    "warned",
                    "%s Say that they are warned, and run it again."
                            .formatted(called.caution().get()));
        }
        output.send(
                called == null ? UniverseFrame.of(then.units()) : UniverseFrame.of(then.units(), called::timing),
                new LiveOutput.RecalledShot(
                        shotId,
                        slate,
                        by,
                        clock.instant(),
                        called == null ? 0 : called.lastsS(),
                        live.priority(),
                        live.stateDigest(),
                        number));
    }

    private LiveOutput.RecalledShot liveAs(PatchService.PatchedShot begin, Slate slate) {
        LiveOutput.RecalledShot live = output.live();
        if (live == null || live.shotId() != begin.shot().id()) {
            throw new Refusal("%s is not live: recall it first, then run its cues.".formatted(slate));
        }
        if (!RecallService.stateDigest(begin.units()).equals(live.stateDigest())) {
            throw new Refusal(
                    "%s was changed since it was recalled: recall it again, then run its cues.".formatted(slate));
        }
        return live;
    }
}
