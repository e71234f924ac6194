package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.filter.StockItem;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;

/** Flags, boards, nets and cloths on stands of their own or over the set: missing, moved, or with another cloth in them. */
final class GripFaults implements FaultFamily {

    private static final double MOVED_M = 0.3;

    @Override
    public List<Fault> of(Recorded shot) {
        List<Fault> all = new ArrayList<>();
        for (Placement grip : shot.grip()) {
            add(all, shot, grip, Fault.Kind.GRIP_MISSING, "%s is missing".formatted(grip.name()), 1, SetStatus.STRUCK);
            if (grip.kind() == PlacementKind.FLAG) {
                moved(all, shot, grip);
            }
            cloths(all, shot, grip);
        }
        return all;
    }

    private static void moved(List<Fault> all, Recorded shot, Placement grip) {
        Panel panel = shot.state().panel(grip).orElse(null);
        Place place = shot.value(grip, Place.class).orElse(null);
        if (panel == null || place == null) {
            return;
        }
        Direction right = panel.right();
        for (int way : new int[] {-1, 1}) {
            add(
                    all,
                    shot,
                    grip,
                    Fault.Kind.GRIP_MOVED,
                    "%s stands about 30 cm too far %s".formatted(grip.name(), way < 0 ? "left" : "right"),
                    0.5,
                    new Place(
                            place.xM() + way * MOVED_M * right.x(),
                            place.yM() + way * MOVED_M * right.y(),
                            place.outside()));
        }
    }

    private static void cloths(List<Fault> all, Recorded shot, Placement grip) {
        List<Modifier> items = shot.modifiers(grip).items();
        List<Fault> here = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            Modifier item = items.get(i);
            for (StockItem other : Stand.ins(shot.stock(), item.name())) {
                List<Modifier> otherwise = new ArrayList<>(items);
                otherwise.set(i, Modifier.of(other));
                add(
                        here,
                        shot,
                        grip,
                        Fault.Kind.CLOTH_SWAPPED,
                        "%s hangs in %s in place of %s".formatted(other.name(), grip.name(), item.name()),
                        Stand.alike(other.name(), item.name()),
                        new Modifiers(otherwise));
            }
        }
        all.addAll(DimmingFaults.shared(here));
    }

    private static void add(
            List<Fault> all,
            Recorded shot,
            Placement grip,
            Fault.Kind kind,
            String words,
            double weight,
            AttributeValue otherwise) {
        shot.with(grip, otherwise)
                .ifPresent(rows -> all.add(new Fault(kind, grip.key(), words, weight, new Fault.Rows(rows))));
    }
}
