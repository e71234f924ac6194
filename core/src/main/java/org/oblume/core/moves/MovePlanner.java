package org.oblume.core.moves;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** Turns what differs into what is done. A new kind of move is a new {@link MoveRule} in the list here. */
final class MovePlanner {

    private static final List<MoveRule> RULES = List.of(
            new StrikeMove(),
            new ExchangeMove(),
            new PlacingMove(),
            new DressingMove(),
            new PowerMove(),
            new PatchMove(),
            new LevelMove(),
            new CameraMove(),
            new BeamMove(),
            new PlaceMove());

    private MovePlanner() {}

    /** All moves, each after those that it waits for. */
    static List<Move> moves(ComparedState from, ComparedState to, JobTimes times) {
        MoveDraft draft = new MoveDraft(to, times);
        changes(from, to).forEach(change -> RULES.forEach(rule -> rule.plan(change, draft)));
        if (!draft.recalled().isEmpty()) {
            Phrase words = Phrase.format("Recall %s: %s", to.state().name(), Phrase.joined("; ", draft.recalled()));
            draft.add(null, Department.CONTROL, Job.RECALL, words);
        }
        if (!draft.moves().isEmpty()) {
            to.state()
                    .marks(to.scene().placements())
                    .forEach(
                            mark -> draft.add(mark, Department.TOGETHER, Job.METER, Phrase.of("Meter " + mark.name())));
        }
        return new MoveOrder(from, to, draft.moves()).ordered();
    }

    /** What differs, thing by thing. */
    static List<ThingChange> changes(ComparedState from, ComparedState to) {
        Map<Placement, Map<Attribute, Difference>> byThing = new LinkedHashMap<>();
        Differences.between(from, to).forEach(d -> byThing.computeIfAbsent(d.placement(), p -> new LinkedHashMap<>())
                .put(d.attribute(), d));
        return byThing.entrySet().stream()
                .map(e -> new ThingChange(
                        e.getKey(),
                        from.isOnSet(e.getValue().values().iterator().next().from()),
                        to.isOnSet(e.getKey()),
                        e.getValue(),
                        to.state()))
                .toList();
    }
}
