package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Refusal;

/** The white of a light: kelvin, warmer and cooler, and its tint. */
final class WhiteWords implements PhraseParser {

    private static final double LOWEST_K = 1000;
    private static final double DAYLIGHT_K = 5600;
    private static final double TUNGSTEN_K = 3200;
    private static final double MIREDS = 1e6;
    /** A dial is set to ten kelvin. */
    private static final double STEP_K = 10;
    /** Strengths of a family of gels. */
    private static final Map<Double, String> STRENGTHS =
            Map.of(0.125, "Eighth", 0.25, "Quarter", 0.5, "Half", 1.0, "Full");

    /** A bare number as big as this, before warmer or cooler, is kelvin. */
    private static final double BARE_K = 50;

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.CCT)) {
            return false;
        }
        return PhraseParser.any(clause, WhiteWords::tint, WhiteWords::relative, WhiteWords::absolute);
    }

    private static boolean absolute(Clause clause) {
        Words words = clause.words();
        words.take("at", "to", "on");
        words.take("white");
        if (words.take("daylight")) {
            dial(clause, DAYLIGHT_K);
            return true;
        }
        if (words.take("tungsten")) {
            dial(clause, TUNGSTEN_K);
            return true;
        }
        Optional<Amount> amount = Figures.amount(words);
        if (amount.isEmpty() || words.peek().matches("warmer|cooler|hz|hertz")) {
            return false;
        }
        boolean kelvin = amount.get().is(Amount.Unit.KELVIN)
                || (amount.get().is(Amount.Unit.BARE)
                        && amount.get().value() >= LOWEST_K
                        && !amount.get().part());
        if (kelvin) {
            dial(clause, amount.get().value());
        }
        return kelvin;
    }

    private static boolean relative(Clause clause) {
        Words words = clause.words();
        Optional<Amount> before = Figures.amount(words);
        if (before.isPresent() && !words.peek().matches("warmer|cooler")) {
            return false;
        }
        int sense = words.take("warm", "warmer") ? 1 : words.take("cool", "cooler") ? -1 : 0;
        if (sense == 0) {
            return false;
        }
        words.pass("up", "down", "off", "it", "by");
        boolean full = before.isEmpty() && words.takeAny("a full", "full");
        Optional<Amount> amount =
                full ? Optional.of(new Amount(Amount.Unit.BARE, 1, true)) : before.or(() -> Figures.amount(words));
        if (amount.isEmpty()) {
            throw new Refusal("By how much? Say kelvin or a gel’s worth: 300 kelvin warmer, warm it a quarter.");
        }
        shift(clause, amount.get(), sense);
        return true;
    }

    private static void shift(Clause clause, Amount amount, int sense) {
        double now = clause.draft()
                .value(clause.about().key(), ColourTemperature.class)
                .map(ColourTemperature::kelvin)
                .orElseThrow(
                        () -> new Refusal("%s has no white recorded yet: say its kelvin.".formatted(clause.name())));
        switch (amount.unit()) {
            case KELVIN -> dial(clause, now - sense * amount.value());
            case MIRED -> mired(clause, now, sense * amount.value());
            case TOUCH, HAIR -> mired(clause, now, sense * amount.or(20, 10));
            case BARE -> {
                if (amount.part() || amount.value() == 1) {
                    worth(clause, now, amount.value(), sense);
                } else if (amount.value() >= BARE_K) {
                    dial(clause, now - sense * amount.value());
                } else {
                    throw new Refusal("%s of what? Say kelvin or mired.".formatted(Math.round(amount.value())));
                }
            }
            default -> throw new Refusal("Say by how many kelvin or mired, or a quarter, a half, a full.");
        }
    }

    /** As much as a gel of that strength would turn it; a head of one white gets the gel. */
    private static void worth(Clause clause, double now, double strength, int sense) {
        String name = Optional.ofNullable(STRENGTHS.get(strength))
                .orElseThrow(() -> new Refusal("Say an eighth, a quarter, a half or a full."));
        String gel = "%s %s".formatted(name, sense > 0 ? "CTO" : "CTB");
        StockItem item = clause.speech()
                .stock()
                .named(gel)
                .orElseThrow(() -> new Refusal("The stock has no %s to go by: say kelvin.".formatted(gel)));
        Piece piece = clause.about().piece();
        boolean fixed = piece.lowestKelvin() == null || piece.lowestKelvin().equals(piece.highestKelvin());
        if (fixed) {
            Modifiers worn =
                    clause.draft().value(clause.about().key(), Modifiers.class).orElse(Modifiers.NONE);
            List<Modifier> items = new ArrayList<>(worn.items());
            items.add(Modifier.of(item));
            clause.draft().put(clause.about(), new Modifiers(items));
        } else {
            mired(clause, now, item.effect().mired().value());
        }
    }

    private static void mired(Clause clause, double now, double shift) {
        double kelvin = MIREDS / (MIREDS / now + shift);
        dial(clause, Math.round(kelvin / STEP_K) * STEP_K);
    }

    private static void dial(Clause clause, double kelvin) {
        Piece piece = clause.about().piece();
        Double lowest = piece.lowestKelvin();
        Double highest = piece.highestKelvin();
        if (lowest != null && highest != null && (kelvin < lowest || kelvin > highest)) {
            throw new Refusal(
                    "%s is dialled from %.0f to %.0f K: %.0f K cannot be. %.0f K is the nearest; hang a gel for the rest."
                            .formatted(clause.name(), lowest, highest, kelvin, kelvin < lowest ? lowest : highest));
        }
        clause.draft().put(clause.about(), new ColourTemperature(kelvin));
    }

    private static boolean tint(Clause clause) {
        Words words = clause.words();
        if (!words.take("tint")) {
            return false;
        }
        words.pass("to", "at", "by");
        clause.draft().put(clause.about(), new Tint(duv(words)));
        return true;
    }

    /** {@code +0.003}, <em>plus point oh oh three</em>, <em>2 magenta</em>: Duv, a whole number its thousandths. */
    private static double duv(Words words) {
        double sign = words.take("minus", "-") ? -1 : 1;
        words.take("plus", "+");
        Amount amount = Figures.amount(words)
                .filter(a -> a.is(Amount.Unit.BARE) || a.isNamed())
                .orElseThrow(() -> new Refusal("Say how much: tint +0.003, or 2 magenta."));
        if (words.take("magenta")) {
            sign = -1;
        } else {
            words.take("green");
        }
        double said = amount.or(0.002, 0.001);
        boolean thousandths = amount.is(Amount.Unit.BARE) && said >= 1 && said == Math.rint(said) && said <= 50;
        return sign * (thousandths ? said / 1000 : said);
    }
}
