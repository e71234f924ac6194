package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.Distribution;
import org.oblume.core.plot.Modifier;
import org.oblume.core.transport.Emitter;
import org.oblume.core.transport.Emitter.Piece;
import org.oblume.core.transport.Horizon;

/**
 * A head's front (model): a flat disc of the emitter's area that faces the aim, every point of which sends out the head's distribution. What
 * is clipped to it acts on the part of it that it covers, and the parts add up.
 */
final class FrontEmitter {

    private static final double HALF = 0.5;
    private static final int FIRST_RING = 6;
    private static final int SECOND_RING = 12;
    /** Less than this part of the middle of a beam is nothing. */
    private static final double NOTHING = 5e-4;

    private final SpacePoint at;
    private final Direction aim;
    private final Direction right;
    private final Direction up;
    private final double radius;
    private final Distribution distribution;
    private final SourceColour white;
    private final List<Modifier> whole = new ArrayList<>();
    private final List<Modifier> parts = new ArrayList<>();
    private final double lumen;

    /** What of a piece's light comes through the items over it. */
    private record Through(double share, double[] cones, double straight, List<Double> grids) {}

    /**
     * @param clipped items at the head, not those on frames of their own
     */
    FrontEmitter(
            SpacePoint at,
            Direction aim,
            double radius,
            Distribution distribution,
            SourceColour white,
            List<Modifier> clipped) {
        this.at = at;
        this.aim = aim;
        // as one stands behind the head and looks along its aim
        this.right = aim.aside().opposite();
        this.up = right.cross(aim);
        this.radius = radius;
        this.distribution = distribution;
        this.white = white;
        for (Modifier item : clipped) {
            (item.covers() == null ? whole : parts).add(item);
        }
        this.lumen = distribution.lumenWithin(Math.PI / 2);
    }

    Emitter emitter() {
        return new Emitter(rings(2), rings(1), rings(0), null, distribution.extentRad() / 2, true);
    }

    private Piece[] rings(int rings) {
        int count = rings == 0 ? 1 : rings == 1 ? 1 + FIRST_RING : 1 + FIRST_RING + SECOND_RING;
        double cell = radius / Math.sqrt(count);
        Piece[] pieces = new Piece[count];
        pieces[0] = piece(0, 0, cell, count);
        for (int i = 0; i < FIRST_RING && rings > 0; i++) {
            double turn = 2 * Math.PI * i / FIRST_RING;
            double out = radius * Math.sqrt((1 + (1 + FIRST_RING)) / 2.0 / count);
            pieces[1 + i] = piece(out * Math.cos(turn), out * Math.sin(turn), cell, count);
        }
        for (int i = 0; i < SECOND_RING && rings > 1; i++) {
            double turn = 2 * Math.PI * (i + HALF) / SECOND_RING;
            double out = radius * Math.sqrt((1 + FIRST_RING + count) / 2.0 / count);
            pieces[1 + FIRST_RING + i] = piece(out * Math.cos(turn), out * Math.sin(turn), cell, count);
        }
        return pieces;
    }

    private Piece piece(double across, double high, double cell, int count) {
        List<Through> through = through(across, high, cell);
        SpacePoint place = up.from(right.from(at, across), high);
        double each = 1.0 / count;
        double darkest = NOTHING * distribution.candela(0);
        return new Piece(place.xM(), place.yM(), place.zM(), cell, (dx, dy, dz, light) -> {
            double cosine = dx * aim.x() + dy * aim.y() + dz * aim.z();
            if (cosine <= 0) {
                return false;
            }
            double angle = Horizon.angle(cosine);
            double candela = distribution.candela(angle);
            double even = lumen / Math.PI * cosine;
            Arrays.fill(light, 0);
            double most = 0;
            for (Through t : through) {
                double intensity = t.straight * candela + (1 - t.straight) * even;
                for (double grid : t.grids) {
                    double halves = Math.toDegrees(angle) / (grid / 2);
                    intensity *= Math.pow(2, -halves * halves);
                }
                most = Math.max(most, intensity);
                for (int c = 0; c < ConeLight.CHANNELS; c++) {
                    light[c] += each * t.share * intensity * t.cones[c];
                }
            }
            return most > darkest;
        });
    }

    /** Every way in which the items in a part of the front may be over a piece of it. */
    private List<Through> through(double across, double high, double cell) {
        List<Through> all = new ArrayList<>();
        for (int which = 0; which < 1 << parts.size(); which++) {
            double share = 1;
            List<Modifier> over = new ArrayList<>(whole);
            for (int i = 0; i < parts.size() && share > 0; i++) {
                double covered = covered(parts.get(i), across, high, cell);
                boolean here = (which >> i & 1) == 1;
                share *= here ? covered : 1 - covered;
                if (here) {
                    over.add(parts.get(i));
                }
            }
            if (share > 0) {
                all.add(behind(share, over));
            }
        }
        return all;
    }

    /** What of a piece an item covers, 0 to 1. */
    private double covered(Modifier item, double across, double high, double cell) {
        double along =
                switch (Objects.requireNonNull(item.covers())) {
                    case LEFT -> -across;
                    case RIGHT -> across;
                    case UPPER -> high;
                    case LOWER -> -high;
                };
        double edge = edge(item.share() == null ? HALF : item.share());
        if (cell <= 0) {
            return item.share() == null ? HALF : item.share();
        }
        // a square of the piece's area, beside the straight edge
        double half = cell * Math.sqrt(Math.PI) / 2;
        return Math.max(0, Math.min(1, (along - edge) / (2 * half) + HALF));
    }

    /** Where an edge lies that leaves so much of the disc's area beyond it, from the middle. */
    private double edge(double share) {
        double low = -1;
        double high = 1;
        for (int i = 0; i < 40; i++) {
            double middle = (low + high) / 2;
            double beyond = (Math.acos(middle) - middle * Math.sqrt(1 - middle * middle)) / Math.PI;
            if (beyond > share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return radius * (low + high) / 2;
    }

    private Through behind(double share, List<Modifier> items) {
        double straight = 1;
        List<Double> grids = new ArrayList<>();
        for (Modifier item : items) {
            straight *= 1 - item.soft();
            if (item.narrowsToDeg() != null) {
                grids.add(item.narrowsToDeg());
            }
        }
        return new Through(share, white.behind(items), straight, List.copyOf(grids));
    }

    /** Light behind all of its items, for a lamp that shines to all sides: they cost it what they cost. */
    double[] allOfIt() {
        List<Modifier> all = new ArrayList<>(whole);
        all.addAll(parts);
        return white.behind(all);
    }
}
