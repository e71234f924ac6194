package org.oblume.core.plot;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Modifier.Cover;
import org.oblume.core.plot.Modifier.Door;

/**
 * What is put on the front of a head as one thing, to be changed to its own size. Its figures are a model until somebody has measured them: a
 * softbox is two cloths one behind the other, its walls take nothing; a shade is taken as a flat cloth, so that what it sends sideways and
 * back is left out; a snoot narrows as a grid of that angle does, without loss in the middle.
 *
 * @param name in the crew's words
 * @param items as they hang before the lamp, from the lens out
 */
public record FrontGear(String name, List<Modifier> items) {

    private static final double STRAIGHT_OUT_DEG = 90;
    private static final double SNOOT_DEG = 15;

    /** All there is, in usual sizes. */
    public static final List<FrontGear> ALL = List.of(
            new FrontGear(
                    "Softbox 0.9 m",
                    List.of(
                            cloth("Softbox, inner cloth", 0.7, 0.5, 0.5, 0.25),
                            cloth("Softbox, front cloth", 1, 0.85, 0.9, 0.6))),
            new FrontGear(
                    "Softbox 0.6 m",
                    List.of(
                            cloth("Softbox, inner cloth", 0.7, 0.5, 0.35, 0.2),
                            cloth("Softbox, front cloth", 1, 0.85, 0.6, 0.4))),
            new FrontGear("Lantern shade 0.6 m", List.of(cloth("Lantern shade", 1.3, 1, 0.6, 0.3))),
            new FrontGear("Snoot", List.of(clear("Snoot", SNOOT_DEG, null))),
            new FrontGear(
                    "Barn doors",
                    List.of(clear(
                            "Barn doors",
                            null,
                            Arrays.stream(Cover.values())
                                    .map(side -> new Door(side, STRAIGHT_OUT_DEG))
                                    .toList()))));

    public FrontGear {
        items = List.copyOf(items);
    }

    private static Modifier cloth(String name, double stops, double softness, double widthM, double distanceM) {
        return new Modifier(name, stops, 0, 0, true, widthM, distanceM, null).softAs(softness);
    }

    private static Modifier clear(String name, @Nullable Double narrowsToDeg, @Nullable List<Door> doors) {
        return new Modifier(name, 0, 0, 0, false, null, null, null, narrowsToDeg, null, null, null, doors);
    }
}
