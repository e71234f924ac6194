package org.oblume.core.plot;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * One thing between a lamp and the set: a gel in the head, a cloth on a frame, a net, a grid.
 *
 * @param name of the stock item, 1 to 60 characters
 * @param stops light it costs, 0 to 20 (nominal)
 * @param miredShift colour shift, −500 to 500 mired, + is warmer (nominal)
 * @param duvShift tint shift, −0.05 to 0.05, + is green (nominal)
 * @param softens whether the light leaves it from a larger, softer surface
 * @param frameWidthM width in metres when it hangs on a frame of its own before the head, else null
 * @param frameDistanceM metres from the lens to that frame, above 0 to 50; given with the width
 * @param gel what a saturated gel lets through, or null for white correction
 * @param narrowsToDeg beam that a grid leaves at most, full angle, degrees, 1 to 180; null for what is not a grid
 * @param covers the part of the front it stands in, or null for all of it
 * @param share how much of the front's area that part is, above 0 to below 1, or null for half of it
 * @param softness what part of the light that comes through leaves evenly, 0 to 1, or null: then all of it when it softens, else none
 * @param doors leaves at the front that cut the beam, at most one to a side, or null for none
 */
public record Modifier(
        String name,
        double stops,
        double miredShift,
        double duvShift,
        boolean softens,
        @Nullable Double frameWidthM,
        @Nullable Double frameDistanceM,
        @Nullable GelColour gel,
        @Nullable Double narrowsToDeg,
        @Nullable Cover covers,
        @Nullable Double share,
        @Nullable Double softness,
        @Nullable List<Door> doors) {

    private static final int LONGEST_NAME = 60;
    private static final double MOST_STOPS = 20;
    private static final double MOST_MIRED = 500;
    private static final double MOST_DUV = 0.05;
    private static final double NEAREST_M = 0.01;
    private static final double FARTHEST_M = 50;

    /** Half of a beam, as one stands behind the head. */
    public enum Cover {
        LOWER,
        UPPER,
        LEFT,
        RIGHT
    }

    /**
     * A leaf that is hinged at a side of the front and as long as it.
     *
     * @param angleDeg from the front's plane, degrees: 0 closed, 90 straight out, to 180
     */
    public record Door(Cover side, double angleDeg) {

        public Door {
            Checks.within("angleDeg", "The angle of a door", angleDeg, 0, 180, "°");
        }
    }

    public Modifier {
        if (share != null) {
            Checks.within("share", "The part of the front that %s covers".formatted(name), share, 0.01, 0.99, "");
        }
        if (softness != null) {
            Checks.within("softness", "The softness of %s".formatted(name), softness, 0, 1, "");
        }
        doors = doors == null || doors.isEmpty() ? null : List.copyOf(doors);
        if (doors != null && doors.stream().map(Door::side).distinct().count() < doors.size()) {
            throw new Refusal("doors", "Two doors hang at one side: give each side one.");
        }
        name = Checks.text("A modifier's name", name, LONGEST_NAME);
        Checks.within("What %s costs".formatted(name), stops, 0, MOST_STOPS, " stops");
        Checks.within("The shift of %s".formatted(name), miredShift, -MOST_MIRED, MOST_MIRED, " mired");
        Checks.within("The tint shift of %s".formatted(name), duvShift, -MOST_DUV, MOST_DUV, " Duv");
        if ((frameWidthM == null) != (frameDistanceM == null)) {
            throw new Refusal(
                    "%s on a frame needs both the frame's width and its distance from the lens.".formatted(name));
        }
        if (narrowsToDeg != null) {
            new Beam(narrowsToDeg);
        }
        if (frameWidthM != null && frameDistanceM != null) {
            Checks.within("The frame of %s".formatted(name), frameWidthM, NEAREST_M, FARTHEST_M, " m");
            Checks.within(
                    "The distance to the frame of %s".formatted(name), frameDistanceM, NEAREST_M, FARTHEST_M, " m");
        }
    }

    /** Something over all of a half, as soft as its name says. */
    public Modifier(
            String name,
            double stops,
            double miredShift,
            double duvShift,
            boolean softens,
            @Nullable Double frameWidthM,
            @Nullable Double frameDistanceM,
            @Nullable GelColour gel,
            @Nullable Double narrowsToDeg,
            @Nullable Cover covers) {
        this(
                name,
                stops,
                miredShift,
                duvShift,
                softens,
                frameWidthM,
                frameDistanceM,
                gel,
                narrowsToDeg,
                covers,
                null,
                null,
                null);
    }

    /** The same on a frame of its own. */
    public Modifier framed(double widthM, double distanceM) {
        return with(widthM, distanceM, covers, share, softness);
    }

    /** The same over a part of the front, or over all of it. */
    public Modifier covering(@Nullable Cover side, @Nullable Double part) {
        return with(frameWidthM, frameDistanceM, side, part, softness);
    }

    /** The same with its softness known; null when it is not. */
    public Modifier softAs(@Nullable Double known) {
        return with(frameWidthM, frameDistanceM, covers, share, known);
    }

    private Modifier with(
            @Nullable Double widthM,
            @Nullable Double distanceM,
            @Nullable Cover side,
            @Nullable Double part,
            @Nullable Double soft) {
        return new Modifier(
                name,
                stops,
                miredShift,
                duvShift,
                softens,
                widthM,
                distanceM,
                gel,
                narrowsToDeg,
                side,
                part,
                soft,
                doors);
    }

    /** What part of what comes through it leaves it evenly, 0 to 1. */
    public double soft() {
        return softness != null ? softness : softens ? 1 : 0;
    }

    /** Something over the whole beam that does not narrow it. */
    public Modifier(
            String name,
            double stops,
            double miredShift,
            double duvShift,
            boolean softens,
            @Nullable Double frameWidthM,
            @Nullable Double frameDistanceM,
            @Nullable GelColour gel) {
        this(name, stops, miredShift, duvShift, softens, frameWidthM, frameDistanceM, gel, null, null);
    }

    /** A stock item as it hangs before a head, clipped to it. */
    public static Modifier of(StockItem item) {
        boolean softens = item.kind() == StockKind.DIFFUSION && item.softness() > 0;
        return new Modifier(
                item.name(),
                item.effect().stops().value(),
                item.effect().mired().value(),
                item.effect().duv(),
                softens,
                null,
                null,
                item.gel(),
                item.narrowsToDeg(),
                null,
                null,
                softens ? item.softness() : null,
                null);
    }

    public FilterEffect effect() {
        return FilterEffect.of(miredShift, stops, duvShift);
    }

    /** The item with its frame, as it is called out: {@code Half grid on 1.2 m frame, 0.8 m before the lens}. */
    public Phrase phrase() {
        String over = over();
        return frameWidthM == null || frameDistanceM == null
                ? Phrase.of(over)
                : Phrase.format("%s on %s frame, %s before the lens", over, size(frameWidthM), size(frameDistanceM));
    }

    /** The item without its sizes: {@code Half grid frame}. */
    public String brief() {
        return frameWidthM == null || frameDistanceM == null ? over() : over() + " frame";
    }

    private String over() {
        String what = doors == null
                ? name
                : doors.stream()
                        .map(d -> "%s %s°"
                                .formatted(d.side().name().toLowerCase(Locale.ROOT), Format.number(d.angleDeg())))
                        .collect(Collectors.joining(", ", name + ": ", ""));
        if (covers == null) {
            return what;
        }
        String side = covers.name().toLowerCase(Locale.ROOT);
        return share == null
                ? "%s in the %s half".formatted(what, side)
                : "%s in the %s %s %%".formatted(what, side, Format.number(100 * share));
    }

    private static Phrase size(double metres) {
        return new Phrase(Format.number(metres) + " m", Length.ofMetres(metres).printImperial());
    }
}
