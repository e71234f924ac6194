package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.units.Phrase;

/** Where a thing goes, how high and aimed how: by two tapes where two landmarks give them. */
final class PlacingMove implements MoveRule {

    private static final Set<Attribute> WHERE = EnumSet.of(Attribute.PLACE, Attribute.HEIGHT, Attribute.AIM);

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        Placement thing = change.thing();
        if (!thing.kind().isThing()) {
            return;
        }
        if (change.isBrought()) {
            add(
                    change,
                    draft,
                    job(thing, Job.BRING),
                    Phrase.format("%s in: %s", thing.name(), told(change, draft, WHERE)));
        } else if (change.isChanged() && change.changesAny(WHERE)) {
            Set<Attribute> changed = EnumSet.copyOf(WHERE);
            changed.retainAll(change.differences().keySet());
            add(
                    change,
                    draft,
                    shifted(thing, changed),
                    Phrase.format("%s %s", thing.name(), told(change, draft, changed)));
        }
    }

    private static void add(ThingChange change, MoveDraft draft, Job job, Phrase words) {
        Placement thing = change.thing();
        draft.add(thing, Department.of(thing), job, words, 1, MoveDraft.people(thing));
    }

    private static Job shifted(Placement thing, Set<Attribute> changed) {
        if (changed.contains(Attribute.PLACE)) {
            return job(thing, Job.SHIFT);
        }
        return changed.contains(Attribute.HEIGHT) ? Job.RAISE : Job.AIM;
    }

    private static Job job(Placement thing, Job onAStand) {
        if (thing.kind() == PlacementKind.CAMERA) {
            return Job.CAMERA_MOVE;
        }
        if (thing.kind() == PlacementKind.MARK) {
            return Job.MARK;
        }
        return thing.piece().mount() == Mount.OVERHEAD ? Job.RIG : onAStand;
    }

    private static Phrase told(ThingChange change, MoveDraft draft, Set<Attribute> told) {
        Placement thing = change.thing();
        ComparedState to = draft.to();
        List<Phrase> parts = new ArrayList<>();
        if (told.contains(Attribute.PLACE)) {
            to.point(thing.key())
                    .ifPresent(point -> parts.add(RebuildSheet.tapes(to.scene().set(), to.state(), thing.key())
                            .map(PlacingMove::tapes)
                            .orElseGet(
                                    () -> Phrase.format("at %s", new Place(point.xM(), point.yM(), false).phrase()))));
        }
        if (told.contains(Attribute.HEIGHT)) {
            change.value(Height.class).ifPresent(h -> parts.add(Phrase.format("%s high", h.phrase())));
        }
        if (told.contains(Attribute.AIM)) {
            String way = thing.kind() == PlacementKind.MARK ? "facing %s" : "aimed %s";
            change.value(AimSetting.class)
                    .ifPresent(aim -> parts.add(Phrase.format(way, ChangePhrases.say(to.scene(), aim))));
        }
        return Phrase.joined(", ", parts);
    }

    private static Phrase tapes(TapePair pair) {
        return Phrase.format(
                "to %s from %s, %s from %s",
                Phrase.metres(pair.distanceAM()),
                pair.a().name(),
                Phrase.metres(pair.distanceBM()),
                pair.b().name());
    }
}
