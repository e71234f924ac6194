package org.oblume.core.rigging;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What a cloth that is pulled flat pulls with. An estimate: a qualified rigger decides. Model: a parabola between two edges, the sag far
 * less than the span; no wind, no water in it, and an even pull on all points.
 *
 * @param pullNm along the cloth, newtons per metre of edge
 * @param perPointN on each point of an edge, with what it pulls down, newtons
 * @param ownStands whether it is too much for a wall of a set: on stands or a frame of its own
 */
public record FlatCloth(double pullNm, double perPointN, boolean ownStands) {

    private static final double GRAVITY = 9.80665;
    private static final double MOST_ON_A_SET_WALL_NM = 50;
    /** The deepest sag for which the model holds, as a part of the span. */
    private static final double DEEPEST = 0.25;

    private static final int FEWEST_POINTS = 2;

    /**
     * @param spanM between the two edges, metres, above 0
     * @param edgeM length of an edge, metres, above 0
     * @param weightKgM2 of the cloth, kg/m², above 0
     * @param sagM in its middle, metres, above 0 to a quarter of the span
     * @param points by which an edge is held, 2 or more
     */
    public static FlatCloth of(double spanM, double edgeM, double weightKgM2, double sagM, int points) {
        Checks.above0("spanM", "The span", spanM, " m");
        Checks.above0("edgeM", "The edge", edgeM, " m");
        Checks.above0("weightKgM2", "The cloth", weightKgM2, " kg/m²");
        Checks.above0("sagM", "The sag", sagM, " m");
        if (sagM > DEEPEST * spanM * (1 + Checks.LIMIT_SLACK)) {
            throw new Refusal(
                    "sagM",
                    "A cloth that hangs through by more than a quarter of its span is not flat: pull it up, or leave it out of this.");
        }
        if (points < FEWEST_POINTS) {
            throw new Refusal("points", "An edge is held by 2 points or more.");
        }
        double pull = weightKgM2 * GRAVITY * spanM * spanM / (8 * sagM);
        double steep = 4 * sagM / spanM;
        return new FlatCloth(pull, pull * Math.sqrt(1 + steep * steep) * edgeM / points, pull > MOST_ON_A_SET_WALL_NM);
    }
}
