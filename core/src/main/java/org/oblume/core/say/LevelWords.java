package org.oblume.core.say;

import java.util.Optional;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** A level or a height that something is set to: {@code 45%}, <em>at half</em>, <em>up to 30</em>, <em>down to 1.5 m</em>, <em>full</em>. */
final class LevelWords implements PhraseParser {

    /** A bare number from here on is percent. */
    private static final double LOWEST_BARE = 5;

    private static final double PERCENT = 100;

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        if (words.take("height")) {
            words.pass("to", "at", "of");
            setHeight(clause, Figures.length(words).orElseThrow(() -> new Refusal("Say how high: 2.1 m.")));
            return true;
        }
        int start = words.at();
        words.pass("dim", "fade", "up", "down", "raise", "lift", "lower", "drop", "bring", "take", "turn");
        boolean moved = words.at() > start;
        boolean to = words.take("to") || (!moved && words.take("at"));
        if (moved && !to) {
            return false;
        }
        int here = words.at();
        if (full(clause)) {
            return true;
        }
        words.back(here);
        Optional<Amount> amount = Figures.amount(words);
        if (amount.isEmpty()) {
            return false;
        }
        Amount said = amount.get();
        if (said.is(Amount.Unit.METRES)) {
            boolean high = words.take("high");
            if (high || moved) {
                setHeight(clause, said.value());
            }
            return high || moved;
        }
        if (said.is(Amount.Unit.PERCENT)) {
            boolean points = !to && words.peek().matches("up|down|more|less|brighter|darker|hotter|lower|higher");
            if (words.peek().matches("off|out")) {
                throw new Refusal("Down by %.0f %%, or off? Say one of them: down %.0f %%, or off."
                        .formatted(said.value(), said.value()));
            }
            return !points && set(clause, said.value());
        }
        if (!said.is(Amount.Unit.BARE)) {
            return false;
        }
        if (said.part() && said.value() < 1) {
            boolean power = words.take("power");
            boolean quarters = said.value() > 0.5;
            return (to || power || (quarters && words.endsClause()))
                    && !isOfAnother(clause)
                    && set(clause, said.value() * PERCENT);
        }
        boolean percent = (to && said.value() == 0) || (said.value() >= LOWEST_BARE && said.value() <= PERCENT);
        return percent && (to || words.endsClause()) && set(clause, said.value());
    }

    private static boolean full(Clause clause) {
        Words words = clause.words();
        if (!words.peek().equals("full")
                || words.peek(1).matches("spot|flood")
                || clause.speech().stock().ahead(words).isPresent()) {
            return false;
        }
        words.skip(1);
        words.take("power");
        return set(clause, PERCENT);
    }

    /** A level of another light is what a meter says. */
    private static boolean isOfAnother(Clause clause) {
        Words words = clause.words();
        int start = words.at();
        words.pass("of", "the");
        boolean another = clause.speech().names().ahead(words).isPresent();
        words.back(start);
        if (another) {
            throw new Refusal(
                    "A level beside another light’s is what a meter says: read both marks, or say percent or stops.");
        }
        return false;
    }

    private static boolean set(Clause clause, double percent) {
        clause.requireLight();
        double lowest = clause.lamp().map(Lamp::lowestPercent).orElse(0.0);
        if (percent >= 0 && percent < lowest) {
            throw new Refusal("%s holds its light from %s up: %s cannot be. Say %s, or off."
                    .formatted(
                            clause.name(), new Level(lowest).say(), new Level(percent).say(), new Level(lowest).say()));
        }
        clause.draft().put(clause.about(), new Level(percent));
        return true;
    }

    /** Metres above the floor, to the centimetre. */
    static void setHeight(Clause clause, double metres) {
        double rounded = MoveWords.round(metres);
        if (rounded < 0) {
            throw new Refusal(Phrase.format(
                    "%s would be under the floor: %s is the lowest.", clause.name(), Phrase.of(Length.ofMetres(0))));
        }
        clause.draft().put(clause.about(), new Height(rounded));
    }
}
