package org.oblume.core.kit;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/**
 * What is needed of the kit, whichever of its things that is.
 *
 * @param what a kind, or the name of a filter or cloth
 * @param size of something flat, a cable, a battery
 */
public record KitItem(Sort sort, String what, KitSize size) {

    /** How it is told whether there is enough of it. */
    public enum Sort {
        /** By tags, and by the number of that kind. */
        THING,
        /** Flat: a cloth that is large enough, or cut from sheets and rolls. */
        FLAT,
        STAND,
        SANDBAG,
        BOND,
        /** Of one section, at least so long. */
        CABLE,
        /** Of about so many watt hours. */
        BATTERY
    }

    private static final double LABEL = 0.1;

    static KitItem thing(String kind) {
        return new KitItem(Sort.THING, kind, KitSize.NONE);
    }

    static KitItem flat(String name, double widthM, double heightM) {
        return new KitItem(Sort.FLAT, name, KitSize.flat(widthM, heightM));
    }

    /** Batteries of a label. */
    public static KitItem battery(double wattHours) {
        return new KitItem(Sort.BATTERY, "Battery", new KitSize(null, null, null, wattHours));
    }

    /** {@code Half CTO 0.3 × 0.3 m}. */
    public Phrase phrase() {
        return size.equals(KitSize.NONE) ? Phrase.of(what) : Phrase.format("%s %s", what, size.phrase());
    }

    boolean isOf(KitUnit unit) {
        return (sort == Sort.THING && unit.what().equalsIgnoreCase(what))
                || (sort == Sort.FLAT
                        && unit.what().equalsIgnoreCase(what)
                        && unit.size().suits(size));
    }

    boolean isOf(CountedStock counted) {
        return switch (sort) {
            case THING -> counted.form() == StockForm.PIECE && counted.what().equalsIgnoreCase(what);
            case FLAT ->
                counted.form() == StockForm.CLOTH
                        && counted.what().equalsIgnoreCase(what)
                        && counted.size().suits(size);
            case STAND -> counted.form() == StockForm.STAND;
            case SANDBAG -> counted.form() == StockForm.SANDBAG;
            case BOND -> counted.form() == StockForm.BOND;
            case CABLE ->
                counted.form() == StockForm.CABLE
                        && atLeast(counted.size().areaMm2(), size.areaMm2())
                        && atLeast(counted.size().lengthM(), size.lengthM());
            case BATTERY ->
                counted.form() == StockForm.BATTERY && isAbout(counted.size().wattHours(), size.wattHours());
        };
    }

    /** Labels differ a little, mounts by more: what holds much more or less is of another kind. */
    private static boolean isAbout(@Nullable Double there, @Nullable Double wanted) {
        return wanted != null && there != null && Math.abs(there - wanted) <= LABEL * wanted;
    }

    private static boolean atLeast(@Nullable Double there, @Nullable Double wanted) {
        return wanted == null || (there != null && there >= wanted);
    }
}
