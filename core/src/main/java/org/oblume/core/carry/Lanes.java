package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Side by side lanes for the threads of a scene: a shot goes on in the lane of the shot it is based on while that is the
 * lane's last, else it branches off into the lowest lane that is free all the way from there.
 */
public final class Lanes {

    private Lanes() {}

    /** @return the lane of each shot by its slate, 0 for the first, in the book's order */
    public static Map<Slate, Integer> of(CarryBook book) {
        List<Slate> slates = book.slates();
        Map<Slate, Integer> laneOf = new LinkedHashMap<>();
        List<Slate> tips = new ArrayList<>();
        for (Slate slate : slates) {
            Slate base = book.node(slate).basedOn();
            Integer lane = base == null ? null : laneOf.get(base);
            if (lane == null || !tips.get(lane).equals(base)) {
                lane = free(book, slates, tips, laneOf, base);
            }
            if (lane == tips.size()) {
                tips.add(slate);
            } else {
                tips.set(lane, slate);
            }
            laneOf.put(slate, lane);
        }
        return laneOf;
    }

    /** The lowest lane that ended before the branch begins, or a new one; a lane that something still carries from has not ended. */
    private static int free(
            CarryBook book, List<Slate> slates, List<Slate> tips, Map<Slate, Integer> laneOf, @Nullable Slate base) {
        int begins = base == null ? laneOf.size() : slates.indexOf(base);
        for (int lane = 0; lane < tips.size(); lane++) {
            Slate tip = tips.get(lane);
            boolean over = slates.indexOf(tip) < begins;
            boolean goesOn = book.basedOn(tip).stream().anyMatch(next -> !laneOf.containsKey(next));
            if (over && !goesOn) {
                return lane;
            }
        }
        return tips.size();
    }
}
