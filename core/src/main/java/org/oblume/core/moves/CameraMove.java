package org.oblume.core.moves;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Phrase;

/** The camera's lens and its settings. */
final class CameraMove implements MoveRule {

    private static final Set<Attribute> SETTINGS =
            EnumSet.of(Attribute.STOP, Attribute.SPEED, Attribute.SHUTTER, Attribute.WHITE, Attribute.LENS_ND);

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        Placement camera = change.thing();
        if (camera.kind() != PlacementKind.CAMERA) {
            return;
        }
        if (change.isBrought()) {
            draft.add(
                    camera, Department.CAMERA, Job.SETTINGS, Phrase.of("%s: set as recorded".formatted(camera.name())));
        } else if (change.isChanged()) {
            change.of(Attribute.LENS)
                    .ifPresent(lens ->
                            draft.add(camera, Department.CAMERA, Job.LENS, Phrase.format("Lens %s", lens.words())));
            List<Phrase> set = change.differences().values().stream()
                    .filter(d -> SETTINGS.contains(d.attribute()))
                    .map(d -> Phrase.format("%s %s", d.attribute().label(), d.words()))
                    .toList();
            if (!set.isEmpty()) {
                draft.add(camera, Department.CAMERA, Job.SETTINGS, Phrase.joined(", ", set));
            }
        }
    }
}
