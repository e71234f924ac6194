package org.oblume.core.still;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * Like points of two stills: those of the same name, in the order of the second.
 *
 * @param tolerance stops to either side within which a point holds, above 0
 */
public record StillMatch(List<Like> points, @Nullable Double ratioApart, double tolerance) {

    /** The lit cheek of the face that the ratio is of. */
    public static final String LIT = "lit cheek";

    public static final String SHADOW = MeterPlace.SHADOW.label();
    private static final List<String> FACE = List.of(LIT, SHADOW);

    public StillMatch {
        points = List.copyOf(points);
    }

    /**
     * A point that both have.
     *
     * @param apart stops that the second is over the first, or null where one of them tells no light
     */
    public record Like(StillFigure first, StillFigure second, @Nullable Double apart) {

        public String name() {
            return second.name();
        }
    }

    /**
     * @param curve that both are read through
     * @param tolerance stops to either side
     */
    public static StillMatch of(
            List<StillFigure> first, List<StillFigure> second, SignalCurve curve, double tolerance) {
        List<Like> points = new ArrayList<>();
        for (StillFigure there : second) {
            named(first, there.name()).ifPresent(here -> points.add(new Like(here, there, there.over(here))));
        }
        Optional<ContrastRatio> before = ratio(first, curve);
        return new StillMatch(
                points,
                ratio(second, curve)
                        .filter(now -> before.isPresent())
                        .map(now -> now.stops().value()
                                - before.orElseThrow().stops().value())
                        .orElse(null),
                tolerance);
    }

    /** Lit to shadow cheek of a still; empty while one of them is not marked, or tells no light. */
    public static Optional<ContrastRatio> ratio(List<StillFigure> points, SignalCurve curve) {
        return named(points, LIT).flatMap(lit -> named(points, SHADOW).flatMap(shadow -> {
            try {
                return Optional.of(ContrastRatio.fromSignal(lit.percent(), shadow.percent(), curve));
            } catch (Refusal tellsNoLight) {
                return Optional.empty();
            }
        }));
    }

    private static Optional<StillFigure> named(List<StillFigure> points, String name) {
        return points.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** Whether a point holds; empty where one of the two tells no light, or is clipped. */
    public Optional<Boolean> holds(Like point) {
        return point.apart == null || point.first.clipped() || point.second.clipped()
                ? Optional.empty()
                : Optional.of(within(point.apart));
    }

    private boolean within(double stops) {
        return Math.abs(stops) <= tolerance + 1e-9;
    }

    /** Whether the face does: its cheeks, and the ratio of them; empty while a cheek is not marked in both. */
    public Optional<Boolean> faceHolds() {
        List<Like> cheeks = points.stream().filter(p -> FACE.contains(p.name())).toList();
        return cheeks.size() < FACE.size() || ratioApart == null
                ? Optional.empty()
                : Optional.of(within(ratioApart) && cheeks.stream().allMatch(c -> holds(c).orElse(false)));
    }

    /** The verdict in a sentence or two. */
    public String say() {
        if (points.isEmpty()) {
            return "No point of one name is marked in both: touch the lit cheek in each.";
        }
        List<String> said = new ArrayList<>();
        faceHolds()
                .ifPresent(holds -> said.add("%s: ratio %s stop."
                        .formatted(holds ? "The face holds" : "The face does not hold", signed(ratioApart))));
        for (Like point : points) {
            double apart = point.apart == null ? 0 : point.apart;
            if (holds(point).isEmpty()) {
                said.add(
                        "%s tells nothing: it is clipped or black in one of the two.".formatted(capital(point.name())));
            } else if (!holds(point).orElse(true)) {
                said.add("%s is %s stops %s."
                        .formatted(
                                capital(point.name()),
                                new Stops(Math.abs(apart)).inTenths(),
                                apart > 0 ? "over" : "under"));
            }
        }
        return said.isEmpty() ? "What is marked in both holds." : String.join(" ", said);
    }

    private static String signed(@Nullable Double stops) {
        return stops == null ? "" : (stops > 0 ? "+" : "") + new Stops(stops).inTenths();
    }

    private static String capital(String name) {
        return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
    }
}
