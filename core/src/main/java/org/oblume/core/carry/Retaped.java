package org.oblume.core.carry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/**
 * What follows when landmarks are corrected: everything that was measured from one of them stands where its measures say, in every shot, what
 * was shot too, for it never stood elsewhere. What does not meet any more stays where it is drawn.
 *
 * @param knots that take the place of those that are tied, each in its shot
 */
public record Retaped(List<Knot> knots) {

    public static final Retaped NOTHING = new Retaped(List.of());

    public Retaped {
        knots = List.copyOf(knots);
    }

    /** @param redrawn the set of the scene with its landmarks as they are drawn from now on; a landmark is known by its name */
    public static Retaped of(SceneRecord scene, SetPlan redrawn) {
        List<Landmark> before = scene.set().landmarks();
        Map<String, Landmark> now = new HashMap<>();
        redrawn.landmarks().forEach(l -> now.put(l.name(), l));
        List<Knot> follow = new ArrayList<>();
        for (Knot knot : scene.book().knots()) {
            if (knot.value() instanceof Place place && place.measured() != null) {
                Measured measured = place.measured();
                boolean moves = measured.photographed() == null
                        && measured.standsIn(before)
                        && measured.landmarks().stream()
                                .anyMatch(l -> now.containsKey(l.name()) && !l.isDrawnAs(now.get(l.name())));
                if (moves) {
                    follow(follow, knot, place, measured, now);
                }
            }
        }
        return new Retaped(follow);
    }

    private static void follow(
            List<Knot> follow, Knot knot, Place place, Measured measured, Map<String, Landmark> now) {
        try {
            Measured from = measured.from(l -> now.getOrDefault(l.name(), l));
            follow.add(new Knot(knot.slate(), knot.placement(), Place.of(from, place.outside()), knot.attribution()));
        } catch (Refusal noMeeting) {
            // stays, and is told as measured from a landmark that is drawn elsewhere now
        }
    }

    /** The things by name, each with its shots: {@code Key (4A, 4C), Fill (4A)}. */
    public String things(SceneRecord scene) {
        return scene.placements().stream()
                .filter(p -> knots.stream().anyMatch(k -> k.placement().equals(p.key())))
                .map(p -> "%s (%s)"
                        .formatted(
                                p.name(),
                                knots.stream()
                                        .filter(k -> k.placement().equals(p.key()))
                                        .map(k -> k.slate().text())
                                        .collect(Collectors.joining(", "))))
                .collect(Collectors.joining(", "));
    }
}
