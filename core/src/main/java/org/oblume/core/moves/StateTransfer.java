package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;

/** Taking over a recorded state: the changes that make one side like the other, as far as it has the same things. */
public final class StateTransfer {

    /** How much of a state is taken over. */
    public enum Part {
        /** All of it. */
        WHOLE,
        /** Lights, grip and the camera's white; marks and the camera's own place and exposure stay. */
        LIGHT
    }

    private StateTransfer() {}

    /**
     * @param now the side that changes
     * @param wanted what it becomes like
     * @param only keys of the things to change, on the first side, or null for all of them
     */
    public static List<Change> changes(
            ComparedState now, ComparedState wanted, Part part, @Nullable List<String> only) {
        List<Change> changes = new ArrayList<>();
        for (Difference difference : Differences.between(now, wanted)) {
            Placement here = difference.from();
            if (here == null
                    || difference.to() == null
                    || (only != null && !only.contains(here.key()))
                    || (part == Part.LIGHT && !isLight(here, difference.attribute()))) {
                continue;
            }
            if (difference.attribute() == Attribute.STANDING && !now.isOnSet(here)) {
                for (Attribute attribute : Attribute.values()) {
                    add(changes, now, wanted, here, wanted.value(difference.to(), attribute));
                }
            } else {
                add(changes, now, wanted, here, difference.after());
            }
        }
        return changes;
    }

    private static boolean isLight(Placement placement, Attribute attribute) {
        boolean frame = placement.kind() == PlacementKind.CAMERA || placement.kind() == PlacementKind.MARK;
        return !frame || attribute == Attribute.WHITE;
    }

    private static void add(
            List<Change> changes,
            ComparedState now,
            ComparedState wanted,
            Placement here,
            @Nullable AttributeValue value) {
        AttributeValue mine = value instanceof AimSetting pointing ? aimedHere(now, wanted, pointing) : value;
        if (mine != null
                && !mine.equals(now.value(here, Attribute.of(mine)))
                && !(mine instanceof SetStatus s && s.state() == SetStatus.State.STRUCK && !now.isOnSet(here))) {
            changes.add(new Change(here.key(), mine));
        }
    }

    /** An aim at the mark of the same name here; null when there is none. */
    private static @Nullable AttributeValue aimedHere(ComparedState now, ComparedState wanted, AimSetting pointing) {
        Double heightM = pointing.heightM();
        if (pointing.mark() == null || heightM == null) {
            return pointing;
        }
        String name = wanted.scene().placement(pointing.mark()).name();
        return now.scene().placements().stream()
                .filter(p -> p.kind() == PlacementKind.MARK && p.name().equals(name))
                .findFirst()
                .map(mark -> AimSetting.atMark(mark.key(), heightM))
                .orElse(null);
    }
}
