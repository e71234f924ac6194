package org.oblume.core.plot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Where a light listens on the control network, and by which way. All null: it is set by hand at the head.
 *
 * @param universe 1 to 63999
 * @param address first slot, 1 to 512; given with the universe
 * @param slots footprint of the mode, 1 to 512; address and footprint together stay within 512
 * @param mode name of the fixture's mode
 * @param path how it is reached; null for the usual: wired with a universe, by hand without
 * @param group of the app that it is in; only by {@link ControlPath#APP}
 */
public record Patch(
        @Nullable Integer universe,
        @Nullable Integer address,
        @Nullable Integer slots,
        @Nullable String mode,
        @Nullable ControlPath path,
        @Nullable String group)
        implements AttributeValue {

    public static final Patch BY_HAND = new Patch(null, null, null, null);
    /** Highest universe of ANSI E1.31-2018. */
    public static final int LAST_UNIVERSE = 63999;
    /** Slots of a universe, ANSI E1.11. */
    public static final int LAST_ADDRESS = 512;

    private static final int LONGEST_NAME = 60;

    public Patch {
        mode = mode == null || mode.isBlank() ? null : Checks.text("The mode", mode, LONGEST_NAME);
        group = group == null || group.isBlank() ? null : Checks.text("The group", group, LONGEST_NAME);
        if (universe != null && address == null) {
            throw new Refusal(
                    "address",
                    "Universe %d needs an address: give 1 to 512, or clear the universe.".formatted(universe));
        }
        if (universe == null && address != null) {
            throw new Refusal(
                    "universe",
                    "Address %d needs a universe: give 1 to 63999, or clear the address.".formatted(address));
        }
        if (universe != null && path != null && !path.isNetwork()) {
            throw new Refusal(
                    "universe",
                    "Universe %d is not heard %s: choose wired or wireless, or clear the universe."
                            .formatted(universe, path == ControlPath.APP ? "by the app" : "at the head"));
        }
        if (group != null && path != ControlPath.APP) {
            throw new Refusal(
                    "group",
                    "“%s” is a group of the app: choose the app as its way, or clear the group.".formatted(group));
        }
        path = path == usual(universe) ? null : path;
        if (slots != null) {
            Checks.within("The footprint", slots, 1, LAST_ADDRESS, " slots");
        }
        if (universe != null && address != null) {
            Checks.within("Universe", universe, 1, LAST_UNIVERSE, "");
            Checks.within("Address", address, 1, LAST_ADDRESS, "");
            int last = address + (slots == null ? 1 : slots) - 1;
            if (last > LAST_ADDRESS) {
                throw new Refusal(
                        "address",
                        "%d slots from address %d would end at %d, past 512: start at %d or lower."
                                .formatted(slots, address, last, address - (last - LAST_ADDRESS)));
            }
        }
    }

    /** On the network by cable, or by hand. */
    public Patch(
            @Nullable Integer universe, @Nullable Integer address, @Nullable Integer slots, @Nullable String mode) {
        this(universe, address, slots, mode, null, null);
    }

    /** How it is reached: as recorded, or as is usual. */
    public ControlPath reachedBy() {
        return path == null ? usual(universe) : path;
    }

    /** The same light somewhere else. */
    public Patch at(int newUniverse, int newAddress) {
        return new Patch(newUniverse, newAddress, slots, mode, reachedBy() == ControlPath.WIRELESS ? path : null, null);
    }

    /** The same place with another mode. */
    public Patch in(String newMode, int newSlots) {
        return new Patch(universe, address, newSlots, newMode, path, group);
    }

    @Override
    public String say() {
        ControlPath by = reachedBy();
        String where = by == ControlPath.APP
                ? (group == null ? "app" : "app group " + group)
                : universe != null
                        ? universe + " / " + address
                        : by.label() + (by.isNetwork() ? ", no address yet" : "");
        String said = mode == null ? where : where + ", " + mode;
        return universe != null && by == ControlPath.WIRELESS ? said + ", wireless" : said;
    }

    private static ControlPath usual(@Nullable Integer universe) {
        return universe == null ? ControlPath.BY_HAND : ControlPath.WIRED;
    }
}
