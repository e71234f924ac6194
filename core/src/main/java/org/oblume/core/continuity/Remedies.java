package org.oblume.core.continuity;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.proof.Recorded;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * What to do about lines that are off (proof, "What is wrong"). A remedy never makes a worse picture: the line that it is for holds with it,
 * or is off by half as much, none that held is out, and none that is out goes farther out. What was added since the shot that is matched is taken out before anything else is changed.
 */
public final class Remedies {

    /** What doesn't bring a line back has to leave at most this part of what it is off by (a setting of the model). */
    private static final double HALF = 0.5;

    private static final double SLACK = 1e-9;

    private final ShotAssessment now;
    private final Match match;
    private final @Nullable RecordedState reference;
    private final Map<String, Calibration> calibrations;
    private final Figures asItIs;

    /**
     * @param now what is judged
     * @param match of it
     * @param reference what it is to match, or null
     * @param calibrations by which its light was predicted, by placement
     */
    public Remedies(
            ShotAssessment now, Match match, @Nullable RecordedState reference, Map<String, Calibration> calibrations) {
        this.now = now;
        this.match = match;
        this.reference = reference;
        this.calibrations = Map.copyOf(calibrations);
        this.asItIs = now.predicted(now.light(), now.state());
    }

    /** Lights, boards, flags, frames and nets that stand here and not in the shot that is matched; lights that are on here only. */
    public List<Placement> added() {
        RecordedState then = reference;
        return then == null
                ? List.of()
                : now.scene().placements().stream()
                        .filter(p -> p.kind().shines()
                                ? now.state().isOn(p.key()) && !then.isOn(p.key())
                                : p.kind().isGrip() && now.state().isOnSet(p.key()) && !then.isOnSet(p.key()))
                        .toList();
    }

    /** @return empty when nothing is known that would help, or the line isn't out */
    public Optional<Phrase> of(Match.Line line) {
        if (line.verdict() != Match.Verdict.OUT || line.difference() == null) {
            return Optional.empty();
        }
        for (Placement one : added()) {
            if (isBetter(line, () -> without(one))) {
                return Optional.of(
                        Phrase.of("Take %s out: the shot that this one matches has none.".formatted(one.name())));
            }
        }
        return now.mark()
                .flatMap(
                        mark -> Remedy.of(line, now.light(), now.state(), mark.key(), now.school(), new Remedy.Worth() {
                            @Override
                            public boolean dimmed(Placement source, double factor) {
                                return isBetter(line, () -> Remedies.this.dimmed(source, factor));
                            }

                            @Override
                            public boolean set(Placement source, AttributeValue value) {
                                return isBetter(line, () -> with(List.of(new Change(source.key(), value))));
                            }
                        }));
    }

    private interface Otherwise {
        Figures figures();
    }

    private boolean isBetter(Match.Line wanted, Otherwise otherwise) {
        Figures then;
        try {
            then = otherwise.figures();
        } catch (Refusal cannotBe) {
            return false;
        }
        for (Match.Line line : match.lines()) {
            Double before = line.difference();
            if (before != null) {
                double after = before + change(line.aspect(), then);
                double most = line.aspect() == wanted.aspect() ? HALF * Math.abs(before) : Math.abs(before);
                if (!(Math.abs(after) <= Math.max(most, line.tolerance()) + SLACK)) {
                    return false;
                }
            }
        }
        return true;
    }

    private double change(Aspect aspect, Figures then) {
        Figures.Figure before = asItIs.of().get(aspect);
        Figures.Figure after = then.of().get(aspect);
        return before == null && after == null
                ? 0
                : before == null || after == null
                        ? Double.POSITIVE_INFINITY
                        : aspect.difference(before.value(), after.value());
    }

    private Figures without(Placement one) {
        return one.kind().shines()
                ? figures(now.state(), Set.of(one.key()), calibrations)
                : with(List.of(new Change(one.key(), SetStatus.STRUCK)));
    }

    private Figures dimmed(Placement source, double factor) {
        Map<String, Calibration> scaled = new HashMap<>(calibrations);
        Calibration known = calibrations.getOrDefault(source.key(), Calibration.NONE);
        scaled.put(source.key(), new Calibration(known.k() * factor).withColour(known.colour()));
        return figures(now.state(), Set.of(), scaled);
    }

    private Figures with(List<Change> changes) {
        List<Change> all = new ArrayList<>(Recorded.values(now.state()));
        all.addAll(changes);
        return figures(new LookState("otherwise", all), Set.of(), calibrations);
    }

    private Figures figures(RecordedState state, Set<String> out, Map<String, Calibration> by) {
        return now.predicted(ShotLighting.of(now.scene().set(), now.scene().placements(), state, out, by), state);
    }
}
