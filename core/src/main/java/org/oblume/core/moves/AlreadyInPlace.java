package org.oblume.core.moves;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;

/**
 * What of a state stands already when another one does.
 *
 * @param stays what is the same on both sides, in the second side's order, but for daylight, which nobody puts up
 * @param out what stands on the first side only
 */
public record AlreadyInPlace(List<Placement> stays, List<Placement> out) {

    public AlreadyInPlace {
        stays = List.copyOf(stays);
        out = List.copyOf(out);
    }

    /**
     * @param stands what stands now
     * @param wanted what is to stand
     */
    public static AlreadyInPlace between(ComparedState stands, ComparedState wanted) {
        Map<String, Placement> differ = new LinkedHashMap<>();
        Differences.between(stands, wanted)
                .forEach(d -> differ.put(d.placement().key(), d.placement()));
        return new AlreadyInPlace(
                wanted.scene().placements().stream()
                        .filter(p ->
                                wanted.isOnSet(p) && p.kind() != PlacementKind.DAYLIGHT && !differ.containsKey(p.key()))
                        .toList(),
                differ.values().stream().filter(p -> !wanted.isOnSet(p)).toList());
    }
}
