package org.oblume.server.carry;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.moves.Department;
import org.oblume.core.moves.Difference;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Phrase;
import org.oblume.server.light.LightView;

/**
 * Two states of the light side by side.
 *
 * @param seen the newest change that is in it, for edits that follow from it
 * @param sameSet whether both stand in one set, so that they can be drawn on each other
 * @param standing what stands on either side, to be drawn
 */
record CompareView(
        ComparedStates.StateHead from,
        ComparedStates.StateHead to,
        long seen,
        List<DifferenceView> differences,
        boolean sameSet,
        SetPlan plan,
        List<Stood> standing,
        LightView lightFrom,
        LightView lightTo) {

    record DifferenceView(
            @Nullable String from,
            @Nullable String to,
            String name,
            Department department,
            Attribute attribute,
            String label,
            Phrase words) {

        static List<DifferenceView> of(List<Difference> differences) {
            return differences.stream()
                    .map(d -> new DifferenceView(
                            d.from() == null ? null : d.from().key(),
                            d.to() == null ? null : d.to().key(),
                            d.placement().name(),
                            Department.of(d.placement()),
                            d.attribute(),
                            d.attribute().label(),
                            d.words()))
                    .toList();
        }
    }

    /**
     * @param from where it stands on the first side, or null
     * @param to on the second
     */
    record Stood(String name, PlacementKind kind, double widthM, @Nullable StoodAt from, @Nullable StoodAt to) {}

    record StoodAt(double xM, double yM, double bearingDeg) {}

    /**
     * What a shot would become.
     *
     * @param seen the newest change that was looked at
     */
    record Preview(String name, long seen, List<DifferenceView> differences) {}

    /** What would be another in one shot. */
    record Rebased(Slate slate, List<DifferenceView> differences) {}
}
