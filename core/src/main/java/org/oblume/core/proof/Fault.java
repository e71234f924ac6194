package org.oblume.core.proof;

import java.util.Map;

/**
 * One thing that may be unlike the record, and what it does to the light.
 *
 * @param thing key of the light or the grip that it is at; {@link #OF_THE_PLACE} for light that nobody recorded
 * @param words what would be so: {@code Half CTO hangs in place of Quarter CTO}
 * @param weight how likely it is among the faults of its kind there, above 0
 */
public record Fault(Kind kind, String thing, String words, double weight, Effect effect) {

    /** Where light comes from that belongs to no placement. */
    public static final String OF_THE_PLACE = "";

    /** What kinds of faults there are; each weighs as much as it is common on a set (a setting of the model). */
    public enum Kind {
        OFF(1, Sort.OFF),
        LEVEL(2, Sort.LEVEL),
        CURVE(0.6, Sort.LEVEL),
        WHITE(1.2, Sort.WHITE),
        TINT(1, Sort.TINT),
        FILTER_MISSING(1.2, Sort.FILTER),
        FILTER_DOUBLED(0.6, Sort.FILTER),
        FILTER_SWAPPED(1.2, Sort.FILTER),
        DISTANCE(1.2, Sort.DISTANCE),
        HEIGHT(0.6, Sort.HEIGHT),
        AIM(1, Sort.AIM),
        ZOOM(0.6, Sort.ZOOM),
        GRIP_MISSING(1, Sort.GRIP),
        GRIP_MOVED(0.5, Sort.GRIP),
        CLOTH_SWAPPED(1.2, Sort.GRIP),
        NOT_RECORDED(0.6, Sort.NOT_RECORDED);

        private final double weight;
        private final Sort sort;

        Kind(double weight, Sort sort) {
            this.weight = weight;
            this.sort = sort;
        }

        double weight() {
            return weight;
        }

        public Sort sort() {
            return sort;
        }
    }

    /** Where somebody goes and looks: what one look settles is not told apart. */
    public enum Sort {
        OFF,
        LEVEL,
        WHITE,
        TINT,
        FILTER,
        DISTANCE,
        HEIGHT,
        AIM,
        ZOOM,
        GRIP,
        NOT_RECORDED
    }

    /** What it does to what lights bring. */
    public sealed interface Effect {}

    /**
     * A light brings more or less of each channel, everywhere alike.
     *
     * @param light its index
     * @param of each channel, 0 or more
     */
    record Gains(int light, double[] of) implements Effect {}

    /**
     * Lights bring other light.
     *
     * @param of by the light's index, then by the probe's; channels
     */
    record Rows(Map<Integer, double[][]> of) implements Effect {}

    /**
     * More light everywhere, whichever lights are on.
     *
     * @param cones channels, Y is lux
     */
    record Added(double[] cones) implements Effect {}
}
