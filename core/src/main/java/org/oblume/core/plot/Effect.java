package org.oblume.core.plot;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * An effect that a light runs by itself.
 *
 * @param kind what it does
 * @param rateHz changes or flashes a second, 0 to 30; 0 when it is steady
 * @param one a colour that it goes between, or null for the light's own
 * @param other the other one, given with it
 */
public record Effect(Kind kind, double rateHz, @Nullable Colour one, @Nullable Colour other) implements AttributeValue {

    public static final Effect NONE = new Effect(Kind.NONE, 0);
    /** Fastest rate that can be recorded, a second. */
    public static final double FASTEST_HZ = 30;
    /** Flashes a second from which they can trigger a seizure (a common guideline; people who know the cast decide). */
    private static final double RISKY_HZ = 3;

    private static final Pattern TYPED = Pattern.compile(
            "([a-z]+)(?:,? (\\d+(?:[.,]\\d+)?)(?: ?hz| ?/ ?s| a second)?)?(?:,? (?:between )?((?:hue|white).*) and (.+))?");

    /** What a light does by itself; the names are ours. Their order is how they are told to a light: append only. */
    public enum Kind {
        NONE(0, false),
        FLICKER(1, false),
        FLASH(2, true),
        PULSE(3, false),
        LIGHTNING(4, true),
        /** A television, a monitor. */
        SCREEN(5, false, "television"),
        FAULTY(6, true),
        PASSING(7, false),
        FIRE(8, false),
        /** The lights of those who come to help. */
        BEACON(9, true, "emergency");

        private final int code;
        private final boolean flashes;
        private final Set<String> alsoTyped;

        Kind(int code, boolean flashes, String... alsoTyped) {
            this.code = code;
            this.flashes = flashes;
            this.alsoTyped = Set.of(alsoTyped);
        }

        private boolean isTyped(String word) {
            return word.equals(label()) || alsoTyped.contains(word);
        }

        /** What stands for it on the network, 0 to 25; it is what fixtures in the field listen to and never changes. */
        public int code() {
            return code;
        }

        /** The kind of a code; empty for a code that none has. */
        public static Optional<Kind> ofCode(int code) {
            return Arrays.stream(values()).filter(k -> k.code == code).findFirst();
        }

        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Effect {
        Checks.within("The rate", rateHz, 0, FASTEST_HZ, " a second");
        if (kind != Kind.NONE && rateHz == 0) {
            throw new Refusal(
                    "rateHz", "A %s needs a rate: give how many times a second, such as 2.".formatted(kind.label()));
        }
        rateHz = kind == Kind.NONE ? 0 : rateHz;
        if ((one == null) != (other == null)) {
            throw new Refusal("one", "An effect goes between two colours: give both, or neither.");
        }
        one = kind == Kind.NONE ? null : one;
        other = kind == Kind.NONE ? null : other;
    }

    /** In the light's own colour. */
    public Effect(Kind kind, double rateHz) {
        this(kind, rateHz, null, null);
    }

    /** Its two colours in words; empty when it is in the light's own. */
    public Optional<String> colours() {
        return one == null || other == null
                ? Optional.empty()
                : Optional.of("between %s and %s".formatted(one.say(), other.say()));
    }

    /**
     * Reads {@code flicker 3}, {@code flash 4 Hz}, {@code beacon 2 between hue 30 and hue 190}, {@code none}; once a second unless said.
     */
    public static Effect parse(String text) {
        String tidy = text.strip().toLowerCase(Locale.ROOT);
        Matcher m = TYPED.matcher(tidy);
        if (m.matches()) {
            for (Kind kind : Kind.values()) {
                if (kind == Kind.NONE && (m.group(1).equals("off") || kind.isTyped(m.group(1)))) {
                    return NONE;
                }
                if (kind.isTyped(m.group(1))) {
                    return new Effect(
                            kind,
                            m.group(2) == null
                                    ? 1
                                    : Double.parseDouble(m.group(2).replace(',', '.')),
                            m.group(3) == null ? null : Colour.parse(m.group(3)),
                            m.group(4) == null ? null : Colour.parse(m.group(4)));
                }
            }
        }
        throw new Refusal(
                "“%s” is not an effect: type one of %s, and a rate, such as flicker 3, or beacon 2 between hue 30 and hue 190."
                        .formatted(
                                text,
                                Arrays.stream(Kind.values()).map(Kind::label).collect(Collectors.joining(", "))));
    }

    public boolean runs() {
        return kind != Kind.NONE;
    }

    /** Whether it flashes 3 to 30 times a second: cast and crew are warned before it runs. */
    public boolean canTriggerSeizures() {
        return kind.flashes && rateHz >= RISKY_HZ;
    }

    /** What to say to cast and crew before it runs; null when nothing has to be said. */
    public @Nullable String caution() {
        return canTriggerSeizures()
                ? "%s flashes a second can trigger seizures: warn cast and crew before it runs."
                        .formatted(Format.number(rateHz))
                : null;
    }

    @Override
    public String say() {
        return runs()
                ? "%s, %s a second%s"
                        .formatted(
                                kind.label(),
                                Format.number(rateHz),
                                colours().map(c -> " " + c).orElse(""))
                : "none";
    }
}
