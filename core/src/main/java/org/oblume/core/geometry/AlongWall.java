package org.oblume.core.geometry;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A place told along a wall: so far from one landmark on its line towards another one, then out at a right angle.
 *
 * @param from landmark on the wall's line
 * @param towards another one on it
 * @param alongM from the first towards the second, metres, 0 to 100
 * @param outM from the wall's line into the room, metres, 0 to 100
 * @param side of the walk from the first to the second on which the room lies
 */
public record AlongWall(Landmark from, Landmark towards, double alongM, double outM, Side side) {

    private static final double FARTHEST_M = 100;

    public AlongWall {
        Checks.within("alongM", "The way along the wall", alongM, 0, FARTHEST_M, " m");
        Checks.within("outM", "The way out from the wall", outM, 0, FARTHEST_M, " m");
        if (from.point().distanceM(towards.point()) == 0) {
            throw new Refusal("towards", "A wall needs two landmarks that are apart: choose another one.");
        }
    }

    /**
     * With the side on which the room lies told by the walls.
     *
     * @param side null where nobody said it
     * @throws Refusal when the room lies on both sides, or on neither
     */
    public static AlongWall of(
            Landmark from, Landmark towards, double alongM, double outM, @Nullable Side side, Walls walls) {
        if (side != null || outM == 0) {
            return new AlongWall(from, towards, alongM, outM, side == null ? Side.LEFT : side);
        }
        AlongWall left = new AlongWall(from, towards, alongM, outM, Side.LEFT);
        AlongWall right = new AlongWall(from, towards, alongM, outM, Side.RIGHT);
        boolean leftIn = walls.encloses(left.point());
        if (leftIn == walls.encloses(right.point())) {
            throw new Refusal(
                    "side",
                    "Walking from %s to %s, is it on your left or on your right? Say which."
                            .formatted(from.name(), towards.name()));
        }
        return leftIn ? left : right;
    }

    public PlanPoint point() {
        double length = from.point().distanceM(towards.point());
        double ux = (towards.point().xM() - from.point().xM()) / length;
        double uy = (towards.point().yM() - from.point().yM()) / length;
        double out = side == Side.LEFT ? outM : -outM;
        return PlanPoint.of(
                from.point().xM() + alongM * ux - out * uy, from.point().yM() + alongM * uy + out * ux);
    }

    /** {@code 1.20 m from window post towards door post, 0.80 m out into the room}. */
    public Phrase phrase() {
        return Phrase.format(
                "%s from %s towards %s, %s out from the wall, on the %s walking that way",
                Phrase.metres(alongM),
                from.name(),
                towards.name(),
                Phrase.metres(outM),
                side.name().toLowerCase(Locale.ROOT));
    }
}
