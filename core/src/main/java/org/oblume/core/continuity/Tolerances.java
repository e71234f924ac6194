package org.oblume.core.continuity;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * How far each figure may be off before a shot counts as another light, in the unit of the figure's difference, above 0.
 *
 * @param of one for each aspect
 */
public record Tolerances(Map<Aspect, Double> of) {

    private static final double THIRD = 1.0 / 3;
    private static final double SOFTER_COUNTS = 4;
    /** For a closer shot that is to hold the wide. */
    public static final Tolerances HOLD = new Tolerances(Map.of(
            Aspect.RATIO,
            THIRD,
            Aspect.KEY_SIDE,
            45.0,
            Aspect.EXPOSURE,
            THIRD,
            Aspect.WHITE,
            12.0,
            Aspect.TINT,
            0.003,
            Aspect.BACKGROUND,
            THIRD,
            Aspect.SOFTNESS,
            0.6));
    /** For one that may be sweetened: same side, same mood, looser numbers. */
    public static final Tolerances SWEETEN = new Tolerances(Map.of(
            Aspect.RATIO,
            2 * THIRD,
            Aspect.KEY_SIDE,
            60.0,
            Aspect.EXPOSURE,
            0.5,
            Aspect.WHITE,
            20.0,
            Aspect.TINT,
            0.005,
            Aspect.BACKGROUND,
            2 * THIRD,
            Aspect.SOFTNESS,
            1.3));

    public Tolerances {
        for (Aspect aspect : Aspect.values()) {
            Double one = of.get(aspect);
            if (one == null) {
                throw new Refusal(aspect.name(), "Give a tolerance for %s.".formatted(aspect.label()));
            }
            Checks.above0(aspect.name(), "The tolerance for %s".formatted(aspect.label()), one, "");
        }
        of = Map.copyOf(of);
    }

    /** The tolerance of an aspect, in its unit. */
    public double of(Aspect aspect) {
        return Objects.requireNonNull(of.get(aspect));
    }

    /** These with some of them set otherwise. */
    public Tolerances with(Map<Aspect, Double> own) {
        Map<Aspect, Double> all = new EnumMap<>(of);
        all.putAll(own);
        return new Tolerances(all);
    }

    /**
     * Whether a difference is inside, limits included. A closer shot is softer as a rule, which nobody minds: that side of the softness is
     * four times as wide (model).
     */
    public boolean holds(Aspect aspect, double difference) {
        double counted =
                aspect == Aspect.SOFTNESS && difference > 0 ? difference / SOFTER_COUNTS : Math.abs(difference);
        return counted <= of(aspect) * (1 + Checks.LIMIT_SLACK);
    }
}
