package org.oblume.core.say;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/** Up and down: stops of light, points of the dial, a height, a tilt, by what the amount is of. The amount may stand before or behind. */
final class MoreOrLess implements PhraseParser {

    private static final Set<String> MORE =
            Set.of("up", "hotter", "brighter", "more", "lift", "raise", "higher", "plus", "+", "another");
    private static final Set<String> LESS =
            Set.of("down", "less", "lower", "under", "darker", "minus", "-", "drop", "dim");
    /** Behind an amount of stops these take it away. */
    private static final Set<String> LESS_BEHIND = Set.of("off", "out");

    private static final String HIGHER = "raise|higher";

    /** An amount before <em>up</em> that is this long or longer is the height itself. */
    private static final double A_HEIGHT_M = 1.2;
    /** One that is this short or shorter is by how much. */
    private static final double A_LIFT_M = 0.6;

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        int start = words.at();
        if (words.take("double")) {
            stops(clause, 1);
            return true;
        }
        if (words.take("halve")) {
            stops(clause, -1);
            return true;
        }
        Optional<Amount> before = words.peek().matches("up|down") ? Optional.empty() : Figures.amount(words);
        if (before.isPresent()) {
            return behind(clause, before.get(), start);
        }
        words.back(start);
        words.pass("knock", "turn", "bring", "take", "dial", "pull", "pop", "come");
        int sign = sign(words);
        if (sign == 0) {
            return false;
        }
        String said = words.all().get(words.at() - 1).text();
        words.pass("by", "another", "it");
        int here = words.at();
        Optional<Amount> amount = Figures.amount(words);
        if (amount.isEmpty()) {
            throw new Refusal("By how much? Say stops, percent or a length: %s a third of a stop."
                    .formatted(said.length() > 1 && !said.equals("another") ? said : sign > 0 ? "up" : "down"));
        }
        if (said.matches("[+-]|plus|minus") && amount.get().is(Amount.Unit.METRES)) {
            words.back(here);
            return false;
        }
        words.take(sign > 0 ? "more" : "less");
        by(clause, amount.get(), sign, said.matches(HIGHER));
        return true;
    }

    private static int sign(Words words) {
        if (words.isNext(MORE)) {
            words.skip(1);
            return 1;
        }
        if (words.isNext(LESS)) {
            words.skip(1);
            words.take("down");
            return -1;
        }
        return 0;
    }

    /** <em>A third of a stop lower</em>, <em>six foot up</em>. */
    private static boolean behind(Clause clause, Amount amount, int start) {
        Words words = clause.words();
        int here = words.at();
        boolean up = words.peek().equals("up");
        boolean higher = words.peek().matches(HIGHER);
        int sign = sign(words);
        if (sign == 0 && words.isNext(LESS_BEHIND) && amount.areStops()) {
            words.skip(1);
            sign = -1;
        }
        if (sign == 0) {
            words.back(here);
            return clause.isLight() && refused(amount, words);
        }
        if (amount.is(Amount.Unit.METRES) && up) {
            raised(clause, amount, start);
        } else {
            by(clause, amount, sign, higher);
        }
        return true;
    }

    private static boolean refused(Amount amount, Words words) {
        if (amount.is(Amount.Unit.LOTS)) {
            throw new Refusal("By how much? Say stops, percent or a length.");
        }
        if (amount.is(Amount.Unit.BARE) && words.takePhrase("to one")) {
            throw new Refusal("A ratio is what a meter says: read both marks, or say percent or stops.");
        }
        return false;
    }

    private static void raised(Clause clause, Amount amount, int start) {
        if (amount.value() >= A_HEIGHT_M) {
            LevelWords.setHeight(clause, amount.value());
        } else if (amount.value() <= A_LIFT_M) {
            by(clause, amount, 1, true);
        } else {
            String length = clause.words().all().subList(start, clause.words().at() - 1).stream()
                    .map(Words.Word::text)
                    .collect(Collectors.joining(" "));
            throw Clause.ask(
                    clause.words(),
                    start,
                    "Up by so much, or up to it?",
                    List.of("by", "to"),
                    List.of("up by " + length, "up to " + length));
        }
    }

    /** @param higher whether the word is of a height and of nothing else, so that a touch is one too */
    private static void by(Clause clause, Amount amount, int sign, boolean higher) {
        switch (amount.unit()) {
            case METRES -> height(clause, sign * amount.value());
            case DEGREES -> tilt(clause, sign * amount.value());
            case PERCENT -> points(clause, sign * amount.value());
            case STOPS -> stops(clause, sign * amount.value());
            case TOUCH, HAIR -> {
                if (clause.isLight() && !higher) {
                    stops(clause, sign * amount.stops());
                } else {
                    height(clause, sign * amount.metres());
                }
            }
            case BARE -> {
                if (!amount.part()) {
                    throw new Refusal("%s of what? Say stops, percent, or a length with its unit."
                            .formatted(Math.round(amount.value())));
                }
                stops(clause, sign * amount.value());
            }
            case KELVIN, MIRED -> throw new Refusal("Say warmer or cooler: 300 kelvin warmer.");
            default -> throw new Refusal("By how much? Say stops, percent or a length.");
        }
    }

    private static void height(Clause clause, double metres) {
        LevelWords.setHeight(clause, clause.draft().position(clause.about()).zM() + metres);
    }

    /** Turns it up or down by so many degrees from the aim that holds. */
    static void tilt(Clause clause, double degrees) {
        AimWords.Pointing aim = AimWords.now(clause);
        double tilt = AimWords.tenth(aim.tiltDeg() + degrees);
        clause.draft().put(clause.about(), AimSetting.along(AimWords.tenth(aim.bearingDeg()), tilt));
    }

    private static void points(Clause clause, double points) {
        clause.requireLight();
        double now = level(clause) * 100;
        double wanted = now + points;
        if (wanted > 100 + 1e-9 || wanted < 0) {
            throw new Refusal("%s is at %s: %s points of the dial cannot be. %s is the %s."
                    .formatted(
                            clause.name(),
                            new Level(now).say(),
                            Math.round(points),
                            points > 0 ? "100 %" : "0 %",
                            points > 0 ? "highest" : "lowest"));
        }
        clause.draft().put(clause.about(), new Level(Math.round(wanted * 10) / 10.0));
    }

    private static double level(Clause clause) {
        return clause.draft()
                .value(clause.about().key(), Level.class)
                .orElse(Level.FULL)
                .fraction();
    }

    /** So many stops of light, by the curve of its dial; several in one line add up. */
    private static void stops(Clause clause, double stops) {
        clause.requireLight();
        LevelCurve curve = clause.lamp().map(Lamp::curve).orElse(LevelCurve.LINEAR);
        double level = level(clause);
        Draft.Lifted before = clause.draft().lifted(clause.about().key(), curve.output(level));
        Draft.Lifted now = new Draft.Lifted(before.output(), before.stops() + stops);
        double output = now.output() * Stops.of(now.stops()).ratio();
        if (output > 1 + 1e-9) {
            throw new Refusal("%s at %s has only %s stops to full, 100 %%: it would be short by %s."
                    .formatted(
                            clause.name(),
                            new Level(level * 100).say(),
                            curve.headroom(level).inTenths(),
                            Stops.fromRatio(output).inTenths()));
        }
        double percent =
                Math.round(Percent.ofFraction(curve.level(Math.min(1, output))).value() * 10) / 10.0;
        double lowest = clause.lamp().map(Lamp::lowestPercent).orElse(0.0);
        if (percent < lowest) {
            throw new Refusal(Phrase.of("%s holds its light from %s up: %s would be under it. %s is the lowest."
                    .formatted(
                            clause.name(),
                            new Level(lowest).say(),
                            new Level(percent).say(),
                            new Level(lowest).say())));
        }
        clause.draft().put(clause.about(), new Level(percent));
        clause.draft().lift(clause.about().key(), now);
    }
}
