package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A control mode of a fixture: what its slots mean, in order.
 *
 * @param name as the fixture's menu has it
 * @param channels what it listens to, in order; empty when only its footprint is known
 * @param slots footprint, 1 to 512
 */
public record Mode(String name, List<Channel> channels, int slots) {

    private static final int FINE_BITS = 16;
    private static final Pattern PART = Pattern.compile("(?<name>[a-z]+)(?: (?<bits>8|16))?");

    /** @param fine whether it has two slots, coarse then fine: 16 bits */
    public record Channel(Parameter parameter, boolean fine) {

        int slots() {
            return fine ? 2 : 1;
        }
    }

    public Mode {
        channels = List.copyOf(channels);
        Checks.within("The footprint of %s".formatted(name), slots, 1, Patch.LAST_ADDRESS, " slots");
    }

    /** A mode by its channels. */
    public static Mode of(String name, List<Channel> channels) {
        return new Mode(
                name, channels, channels.stream().mapToInt(Channel::slots).sum());
    }

    /**
     * Reads the modes of a fixture: {@code 8-bit white: level, cct, tint; 16-bit white: level 16, cct 16}. A number in the place of the
     * channels is a footprint of which no more is known.
     *
     * @throws Refusal naming the part that is not understood
     */
    public static List<Mode> parse(String text) {
        List<Mode> modes = new ArrayList<>();
        for (String one : text.split(";")) {
            if (!one.isBlank()) {
                String[] halves = one.split(":", 2);
                if (halves.length < 2 || halves[0].isBlank()) {
                    throw new Refusal(
                            "modes",
                            "“%s” is not a mode: give its name, a colon, and what its slots are, such as 8-bit: level, cct."
                                    .formatted(one.strip()));
                }
                modes.add(read(halves[0].strip(), halves[1].strip()));
            }
        }
        return List.copyOf(modes);
    }

    /** The modes of a thing; of what cannot be read in its figures nothing is known. */
    public static List<Mode> of(Piece piece) {
        try {
            return piece.lamp() == null
                    ? List.of()
                    : parse(piece.lamp().upkeep().modes());
        } catch (Refusal freeText) {
            return List.of();
        }
    }

    private static Mode read(String name, String what) {
        if (what.matches("\\d{1,3}")) {
            return new Mode(name, List.of(), Integer.parseInt(what));
        }
        List<Channel> channels = new ArrayList<>();
        for (String part : what.split("\\s*,\\s*")) {
            Matcher m = PART.matcher(part);
            Optional<Parameter> parameter = m.matches() ? Parameter.named(m.group("name")) : Optional.empty();
            channels.add(new Channel(
                    parameter.orElseThrow(() -> new Refusal(
                            "modes",
                            "“%s” in mode %s is not understood: a slot is one of %s, with 16 behind it when it has two."
                                    .formatted(
                                            part,
                                            name,
                                            Arrays.stream(Parameter.values())
                                                    .map(Parameter::label)
                                                    .collect(Collectors.joining(", "))))),
                    String.valueOf(FINE_BITS).equals(m.group("bits"))));
        }
        return of(name, channels);
    }

    /** Whether it is known what its slots are. */
    public boolean isKnown() {
        return !channels.isEmpty();
    }

    public boolean listensTo(Parameter parameter) {
        return channels.stream().anyMatch(c -> c.parameter() == parameter);
    }

    /** Whether it can be told a hue: as hue and saturation, or as red, green and blue. */
    public boolean isToldAHue() {
        return (listensTo(Parameter.HUE) && listensTo(Parameter.SATURATION))
                || (listensTo(Parameter.RED) && listensTo(Parameter.GREEN) && listensTo(Parameter.BLUE));
    }

    /** {@code level 16, cct 16, tint}. */
    public String say() {
        return isKnown()
                ? channels.stream()
                        .map(c -> c.parameter().label() + (c.fine() ? " 16" : ""))
                        .collect(Collectors.joining(", "))
                : slots + " slots";
    }
}
