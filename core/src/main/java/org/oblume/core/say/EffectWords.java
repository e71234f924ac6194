package org.oblume.core.say;

import java.util.Map;
import java.util.Optional;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Effect.Kind;
import org.oblume.core.units.Refusal;

/** What a light plays: <em>fire at 3 hertz</em>, <em>flicker like a faulty tube</em>, <em>pulse every two seconds</em>, <em>steady</em>. */
final class EffectWords implements PhraseParser {

    private static final Map<String, Kind> KINDS = Map.ofEntries(
            Map.entry("fire", Kind.FLICKER),
            Map.entry("flame", Kind.FLICKER),
            Map.entry("candle", Kind.FLICKER),
            Map.entry("flicker", Kind.FLICKER),
            Map.entry("flickering", Kind.FLICKER),
            Map.entry("tv", Kind.SCREEN),
            Map.entry("television", Kind.SCREEN),
            Map.entry("lightning", Kind.LIGHTNING),
            Map.entry("flash", Kind.FLASH),
            Map.entry("flashing", Kind.FLASH),
            Map.entry("strobe", Kind.FLASH),
            Map.entry("pulse", Kind.PULSE),
            Map.entry("pulsing", Kind.PULSE),
            Map.entry("faulty", Kind.FAULTY),
            Map.entry("passing", Kind.PASSING),
            Map.entry("emergency", Kind.BEACON),
            Map.entry("beacon", Kind.BEACON));

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        int start = words.at();
        if (words.take("steady") || words.takeAny("no effect", "effect off", "no effects") || stops(words)) {
            put(clause, Effect.NONE);
            return true;
        }
        words.back(start);
        words.pass("effect", "on", "a", "an", "like", "to", "play");
        Optional<Kind> kind = kind(words);
        if (kind.isEmpty()) {
            return false;
        }
        if (words.take("flicker", "effect")) {
            kind = kind.filter(k -> k != Kind.FAULTY);
            kind = Optional.of(kind.orElse(Kind.FAULTY));
        }
        if (words.takePhrase("like a") || words.takePhrase("like an")) {
            kind = Optional.of(kind(words).orElse(kind.get()));
            words.pass("tube", "lamp", "bulb", "light", "screen", "fire", "car", "cars", "storm", "tv");
        }
        words.pass("tube", "tubes", "headlights", "cars", "car", "screen");
        put(clause, new Effect(kind.get(), rate(words).orElse(1.0)));
        return true;
    }

    private static boolean stops(Words words) {
        int start = words.at();
        words.pass("stop", "stops", "no", "lose", "kill");
        if (words.at() > start) {
            words.article();
            if (words.take("flickering", "flicker", "flashing", "strobing", "pulsing", "effect", "strobe")) {
                return true;
            }
        }
        words.back(start);
        return false;
    }

    private static Optional<Kind> kind(Words words) {
        if (words.takePhrase("bad tube")) {
            return Optional.of(Kind.FAULTY);
        }
        return words.takeKnown(KINDS);
    }

    /** Hertz, however they are said. */
    private static Optional<Double> rate(Words words) {
        int start = words.at();
        words.pass("at", "of", ",");
        if (words.takePhrase("every")) {
            Optional<Amount> seconds = Figures.amount(words);
            if (seconds.isEmpty() && words.peek().matches("second")) {
                seconds = Optional.of(new Amount(Amount.Unit.BARE, 1, false));
            }
            if (seconds.isPresent() && words.take("s", "second", "seconds")) {
                return Optional.of(1 / seconds.get().value());
            }
            throw new Refusal("Say how often: every two seconds, or 3 hertz.");
        }
        double times = words.take("once") ? 1 : words.take("twice") ? 2 : 0;
        if (times > 0 && words.takeAny("a second", "per second", "every second")) {
            return Optional.of(times);
        }
        Optional<Amount> amount = times > 0 ? Optional.empty() : Figures.amount(words);
        words.take("times");
        if (amount.isPresent()
                && words.takeAny("hertz", "hz", "a second", "per second", "flashes a second", "every second")) {
            return amount.map(Amount::value);
        }
        words.back(start);
        return Optional.empty();
    }

    private static void put(Clause clause, Effect effect) {
        clause.requireLight();
        clause.draft().put(clause.about(), effect);
    }
}
