package org.oblume.core.plot;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * What feeds a light.
 *
 * @param from what it is fed from
 * @param name of the circuit; the tag of the battery, or null; of a thing on its own cord the circuit of its socket, or null
 * @param batteryWh on the battery's label, above 0, or null: then that of its kind
 * @param cableM to the circuit, one way, metres, above 0 to 1000; null when it was not said
 * @param areaMm2 of one conductor of that cable, mm², 0.5 to 240; null when it was not said
 */
public record Feed(
        From from, @Nullable String name, @Nullable Double batteryWh, @Nullable Double cableM, @Nullable Double areaMm2)
        implements AttributeValue {

    /** What a light is fed from. */
    public enum From {
        /** A circuit of the set, from the house or a generator. */
        CIRCUIT,
        BATTERY,
        /** Its own cord into a socket of the house: a practical. */
        OWN
    }

    private static final int LONGEST_NAME = 40;
    private static final double LONGEST_M = 1000;
    private static final double THINNEST_MM2 = 0.5;
    private static final double THICKEST_MM2 = 240;
    private static final double MOST_WH = 100_000;
    private static final Pattern CABLE =
            Pattern.compile("(?i)(.*?),?\\s*(\\S+\\s*(?:m|ft|')?)\\s+of\\s+(\\d+(?:[.,]\\d+)?)(?:\\s*mm²?2?)?");
    private static final Pattern BATTERY =
            Pattern.compile("(?i)battery(?:\\s+(\\d+(?:[.,]\\d+)?)\\s*wh)?(?:[,\\s]+(.+))?");
    private static final Pattern OWN = Pattern.compile("(?i)own(?: cord)?(?:[,\\s]+(?:on )?(.+))?");

    public Feed {
        name = name == null || name.isBlank() ? null : Checks.text("What it is fed from", name, LONGEST_NAME);
        if (from == From.CIRCUIT && name == null) {
            throw new Refusal("name", "Say which circuit: B1, battery, or own.");
        }
        if (batteryWh != null) {
            Checks.above0("batteryWh", "The battery", batteryWh, " Wh");
            Checks.within("batteryWh", "The battery", batteryWh, 0, MOST_WH, " Wh");
        }
        if (from != From.BATTERY && batteryWh != null) {
            throw new Refusal("batteryWh", "Only a battery has watt hours.");
        }
        if (from == From.BATTERY && (cableM != null || areaMm2 != null)) {
            throw new Refusal("cableM", "A light on a battery has no cable to say.");
        }
        if (cableM != null) {
            Checks.above0("cableM", "The cable", cableM, " m");
            Checks.within("cableM", "The cable", cableM, 0, LONGEST_M, " m");
        }
        if (areaMm2 != null) {
            Checks.within("areaMm2", "The cable's section", areaMm2, THINNEST_MM2, THICKEST_MM2, " mm²");
        }
    }

    public static Feed circuit(String name) {
        return new Feed(From.CIRCUIT, name, null, null, null);
    }

    /**
     * Reads {@code B1}, {@code B1, 25 m of 2.5}, {@code battery}, {@code battery 98 Wh, Eel 1}, {@code own} or {@code own on B3}.
     */
    public static Feed parse(String text) {
        String bare = text.strip().replaceFirst("(?i)^circuit\\s+", "");
        Matcher battery = BATTERY.matcher(bare);
        if (battery.matches()) {
            return new Feed(
                    From.BATTERY,
                    battery.group(2),
                    battery.group(1) == null ? null : number(battery.group(1)),
                    null,
                    null);
        }
        Double cableM = null;
        Double area = null;
        Matcher cable = CABLE.matcher(bare);
        if (cable.matches()) {
            bare = cable.group(1).strip();
            cableM = Length.parse(cable.group(2)).metres();
            area = number(cable.group(3));
        }
        Matcher own = OWN.matcher(bare);
        return own.matches()
                ? new Feed(From.OWN, own.group(1), null, cableM, area)
                : new Feed(From.CIRCUIT, bare, null, cableM, area);
    }

    private static double number(String text) {
        return Numbers.parse(text.replace(',', '.'));
    }

    /** Whether it hangs on a circuit of that name. */
    public boolean isOn(String circuit) {
        return from != From.BATTERY
                && name != null
                && name.toLowerCase(Locale.ROOT).equals(circuit.toLowerCase(Locale.ROOT));
    }

    @Override
    public String say() {
        return phrase().metric();
    }

    @Override
    public String sayImperial() {
        return phrase().imperial();
    }

    @Override
    public Phrase phrase() {
        Phrase what =
                switch (from) {
                    case CIRCUIT -> Phrase.of(String.valueOf(name));
                    case BATTERY ->
                        Phrase.of("battery%s%s"
                                .formatted(
                                        batteryWh == null ? "" : " %s Wh".formatted(Format.number(batteryWh)),
                                        name == null ? "" : ", " + name));
                    case OWN -> Phrase.of(name == null ? "own" : "own on " + name);
                };
        return cableM == null
                ? what
                : Phrase.format(
                        areaMm2 == null ? "%s, %s of cable" : "%s, %s of %s mm²",
                        what,
                        Phrase.of(Length.ofMetres(cableM)),
                        areaMm2 == null ? "" : Format.number(areaMm2));
    }
}
