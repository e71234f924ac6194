package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.OnPurpose;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Phrase;

/** A shot as the rules see it: what stands where, its light, its camera's frame; and the list of what they found. */
final class HintContext {

    private final SetPlan set;
    private final List<Placement> placements;
    private final ShotLighting light;
    private final @Nullable CameraFrame frame;
    private final List<Hint> found = new ArrayList<>();

    HintContext(SetPlan set, List<Placement> placements, ShotLighting light) {
        this.set = set;
        this.placements = placements;
        this.light = light;
        this.frame = light.state()
                .camera(placements)
                .flatMap(c -> CameraFrame.of(c, light.state()))
                .orElse(null);
    }

    SetPlan set() {
        return set;
    }

    RecordedState state() {
        return light.state();
    }

    ShotLighting light() {
        return light;
    }

    /** What the camera frames; empty until its place, aim and lens are recorded. */
    Optional<CameraFrame> frame() {
        return Optional.ofNullable(frame);
    }

    /** What stands on set and has a place, in the scene's order. */
    Stream<Placement> standing() {
        return placements.stream()
                .filter(p ->
                        state().isOnSet(p.key()) && state().position(p.key()).isPresent());
    }

    /** The lights among {@link #standing()}. */
    Stream<Placement> lights() {
        return standing().filter(p -> p.kind().isLight());
    }

    /** What is put up for the light among {@link #standing()}: lights and grip. */
    Stream<Placement> rigged() {
        return standing().filter(p -> p.kind().isLight() || p.kind().isGrip());
    }

    /** Where one of {@link #standing()} is. */
    SpacePoint position(Placement standing) {
        return state().position(standing.key()).orElseThrow();
    }

    Placement placement(String key) {
        return placements.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    int orderOf(String key) {
        return placements.indexOf(placement(key));
    }

    /** What the first light of a role that reaches a mark from one direction does there. */
    Optional<Lit> reaching(MarkLight mark, Role role) {
        return lit(mark)
                .filter(l -> l.source().role() == role && l.at().hasDirection())
                .findFirst();
    }

    /** Each light that is on, with what it does at a mark. */
    Stream<Lit> lit(MarkLight mark) {
        return light.lights().stream().map(source -> new Lit(mark, source, mark.of(source.key())));
    }

    /** A light and what it does at a mark. */
    record Lit(MarkLight mark, Placement source, MarkLight.SourceAtMark at) {

        /** Degrees off the way the face looks, −180 to 180, to the subject's own right. */
        double sideDeg() {
            return at.from().minus(mark.facing());
        }
    }

    /**
     * Something was found.
     *
     * @param about what it is about
     * @param urgent whether it spoils the picture or is unsafe
     * @param at where, or null
     */
    void report(HintKind kind, Placement about, boolean urgent, Phrase title, Phrase reason, @Nullable SpacePoint at) {
        boolean onPurpose = state().value(about.key(), OnPurpose.class)
                .map(m -> m.hints().contains(kind))
                .orElse(false);
        found.add(new Hint(kind, about.key(), urgent, title, reason, at, onPurpose));
    }

    List<Hint> found() {
        return found;
    }
}
