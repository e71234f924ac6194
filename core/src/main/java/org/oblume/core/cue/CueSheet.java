package org.oblume.core.cue;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.network.UniverseFrame.Timing;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Checks;

/**
 * The cues of a shot in the order in which they come. After one, a light stays as that left it until the next that changes it.
 *
 * @param state of the shot as it begins
 * @param cues in order
 */
public record CueSheet(ShotState state, List<Called> cues) {

    private static final Attribution AT_THE_CUE = new Attribution(null, null, "cue", Instant.EPOCH, 0);

    /**
     * A cue by its name.
     *
     * @param placement what it is called and tied as
     */
    public record Called(Placement placement, Cue cue) {

        /** Seconds from the moment until all of it is done. */
        public double lastsS() {
            return cue.afterS()
                    + cue.changes().stream()
                            .mapToDouble(Cue.CueStep::fadeS)
                            .max()
                            .orElse(0);
        }

        /** What to say to cast and crew before it runs; empty when nothing has to be said. */
        public Optional<String> caution() {
            return cue.changes().stream()
                    .flatMap(c -> Stream.ofNullable(c.effect()))
                    .flatMap(e -> Stream.ofNullable(e.caution()))
                    .findFirst();
        }

        /** When a light of it runs, as parts of the whole that it lasts; one that it does not change runs with all of it. */
        public Timing timing(String light) {
            double whole = lastsS();
            Optional<Cue.CueStep> step = cue.changes().stream()
                    .filter(c -> c.placement().equals(light))
                    .findFirst();
            return whole == 0 || step.isEmpty()
                    ? Timing.WHOLE
                    : new Timing(cue.afterS() / whole, step.get().fadeS() / whole);
        }
    }

    public CueSheet {
        cues = List.copyOf(cues);
    }

    /** @param placements of the scene */
    public static CueSheet of(List<Placement> placements, ShotState state) {
        return new CueSheet(
                state,
                placements.stream()
                        .filter(p -> state.isOnSet(p.key()))
                        .flatMap(p -> state.value(p.key(), Cue.class).map(c -> new Called(p, c)).stream())
                        .sorted(Comparator.comparingInt(c -> c.cue().order()))
                        .toList());
    }

    /**
     * What has changed after some of them.
     *
     * @param done how many, from the first on, 0 to all
     * @return in the order in which it came; a later change of the same value holds
     * @throws org.oblume.core.units.Refusal when there are not so many
     */
    public List<Change> changes(int done) {
        Checks.within("cue", "The number of cues", done, 0, cues.size(), "");
        return cues.subList(0, done).stream()
                .flatMap(called -> called.cue().changes().stream())
                .flatMap(step -> step.values().stream().map(value -> new Change(step.placement(), value)))
                .toList();
    }

    /** The light after some of them, as {@link #changes} has it. */
    public ShotState after(int done) {
        List<Change> changes = changes(done);
        if (changes.isEmpty()) {
            return state;
        }
        Map<ValueKey, Knot> held = new LinkedHashMap<>();
        state.placements().stream().flatMap(p -> state.knots(p).stream()).forEach(k -> held.put(k.key(), k));
        changes.forEach(c -> held.put(c.key(), new Knot(state.slate(), c.placement(), c.value(), AT_THE_CUE)));
        return ShotState.of(state.slate(), held.values());
    }
}
