package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
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
 * What something hangs from, and by what.
 *
 * @param from the beam, pipe or wall, as the crew calls it, 1 to 40 characters
 * @param points by how many it is held, 1 to 40; of a cloth along one edge
 * @param bond whether a bond holds it too; null while nobody said
 * @param limitKg what the place says that holds there, kg, above 0 to 100 000, or null
 * @param massKg of the thing with all that is on it, kg, above 0 to 10 000, or null: then what is known of its kind
 * @param sagM of a cloth that is pulled flat, in its middle, metres, above 0 to 10, or null
 */
public record Rig(
        String from,
        int points,
        @Nullable Boolean bond,
        @Nullable Double limitKg,
        @Nullable Double massKg,
        @Nullable Double sagM)
        implements AttributeValue {

    private static final int LONGEST_NAME = 40;
    private static final int MOST_POINTS = 40;
    private static final double MOST_LIMIT_KG = 100_000;
    private static final double MOST_KG = 10_000;
    private static final double DEEPEST_M = 10;
    private static final Pattern POINTS = Pattern.compile("(?i)(\\d+) points?");
    private static final Pattern SAG = Pattern.compile("(?i)sag (.+)");
    private static final Pattern LIMIT = Pattern.compile("(?i)limit (\\S+) ?kg");
    private static final Pattern MASS = Pattern.compile("(?i)(?:weighs )?(\\S+) ?kg");

    public Rig {
        from = Checks.text("What it hangs from", from, LONGEST_NAME);
        if (points < 1 || points > MOST_POINTS) {
            throw new Refusal("points", "It hangs by 1 to %d points.".formatted(MOST_POINTS));
        }
        mass("limitKg", "What %s holds".formatted(from), limitKg, MOST_LIMIT_KG);
        mass("massKg", "What hangs there", massKg, MOST_KG);
        if (sagM != null) {
            Checks.above0("sagM", "The sag", sagM, " m");
            Checks.within("sagM", "The sag", sagM, 0, DEEPEST_M, " m");
        }
    }

    private static void mass(String field, String what, @Nullable Double kg, double most) {
        if (kg != null) {
            Checks.above0(field, what, kg, " kg");
            Checks.within(field, what, kg, 0, most, " kg");
        }
    }

    /** Reads {@code beam 2, 4 points, sag 0.1 m, limit 40 kg, weighs 6 kg, bond}; all but the first may be left out. */
    public static Rig parse(String text) {
        Typed typed = new Typed();
        for (String part : text.split("[,;](?!\\d)")) {
            typed.take(part.strip());
        }
        if (typed.from == null) {
            throw new Refusal("Say first what it hangs from: beam 2, 4 points, bond.");
        }
        return new Rig(typed.from, typed.points, typed.bond, typed.limitKg, typed.massKg, typed.sagM);
    }

    /** What was typed, part by part. */
    private static final class Typed {

        private @Nullable String from;
        private int points = 1;
        private @Nullable Boolean bond;
        private @Nullable Double limitKg;
        private @Nullable Double massKg;
        private @Nullable Double sagM;

        void take(String part) {
            String plain = part.toLowerCase(Locale.ROOT);
            Matcher number = POINTS.matcher(part);
            Matcher sag = SAG.matcher(part);
            Matcher limit = LIMIT.matcher(part);
            Matcher mass = MASS.matcher(part);
            if (number.matches()) {
                points = Numbers.parseWhole(number.group(1));
            } else if (sag.matches()) {
                sagM = Length.parse(sag.group(1)).metres();
            } else if (limit.matches()) {
                limitKg = Numbers.parse(limit.group(1));
            } else if (mass.matches()) {
                massKg = Numbers.parse(mass.group(1));
            } else if (plain.matches("(with )?(a )?(safety )?bond")) {
                bond = true;
            } else if (plain.equals("no bond")) {
                bond = false;
            } else if (from == null && !part.isEmpty()) {
                from = part;
            } else {
                throw new Refusal(
                        "“%s” was not understood: write it as beam 2, 4 points, sag 0.1 m, limit 40 kg, weighs 6 kg, bond."
                                .formatted(part));
            }
        }
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
        List<Phrase> parts = new ArrayList<>();
        parts.add(Phrase.of(from));
        parts.add(Phrase.of("%d point%s".formatted(points, points == 1 ? "" : "s")));
        if (sagM != null) {
            parts.add(Phrase.format("sag %s", Phrase.of(Length.ofMetres(sagM))));
        }
        if (limitKg != null) {
            parts.add(Phrase.of("limit %s kg".formatted(Format.number(limitKg))));
        }
        if (massKg != null) {
            parts.add(Phrase.of("weighs %s kg".formatted(Format.number(massKg))));
        }
        if (bond != null) {
            parts.add(Phrase.of(bond ? "bond" : "no bond"));
        }
        return Phrase.joined(", ", parts);
    }
}
