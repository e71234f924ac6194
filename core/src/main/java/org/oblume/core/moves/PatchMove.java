package org.oblume.core.moves;

import java.util.Optional;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Phrase;

/** A light's mode and address are set where they change, and what is set in its own menu. */
final class PatchMove implements MoveRule {

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        if (!change.thing().kind().isLight()) {
            return;
        }
        String name = change.thing().name();
        patch(change)
                .ifPresent(patch -> draft.add(
                        change.thing(),
                        Department.CONTROL,
                        Job.PATCH,
                        Phrase.of("%s: %s".formatted(name, patch.say()))));
        if (change.isChanged()) {
            change.of(Attribute.MENU)
                    .ifPresent(menu -> draft.add(
                            change.thing(),
                            Department.CONTROL,
                            Job.PATCH,
                            Phrase.format("%s, menu: %s", name, menu.words())));
        }
    }

    private static Optional<Patch> patch(ThingChange change) {
        if (change.isBrought()) {
            return change.value(Patch.class).filter(p -> p.universe() != null);
        }
        return change.isChanged()
                ? change.of(Attribute.PATCH).flatMap(d -> ThingChange.as(Patch.class, d.after()))
                : Optional.empty();
    }
}
