package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.caution.Caution;
import org.oblume.core.caution.Cautions;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** The moves found so far, in no order yet; and what is told to the network in one go. */
final class MoveDraft {

    /** What is wider, or hangs overhead, takes two people (model). */
    static final double ONE_PERSON_UP_TO_M = 1.5;

    private final ComparedState to;
    private final JobTimes times;
    private final List<Move> moves = new ArrayList<>();
    private final List<Phrase> recalled = new ArrayList<>();

    MoveDraft(ComparedState to, JobTimes times) {
        this.to = to;
        this.times = times;
    }

    /** The state that is to be. */
    ComparedState to() {
        return to;
    }

    List<Move> moves() {
        return List.copyOf(moves);
    }

    /** What the recall tells, one light after the other. */
    List<Phrase> recalled() {
        return List.copyOf(recalled);
    }

    void recall(Phrase light) {
        recalled.add(light);
    }

    /** Something that one person does once. */
    void add(@Nullable Placement thing, Department department, Job job, Phrase words) {
        add(thing, department, job, words, 1, 1);
    }

    /** Two changes of one thing that are the same job are one move. */
    void add(@Nullable Placement thing, Department department, Job job, Phrase words, int repeats, int people) {
        MoveKey key = new MoveKey(thing == null ? null : thing.key(), job);
        Optional<Move> same = moves.stream().filter(m -> m.key().equals(key)).findFirst();
        same.ifPresent(moves::remove);
        moves.add(new Move(
                department,
                job,
                key.placement(),
                same.map(m -> Phrase.format("%s; %s", m.words(), words)).orElse(words),
                same.map(Move::minutes).orElse(0.0) + repeats * times.of(job),
                people,
                thing == null ? List.of() : cautions(thing, job),
                List.of(),
                0));
    }

    /** People that it takes to carry a thing (model). */
    static int people(Placement thing) {
        return thing.piece().mount() == Mount.OVERHEAD || thing.piece().widthM() > ONE_PERSON_UP_TO_M ? 2 : 1;
    }

    /** All there is to mind where a thing is carried or set; of what hangs in or before it only the heat. */
    private List<Caution> cautions(Placement thing, Job job) {
        List<Caution> all = Cautions.of(thing, to.state());
        return switch (job) {
            case BRING, RIG, SHIFT, RAISE, CAMERA_MOVE, CONDITION, CUE -> all;
            case DRESS, FRAME ->
                all.stream().filter(c -> c.kind() == Caution.Kind.HEAT).toList();
            default -> List.of();
        };
    }
}
