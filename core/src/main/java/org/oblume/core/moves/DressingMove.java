package org.oblume.core.moves;

import java.util.List;
import java.util.Objects;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** What hangs in the head is the electrician's, what stands on a frame of its own the grip's. */
final class DressingMove implements MoveRule {

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        if (change.isBrought()) {
            dress(change.thing(), Modifiers.NONE, change.value(Modifiers.class).orElse(Modifiers.NONE), draft);
        } else if (change.isChanged()) {
            change.of(Attribute.MODIFIERS)
                    .ifPresent(stack -> dress(
                            change.thing(),
                            ThingChange.as(Modifiers.class, stack.before()).orElse(Modifiers.NONE),
                            ThingChange.as(Modifiers.class, stack.after()).orElse(Modifiers.NONE),
                            draft));
        }
    }

    private static void dress(Placement thing, Modifiers before, Modifiers after, MoveDraft draft) {
        List<Modifier> inTheHead = part(after, false);
        if (!part(before, false).equals(inTheHead)) {
            draft.add(
                    thing,
                    Department.of(thing),
                    Job.DRESS,
                    words(thing, part(before, false), inTheHead),
                    handled(part(before, false), inTheHead),
                    1);
        }
        List<Modifier> framed = part(after, true);
        if (!part(before, true).equals(framed)) {
            int people = widest(framed) > MoveDraft.ONE_PERSON_UP_TO_M ? 2 : 1;
            draft.add(thing, Department.GRIP, Job.FRAME, words(thing, part(before, true), framed), 1, people);
        }
    }

    private static List<Modifier> part(Modifiers stack, boolean framed) {
        return stack.items().stream()
                .filter(m -> (m.frameWidthM() != null) == framed)
                .toList();
    }

    private static Phrase words(Placement thing, List<Modifier> before, List<Modifier> after) {
        return Phrase.format(
                "%s: %s", thing.name(), ChangePhrases.restacked(new Modifiers(before), new Modifiers(after)));
    }

    /** How many are taken off or put on. */
    private static int handled(List<Modifier> before, List<Modifier> after) {
        long off = before.stream().filter(m -> !after.contains(m)).count();
        long on = after.stream().filter(m -> !before.contains(m)).count();
        return (int) Math.max(1, off + on);
    }

    private static double widest(List<Modifier> framed) {
        return framed.stream()
                .map(Modifier::frameWidthM)
                .filter(Objects::nonNull)
                .mapToDouble(w -> w)
                .max()
                .orElse(0);
    }
}
