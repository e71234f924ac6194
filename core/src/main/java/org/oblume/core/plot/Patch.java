package org.oblume.core.plot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Where a light listens on the control network. All null: it is set by hand at the head.
 *
 * @param universe 1 to 63999
 * @param address first slot, 1 to 512; given with the universe
 * @param slots footprint of the mode, 1 to 512; address and footprint together stay within 512
 * @param mode name of the fixture's mode
 */
public record Patch(@Nullable Integer universe, @Nullable Integer address, @Nullable Integer slots,
        @Nullable String mode) implements AttributeValue {

    public static final Patch BY_HAND = new Patch(null, null, null, null);
    /** Highest universe of ANSI E1.31-2018. */
    private static final int LAST_UNIVERSE = 63999;
    /** Slots of a universe, ANSI E1.11. */
    private static final int LAST_ADDRESS = 512;
    private static final int LONGEST_MODE = 60;

    public Patch {
        mode = mode == null || mode.isBlank() ? null : Checks.text("The mode", mode, LONGEST_MODE);
        if (universe != null && address == null) {
            throw new Refusal("address",
                    "Universe %d needs an address: give 1 to 512, or clear the universe.".formatted(universe));
        }
        if (universe == null && address != null) {
            throw new Refusal("universe",
                    "Address %d needs a universe: give 1 to 63999, or clear the address.".formatted(address));
        }
        if (slots != null) {
            Checks.within("The footprint", slots, 1, LAST_ADDRESS, " slots");
        }
        if (universe != null && address != null) {
            Checks.within("Universe", universe, 1, LAST_UNIVERSE, "");
            Checks.within("Address", address, 1, LAST_ADDRESS, "");
            int last = address + (slots == null ? 1 : slots) - 1;
            if (last > LAST_ADDRESS) {
                throw new Refusal("address", "%d slots from address %d would end at %d, past 512: start at %d or lower."
                        .formatted(slots, address, last, address - (last - LAST_ADDRESS)));
            }
        }
    }

    @Override
    public String say() {
        String where = universe == null ? "by hand" : universe + " / " + address;
        return mode == null ? where : where + ", " + mode;
    }
}
