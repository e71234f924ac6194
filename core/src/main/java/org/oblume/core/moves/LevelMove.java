package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Phrase;

/** What a light is dialled to: by the recall where it has an address, in an app, or at the head. */
final class LevelMove implements MoveRule {

    private static final Set<Attribute> LEVELS = EnumSet.of(
            Attribute.STANDING, Attribute.LEVEL, Attribute.CCT, Attribute.TINT, Attribute.COLOUR, Attribute.EFFECT);

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        boolean needed = change.isBrought() || (change.isChanged() && change.changesAny(LEVELS));
        if (!needed || !change.thing().kind().isLight()) {
            return;
        }
        Phrase as = Phrase.of(change.thing().name() + " " + dialled(change));
        Patch patch = change.value(Patch.class).orElse(Patch.BY_HAND);
        if (patch.universe() != null) {
            draft.recall(as);
        } else if (patch.reachedBy() == ControlPath.APP) {
            draft.add(
                    change.thing(),
                    Department.CONTROL,
                    Job.AT_THE_HEAD,
                    Phrase.format("%s, in the %s", as, patch.say()));
        } else {
            draft.add(change.thing(), Department.ELECTRIC, Job.AT_THE_HEAD, Phrase.format("%s, at the head", as));
        }
    }

    private static String dialled(ThingChange change) {
        boolean off = change.value(SetStatus.class)
                .filter(s -> s.state() == SetStatus.State.OFF)
                .isPresent();
        if (off) {
            return "off";
        }
        List<String> parts = new ArrayList<>();
        change.value(Level.class).ifPresent(v -> parts.add(v.say()));
        change.value(ColourTemperature.class).ifPresent(v -> parts.add(v.say()));
        change.value(Tint.class).filter(t -> t.duv() != 0).ifPresent(v -> parts.add("tint " + v.say()));
        change.value(Colour.class).filter(c -> !c.plain()).ifPresent(v -> parts.add(v.say()));
        change.value(Effect.class).filter(Effect::runs).ifPresent(v -> parts.add(v.say()));
        return String.join(", ", parts);
    }
}
